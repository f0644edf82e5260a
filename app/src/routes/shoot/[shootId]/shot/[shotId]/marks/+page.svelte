<script lang="ts">
  import { page } from '$app/state';
  import { resolve } from '$app/paths';
  import MarksSheet from '$lib/lens/MarksSheet.svelte';
  import { openStore } from '$lib/store/context';

  const store = openStore();
  const shot = $derived(store.shoot.shots.find((row) => row.id === page.params.shotId));
</script>

{#if shot}
  <MarksSheet shoot={store.shoot} {shot} />
{:else}
  <main class="p-8">
    <p>This shot is not in the shoot any more. Undo brings it back, or <a class="underline" href={resolve('/shoot/[shootId]', { shootId: store.shoot.id })}>choose another</a>.</p>
  </main>
{/if}
