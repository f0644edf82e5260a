<script lang="ts">
  import { removeTry } from '@gentle-arc/core/edit';
  import type { Try } from '@gentle-arc/core/model';
  import { shotSession } from '$lib/session/shot-session.svelte';

  /** Tries that were kept, the latest first. */
  interface Props {
    tries: readonly Try[];
    onreview: (made: Try) => void;
  }
  let { tries, onreview }: Props = $props();

  const session = shotSession();
  const day = (at: string) =>
    new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });
</script>

{#if tries.length > 0}
  <h2>Tries kept</h2>
  <ul class="tries">
    {#each tries.slice(0, 30) as row (row.id)}
      <li>
        <b>{Math.round(row.score)}</b>
        <span>{day(row.at)}{row.pace < 0.95 ? ', slowly' : ''}{row.windShare > 0 ? ', in wind' : ''}</span>
        {#if row.flown}<button class="link" onclick={() => onreview(row)} aria-label="Play the try of {day(row.at)}"
            >Play</button
          >{/if}
        <button
          class="away"
          aria-label="Remove the try of {day(row.at)}"
          onclick={() => session.change(removeTry(session.shoot, row.id))}>×</button
        >
      </li>
    {/each}
  </ul>
{/if}

<style>
  li {
    display: flex;
    align-items: baseline;
    gap: 0.6rem;
    padding: 0.1rem 0;
  }
  b {
    width: 2rem;
    text-align: right;
  }
  li span {
    flex: 1;
  }
</style>
