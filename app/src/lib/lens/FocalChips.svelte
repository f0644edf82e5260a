<script lang="ts">
  import NumberField from '$lib/parts/NumberField.svelte';
  import { MOST_FOCALS } from './focals';

  /** The focal lengths that are compared: type over one, take one away, add one. */
  interface Props {
    focals: readonly number[];
    own: number;
    onchange: (focals: number[]) => void;
  }
  let { focals, own, onchange }: Props = $props();

  const tidy = (list: number[]) => [...new Set(list)].sort((a, b) => a - b);
  const next = () => {
    const longest = focals[focals.length - 1] ?? own;
    return Math.min(3000, Math.round(longest * 1.4));
  };
</script>

{#each focals as focal, i (focal)}<span class="chip"
    ><NumberField
      label="Focal length {i + 1}"
      value={focal}
      unit="mm"
      min={1}
      max={3000}
      step={1}
      onchange={(value) => onchange(tidy(focals.map((mm) => (mm === focal ? value : mm))))}
    />
    {#if focals.length > 1}<button class="away" aria-label="Without {focal} mm" onclick={() => onchange(focals.filter((mm) => mm !== focal))}>×</button>{/if}</span
  >{/each}{#if focals.length < MOST_FOCALS}<button class="link" onclick={() => onchange(tidy([...focals, next()]))}>and another</button>{/if}

<style>
  .chip {
    white-space: nowrap;
    margin-right: 0.35rem;
  }
</style>
