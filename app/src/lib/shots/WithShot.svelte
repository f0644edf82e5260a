<script lang="ts">
  import type { Snippet } from 'svelte';
  import { page } from '$app/state';
  import type { Shot } from '@gentle-arc/core/model/shot';
  import { shotsHref } from '$lib/links';
  import { openStore } from '$lib/store/context';
  import type { ShootStore } from '$lib/store/shoot-store.svelte';

  /** A screen of one shot, for the shot of the address; a way on where it is not there any more. */
  let { screen }: { screen: Snippet<[ShootStore, Shot]> } = $props();

  const store = openStore();
  const shot = $derived(store.shoot.shots.find((row) => row.id === page.params.shotId));
  const back = $derived(store.wayBackTo(page.params.shotId ?? ''));
</script>

{#if shot}
  {#key shot.id}{@render screen(store, shot)}{/key}
{:else}
  <main class="mx-auto max-w-xl p-8">
    <h1 class="font-display text-3xl">This shot is gone</h1>
    <p class="mt-3">
      It is not in the shoot any more. {back ? `${back} brings it back, or` : 'You can'}
      <a class="link" href={shotsHref(store.shoot.id)}>choose another</a>.
    </p>
  </main>
{/if}
