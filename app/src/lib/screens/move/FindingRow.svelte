<script lang="ts">
  import { type Finding, severity } from '@gentle-arc/core/findings';
  import type { Cure } from '@gentle-arc/core/search';
  import GradeMark from '$lib/ui/GradeMark.svelte';

  /**
   * One sentence of the reading; of a trouble, the lightest cure, with why and further cures folded away. Pressing it
   * leads there.
   */
  interface Props {
    finding: Finding;
    cures: readonly Cure[];
    chosen: boolean;
    onchoose: () => void;
    oncure: (cure: Cure) => void;
  }
  let { finding, cures, chosen, onchoose, oncure }: Props = $props();

  const trouble = $derived(severity(finding) > 0);
  const [first, more] = $derived([cures[0], cures.slice(1)]);
</script>

{#snippet way(cure: Cure)}
  <button class="cure" onclick={() => oncure(cure)}>
    <b>{cure.instruction}</b>
    <span class="effect"
      >{[cure.numbers ? `${cure.effect}, ${cure.numbers}` : cure.effect, ...cure.costs].join('; ')}</span
    >
  </button>
{/snippet}

<div class="finding" class:chosen>
  <button
    class="lead"
    aria-pressed={chosen}
    aria-label="{finding.grade}: {finding.sentence} Show it at {finding.screenS.toFixed(1)} seconds"
    onclick={onchoose}
  >
    <span class="shrink-0 pt-1"><GradeMark grade={finding.grade} /></span>
    <span class="min-w-0 leading-snug">
      <b class="word" class:hard={severity(finding) === 2} class:soft={severity(finding) === 1}>{finding.grade}</b>
      {finding.sentence}
      <span class="when">at {finding.screenS.toFixed(1)} s</span>
    </span>
  </button>
  {#if trouble}
    <div class="ways">
      {#if first}{@render way(first)}{/if}
      <details>
        <summary
          >Why{more.length > 0
            ? `, and ${more.length} more ${more.length === 1 ? 'way' : 'ways'} to mend it`
            : ''}</summary
        >
        <p class="text-sm leading-snug text-soft">{finding.reason}</p>
        {#each more as cure, i (i)}{@render way(cure)}{/each}
      </details>
    </div>
  {/if}
</div>

<style>
  .finding {
    padding: 0.3rem 0;
  }
  .lead {
    display: flex;
    gap: 0.6rem;
    width: 100%;
    padding: 0.2rem 0.3rem 0.2rem 0;
    border-radius: 10px;
    text-align: left;
    cursor: pointer;
  }
  .lead:hover {
    background: color-mix(in srgb, var(--subject) 7%, transparent);
  }
  .chosen .lead {
    background: color-mix(in srgb, var(--far) 14%, transparent);
  }
  .word {
    color: var(--subject);
  }
  .word.hard {
    color: var(--near);
  }
  .word.soft {
    color: var(--far-ink);
  }
  .when {
    color: var(--soft);
    text-decoration: underline dotted;
    white-space: nowrap;
  }
  .ways {
    padding-left: 2.35rem;
  }
  .cure {
    display: block;
    width: 100%;
    margin: 0.25rem 0;
    padding: 0.35rem 0.7rem;
    border-radius: 10px;
    background: color-mix(in srgb, var(--subject) 11%, transparent);
    text-align: left;
    line-height: 1.3;
    cursor: pointer;
  }
  .cure:hover {
    background: color-mix(in srgb, var(--subject) 20%, transparent);
  }
  .cure b {
    color: var(--subject);
  }
  .effect {
    font-size: 0.85rem;
  }
  summary {
    cursor: pointer;
    font-size: 0.875rem;
    color: var(--soft);
  }
  @media (pointer: coarse) {
    .cure,
    .lead {
      min-height: 2.75rem;
    }
    summary {
      padding: 0.5rem 0;
    }
  }
</style>
