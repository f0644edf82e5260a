<script lang="ts">
  import '@fontsource-variable/atkinson-hyperlegible-next';
  import '@fontsource-variable/fraunces';
  import '../app.css';
  import { preferences } from '$lib/store/preferences.svelte';

  let { children } = $props();

  $effect(() => {
    document.documentElement.classList.toggle('dim', preferences.light === 'dim');
  });
</script>

<svelte:head><title>Gentle Arc</title></svelte:head>
{@render children()}
