<script lang="ts" generics="Word extends string">
  import type { Snippet } from 'svelte';
  import WordBar from './WordBar.svelte';

  /** A screen whose large part has words beside it; on a phone they lie folded at its foot. */
  interface Props {
    label: string;
    words: { word: Word; name: string }[];
    open: Word;
    folded: boolean;
    onopen: (word: Word) => void;
    /** The large part is only read: it has the focus to be scrolled by keys. */
    scrolls?: boolean;
    large: Snippet;
    /** What lies under the word that is open. */
    beside: Snippet;
  }
  let { label, words, open, folded, onopen, scrolls = false, large, beside }: Props = $props();

  /** Where a phone is high enough for both, nothing is folded: so much room below the large part is worth it, px. */
  const WORTH_PX = 150;
  let largePart: HTMLDivElement | undefined = $state();
  let windowPx = $state(0);
  let largePx = $state(0);
  let barPx = $state(0);
  const roomPx = $derived(windowPx - (largePart?.offsetTop ?? 0) - largePx - barPx - 16);
  const roomy = $derived(roomPx >= WORTH_PX);
</script>

<svelte:window bind:innerHeight={windowPx} />
<main class="screen">
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="large" tabindex={scrolls ? 0 : undefined} bind:this={largePart} bind:offsetHeight={largePx}>
    {@render large()}
  </div>
  <div class="right" style:--most={roomy ? `${roomPx + barPx + 8}px` : null}>
    <div bind:offsetHeight={barPx}>
      <WordBar {label} {words} {open} folded={roomy ? undefined : folded} {onopen} />
    </div>
    <div class="words" class:folded={folded && !roomy} style:--room={folded && roomy ? `${roomPx}px` : null}>
      {@render beside()}
    </div>
  </div>
</main>

<style>
  .screen {
    display: flex;
    gap: 1.2rem;
    height: calc(100dvh - 3rem);
    padding: 0 1rem;
  }
  .large {
    flex: 2.2;
    min-width: 0;
    overflow-y: auto;
    padding-right: 0.3rem;
  }
  .right {
    flex: 1;
    min-width: 21rem;
    max-width: 28rem;
    display: flex;
    flex-direction: column;
    gap: 0.4rem;
  }
  .words {
    flex: 1;
    min-height: 0;
    overflow-y: auto;
    padding: 0 0.3rem 1rem 0;
  }
  @media (max-width: 799px) {
    .screen {
      flex-direction: column;
      height: auto;
      padding: 0 0.75rem 1rem;
    }
    .large {
      overflow: visible;
    }
    .right {
      position: sticky;
      bottom: 0;
      z-index: 3;
      min-width: 0;
      max-width: none;
      max-height: max(54dvh, var(--most, 0px));
      padding-bottom: 0.4rem;
      border-top: 1px solid var(--hairline);
      background: var(--paper);
    }
    .words {
      max-height: var(--room, none);
    }
    .words.folded {
      display: none;
    }
  }
</style>
