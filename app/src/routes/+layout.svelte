<script lang="ts">
  import '@fontsource-variable/atkinson-hyperlegible-next';
  import '@fontsource-variable/fraunces';
  import '../app.css';
  import { opening } from '$lib/session/files/opening.svelte';
  import NewVersion from '$lib/screens/frame/NewVersion.svelte';
  import NoticeWords from '$lib/ui/NoticeWords.svelte';
  import ScreenBoundary from '$lib/ui/ScreenBoundary.svelte';
  import { pressShortcut, shortcuts } from '$lib/ui/shortcuts.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';

  let { children } = $props();

  let help = $state(false);
  shortcuts(() => [{ key: '?', does: 'These keys', press: () => (help = !help) }]);

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
  onkeydown={pressShortcut}
  ondragover={(event) => {
    if (!files(event)) return;
    event.preventDefault();
    over = true;
  }}
  ondragleave={(event) => (over = event.relatedTarget !== null && over)}
  ondrop={drop}
/>

<ScreenBoundary>{@render children()}</ScreenBoundary>
{#if opening.hasWords}{#await import('$lib/session/files/OpeningWords.svelte') then { default: OpeningWords }}<OpeningWords
    />{/await}{/if}
{#if help}{#await import('$lib/ui/ShortcutHelp.svelte') then { default: ShortcutHelp }}<ShortcutHelp
      onclose={() => (help = false)}
    />{/await}{/if}
<NoticeWords />
<NewVersion />
{#if over}<p
    class="pointer-events-none fixed inset-3 z-50 grid place-content-center rounded-2xl border-4 border-dashed border-subject bg-raised/80 font-display text-2xl"
  >
    Let go to take the file in
  </p>{/if}
