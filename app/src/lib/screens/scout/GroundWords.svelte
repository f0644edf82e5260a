<script lang="ts">
  import { changeUnderlay, hidePieces, removeUnderlay } from '@gentle-arc/core/edit';
  import { type SiteFromEarth, writeSiteGeoJson, writeSiteGpx, writeSiteSvg } from '@gentle-arc/core/formats';
  import { FIELDS, PIECE_KINDS } from '@gentle-arc/core/model';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import { download, fileName } from '$lib/ui/download';
  import FilePicker from '$lib/ui/FilePicker.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import { readFile } from '$lib/workers/read-file';
  import type { Measuring } from './measuring.svelte';
  import { printPlan } from './print-plan';

  /** The ground as a whole: pictures under the plan, what comes in and goes out, and everything on it by name. */
  interface Props {
    /** What is to be said of what came in last. */
    notes: string[];
    chosenIds: readonly string[];
    measuring: Measuring;
    onlay: (file: File) => Promise<void>;
    onsite: (site: SiteFromEarth) => void;
    ontrouble: (said: string) => void;
    onselect: (id: string) => void;
  }
  let { notes, chosenIds, measuring, onlay, onsite, ontrouble, onselect }: Props = $props();

  const session = shotSession();
  const { shoot } = $derived(session);
  const { site } = $derived(shoot);
  const name = $derived(fileName(shoot.name));
  let sought = $state('');
  const found = $derived(site.pieces.filter((piece) => piece.name.toLowerCase().includes(sought.trim().toLowerCase())));
  const hidden = $derived(site.pieces.filter((piece) => piece.hidden));
  const MOST_LISTED = 60;

  async function take(file: File) {
    const contents = await readFile(file, 'site', { xM: 0, yM: 0, zM: 0, place: site.place });
    if (typeof contents === 'string') ontrouble(contents);
    else if (contents.kind === 'site') onsite(contents.site);
  }
  /** What is on earth goes out only from a site that lies there. */
  function give(text: string | null, ending: string, type: string) {
    if (text === null) ontrouble('Say under Light where on earth the site is: then it goes out with its coordinates.');
    else download(`${name}${ending}`, type, text);
  }
</script>

<section aria-label="Under the plan">
  <h2>Under the plan</h2>
  {#each site.underlays as underlay (underlay.id)}
    <p class="said">
      <TextField
        label="Name of the picture"
        most={80}
        value={underlay.name}
        onchange={(said) => session.change(changeUnderlay(shoot, underlay.id, { name: said }))}
      />
      <Sentence
        text={'shows with a strength of {opacity}, its middle at {xM} east, {yM} north, turned by {turnDeg}.'}
        facts={FIELDS.underlay}
        values={underlay}
        onchange={(key, value, join) =>
          session.change(
            changeUnderlay(shoot, underlay.id, { [key]: Number(value) }),
            join && `underlay.${underlay.id}.${join}`,
          )}
      />
      <button class="link" onclick={() => measuring.begin(underlay.id)}>Set its scale and north</button>
      <button
        class="link"
        aria-pressed={!underlay.shown}
        onclick={() => session.change(changeUnderlay(shoot, underlay.id, { shown: !underlay.shown }))}
        >{underlay.shown ? 'Hide it' : 'Show it'}</button
      >
      <button class="link" onclick={() => session.change(removeUnderlay(shoot, underlay.id))}>Take it away</button>
    </p>
  {/each}
  <p class="said">
    <FilePicker label="Picture of the place" accept="image/jpeg,image/png,image/webp,image/svg+xml" onfile={onlay}
      >{site.underlays.length === 0 ? 'Lay a photograph, scan or drawing under the plan' : 'One more'}</FilePicker
    >. It is kept with the shoot, and set to scale by two points and a length.
  </p>
</section>

<section aria-label="In and out">
  <h2>In and out</h2>
  {#each notes as note (note)}<p class="said" role="status">{note}</p>{/each}
  <p class="said">
    <FilePicker label="Place from a file" accept=".geojson,.json,.gpx,.csv" onfile={take}
      >Bring in GeoJSON, GPX or a grid of heights</FilePicker
    >
    (CSV with <code>x,y,z</code> or <code>lat,lon,z</code>).
    {#if !site.place}Coordinates go by where the site is: say it under Light, or the middle of the file becomes it.{/if}
  </p>
  <p class="said">
    Take it away as
    <button class="link" onclick={() => give(writeSiteGeoJson(shoot), '.geojson', 'application/geo+json')}
      >GeoJSON</button
    >,
    <button class="link" onclick={() => give(writeSiteGpx(shoot), '.gpx', 'application/gpx+xml')}>GPX</button>,
    <button
      class="link"
      onclick={() => download(`${name}-plan.svg`, 'image/svg+xml', writeSiteSvg(shoot, preferences.units).svg)}
      >SVG to scale</button
    >, or
    <button class="link" onclick={() => printPlan(writeSiteSvg(shoot, preferences.units))}>print it to scale</button>.
  </p>
</section>

<section aria-label="Everything here">
  <h2>Everything here</h2>
  {#if hidden.length > 0}
    <p class="said">
      {hidden.length} hidden on the plan.
      <button
        class="link"
        onclick={() =>
          session.change(
            hidePieces(
              shoot,
              hidden.map(({ id }) => id),
              false,
            ),
          )}>Show all</button
      >
    </p>
  {/if}
  {#if site.pieces.length === 0}
    <p class="said">Nothing yet. <b>Add a piece</b> on the plan.</p>
  {:else}
    <TextField
      label="Find by name"
      placeholder="Find one of {site.pieces.length} by name"
      class="seek"
      most={80}
      blank
      value={sought}
      onchange={(text) => (sought = text)}
    />
    <ul>
      {#each found.slice(0, MOST_LISTED) as piece (piece.id)}
        <li>
          <button aria-pressed={chosenIds.includes(piece.id)} onclick={() => onselect(piece.id)}
            >{piece.name}<span class="text-soft">
              {PIECE_KINDS[piece.kind].label.toLowerCase()}{piece.locked ? ', locked' : ''}{piece.hidden
                ? ', hidden'
                : ''}</span
            ></button
          >
        </li>
      {/each}
      {#if found.length > MOST_LISTED}<li class="text-soft">and {found.length - MOST_LISTED} more</li>{/if}
      {#if found.length === 0}<li class="text-soft">None is called “{sought}”.</li>{/if}
    </ul>
  {/if}
</section>

<style>
  section + section {
    margin-top: 0.7rem;
  }
  h2 {
    font-weight: 650;
  }
  section :global(.seek) {
    width: 100%;
    padding: 0.25rem 0.5rem;
    border: 1px solid var(--hairline);
    border-radius: 6px;
    background: transparent;
  }
  li button {
    width: 100%;
    min-height: 1.75rem;
    padding: 0.1rem 0.4rem;
    border-radius: 6px;
    text-align: left;
    cursor: pointer;
  }
  li button:hover,
  li button[aria-pressed='true'] {
    background: color-mix(in srgb, var(--subject) 12%, transparent);
  }
  @media (pointer: coarse) {
    li button {
      min-height: 2.75rem;
    }
  }
</style>
