<script lang="ts">
  import { page } from '$app/state';
  import { shotsHref } from '$lib/session/links';
  import { openStore } from '$lib/session/store/context';
  import WithShot from '$lib/session/WithShot.svelte';

  /** Screens of one shot, for the shot of the address; a way on where it is not there any more. */
  let { children } = $props();

  const store = openStore();
  const shotId = $derived(page.params.shotId ?? '');
  const isThere = $derived(store.shoot.shots.some(({ id }) => id === shotId));
  const back = $derived(store.wayBackTo(shotId));
</script>

{#if isThere}
  {#key shotId}<WithShot {store} {shotId}>{@render children()}</WithShot>{/key}
{:else}
  <main class="mx-auto max-w-xl p-8">
    <h1 class="font-display text-3xl">This shot is gone</h1>
    <p class="mt-3">
      It is not in the shoot any more. {back ? `${back} brings it back, or` : 'You can'}
      <a class="link" href={shotsHref(store.shoot.id)}>choose another</a>.
    </p>
  </main>
{/if}
