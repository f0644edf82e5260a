<script lang="ts">
  import { focusBy } from '@gentle-arc/core/edit';
  import { factsOf, FocusSchema, legsOf, numberFact, type Shot, WaySchema } from '@gentle-arc/core/model';
  import { recipeOf } from '@gentle-arc/core/motion';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import Hole from '$lib/ui/Hole.svelte';
  import FocusRacks from './FocusRacks.svelte';

  /** Stop and focus, as a sentence. */
  const session = shotSession();
  const { shot, scene, samples } = $derived(session);
  const closestM = $derived(Math.max(0.05, scene.lens.closestFocusM));
  const racks = $derived(legsOf(shot).every(({ move }) => recipeOf(move).focus !== undefined));

  const stop = factsOf(WaySchema).fNumber;
  const distance = numberFact(factsOf(FocusSchema.options[1]), 'distanceM');
  const setMode = (mode: string) =>
    session.changeShot((row) =>
      focusBy(row, mode as Shot['focus']['mode'], samples.subjectDistanceM[samples.count - 1], closestM),
    );
</script>

At f/<Hole
  fact={stop}
  value={shot.fNumber}
  min={scene.lens.fNumberMin}
  onchange={(fNumber: number) => session.changeShot((row) => ({ ...row, fNumber }), 'stop')}
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
    <Hole
      fact={distance}
      value={shot.focus.distanceM}
      min={closestM}
      onchange={(distanceM: number) =>
        session.changeShot((row) => ({ ...row, focus: { mode: 'fixed', distanceM } }), 'focusDistance')}
    />{/if}.{#if shot.focus.mode === 'racks'}&nbsp;<FocusRacks
      {scene}
      focus={shot.focus}
      onchange={session.changeShot}
    />{/if}{/if}
