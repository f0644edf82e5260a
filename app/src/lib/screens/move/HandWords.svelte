<script lang="ts">
  import { takeRig } from '@gentle-arc/core/edit';
  import { type Fact, factsOf, WaySchema } from '@gentle-arc/core/model';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';
  import BuildNeed from '$lib/views/rig/BuildNeed.svelte';
  import TrickWords from './TrickWords.svelte';
  import RigFigures from './RigFigures.svelte';

  /** What carries the camera, and how whoever carries it goes. */
  const session = shotSession();
  const { shot, scene, shoot } = $derived(session);
  const kit = $derived(shoot.kit);

  const facts: Record<string, Fact> = {
    ...factsOf(WaySchema),
    rigId: { type: 'piece', label: 'Rig' },
    gaitId: { type: 'piece', label: 'Gait' },
  };
  const items = $derived({
    rigId: kit.rigs.map(({ id, name }) => ({ value: id, name })),
    gaitId: kit.gaits.map(({ id, name }) => ({ value: id, name })),
  });
  /** Bodies differ in how they shake; each number is one of them. */
  const shakes = $derived(scene.gait.shakeDeg * scene.rig.shakeShare > 0 || scene.gait.bobMm * scene.rig.bobShare > 0);
  const sticks = $derived(scene.rig.kind === 'drone' || scene.rig.kind === 'gimbal');

  const change = (key: string, value: number | string, join: string | null) =>
    session.changeShot((row) => {
      if (key === 'rigId') return takeRig(row, String(value), kit);
      return { ...row, [key]: key === 'bodySeed' ? Math.round(Number(value)) : value };
    }, join);
</script>

<p class="said">
  <Sentence text={'On {rigId}, going with {gaitId}.'} {facts} values={shot} {items} onchange={change} />
  {#if sticks}<Sentence text={'The stick is {stick}.'} {facts} values={shot} onchange={change} />{/if}
  <RigFigures />
  <BuildNeed {kit} {shot} shootId={shoot.id} />
</p>
<TrickWords />
{#if shakes}
  <details>
    <summary>Why it shakes so</summary>
    <p class="said">
      Every body shakes in its own way, and the same one shakes the same way again.
      <Sentence text={'This is body {bodySeed}.'} {facts} values={shot} onchange={change} />
    </p>
  </details>
{/if}

<style>
  summary {
    cursor: pointer;
    color: var(--soft);
  }
</style>
