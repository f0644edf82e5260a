<script lang="ts">
  import type { ShotTally } from '@gentle-arc/core/take';
  import Choice from '$lib/ui/Choice.svelte';

  /** Which shot is being taken: one step on or back with the thumb, or any of them. */
  interface Props {
    tally: readonly ShotTally[];
    chosen: ShotTally | null;
    onchoose: (shotId: string) => void;
  }
  let { tally, chosen, onchoose }: Props = $props();

  const at = $derived(tally.findIndex(({ shotId }) => shotId === chosen?.shotId));
  const nameOf = ({ number, name }: ShotTally) => `${number ?? 'gone'} ${name}`;
</script>

{#if chosen}
  <div class="chooser">
    <button
      class="quiet-button"
      aria-label="The shot before"
      disabled={at <= 0}
      onclick={() => onchoose(tally[at - 1].shotId)}>‹</button
    >
    <h1 class="font-display text-2xl">{nameOf(chosen)}</h1>
    <button
      class="quiet-button"
      aria-label="The next shot"
      disabled={at < 0 || at >= tally.length - 1}
      onclick={() => onchoose(tally[at + 1].shotId)}>›</button
    >
    <span class="any"
      >or <Choice
        label="Shot"
        value={chosen.shotId}
        items={tally.map((row) => ({ value: row.shotId, name: nameOf(row) }))}
        onchange={onchoose}
      /></span
    >
  </div>
{/if}

<style>
  .chooser {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.2rem 0.5rem;
    padding: 0.2rem 0;
  }
  h1 {
    min-width: 0;
    flex: 0 1 auto;
    line-height: 1.15;
  }
  .any {
    color: var(--soft);
    font-size: 0.9rem;
  }
  @media (max-width: 799px) {
    .chooser {
      flex-wrap: nowrap;
    }
    h1 {
      flex: 1;
      text-align: center;
      font-size: 1.35rem;
    }
    .any {
      display: none;
    }
  }
</style>
