<script lang="ts">
  import type { Shot } from '@gentle-arc/core/model';

  /** Keeps a second way to make the shot, flicks between the two, or opens them side by side. */
  interface Props {
    shot: Shot;
    beside: boolean;
    onkeep: () => void;
    onflick: () => void;
    onbeside: () => void;
    ondrop: () => void;
  }
  let { shot, beside, onkeep, onflick, onbeside, ondrop }: Props = $props();
</script>

{#if shot.other}
  <div class="flex items-center gap-0.5 text-sm" role="group" aria-label="Two ways to make it">
    {#if !beside}
      {#each ['A', 'B'] as const as letter (letter)}
        <button
          class="quiet-button"
          aria-pressed={shot.variant === letter}
          aria-label="Way {letter}"
          title="Flick between the two (V)"
          onclick={() => {
            if (shot.variant !== letter) onflick();
          }}>{letter}</button
        >
      {/each}
    {/if}
    <button class="quiet-button" aria-pressed={beside} onclick={onbeside}
      >{beside ? 'One at a time' : 'Side by side'}</button
    >
    {#if !beside}<button
        class="quiet-button"
        onclick={ondrop}
        title="Keep only what is shown; undo brings the other back">Keep {shot.variant} only</button
      >{/if}
  </div>
{:else}
  <button class="quiet-button text-sm" onclick={onkeep} title="Keeps this as A and goes on as B, to compare"
    >Try a second way</button
  >
{/if}
