<script lang="ts">
  import type { Snippet } from 'svelte';
  import { type Fact, partsOfSentence } from '@gentle-arc/core/model';
  import Hole from './Hole.svelte';

  /** A sentence whose numbers are typed over: our way to edit. Text with holes, fed by what the schemas say of each. */
  interface Props {
    text: string;
    facts: Record<string, Fact>;
    values: object;
    /** Ends that are narrower than the field's own as the rest is set. */
    range?: (key: string, fact: Fact) => { min?: number; max?: number };
    label?: (key: string, fact: Fact) => string;
    items?: Record<string, { value: string; name: string }[]>;
    rateHz?: number;
    /** Holes that are something else. */
    holes?: Record<string, Snippet>;
    /** A number of a run of changes is one step of undo: `join` names the run; a choice is a step of its own. */
    onchange: (key: string, value: number | string, join: string | null) => void;
  }
  let { text, facts, values, range, label, items, rateHz, holes, onchange }: Props = $props();

  const row = $derived(values as Record<string, unknown>);
</script>

{#each partsOfSentence(text) as part, i (i)}{#if 'words' in part}{part.words}{:else if holes?.[part.hole]}{@render holes[
      part.hole
    ]()}{:else}{@const fact = facts[part.hole]}<Hole
      {fact}
      value={row[part.hole]}
      label={fact && label?.(part.hole, fact)}
      {...fact && range?.(part.hole, fact)}
      items={items?.[part.hole]}
      {rateHz}
      onchange={(value: number | string) => onchange(part.hole, value, fact?.type === 'number' ? part.hole : null)}
    />{/if}{/each}
