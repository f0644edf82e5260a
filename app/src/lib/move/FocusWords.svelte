<script lang="ts">
  import type { Scene } from '@gentle-arc/core/scene/scene';
  import { legsOf, shotDurationS, type Shot } from '@gentle-arc/core/model/shot';
  import { recipeOf } from '@gentle-arc/core/motion/moves/index';
  import Choice from '$lib/parts/Choice.svelte';
  import FocusRacks from '$lib/lens/FocusRacks.svelte';
  import NumberField from '$lib/parts/NumberField.svelte';

  /**
   * Stop and focus, as a sentence. `subjectDistanceM`: how far the subject is at the end of the shot, where a focus
   * that stays is usually set.
   */
  interface Props {
    scene: Scene;
    subjectDistanceM: number;
    onchange: (edit: (shot: Shot) => Shot, join: string | null) => void;
    onsettle: () => void;
  }
  let { scene, subjectDistanceM, onchange, onsettle }: Props = $props();

  const shot = $derived(scene.shot);
  const closestM = $derived(Math.max(0.05, scene.lens.closestFocusM));
  const racks = $derived(legsOf(shot).every(({ move }) => recipeOf(move).focus !== undefined));

  function setMode(mode: string) {
    const distanceM = Math.max(closestM, Math.round(subjectDistanceM * 100) / 100);
    const atS = Math.round(shotDurationS(shot) * 4) / 10;
    const racks: Shot['focus'] = {
      mode: 'racks',
      from: { on: 'distance', distanceM: Math.max(closestM, Math.round(distanceM * 50) / 100) },
      racks: [{ atS, overS: 1, to: { on: 'subject' } }],
    };
    onchange(
      (row) => ({
        ...row,
        focus: mode === 'fixed' ? { mode: 'fixed', distanceM } : mode === 'racks' ? racks : { mode: 'follow' },
      }),
      null,
    );
  }
</script>

At f/<NumberField
  label="Stop"
  value={shot.fNumber}
  unit="plain"
  min={scene.lens.fNumberMin}
  max={64}
  step={0.1}
  onchange={(fNumber) => onchange((row) => ({ ...row, fNumber }), 'stop')}
  {onsettle}
/>{#if racks}, focus as the move says.{:else}, focus
  <Choice
    label="Focus"
    value={shot.focus.mode}
    items={[
      { value: 'follow', name: 'follows the subject' },
      { value: 'fixed', name: 'stays at one distance' },
      { value: 'racks', name: 'goes from one thing to another' },
    ]}
    onchange={setMode}
  />{#if shot.focus.mode === 'fixed'},
    <NumberField
      label="Focus distance"
      value={shot.focus.distanceM}
      unit="m"
      min={closestM}
      max={10000}
      step={0.1}
      onchange={(distanceM) => onchange((row) => ({ ...row, focus: { mode: 'fixed', distanceM } }), 'focusDistance')}
      {onsettle}
    />{/if}.{#if shot.focus.mode === 'racks'}&nbsp;<FocusRacks
      {scene}
      focus={shot.focus}
      {onchange}
      {onsettle}
    />{/if}{/if}
