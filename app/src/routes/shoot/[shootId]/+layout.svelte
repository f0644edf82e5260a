<script lang="ts">
  import Trouble from '$lib/ui/Trouble.svelte';
  import { onDestroy, untrack } from 'svelte';
  import { provideEditing } from '$lib/ui/editing';
  import { shortcuts } from '$lib/ui/shortcuts.svelte';
  import { resolve } from '$app/paths';
  import { page } from '$app/state';
  import BrokenShoot from '$lib/screens/home/BrokenShoot.svelte';
  import { shotsHref } from '$lib/session/links';
  import ScreenBoundary from '$lib/ui/ScreenBoundary.svelte';
  import { findShoot, loadShoot, type Kept, type Listed } from '$lib/session/store/database';
  import { DEMO_ID, fetchDemo } from '$lib/session/store/demo';
  import { provideStore } from '$lib/session/store/context';
  import { fromMemory } from '$lib/session/store/memory';
  import { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import { hearTabs } from '$lib/session/store/tabs';
  import { storageTrouble } from '$lib/session/store/trouble';
  import { unsavedOf } from '$lib/session/store/unsaved';
  import ElsewhereBar from '$lib/screens/frame/ElsewhereBar.svelte';
  import { exportShoot } from '$lib/session/exports';
  import ShootHeader from '$lib/screens/frame/ShootHeader.svelte';

  let { children } = $props();

  const holder: { store: ShootStore | null } = $state({ store: null });
  let problem: string | null = $state(null);
  let broken: Extract<Listed, { shoot: null }> | null = $state.raw(null);
  provideStore(holder);

  const shootId = $derived(page.params.shootId ?? '');

  $effect(() => {
    const id = shootId;
    untrack(() => void open(id));
  });

  const unkept = async (id: string): Promise<Kept | null> => {
    const shoot = fromMemory(id) ?? (id === DEMO_ID ? await fetchDemo() : null);
    return shoot && { shoot, rev: null, past: [], future: [] };
  };

  async function open(id: string) {
    await holder.store?.saveNow();
    holder.store = null;
    problem = null;
    broken = null;
    try {
      const lies = await findShoot(id);
      if (lies?.shoot === null) {
        broken = lies;
        return;
      }
      const kept = (await loadShoot(id)) ?? (await unkept(id));
      if (id !== shootId) return;
      if (kept) {
        const store = new ShootStore(kept);
        const unsaved = unsavedOf(id);
        if (unsaved) store.comeBack(unsaved);
        holder.store = store;
      } else problem = 'There is no such shoot in this browser. It may have been deleted, or made on another device.';
    } catch (error) {
      const kept = await unkept(id).catch(() => null);
      if (kept) {
        holder.store = new ShootStore(kept);
        holder.store.saveProblem = `Nothing is kept here. ${storageTrouble(error)} What you make stays in this tab as long as you do not leave it: take it away as a file.`;
      } else problem = `This shoot cannot be opened. ${storageTrouble(error)}`;
    }
  }

  const free = () => !typing;
  shortcuts(() => [
    {
      key: 'z',
      ctrl: true,
      does: 'Undo',
      when: (event) => free() && !event.shiftKey,
      press: () => holder.store?.undo(),
    },
    {
      key: 'z',
      shown: 'Shift Z',
      ctrl: true,
      does: 'Redo',
      when: (event) => free() && event.shiftKey,
      press: () => holder.store?.redo(),
    },
  ]);
  provideEditing({ settle: () => holder.store?.settle() });

  /** What is typed and not taken yet, and what a pointer holds: nothing of another tab comes in meanwhile. */
  let typing = false;
  let holding = false;
  const tell = () => holder.store?.hold(typing || holding, holding);
  function type(now: boolean) {
    typing = now;
    tell();
  }
  function hold(now: boolean) {
    holding = now;
    tell();
  }
  /**
   * Enter takes what is typed and Escape lets it go, with no event of change in the browser for either; in a text of
   * several lines Enter is typing.
   */
  function ended(event: KeyboardEvent) {
    // What a key does beside a drag, it does to what there is now, not to what was shown at the last turn.
    if (holder.store) holder.store.rushing = false;
    if (event.key === 'Escape' || (event.key === 'Enter' && !(event.target instanceof HTMLTextAreaElement)))
      type(false);
  }
  /** Taking hold of something, or going to something else, ends a run of changes that are undone together. */
  const settle = () => holder.store?.settle();

  const leave = () => holder.store?.leave();
  const look = () => void holder.store?.lookAgain();
  onDestroy(leave);
  onDestroy(
    hearTabs(({ shootId: id }) => {
      if (id === holder.store?.shoot.id) look();
    }),
  );
</script>

<svelte:window
  onkeydowncapture={ended}
  onpagehide={leave}
  onfocus={look}
  oninput={() => type(true)}
  onchange={() => type(false)}
  onfocusin={settle}
  onfocusout={() => type(false)}
  onpointerdowncapture={() => {
    settle();
    hold(true);
  }}
  onpointerupcapture={() => hold(false)}
  onpointercancelcapture={() => hold(false)}
/>
<svelte:document
  onvisibilitychange={() => {
    leave();
    if (document.visibilityState === 'visible') look();
  }}
/>

{#if broken}
  <BrokenShoot {broken} />
{:else if problem}
  <main class="mx-auto max-w-xl p-8">
    <h1 class="font-display text-3xl">No shoot is open</h1>
    <Trouble class="mt-4">{problem}</Trouble>
    <p class="mt-4"><a class="link" href={resolve('/')}>Back to all shoots</a></p>
  </main>
{:else if holder.store}
  {@const store = holder.store}
  {#key store}
    <ShootHeader {store} />
    <ElsewhereBar {store} />
    {#if store.saveProblem}
      <Trouble class="mx-4 my-1">
        {store.saveProblem}
        <button class="link font-semibold" onclick={() => exportShoot(store.shoot)}>Take it away as a file</button>
      </Trouble>
    {/if}
    {#if store.refusal}
      <Trouble onclose={() => (store.refusal = null)}>{store.refusal}</Trouble>
    {/if}
    <ScreenBoundary shootHref={shotsHref(store.shoot.id)}>{@render children()}</ScreenBoundary>
  {/key}
{:else}
  <p class="p-8 text-soft" role="status">Opening…</p>
{/if}
