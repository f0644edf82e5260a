<script lang="ts">
  import { setupOf, type Shoot } from '@gentle-arc/core/model/shoot';
  import type { Shot } from '@gentle-arc/core/model/shot';
  import { trim } from '@gentle-arc/core/model/units';
  import { exposureOf } from '@gentle-arc/core/optics/exposure-of-shot';
  import { LIGHT_CONDITIONS, neutralDensity } from '@gentle-arc/core/optics/exposure';
  import Choice from '$lib/parts/Choice.svelte';
  import GradeMark from '$lib/parts/GradeMark.svelte';
  import NumberField from '$lib/parts/NumberField.svelte';
  import { keepPreferences, preferences } from '$lib/store/preferences.svelte';

  /** How bright: what the light asks of shutter, stop and filters. The light belongs to this device, shutter and stop to the shot. */
  interface Props {
    shoot: Shoot;
    shot: Shot;
    onchange: (edit: (shot: Shot) => Shot, join: string | null) => void;
    onsettle: () => void;
  }
  let { shoot, shot, onchange, onsettle }: Props = $props();

  const FILTERS = [1, 2, 3, 4, 6, 10];
  const AIRY_SOFT_PIXELS = 2.5;
  const FLICKER_OFF = 0.15;

  const light = $derived(preferences.exposure);
  const setup = $derived(setupOf(shoot, shot));
  const result = $derived(exposureOf(setup, light));
  const condition = $derived(LIGHT_CONDITIONS.find((row) => row.ev100 === light.ev100)?.id ?? 'own');
  const lamps = $derived(light.ev100 <= 9);

  function set(change: Partial<typeof preferences.exposure>) {
    Object.assign(preferences.exposure, change);
    keepPreferences();
  }
  const stopsWords = (stops: number) => `${trim(Math.abs(stops), 1)} ${Math.abs(stops) < 1.05 && Math.abs(stops) > 0.95 ? 'stop' : 'stops'}`;
  const filterWords = (stops: number) => `ND ${trim(neutralDensity(stops).factor, 0)} (${trim(neutralDensity(stops).density, 1)})`;
</script>

<section aria-label="Light">
  <h2 class="font-display text-xl">How bright</h2>
  <p class="said">
    <Choice
      label="Light"
      value={condition}
      items={[...LIGHT_CONDITIONS.map(({ id, label }) => ({ value: id as string, name: label })), ...(condition === 'own' ? [{ value: 'own', name: 'Measured' }] : [])]}
      onchange={(id) => set({ ev100: LIGHT_CONDITIONS.find((row) => row.id === id)?.ev100 ?? light.ev100 })}
    />, EV <NumberField label="Scene brightness, EV at ISO 100" value={light.ev100} unit="plain" min={-10} max={24} step={0.5} onchange={(ev100) => set({ ev100 })} />; the camera
    at ISO
    <NumberField label="ISO" value={light.iso} unit="plain" min={6} max={1000000} step={100} onchange={(iso) => set({ iso })} />, shutter
    <NumberField
      label="Shutter angle"
      value={shot.shutterDeg}
      unit="deg"
      min={1}
      max={360}
      step={5}
      onchange={(shutterDeg) => onchange((row) => ({ ...row, shutterDeg }), 'shutter')}
      {onsettle}
    />
    (1/{Math.round(1 / result.exposureS)} s), f/<NumberField
      label="Stop for the light"
      value={shot.fNumber}
      unit="plain"
      min={setup.lens.fNumberMin}
      max={64}
      step={0.1}
      onchange={(fNumber) => onchange((row) => ({ ...row, fNumber }), 'stop')}
      {onsettle}
    />. Mains <Choice
      label="Mains"
      value={String(light.mainsHz)}
      items={[
        { value: '50', name: '50 Hz' },
        { value: '60', name: '60 Hz' },
      ]}
      onchange={(hz) => set({ mainsHz: Number(hz) })}
    />.
  </p>
  <div class="filters" role="group" aria-label="Filters at hand">
    <span class="text-sm text-soft">Filters at hand:</span>
    {#each FILTERS as stops (stops)}
      <button
        class="quiet-button text-sm"
        aria-pressed={light.filters.includes(stops)}
        onclick={() => set({ filters: light.filters.includes(stops) ? light.filters.filter((row) => row !== stops) : [...light.filters, stops].sort((a, b) => a - b) })}
        >{filterWords(stops)}</button
      >
    {/each}
  </div>
  <div role="status">
    {#if result.excessStops > 0.05}
      <p class="line">
        <GradeMark grade={Math.abs(result.leftStops) <= 0.5 ? 'calm' : result.leftStops > 2 ? 'jolt' : 'ripple'} />
        <span>
          <b>{stopsWords(result.excessStops)} too bright.</b>
          It takes an ND of {trim(result.needed.factor, 0)} (density {trim(result.needed.density, 2)}).
          {#if result.stack.length > 0}
            Nearest: <b>{result.stack.map(filterWords).join(' and ')}</b>, which leaves it {Math.abs(result.leftStops) < 0.05
              ? 'just right'
              : `${stopsWords(result.leftStops)} ${result.leftStops > 0 ? 'too bright' : 'too dark'}`}.
          {:else}None of the filters at hand comes nearer than none.{/if}
        </span>
      </p>
    {:else if result.excessStops < -0.05}
      <p class="line">
        <GradeMark grade={result.excessStops < -2 ? 'jolt' : 'ripple'} />
        <span
          ><b>{stopsWords(result.excessStops)} too dark.</b> Open the stop, raise the ISO, bring light, or record fewer frames a second: each doubling of the rate costs a stop.</span
        >
      </p>
    {:else}
      <p class="line"><GradeMark grade="calm" /><span>Just right.</span></p>
    {/if}
    {#if result.airyPixels > AIRY_SOFT_PIXELS}
      <p class="line">
        <GradeMark grade="ripple" /><span>f/{trim(shot.fNumber, 1)} softens the picture: the diffraction disc is {trim(result.airyPixels, 1)} pixels of the recording wide.</span>
      </p>
    {/if}
    {#if lamps && result.flickerOff > FLICKER_OFF}
      <p class="line">
        <GradeMark grade="ripple" /><span>Lamps may flicker or band: 1/{Math.round(1 / result.exposureS)} s does not hold whole pulses of lamps on {light.mainsHz} Hz mains.</span>
      </p>
    {/if}
  </div>
  <p class="mt-2 text-sm text-soft">Light conditions: usual values of exposure tables (from memory). A meter on the place decides.</p>
</section>

<style>
  .filters {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.2rem 0.35rem;
    margin: 0.3rem 0;
  }
  .line {
    display: flex;
    gap: 0.6rem;
    padding: 0.3rem 0;
    line-height: 1.4;
  }
  .line :global(svg) {
    flex-shrink: 0;
    margin-top: 0.25rem;
  }
</style>
