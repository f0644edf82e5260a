<script lang="ts">
  import { notice } from './notice.svelte';

  /** The sentence of the moment, above everything, dialogs too. It goes with the next press of a key or a button. */
  let bar: HTMLElement | undefined = $state();

  $effect(() => {
    if (notice.text !== null) bar?.showPopover();
  });
</script>

<svelte:window onpointerdown={() => notice.clear()} oninput={() => notice.clear()} />

{#if notice.text}
  <p bind:this={bar} popover="manual" role="alert" class="notice">{notice.text}</p>
{/if}

<style>
  .notice {
    position: fixed;
    inset: auto auto 1rem 50%;
    translate: -50% 0;
    width: min(36rem, calc(100vw - 1.5rem));
    border: 0;
    border-left: 4px solid var(--near);
    border-radius: 12px;
    background: var(--raised);
    color: var(--ink);
    padding: 0.7rem 1rem;
    box-shadow: 0 4px 18px rgb(0 0 0 / 0.22);
    line-height: 1.35;
  }
</style>
