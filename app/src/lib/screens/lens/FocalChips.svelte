<script lang="ts">
  import NumberField from '$lib/ui/NumberField.svelte';
  import { MOST_FOCALS } from '@gentle-arc/core/model';

  /** The focal lengths that are compared: type over one, take one away, add one. */
  interface Props {
    focals: readonly number[];
    own: number;
    /** They are the usual ones. */
    usual: boolean;
    onchange: (focals: number[] | null, join: string | null) => void;
  }
  let { focals, own, usual, onchange }: Props = $props();

  const tidy = (list: number[]) => [...new Set(list)].sort((a, b) => a - b);
  const next = () => {
    const longest = focals[focals.length - 1] ?? own;
    return Math.min(3000, Math.max(Math.round(longest * 1.4), longest + 1));
  };
</script>

{#each focals as focal, i (i)}<span class="chip"
    ><NumberField
      label="Focal length {i + 1}"
      value={focal}
      unit="mm"
      min={1}
      max={3000}
      step={1}
      onchange={(value) => onchange(tidy(focals.map((mm, k) => (k === i ? value : mm))), `focal.${i}`)}
    />
    {#if focals.length > 1}<button
        class="away"
        aria-label="Without {focal} mm"
        onclick={() =>
          onchange(
            focals.filter((_, k) => k !== i),
            null,
          )}>×</button
      >{/if}</span
  >{/each}{#if focals.length < MOST_FOCALS}<button
    class="link"
    onclick={() => onchange(tidy([...focals, next()]), null)}>and another</button
  >{/if}{#if !usual}<button class="link" onclick={() => onchange(null, null)}>the usual ones</button>{/if}

<style>
  .chip {
    white-space: nowrap;
    margin-right: 0.35rem;
  }
</style>
