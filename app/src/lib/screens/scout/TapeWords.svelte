<script lang="ts">
  import { changeUnderlay, fittedUnderlay } from '@gentle-arc/core/edit';
  import { type Fact, sayExactLength, trim } from '@gentle-arc/core/model';
  import { tapeBetween } from '@gentle-arc/core/site';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';
  import type { Measuring } from './measuring.svelte';

  /** What lies between the two ends of the tape; of a picture under the plan, what it is in life. */
  let { measuring }: { measuring: Measuring } = $props();

  const session = shotSession();
  const { shoot, scene } = $derived(session);
  const underlay = $derived(shoot.site.underlays.find(({ id }) => id === measuring.underlayId) ?? null);
  const [from, to] = $derived(measuring.spots);
  const long = (m: number) => sayExactLength(m, preferences.units);

  const FACTS: Record<string, Fact> = {
    lengthM: { type: 'number', label: 'Length in life', unit: 'm', step: 0.1, min: 0.05, max: 5000 },
    bearingDeg: { type: 'number', label: 'Runs towards', unit: 'tenth', step: 1, min: 0, max: 360 },
  };
  const measured = $derived(to ? tapeBetween(scene.ground, from, to) : null);
  const wanted = $derived.by(() => {
    const isFirst = measuring.spots.length === 0;
    if (!underlay) return `Press on ${isFirst ? 'the first' : 'the second'} point.`;
    const end = isFirst ? 'one end' : 'the other end';
    return `Press on ${end} of something in “${underlay.name}” whose length you know: a wall, a drawn scale, a kerb.`;
  });
  const rise = $derived.by(() => {
    if (!measured || Math.abs(measured.riseM) < 0.005) return 'level';
    const way = measured.riseM > 0 ? 'up' : 'down';
    return `${long(Math.abs(measured.riseM))} ${way} (${trim(Math.abs(measured.slopePercent), 1)}%)`;
  });

  function set(key: string, value: number | string) {
    if (!underlay || !measured || !to) return;
    const life = { lengthM: measured.lengthM, bearingDeg: measured.bearingDeg, [key]: Number(value) };
    const fitted = fittedUnderlay(underlay, from, to, life);
    if (!fitted || !session.change(changeUnderlay(shoot, underlay.id, fitted))) return;
    // The same two points of the picture, where they lie now.
    const rad = (life.bearingDeg * Math.PI) / 180;
    measuring.move(1, {
      xM: from.xM + life.lengthM * Math.sin(rad),
      yM: from.yM + life.lengthM * Math.cos(rad),
    });
  }
</script>

<section class="said" aria-label="Tape">
  {#if measuring.asks}
    <p role="status">
      {wanted}
      <button class="link" onclick={() => measuring.end()}>Leave it</button>
    </p>
  {:else if measured}
    <p>
      {#if underlay}
        <Sentence
          text={'In “' +
            underlay.name.replaceAll('{', '(').replaceAll('}', ')') +
            '” the way between the two points is {lengthM} long and runs towards {bearingDeg} from north.'}
          facts={FACTS}
          values={measured}
          onchange={set}
        />
      {:else}
        <b>{long(measured.lengthM)}</b>, towards {trim(measured.bearingDeg, 1)}° from north, {rise}. Straight through
        the air {long(measured.airM)}.
      {/if}
      <button class="link" onclick={() => measuring.end()}>{underlay ? 'It fits' : 'Roll it up'}</button>
    </p>
  {/if}
</section>

<style>
  section {
    margin: 0.2rem 0 0.5rem;
    padding-left: 0.6rem;
    border-left: 3px solid var(--near);
  }
</style>
