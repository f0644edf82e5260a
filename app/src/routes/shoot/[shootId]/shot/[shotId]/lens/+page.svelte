<script lang="ts">
  import { page } from '$app/state';
  import { resolve } from '$app/paths';
  import LensScreen from '$lib/lens/LensScreen.svelte';
  import { openStore } from '$lib/store/context';

  const store = openStore();
  const shot = $derived(store.shoot.shots.find((row) => row.id === page.params.shotId));
</script>

{#if shot}
  {#key shot.id}<LensScreen {store} shotId={shot.id} />{/key}
{:else}
  <main class="p-8">
    <p>This shot is not in the shoot any more. Undo brings it back, or <a class="underline" href={resolve('/shoot/[shootId]', { shootId: store.shoot.id })}>choose another</a>.</p>
  </main>
{/if}
