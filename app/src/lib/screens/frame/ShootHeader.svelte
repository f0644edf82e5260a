<script lang="ts">
  import { resolve } from '$app/paths';
  import { page } from '$app/state';
  import { AdjustmentsHorizontalOutline, FileExportOutline, RedoOutline, UndoOutline } from 'flowbite-svelte-icons';
  import { exportPath, exportShoot } from '../../session/exports';
  import {
    dayHref,
    kitHref,
    lensHref,
    limitsHref,
    moveHref,
    rehearseHref,
    scoutHref,
    shotsHref,
    takesHref,
  } from '$lib/session/links';
  import EarlierStates from './EarlierStates.svelte';
  import Menu from '$lib/ui/Menu.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import Mark from '$lib/ui/Mark.svelte';
  import { keepPreferences, preferences } from '$lib/ui/preferences.svelte';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';

  let { store }: { store: ShootStore } = $props();

  const shotId = $derived(page.params.shotId);
  const bench = $derived(/\/(lens|marks)$/.test(page.route.id ?? ''));
  const rehearse = $derived(page.route.id?.endsWith('/rehearse') ?? false);
  const kit = $derived(page.route.id?.endsWith('/kit') ?? false);
  const day = $derived(page.route.id?.endsWith('/day') ?? false);
  const takes = $derived(page.route.id?.endsWith('/takes') ?? false);
  const scout = $derived(page.route.id?.endsWith('/scout') ?? false);
  /** The shot that is open, or through which the place is seen. */
  const seenThrough = $derived(
    shotId ?? (scout || takes ? (page.url.searchParams.get('shot') ?? undefined) : undefined),
  );
  const limits = $derived(page.route.id?.endsWith('/limits') ?? false);
  // Addresses stay the same while the shoot is dragged about.
  const shootId = $derived(store.shoot.id);
  const ofShot = $derived(
    shotId === undefined
      ? []
      : [
          { name: 'Move', href: moveHref(shootId, shotId), here: !bench && !rehearse },
          { name: 'Lens', href: lensHref(shootId, shotId), here: bench },
          { name: 'Rehearse', href: rehearseHref(shootId, shotId), here: rehearse },
        ],
  );
  const number = $derived(store.shoot.shots.findIndex((shot) => shot.id === shotId) + 1);
  const shot = $derived(store.shoot.shots.find((row) => row.id === shotId));

  let goingBack = $state(false);
  let tabs: HTMLElement | undefined = $state();
  // On a phone the screens scroll sideways: the one that is open is in sight.
  $effect(() => {
    void page.url.pathname;
    // With the next frame, which lays the page out anyway.
    const frame = requestAnimationFrame(() =>
      tabs?.querySelector('[aria-current="page"]')?.scrollIntoView({ inline: 'center', block: 'nearest' }),
    );
    return () => cancelAnimationFrame(frame);
  });

  function set(change: Partial<typeof preferences>) {
    Object.assign(preferences, change);
    keepPreferences();
  }
</script>

<header class="flex h-12 print:hidden items-center gap-1 px-2 md:gap-2 md:px-4">
  <a
    href={resolve('/')}
    class="quiet-button !px-1 {shotId ? 'hidden md:inline-flex' : ''}"
    aria-label="All shoots"
    title="All shoots"><Mark /></a
  >
  <TextField
    class="shoot-name hidden font-display text-lg md:block"
    label="Name of the shoot"
    most={120}
    value={store.shoot.name}
    onchange={(name) => store.change({ ...store.shoot, name })}
    size={Math.max(6, store.shoot.name.length)}
  />
  <nav class="screens flex items-center gap-0.5" aria-label="Screens" bind:this={tabs}>
    <a class="quiet-button tab" href={scoutHref(shootId, seenThrough)} aria-current={scout ? 'page' : undefined}
      >Scout</a
    >
    <a
      class="quiet-button tab"
      href={shotsHref(shootId)}
      aria-current={shotId || limits || kit || day || scout || takes ? undefined : 'page'}>Shots</a
    >
    <a class="quiet-button tab" href={kitHref(shootId)} aria-current={kit ? 'page' : undefined}>Kit</a>
    <a class="quiet-button tab" href={dayHref(shootId)} aria-current={day ? 'page' : undefined}>Day</a>
    <a class="quiet-button tab" href={takesHref(shootId, seenThrough)} aria-current={takes ? 'page' : undefined}
      >Takes</a
    >
    {#if limits}<span class="text-soft" aria-hidden="true">›</span>
      <span class="truncate font-semibold" aria-current="page">Limits</span>{/if}
    {#if shotId && shot}
      <span class="hidden min-w-0 truncate sm:inline"
        ><span class="text-soft" aria-hidden="true">›&nbsp;</span><b>{number} {shot.name}</b></span
      >
      {#each ofShot as tab (tab.name)}
        <a class="quiet-button tab" href={tab.href} aria-current={tab.here ? 'page' : undefined}>{tab.name}</a>
      {/each}
    {/if}
  </nav>
  <span class="flex-1"></span>
  <button
    class="quiet-button"
    disabled={!store.canUndo}
    onclick={() => store.undo()}
    aria-label="Undo"
    title="Undo (Ctrl Z)"><UndoOutline class="h-5 w-5" /></button
  >
  <button
    class="quiet-button"
    disabled={!store.canRedo}
    onclick={() => store.redo()}
    aria-label="Redo"
    title="Redo (Ctrl Shift Z)"><RedoOutline class="h-5 w-5" /></button
  >
  <Menu
    id="export"
    label="Export: take it away as a file"
    width="w-72"
    items={[
      { name: 'The whole shoot (.arc.json)', onpress: () => exportShoot(store.shoot) },
      ...(shotId && shot
        ? [
            { name: 'This camera path as CSV', onpress: () => void exportPath(store.shoot, shot, 'csv') },
            { name: 'This camera and site as glTF', onpress: () => void exportPath(store.shoot, shot, 'gltf') },
          ]
        : []),
    ]}><FileExportOutline class="h-5 w-5" /><span class="hidden md:inline">Export</span></Menu
  >
  <Menu
    id="view"
    label="View"
    title="Units, light, limits, earlier states"
    items={[
      {
        name: preferences.units === 'metric' ? 'Show feet and inches' : 'Show metres',
        onpress: () => set({ units: preferences.units === 'metric' ? 'imperial' : 'metric' }),
      },
      {
        name: preferences.light === 'paper' ? 'Dim, for a dark stage' : 'Paper, for daylight',
        onpress: () => set({ light: preferences.light === 'paper' ? 'dim' : 'paper' }),
      },
      {
        name: preferences.guides ? 'Hide level and thirds' : 'Show level and thirds',
        onpress: () => set({ guides: !preferences.guides }),
      },
      { name: 'Go back to…', onpress: () => (goingBack = true) },
      { name: 'Limits of the reading', href: limitsHref(shootId) },
    ]}><AdjustmentsHorizontalOutline class="h-5 w-5" /></Menu
  >
</header>
<EarlierStates {store} bind:open={goingBack} />

<style>
  .tab {
    flex-shrink: 0;
    min-width: 0;
    padding: 0 0.3rem;
  }
  .tab[aria-current] {
    box-shadow: inset 0 -2px 0 var(--subject);
    border-radius: 0;
  }
  .screens {
    min-width: 0;
    overflow-x: auto;
    scrollbar-width: none;
  }
  /* Where the row goes on beyond its edge, it fades out there. */
  @media (max-width: 767px) {
    .screens {
      mask-image: linear-gradient(
        to right,
        transparent,
        black var(--fade-left),
        black calc(100% - var(--fade-right)),
        transparent
      );
      animation:
        goes-on-left 1ms linear,
        goes-on-right 1ms linear;
      animation-timeline: scroll(self x);
    }
  }
  @keyframes goes-on-left {
    from {
      --fade-left: 0px;
    }
    20%,
    to {
      --fade-left: 1.4rem;
    }
  }
  @keyframes goes-on-right {
    from,
    80% {
      --fade-right: 1.4rem;
    }
    to {
      --fade-right: 0px;
    }
  }
  header :global(.shoot-name) {
    border: 0;
    padding: 0.1rem 0.3rem;
    background: transparent;
    border-radius: 6px;
    color: inherit;
    max-width: 16rem;
  }
  @media (max-width: 460px) {
    header {
      gap: 0;
      padding-inline: 0.35rem;
    }
    .tab {
      padding: 0 0.17rem;
      font-size: 0.93rem;
    }
    header :global(.quiet-button:not(.tab)) {
      min-width: 2.3rem;
      padding: 0 0.3rem;
    }
  }
  header :global(.shoot-name:hover) {
    background: color-mix(in srgb, var(--subject) 9%, transparent);
  }
</style>
