<script lang="ts">
  import type { Snippet } from 'svelte';

  /** What a take or its clip does otherwise than planned: one sentence for all of it, and the worst first. */
  interface Props {
    said: string;
    differences: readonly { id: string; sentence: string; mend: string }[];
    /** What shows it, between the sentence and the list. */
    children: Snippet;
  }
  let { said, differences, children }: Props = $props();
</script>

<p class="verdict" role="status">{said}</p>
{@render children()}
{#if differences.length > 0}
  <h2>What differs, the worst first</h2>
  <ol>
    {#each differences as difference (difference.id)}
      <li><b>{difference.sentence}</b> {difference.mend}</li>
    {/each}
  </ol>
{/if}

<style>
  .verdict {
    padding: 0.2rem 0 0.5rem;
    font-size: 1.1rem;
    font-weight: 600;
    line-height: 1.4;
  }
  h2 {
    padding-top: 0.8rem;
    font-weight: 650;
  }
  ol {
    padding-left: 1.2rem;
    list-style: decimal;
  }
  li {
    padding: 0.15rem 0;
    line-height: 1.45;
  }
</style>
