<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import { resolve } from '$app/paths';
  import { page } from '$app/state';
  import { loadShoot } from '$lib/store/database';
  import { DEMO_ID, fetchDemo } from '$lib/store/demo';
  import { provideStore } from '$lib/store/context';
  import { ShootStore } from '$lib/store/shoot-store.svelte';
  import ShootHeader from '$lib/shots/ShootHeader.svelte';

  let { children } = $props();

  const holder: { store: ShootStore | null } = $state({ store: null });
  let problem: string | null = $state(null);
  provideStore(holder);

  const shootId = $derived(page.params.shootId ?? '');

  $effect(() => {
    const id = shootId;
    untrack(() => void open(id));
  });

  async function open(id: string) {
    await holder.store?.saveNow();
    holder.store = null;
    problem = null;
    try {
      const shoot = (await loadShoot(id)) ?? (id === DEMO_ID ? await fetchDemo() : null);
      if (shoot) holder.store = new ShootStore(shoot);
      else problem = 'There is no such shoot in this browser. It may have been deleted, or made on another device.';
    } catch (error) {
      problem = `This shoot cannot be opened. ${(error as Error).message}`;
    }
  }

  function keys(event: KeyboardEvent) {
    if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z' || event.target instanceof HTMLTextAreaElement) return;
    event.preventDefault();
    if (event.shiftKey) holder.store?.redo();
    else holder.store?.undo();
  }

  const leave = () => void holder.store?.saveNow();
  onDestroy(leave);
</script>

<svelte:window onkeydown={keys} onpagehide={leave} />
<svelte:document onvisibilitychange={leave} />

{#if problem}
  <main class="mx-auto max-w-xl p-8">
    <p role="alert" class="border-l-4 border-near bg-raised px-4 py-3">{problem}</p>
    <p class="mt-4"><a class="underline" href={resolve('/')}>Back to all shoots</a></p>
  </main>
{:else if holder.store}
  {#key holder.store}
    <ShootHeader store={holder.store} />
    {#if holder.store.saveProblem}<p role="alert" class="mx-4 border-l-4 border-near bg-raised px-4 py-2">{holder.store.saveProblem}</p>{/if}
    {@render children()}
  {/key}
{:else}
  <p class="p-8 text-soft">Opening…</p>
{/if}
