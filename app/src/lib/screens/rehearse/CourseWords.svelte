<script lang="ts">
  import type { Exercise, Try } from '@gentle-arc/core/model';
  import { courseStep, exerciseTitle, nextToPractise, passOf, type SkillProgress } from '@gentle-arc/core/rehearse';
  import TriesList from './TriesList.svelte';

  /** What to practise next, what an exercise teaches, and how to begin it. */
  interface Props {
    progress: readonly SkillProgress[];
    chosen: Exercise;
    tries: readonly Try[];
    onbegin: (pace: number | 'show') => void;
    onreview: (made: Try) => void;
    onchoose: (exercise: Exercise) => void;
  }
  let { progress, chosen, tries, onbegin, onreview, onchoose }: Props = $props();

  const next = $derived(nextToPractise(progress));
  const step = $derived(courseStep(chosen));
</script>

<section aria-label="Course" class="word-pane">
  {#if next}
    <p class="said">
      {next.said}
      {#if next.exercise !== chosen}<button class="link" onclick={() => onchoose(next.exercise)}>Take it up</button
        >{/if}
    </p>
  {:else}<p class="said">All of it is passed. Practise the shots of the film now.</p>{/if}
  <h2>{exerciseTitle(chosen)}</h2>
  {#if step}
    <p>{step.teaches}</p>
    <p class="text-soft text-sm">Passed from {passOf(chosen)} of 100, at speed.</p>
    <div class="row">
      <button class="quiet-button framed" onclick={() => onbegin('show')}>Watch it</button>
      <button class="quiet-button framed" onclick={() => onbegin(0.5)}>A slow try</button>
      <button class="solid-button" onclick={() => onbegin(1)}>A try</button>
    </div>
  {:else}
    <p>
      {chosen === 'sledDrill'
        ? 'A sled that hides where its weight lies: look, move one thing by millimetres, look again.'
        : 'Motors off: one axis after the other stays where it is let go.'}
    </p>
    <p class="text-soft text-sm">Worth 100 in as few moves as the bench’s own coach needs; half in twice as many.</p>
    <div class="row"><button class="solid-button" onclick={() => onbegin(1)}>Begin</button></div>
  {/if}
  <TriesList {tries} {onreview} />
</section>

<style>
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
  }
</style>
