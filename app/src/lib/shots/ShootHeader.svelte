<script lang="ts">
  import { resolve } from '$app/paths';
  import { page } from '$app/state';
  import { Dropdown, DropdownItem } from 'flowbite-svelte';
  import { AdjustmentsHorizontalOutline, FileExportOutline, RedoOutline, UndoOutline } from 'flowbite-svelte-icons';
  import { exportPath, exportShoot } from './exports';
  import Mark from '$lib/parts/Mark.svelte';
  import { keepPreferences, preferences } from '$lib/store/preferences.svelte';
  import type { ShootStore } from '$lib/store/shoot-store.svelte';

  let { store }: { store: ShootStore } = $props();

  const shotId = $derived(page.params.shotId);
  const bench = $derived(/\/(lens|marks)$/.test(page.route.id ?? ''));
  const kit = $derived(page.route.id?.endsWith('/kit') ?? false);
  const limits = $derived(page.route.id?.endsWith('/limits') ?? false);
  const number = $derived(store.shoot.shots.findIndex((shot) => shot.id === shotId) + 1);
  const shot = $derived(store.shoot.shots.find((row) => row.id === shotId));

  let exporting = $state(false);
  let setting = $state(false);

  function rename(event: Event & { currentTarget: HTMLInputElement }) {
    const name = event.currentTarget.value.trim();
    if (name) store.change({ ...store.shoot, name: name.slice(0, 120) });
    else event.currentTarget.value = store.shoot.name;
  }

  function set(change: Partial<typeof preferences>) {
    Object.assign(preferences, change);
    keepPreferences();
  }
</script>

<header class="flex h-12 print:hidden items-center gap-1 px-2 md:gap-2 md:px-4">
  <a href={resolve('/')} class="quiet-button !px-1 {shotId ? 'hidden md:inline-flex' : ''}" aria-label="All shoots" title="All shoots"><Mark /></a>
  <input
    class="name hidden font-display text-lg md:block"
    aria-label="Name of the shoot"
    maxlength="120"
    value={store.shoot.name}
    onchange={rename}
    size={Math.max(6, store.shoot.name.length)}
  />
  <nav class="flex min-w-0 items-center gap-1" aria-label="Screens">
    <a class="quiet-button shrink-0" href={resolve('/shoot/[shootId]', { shootId: store.shoot.id })} aria-current={shotId || limits || kit ? undefined : 'page'}>Shots</a>
    <a
      class="quiet-button tab shrink-0 {shotId ? 'hidden md:inline-flex' : ''}"
      href={resolve('/shoot/[shootId]/kit', { shootId: store.shoot.id })}
      aria-current={kit ? 'page' : undefined}>Kit</a
    >
    {#if limits}<span class="text-soft" aria-hidden="true">›</span> <span class="truncate font-semibold" aria-current="page">Limits</span>{/if}
    {#if shotId && shot}
      <span class="hidden min-w-0 truncate sm:inline"><span class="text-soft" aria-hidden="true">›&nbsp;</span><b>{number} {shot.name}</b></span>
      {#each [{ name: 'Move', href: resolve( '/shoot/[shootId]/shot/[shotId]', { shootId: store.shoot.id, shotId } ), here: !bench }, { name: 'Lens', href: resolve( '/shoot/[shootId]/shot/[shotId]/lens', { shootId: store.shoot.id, shotId } ), here: bench }] as tab (tab.name)}
        <a class="quiet-button tab" href={tab.href} aria-current={tab.here ? 'page' : undefined}>{tab.name}</a>
      {/each}
    {/if}
  </nav>
  <span class="flex-1"></span>
  <button class="quiet-button" disabled={!store.canUndo} onclick={() => store.undo()} aria-label="Undo" title="Undo (Ctrl Z)"><UndoOutline class="h-5 w-5" /></button>
  <button class="quiet-button" disabled={!store.canRedo} onclick={() => store.redo()} aria-label="Redo" title="Redo (Ctrl Shift Z)"><RedoOutline class="h-5 w-5" /></button>
  <button class="quiet-button" id="export" aria-label="Take it away" title="Take it away as a file"
    ><FileExportOutline class="h-5 w-5" /><span class="hidden md:inline">Export</span></button
  >
  <Dropdown simple triggeredBy="#export" bind:isOpen={exporting} class="z-40 w-72 bg-raised text-ink shadow-lg">
    <DropdownItem
      onclick={() => {
        exporting = false;
        exportShoot(store.shoot);
      }}>The whole shoot (.arc.json)</DropdownItem
    >
    {#if shotId && shot}
      <DropdownItem
        onclick={() => {
          exporting = false;
          void exportPath(store.shoot, shot, 'csv');
        }}>This camera path as CSV</DropdownItem
      >
      <DropdownItem
        onclick={() => {
          exporting = false;
          void exportPath(store.shoot, shot, 'gltf');
        }}>This camera and site as glTF</DropdownItem
      >
    {/if}
  </Dropdown>
  <button class="quiet-button" id="view" aria-label="View" title="Units and light"><AdjustmentsHorizontalOutline class="h-5 w-5" /></button>
  <Dropdown simple triggeredBy="#view" bind:isOpen={setting} class="z-40 w-60 bg-raised text-ink shadow-lg">
    <DropdownItem onclick={() => set({ units: preferences.units === 'metric' ? 'imperial' : 'metric' })}
      >{preferences.units === 'metric' ? 'Show feet and inches' : 'Show metres'}</DropdownItem
    >
    <DropdownItem onclick={() => set({ light: preferences.light === 'paper' ? 'dim' : 'paper' })}
      >{preferences.light === 'paper' ? 'Dim, for a dark stage' : 'Paper, for daylight'}</DropdownItem
    >
    <DropdownItem onclick={() => set({ guides: !preferences.guides })}>{preferences.guides ? 'Hide level and thirds' : 'Show level and thirds'}</DropdownItem>
    <DropdownItem href={resolve('/shoot/[shootId]/limits', { shootId: store.shoot.id })}>Limits of the reading</DropdownItem>
  </Dropdown>
</header>

<style>
  .tab {
    flex-shrink: 0;
    min-width: 0;
    padding: 0 0.4rem;
  }
  .tab[aria-current] {
    box-shadow: inset 0 -2px 0 var(--subject);
    border-radius: 0;
  }
  .name {
    border: 0;
    padding: 0.1rem 0.3rem;
    background: transparent;
    border-radius: 6px;
    color: inherit;
    max-width: 16rem;
  }
  .name:hover {
    background: color-mix(in srgb, var(--subject) 9%, transparent);
  }
</style>
