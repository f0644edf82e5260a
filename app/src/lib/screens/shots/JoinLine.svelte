<script lang="ts">
  import { severity } from '@gentle-arc/core/findings';
  import { type Shot, trim } from '@gentle-arc/core/model';
  import { kindWords } from '@gentle-arc/core/sequence';
  import GradeMark from '$lib/ui/GradeMark.svelte';
  import type { ShownJoin } from '$lib/workers/board-messages';

  /** How a shot meets the one after it, in a line between the two. */
  interface Props {
    shot: Shot;
    nextName: string;
    join: ShownJoin | null;
    open: boolean;
    onopen: () => void;
  }
  let { shot, nextName, join, open, onopen }: Props = $props();

  const trouble = $derived(join?.findings.find((row) => severity(row) > 0) ?? null);
  const kind = $derived(
    shot.join.kind === 'black' ? `${trim(shot.join.blackS, 1)} s of black` : kindWords(shot.join.kind),
  );
</script>

<button class="join" aria-pressed={open} onclick={onopen}>
  <span class="sr-only">Join: {shot.name} to {nextName}:</span>
  <span class="kind" class:plain={shot.join.kind === 'cut'}>{kind}</span>
  {#if join}<GradeMark grade={join.grade} />{/if}
  {#if trouble}<span class="said">{trouble.sentence}</span>{/if}
</button>

<style>
  .join {
    display: flex;
    align-items: center;
    gap: 0.5rem;
    width: calc(100% - 1.6rem);
    min-height: 1.75rem;
    margin-left: 1.6rem;
    padding: 0 0.6rem;
    border-radius: 8px;
    color: var(--soft);
    font-size: 0.92rem;
    text-align: left;
    cursor: pointer;
  }
  .join:hover {
    background: color-mix(in srgb, var(--subject) 9%, transparent);
  }
  .join[aria-pressed='true'] {
    background: color-mix(in srgb, var(--subject) 14%, transparent);
    box-shadow: inset 0 0 0 1.5px var(--subject);
  }
  .kind {
    flex: none;
    padding: 0 0.5rem;
    border-radius: 999px;
    background: var(--sun);
    color: var(--ink);
  }
  .kind.plain {
    background: none;
    padding: 0;
    color: var(--soft);
  }
  .said {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    color: var(--ink);
  }
  @media (max-width: 799px) {
    .join {
      width: 100%;
      min-height: 2.75rem;
      margin-left: 0;
    }
    .said {
      white-space: normal;
      line-height: 1.25;
    }
  }
</style>
