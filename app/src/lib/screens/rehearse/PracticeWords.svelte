<script lang="ts">
  import { changePractice, changeWish } from '@gentle-arc/core/edit';
  import { FIELDS, type HeldRig, STICK_SPEEDS, type Try, wishOf } from '@gentle-arc/core/model';
  import { triesLikely } from '@gentle-arc/core/rehearse';
  import { usualTriesOf } from '@gentle-arc/core/day';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import Hole from '$lib/ui/Hole.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import type { LiveRehearse } from '$lib/workers/live-rehearse.svelte';
  import type { RunSettings } from './practice-run.svelte';
  import type { Practising } from './practising.svelte';
  import ScoreWords from './ScoreWords.svelte';
  import TriesList from './TriesList.svelte';

  /** How it is practised, what the last try was worth, and the tries that were kept. */
  interface Props {
    practising: Practising;
    live: LiveRehearse;
    /** Tries of what is practised, the latest first. */
    tries: readonly Try[];
  }
  let { practising, live, tries }: Props = $props();

  const session = shotSession();
  const { shoot } = $derived(session);
  const { run, settings, held, ghost, pass, kept } = $derived(practising);
  /** It is a shot of the shoot: how many tries it will take is told. */
  const shotId = $derived(practising.exercise === null ? session.shot.id : null);
  const onset = (change: Partial<RunSettings & { ghost: boolean }>) => practising.set(change);
  const HELD: Record<HeldRig, string> = {
    drone: 'the sticks of a drone',
    head: 'the joystick of the head',
    carriage: 'the carriage of a slider',
    jib: 'the arm of a jib',
    ring: 'the focus ring',
  };
  const PACES = [
    { value: '0.5', name: 'at half speed' },
    { value: '0.75', name: 'at three quarters' },
    { value: '1', name: 'at speed' },
  ];
  const WINDS = [
    { value: '0', name: 'in calm air' },
    { value: '0.35', name: 'in a breeze' },
    { value: '0.7', name: 'in wind' },
    { value: '1', name: 'in as much wind as it stands' },
  ];
  const judged = $derived(run.flown !== null && live.judged.question?.flown === run.flown ? live.judged.answer : null);
  const usual = $derived(shotId === null ? 1 : usualTriesOf(shoot, shotId));
  const likely = $derived(shotId === null ? 0 : triesLikely(shoot.practice.tries, shotId, usual));
  const planned = $derived(shotId === null ? null : wishOf(shoot.day, shotId).tries);
</script>

<section aria-label="Practise" class="word-pane">
  <p class="said">
    Hands have <Choice
      label="Hands have"
      value={settings.held}
      items={held.map((value) => ({ value, name: HELD[value] }))}
      onchange={(value) => onset({ held: value as HeldRig })}
    />
    <Choice
      label="Pace"
      value={String(settings.pace)}
      items={PACES}
      onchange={(value) => onset({ pace: Number(value) })}
    />{#if settings.held === 'drone'},
      <Choice
        label="Wind in practice"
        value={String(settings.windShare)}
        items={WINDS}
        onchange={(value) => onset({ windShare: Number(value) })}
      />, sticks
      <Choice
        label="Stick speed in practice"
        value={settings.speed}
        items={STICK_SPEEDS.map((value) => ({ value, name: value }))}
        onchange={(value) => onset({ speed: value as RunSettings['speed'] })}
      />, laid out <Hole
        fact={FIELDS.practice.layout}
        value={shoot.practice.layout}
        onchange={(layout: '1' | '2' | '3' | '4') => session.change(changePractice(shoot, { layout }))}
      />{/if}{#if settings.held === 'carriage'}, with <Hole
        fact={FIELDS.practice.dragShare}
        value={shoot.practice.dragShare}
        onchange={(dragShare: number) => session.change(changePractice(shoot, { dragShare }), 'practice.dragShare')}
      /> of its weight as drag{/if}.
  </p>
  <div class="row">
    <button class="quiet-button framed" aria-pressed={ghost} onclick={() => onset({ ghost: !ghost })}
      >Ghost of the plan</button
    >
    <button class="quiet-button framed" onclick={() => practising.show()}>Show me</button>
  </div>
  {#if live.judged.problem}<Trouble>{live.judged.problem}</Trouble>{/if}
  {#if run.state === 'done' && run.flown}
    {#if judged}
      <ScoreWords {judged} {pass} slow={settings.pace < 0.95} />
      <div class="row">
        <button class="solid-button" disabled={kept} onclick={() => practising.keep()}
          >{kept ? 'Kept' : 'Keep this try'}</button
        >
        <button class="quiet-button framed" onclick={() => practising.review(null)}>Play it beside the plan</button>
      </div>
    {:else if !live.judged.problem}<p role="status" class="text-soft">Holding it against the plan…</p>{/if}
  {:else if run.state === 'ready' && tries.length === 0}
    <p class="text-soft">
      Watch it once with “Show me”, then start: hands lead the camera, and the dashed frame is where the plan would be.
    </p>
  {/if}
  {#if shotId !== null}
    <h2>How many tries it will take</h2>
    <p class="said">
      Probably {likely}{usual === likely ? ', as usual for such a move' : `; usual for such a move are ${usual}`}.
      {#if planned === likely}The day reckons with them.
      {:else}<button class="link" onclick={() => session.change(changeWish(shoot, shotId, { tries: likely }))}
          >Reckon with {likely} in the day</button
        >{/if}
    </p>
  {/if}
  <TriesList {tries} onreview={(made) => practising.review(made)} />
</section>

<style>
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
  }
</style>
