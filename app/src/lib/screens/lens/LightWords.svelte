<script lang="ts">
  import { shotSession } from '$lib/session/shot-session.svelte';
  import { FIELDS, type Filter, trim } from '@gentle-arc/core/model';
  import Hole from '$lib/ui/Hole.svelte';
  import { evOfDaylight, SKIES, type Sky } from '@gentle-arc/core/light';
  import {
    exposureOf,
    type FilterStack,
    LIGHT_CONDITIONS,
    neutralDensity,
    tooDarkAdvice,
  } from '@gentle-arc/core/optics';
  import { shutterLook } from '@gentle-arc/core/image';
  import Choice from '$lib/ui/Choice.svelte';
  import GradeMark from '$lib/ui/GradeMark.svelte';
  import { keepPreferences, preferences } from '$lib/ui/preferences.svelte';

  /** How bright: what the light asks of shutter, stop and filters. */
  /** `seen`: what moves in the picture as the shot is taken now; null while it is read. */
  let { seen }: { seen: { fastest: number; subjectBlur: number; shownShutterDeg: number } | null } = $props();
  const session = shotSession();
  const { shoot, shot, scene } = $derived(session);
  const { changeShot: onchange, changeBench: onbench } = session;

  const mainsHz = $derived(preferences.mainsHz);
  const result = $derived(exposureOf(scene, shoot.kit.filters, mainsHz));
  const { limits } = $derived(scene);
  const condition = $derived(LIGHT_CONDITIONS.find((row) => row.ev100 === shot.light.ev100)?.id ?? 'own');
  /** From about here down it is lamps that light a place. */
  const LAMPS_EV = 9;
  const lamps = $derived(shot.light.ev100 <= LAMPS_EV);
  const look = $derived(
    seen && shutterLook({ shutterDeg: seen.shownShutterDeg, frameRateHz: shot.frameRateHz }, seen, limits),
  );
  const faster = $derived(shot.captureRateHz > shot.frameRateHz);

  const sunDeg = $derived(shot.bench.sunDeg);
  const sky = $derived(shot.bench.sky);
  const SKY_NAMES: Record<Sky, string> = { clear: 'a clear sky', partly: 'some cloud', cloudy: 'a closed sky' };

  const setEv = (ev100: number, join: string | null = null) =>
    onchange((row) => ({ ...row, light: { ...row.light, ev100 } }), join);
  const mount = (filterIds: string[]) => onchange((row) => ({ ...row, filterIds }), null);
  const toggle = ({ id }: Filter) =>
    mount(shot.filterIds.includes(id) ? shot.filterIds.filter((row) => row !== id) : [...shot.filterIds, id]);
  const stopsWords = (stops: number) =>
    `${trim(Math.abs(stops), 1)} ${Math.abs(stops) < 1.05 && Math.abs(stops) > 0.95 ? 'stop' : 'stops'}`;
  const filterWords = ({ kind, stopsMin, stopsMax }: Filter) =>
    kind === 'polariser'
      ? `takes ${stopsWords(stopsMin)}`
      : `ND ${trim(neutralDensity(stopsMin).factor, 0)}${stopsMax > stopsMin ? `–${trim(neutralDensity(stopsMax).factor, 0)}` : ` (${trim(neutralDensity(stopsMin).density, 1)})`}`;
  const stackWords = ({ filters }: FilterStack) =>
    filters
      .map(({ filter, stops }) =>
        filter.kind === 'variableNd' ? `${filter.name} at ${stopsWords(stops)}` : filter.name,
      )
      .join(' and ');
  const leftWords = (left: number) =>
    Math.abs(left) < 0.05 ? 'just right' : `${stopsWords(left)} ${left > 0 ? 'too bright' : 'too dark'}`;
  const gradeOf = (left: number) =>
    Math.abs(left) <= 0.5 ? ('calm' as const) : Math.abs(left) > 2 ? ('jolt' as const) : ('ripple' as const);
  const neutral = $derived(result.mounted.filters.length > 0);
  const proposed = $derived(
    [
      ...scene.filters.filter(({ kind }) => kind === 'polariser'),
      ...result.nearest.filters.map(({ filter }) => filter),
    ].map(({ id }) => id),
  );
  const asProposed = $derived(
    proposed.length === shot.filterIds.length && proposed.every((id) => shot.filterIds.includes(id)),
  );
</script>

<section aria-label="Light">
  <h2 class="font-display text-xl">How bright</h2>
  <p class="said">
    <Choice
      label="Light"
      value={condition}
      items={[
        ...LIGHT_CONDITIONS.map(({ id, label }) => ({ value: id as string, name: label })),
        ...(condition === 'own' ? [{ value: 'own', name: 'Measured' }] : []),
      ]}
      onchange={(id) => setEv(LIGHT_CONDITIONS.find((row) => row.id === id)?.ev100 ?? shot.light.ev100)}
    />, EV <Hole fact={FIELDS.light.ev100} value={shot.light.ev100} onchange={(ev100: number) => setEv(ev100, 'ev')} />;
    the camera at ISO
    <Hole
      fact={FIELDS.light.iso}
      value={shot.light.iso}
      onchange={(iso: number) => onchange((row) => ({ ...row, light: { ...row.light, iso } }), 'iso')}
    />, shutter
    <Hole
      fact={FIELDS.way.shutterDeg}
      value={shot.shutterDeg}
      label="Shutter angle"
      rateHz={shot.captureRateHz}
      onchange={(shutterDeg: number) => onchange((row) => ({ ...row, shutterDeg }), 'shutter')}
    />
    (1/{Math.round(1 / result.exposureS)} s), f/<Hole
      fact={FIELDS.way.fNumber}
      value={shot.fNumber}
      label="Stop for the light"
      min={scene.lens.fNumberMin}
      onchange={(fNumber: number) => onchange((row) => ({ ...row, fNumber }), 'stop')}
    />.
  </p>
  <details>
    <summary>From the sun</summary>
    <p class="said">
      The sun <Hole
        fact={FIELDS.bench.sunDeg}
        value={sunDeg}
        onchange={(value: number) => onbench({ sunDeg: value }, 'bench.sun')}
      /> above the horizon under
      <Choice
        label="Sky"
        value={sky}
        items={SKIES.map((value) => ({ value, name: SKY_NAMES[value] }))}
        onchange={(value) => onbench({ sky: value as Sky })}
      /> gives EV
      <b>{trim(evOfDaylight(sunDeg, sky), 1)}</b> on open ground.
      <button class="link font-semibold" onclick={() => setEv(Math.round(evOfDaylight(sunDeg, sky) * 10) / 10)}
        >Take that</button
      >
    </p>
  </details>
  <div class="filters" role="group" aria-label="Filters before the lens">
    <span class="text-sm text-soft">Before the lens:</span>
    {#each shoot.kit.filters as filter (filter.id)}
      <button
        class="quiet-button text-sm"
        aria-pressed={shot.filterIds.includes(filter.id)}
        title={filterWords(filter)}
        onclick={() => toggle(filter)}>{filter.name}</button
      >
    {/each}
  </div>
  <div role="status">
    {#if result.excessStops > 0.05}
      <p class="graded-line">
        <GradeMark grade={neutral ? gradeOf(result.mounted.leftStops) : gradeOf(result.excessStops)} />
        <span>
          <b>{stopsWords(result.excessStops)} too bright{result.polariserStops > 0 ? ' behind the polariser' : ''}.</b>
          It takes an ND of {trim(result.needed.factor, 0)} (density {trim(result.needed.density, 2)}).
          {#if neutral}With {stackWords(result.mounted)} it is {leftWords(result.mounted.leftStops)}.{/if}
          {#if !asProposed && result.nearest.filters.length > 0 && !(neutral && Math.abs(result.mounted.leftStops) <= 0.5)}
            Nearest: <b>{stackWords(result.nearest)}</b>, which leaves it {leftWords(result.nearest.leftStops)}.
            <button class="link font-semibold" onclick={() => mount(proposed)}
              >Put {result.nearest.filters.length > 1 ? 'them' : 'it'} on</button
            >
          {:else if !neutral}None of the kit’s filters comes nearer than none.{/if}
        </span>
      </p>
    {:else if result.excessStops < -0.05 || neutral}
      <p class="graded-line">
        <GradeMark grade={gradeOf(result.mounted.leftStops)} />
        <span
          ><b
            >{stopsWords(result.mounted.leftStops)} too dark{neutral ? ` behind ${stackWords(result.mounted)}` : ''}.</b
          >
          {tooDarkAdvice(result, faster ? shot.captureRateHz : null)}</span
        >
      </p>
    {:else}
      <p class="graded-line"><GradeMark grade="calm" /><span>Just right.</span></p>
    {/if}
    {#if look === 'short'}
      <p class="graded-line">
        <GradeMark grade="ripple" /><span
          >The shutter is short for what moves here: motion turns hard and jittery below {trim(
            limits.shortShutterDeg,
            0,
          )}°. Open it to 180° and take the light away with a filter.</span
        >
      </p>
    {:else if look === 'long'}
      <p class="graded-line">
        <GradeMark grade="ripple" /><span
          >The shutter is long for what moves here: {scene.subject?.name ?? 'the subject'} smears over {Math.round(
            (seen?.subjectBlur ?? 0) * scene.delivery.widthPx,
          )} pixels. Shorten it, or go slower.</span
        >
      </p>
    {/if}
    {#if result.airyPixels > limits.airyPixels}
      <p class="graded-line">
        <GradeMark grade="ripple" /><span
          >f/{trim(shot.fNumber, 1)} softens the picture: the diffraction disc is {trim(result.airyPixels, 1)} pixels of the
          recording wide.</span
        >
      </p>
    {/if}
    {#if lamps && result.flickerOff > limits.flickerOff}
      <p class="graded-line">
        <GradeMark grade="ripple" /><span
          >Lamps may flicker or band: 1/{Math.round(1 / result.exposureS)} s does not hold whole pulses of lamps on
          <Choice
            label="Mains"
            value={String(mainsHz)}
            items={[
              { value: '50', name: '50 Hz' },
              { value: '60', name: '60 Hz' },
            ]}
            onchange={(hz) => {
              preferences.mainsHz = hz === '60' ? 60 : 50;
              keepPreferences();
            }}
          /> mains.</span
        >
      </p>
    {/if}
  </div>
  <p class="mt-2 text-sm text-soft">
    Light conditions and daylight are usual values of handbooks (from memory). A meter on the place decides.
  </p>
</section>

<style>
  summary {
    min-height: 1.5rem;
    cursor: pointer;
    font-size: 0.9rem;
    color: var(--soft);
  }
  .filters {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.2rem 0.35rem;
    margin: 0.3rem 0;
  }
</style>
