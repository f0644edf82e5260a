<script lang="ts">
  import { clipped, type TryPart } from '@gentle-arc/core/model';
  import GradeMark from '$lib/ui/GradeMark.svelte';
  import type { JudgedTry } from '$lib/workers/rehearse-messages';

  /** What a try is worth, part by part, and what to do differently. */
  interface Props {
    judged: JudgedTry;
    pass: number | null;
    slow: boolean;
  }
  let { judged, pass, slow }: Props = $props();

  const NAMES: Record<TryPart, string> = {
    path: 'Way',
    timing: 'Timing',
    place: 'Subject',
    ends: 'Start and stop',
    evenness: 'Evenness',
    level: 'Level',
    sharp: 'Sharp',
  };
  const { score, parts, said } = $derived(judged.score);
  const passed = $derived(pass !== null && score >= pass && !slow);
</script>

<div class="score" role="status">
  <p class="total">
    <b>{Math.round(score)}</b>
    <span class="text-soft"
      >of 100{pass === null ? '' : passed ? ', passed' : slow ? ', a slow try' : `; passed from ${pass}`}</span
    >
  </p>
  <p class="next">{said}</p>
  <ul>
    {#each parts as { part, score: own, sentence } (part)}
      <li>
        <span class="name">{NAMES[part]}</span>
        <span class="bar" aria-hidden="true"><span class:low={own < 60} style:width="{own}%"></span></span>
        <span class="n">{Math.round(own)}</span>
        <span class="why text-soft">{sentence}</span>
      </li>
    {/each}
  </ul>
  {#if judged.reading.length > 0}
    <h2>What the audience would see</h2>
    <ul class="reading">
      {#each judged.reading.slice(0, 4) as { id, grade, sentence } (id + sentence)}
        <li class="graded-line"><GradeMark grade={grade as never} /><span>{clipped(sentence, 160)}</span></li>
      {/each}
    </ul>
  {/if}
</div>

<style>
  .total b {
    font: 600 3rem/1 var(--font-display);
    color: var(--subject);
  }
  .next {
    border-left: 4px solid var(--near);
    padding-left: 0.7rem;
    margin: 0.3rem 0 0.5rem;
    font-weight: 600;
  }
  li {
    display: grid;
    grid-template-columns: 6.6rem 1fr 2.2rem;
    align-items: center;
    gap: 0 0.5rem;
    padding: 0.12rem 0;
    font-size: 0.95rem;
  }
  .reading li {
    display: flex;
  }
  .why {
    grid-column: 1 / -1;
    font-size: 0.82rem;
    line-height: 1.3;
  }
  .n {
    text-align: right;
  }
  .bar {
    height: 8px;
    border-radius: 4px;
    background: var(--sun);
    overflow: hidden;
  }
  .bar span {
    display: block;
    height: 100%;
    background: var(--subject);
  }
  .bar span.low {
    background: var(--near);
  }
</style>
