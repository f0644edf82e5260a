<script lang="ts">
  import type { MoveKind } from '@gentle-arc/core/model/move';
  import { MOVE_KINDS, RECIPES } from '@gentle-arc/core/motion/moves/index';
  import MovePicture from './MovePicture.svelte';

  /** The moves by their pictures. */
  let { kind: chosen, onchoose }: { kind: MoveKind; onchoose: (kind: MoveKind) => void } = $props();
</script>

<div class="choices" role="group" aria-label="Choose a move">
  {#each MOVE_KINDS as kind (kind)}
    <button aria-pressed={chosen === kind} onclick={() => onchoose(kind)} title={RECIPES[kind].purpose}>
      <MovePicture {kind} /><span>{RECIPES[kind].title}</span>
    </button>
  {/each}
</div>

<style>
  .choices {
    display: flex;
    gap: 0.25rem;
  }
  .choices button {
    flex: 1;
    display: grid;
    justify-items: center;
    padding: 0.25rem 0.1rem 0.3rem;
    border-radius: 12px;
    font-size: 0.82rem;
    line-height: 1.1;
    cursor: pointer;
  }
  .choices button:hover {
    background: color-mix(in srgb, var(--near) 9%, transparent);
  }
  .choices button[aria-pressed='true'] {
    background: color-mix(in srgb, var(--near) 14%, transparent);
    box-shadow: inset 0 -3px 0 var(--near);
    font-weight: 650;
  }
</style>
