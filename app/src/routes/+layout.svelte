<script lang="ts">
  import '@fontsource-variable/atkinson-hyperlegible-next';
  import '@fontsource-variable/fraunces';
  import '../app.css';
  import { opening } from '$lib/files/opening.svelte';
  import OpeningWords from '$lib/files/OpeningWords.svelte';
  import NoticeWords from '$lib/parts/NoticeWords.svelte';
  import ScreenBoundary from '$lib/parts/ScreenBoundary.svelte';
  import { preferences } from '$lib/store/preferences.svelte';

  let { children } = $props();

  $effect(() => {
    document.documentElement.classList.toggle('dim', preferences.light === 'dim');
  });

  const files = (event: DragEvent) => event.dataTransfer?.types.includes('Files') ?? false;
  let over = $state(false);

  /** A file dropped anywhere is taken in: the page is never left for it. */
  function drop(event: DragEvent) {
    over = false;
    if (!files(event)) return;
    event.preventDefault();
    const [file] = event.dataTransfer?.files ?? [];
    if (file) void opening.take(file);
  }
</script>

<svelte:head><title>Gentle Arc</title></svelte:head>
<svelte:window
  ondragover={(event) => {
    if (!files(event)) return;
    event.preventDefault();
    over = true;
  }}
  ondragleave={(event) => (over = event.relatedTarget !== null && over)}
  ondrop={drop}
/>

<ScreenBoundary>{@render children()}</ScreenBoundary>
<OpeningWords />
<NoticeWords />
{#if over}<p
    class="pointer-events-none fixed inset-3 z-50 grid place-content-center rounded-2xl border-4 border-dashed border-subject bg-raised/80 font-display text-2xl"
  >
    Let go to take the file in
  </p>{/if}
