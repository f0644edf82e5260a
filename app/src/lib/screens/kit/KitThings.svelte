<script lang="ts">
  import Trouble from '$lib/ui/Trouble.svelte';
  import {
    changedThing,
    copyThing,
    examplesFor,
    removeThing,
    takeExample,
    type Thing,
    THINGS,
    withThing,
  } from '@gentle-arc/core/edit';
  import { type Camera, FIELDS, type Kit, type Shoot } from '@gentle-arc/core/model';
  import { newId } from '$lib/session/store/new-id';
  import Menu from '$lib/ui/Menu.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import RatePictures from './RatePictures.svelte';

  /** Cameras, lenses, filters and rigs that shots name: copied, typed over, taken out. */
  let { shoot, onchange }: { shoot: Shoot; onchange: (kit: Kit, join: string | null) => boolean } = $props();

  let open: string | null = $state(null);
  let problem: string | null = $state(null);

  /** What is typed of each here. A rig's further figures are on the Move screen, where its moves are. */
  const LISTS = [
    {
      list: 'cameras',
      title: 'Cameras',
      facts: FIELDS.camera,
      text:
        'Its sensor is {sensorWidthMm} by {sensorHeightMm}, its picture {pictureWidthPx} by ' +
        '{pictureHeightPx} pixels. It reads a frame out in {readOutMs} ms, writes {dataRateMbps} Mb a second, and ' +
        'above {bufferAboveHz} frames a second keeps {bufferS} in its buffer. A still picture takes {stillMB} MB, ' +
        'a battery {stillsPerBattery} of them; its stabiliser leaves {steadyShare} of trembling.',
    },
    {
      list: 'lenses',
      title: 'Lenses',
      facts: FIELDS.lens,
      text:
        'From {focalLengthMinMm} to {focalLengthMaxMm}, focusing from {closestFocusM}, opening to f/{fNumberMin}; ' +
        'its ring turns {ringDeg}. Focused near it shows {breathingShare} less; its stabiliser leaves {steadyShare} of trembling.',
    },
    {
      list: 'filters',
      title: 'Filters',
      facts: FIELDS.filter,
      text: 'It takes from {stopsMin} to {stopsMax} stops.',
    },
    {
      list: 'rigs',
      title: 'Rigs and supports',
      facts: FIELDS.rig,
      text: 'It travels {travelM}, with the lens from {heightMinM} to {heightMaxM} high, on an arm of {armM}.',
    },
  ] as const;
  type List = (typeof LISTS)[number]['list'];
  const thingsOf = (list: List): Thing[] => shoot.kit[list];

  function change(list: List, thing: Thing, edit: Record<string, unknown>, join: string | null) {
    const next = changedThing(list, thing, edit);
    problem = typeof next === 'string' ? next : null;
    if (typeof next !== 'string') onchange(withThing(shoot.kit, list, next), join);
  }
  function copy(list: List, thing: Thing) {
    const id = newId(THINGS[list].one);
    if (onchange(copyThing(shoot.kit, list, thing, id), null)) open = id;
  }
  function take(list: List, id: string) {
    const example = examplesFor(shoot.kit, list).find((row) => row.id === id);
    if (example && onchange(takeExample(shoot.kit, list, example), null)) open = id;
  }
  function remove(list: List, thing: Thing) {
    const next = removeThing(shoot, list, thing);
    problem = typeof next === 'string' ? next : null;
    if (typeof next !== 'string') onchange(next, null);
  }
</script>

<section aria-label="Cameras, lenses, filters, rigs">
  {#if problem}<Trouble class="my-2">{problem}</Trouble>{/if}
  <div class="lists">
    {#each LISTS as { list, title, facts, text } (list)}
      <div class="list">
        <h2 class="font-display text-xl">{title}</h2>
        <ul>
          {#each thingsOf(list) as thing (thing.id)}
            <li>
              <button
                class="link py-0.5 text-left"
                aria-expanded={open === thing.id}
                onclick={() => (open = open === thing.id ? null : thing.id)}><b>{thing.name}</b></button
              >
              {#if open === thing.id}
                <p class="said">
                  <TextField
                    label="Name of {thing.name}"
                    most={80}
                    value={thing.name}
                    onchange={(name) => change(list, thing, { name }, null)}
                  />:
                  <Sentence
                    {text}
                    {facts}
                    values={thing}
                    label={(_, fact) => `${thing.name}, ${fact.label.charAt(0).toLowerCase()}${fact.label.slice(1)}`}
                    onchange={(key, value, join) =>
                      change(list, thing, { [key]: value }, join && `thing.${thing.id}.${join}`)}
                  />
                  {#if list === 'cameras'}<RatePictures
                      camera={thing as Camera}
                      onchange={(picturesFrom, join) => change(list, thing, { picturesFrom }, join)}
                    />{/if}
                  <button class="link" onclick={() => copy(list, thing)}>Copy</button>
                  <button class="link" onclick={() => remove(list, thing)}>Delete</button>
                </p>
              {/if}
            </li>
          {/each}
        </ul>
        {#if examplesFor(shoot.kit, list).length > 0}
          <p class="text-sm">
            <Menu
              id="examples-{list}"
              label="Add an example: {title}"
              items={examplesFor(shoot.kit, list).map(({ id, name }) => ({ name, onpress: () => take(list, id) }))}
              >Add an example</Menu
            >
          </p>
        {/if}
      </div>
    {/each}
  </div>
</section>

<style>
  .lists {
    columns: 17rem;
    column-gap: 2rem;
  }
  .list {
    break-inside: avoid;
    padding-bottom: 1rem;
  }
</style>
