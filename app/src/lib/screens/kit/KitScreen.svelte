<script lang="ts">
  import { kitHref } from '$lib/session/links';
  import { onDestroy } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import {
    type Build,
    DEFAULT_BUILDS,
    DEFAULT_PARTS,
    type Kit,
    type Support,
    type SupportKind,
  } from '@gentle-arc/core/model';
  import {
    balanceOf,
    buildVerdict,
    checklistOf,
    K_FROM_LEVEL,
    partLumps,
    shotsOf,
    sledBalance,
    supportOf,
    swing,
    viewsOf,
  } from '@gentle-arc/core/supports';
  import {
    addBuild,
    removeBuild,
    setAsTold,
    startBuild,
    startLight,
    withBuild,
    withMadeUpKit,
  } from '@gentle-arc/core/edit';
  import { newId } from '$lib/session/store/new-id';
  import { preferences } from '$lib/ui/preferences.svelte';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import BuildHead from './BuildHead.svelte';
  import BuildList from './BuildList.svelte';
  import Checklist from './Checklist.svelte';
  import FactList from '$lib/views/rig/FactList.svelte';
  import KitThings from './KitThings.svelte';
  import PartsBench from './PartsBench.svelte';
  import PartsOn from './PartsOn.svelte';
  import RigPicture from '../../views/rig/RigPicture.svelte';
  import ShotsForBuild from './ShotsForBuild.svelte';
  import SledCoach from './SledCoach.svelte';
  import SupportWords from './SupportWords.svelte';
  import WindWords from './WindWords.svelte';

  /** The kit bench: a rig put together, balanced, and known to stand. */
  let { store }: { store: ShootStore } = $props();

  const shoot = $derived(store.shoot);
  const kit = $derived(shoot.kit);
  /** Where a new build was started from: undone, it leads back there. */
  let cameFrom: string | null = $state(null);
  const buildOf = (wanted: string | null) => kit.builds.find(({ id }) => id === wanted);
  const build = $derived(buildOf(page.url.searchParams.get('build')) ?? buildOf(cameFrom) ?? kit.builds[0]);
  const href = (id: string) => kitHref(shoot.id, id);
  const shots = $derived(build ? shotsOf(shoot, build) : []);
  const balance = $derived(
    build
      ? balanceOf(
          build,
          kit,
          preferences.units,
          shots.map(({ shot }) => shot),
        )
      : null,
  );
  const views = $derived(build ? viewsOf(build, kit) : []);
  const checks = $derived(
    build
      ? checklistOf(
          build,
          kit,
          shots.map(({ shot }) => shot),
          shoot.site.pieces,
        )
      : [],
  );

  const putKit = (next: Kit, join: string | null) => store.change({ ...shoot, kit: next }, join);
  const put = (next: Build, join: string | null) => putKit(withBuild(kit, next), join);
  const putSupport = (support: Support, join: string | null) => build && put({ ...build, support }, join);

  const light = $derived(build ? startLight(build, kit) : null);
  const told = $derived(build ? setAsTold(build, kit, preferences.units) : null);

  let swayDeg = $state(0);
  let frame = 0;
  const hangs = $derived(
    build?.support.kind === 'sled' ? sledBalance(build.support, partLumps(build, kit.parts, kit.lenses)) : null,
  );
  function watchDrop() {
    if (!hangs?.dropS) return;
    const rows = swing(K_FROM_LEVEL / hangs.dropS, 90, Math.min(20, hangs.dropS * 6), 0.08);
    const fromMs = performance.now();
    cancelAnimationFrame(frame);
    const tick = (nowMs: number) => {
      const i = Math.floor(((nowMs - fromMs) / 1000) * 120);
      swayDeg = rows[Math.min(rows.length - 1, Math.max(0, i))];
      if (i < rows.length) frame = requestAnimationFrame(tick);
      else swayDeg = 0;
    };
    frame = requestAnimationFrame(tick);
  }
  onDestroy(() => cancelAnimationFrame(frame));

  /** A build that was added is shown; undone, it leads back to where it was started from. */
  function added(next: Kit | null, id: string) {
    cameFrom = build?.id ?? null;
    if (next && putKit(next, null)) void goto(href(id), { noScroll: true });
  }
  function add(from: Build) {
    const id = newId('build');
    added(addBuild(kit, from, id, `${from.name}, again`), id);
  }
  function start(kind: SupportKind) {
    const id = newId('build');
    added(startBuild(kit, kind, id, `New ${supportOf(kind).name}`), id);
  }
  const remove = (id: string) => putKit(removeBuild(kit, id), null);
  const windy = $derived(build !== undefined && 'windMps' in build.support);
</script>

{#if build && balance}
  {@const verdict = buildVerdict(balance)}
  <main class="sheet">
    <BuildList {shoot} here={build.id} {href} />
    <div class="rig">
      <BuildHead
        {build}
        {kit}
        onchange={put}
        onstart={start}
        oncopy={() => add(build)}
        ondelete={() => remove(build.id)}
      />
      <h1 class="verdict" aria-live="polite">{verdict}</h1>
      <p class="jumps">
        <a class="link" href="#steps">Steps</a>
        <a class="link" href="#checklist">Checklist</a>
        {#if build.support.kind === 'sled'}<a class="link" href="#coach">Coach</a>{/if}
      </p>
      <div class="views">
        {#each views as view, i (i)}<RigPicture
            {build}
            {view}
            swayDeg={view.name === 'From the side' ? swayDeg : 0}
            onchange={put}
          />{/each}
      </div>
      <div class="flex flex-wrap gap-x-4 py-1">
        {#if told}<button class="link font-semibold" onclick={() => put(told, null)}>Set it as the steps say</button
          >{/if}
        {#if light}<button
            class="link"
            title="Post shortest, stage in its middle, two of the largest weights at each end of the bottom"
            onclick={() => put(light, null)}>Start light</button
          >{/if}
        {#if hangs?.dropS}<button class="link" onclick={watchDrop}>Watch the drop</button>{/if}
      </div>
      <SupportWords support={build.support} onchange={putSupport} />
      {#if windy}<WindWords
          place={shoot.name}
          onwind={(windMps) =>
            void (build && putSupport({ ...build.support, windMps: Math.min(40, windMps) } as Support, null))}
        />{/if}
    </div>
    <aside>
      <section aria-label="Balance"><FactList facts={balance.facts} /></section>
      <section aria-label="Steps" id="steps">
        <h2 class="font-display text-xl">In this order</h2>
        <ol class="list-decimal pl-6">
          {#each balance.steps as step, i (i)}<li class="py-0.5">{step}</li>{/each}
        </ol>
      </section>
      {#each balance.cautions as caution, i (i)}<p class="caution">{caution}</p>{/each}
    </aside>
    <div class="lower">
      {#if build.support.kind === 'sled'}{#key build.id}<SledCoach
            {build}
            sled={build.support}
            {kit}
            onchange={put}
          />{/key}{/if}
      <Checklist {build} {checks} onchange={put} />
      <PartsOn {build} {kit} onchange={put} />
      <ShotsForBuild {shoot} {build} {shots} />
    </div>
    <div class="bench">
      <PartsBench {kit} shootName={shoot.name} onchange={putKit} /><KitThings {shoot} onchange={putKit} />
    </div>
  </main>
{:else}
  <main class="mx-auto max-w-4xl p-8">
    <h1 class="font-display text-3xl">Kit</h1>
    <p class="my-4 max-w-xl">
      Nothing is put together yet. A build is parts on a rig, staged exactly as it will shoot: it can then be balanced
      here before anyone carries it anywhere.
    </p>
    <button class="main-button" onclick={() => putKit(withMadeUpKit(kit, DEFAULT_PARTS, DEFAULT_BUILDS), null)}
      >Start with the made-up kit</button
    >
    <div class="mt-8"><KitThings {shoot} onchange={putKit} /></div>
  </main>
{/if}

<style>
  .sheet {
    display: grid;
    grid-template-columns: 13rem minmax(0, 1fr) 21rem;
    grid-template-areas: 'list rig aside' 'list lower lower' 'list bench bench';
    gap: 0 1.5rem;
    padding: 0 1rem 2rem;
    align-items: start;
  }
  .rig {
    grid-area: rig;
    min-width: 0;
  }
  aside {
    grid-area: aside;
    display: grid;
    gap: 0.8rem;
  }
  .lower {
    grid-area: lower;
    columns: 19rem 3;
    column-gap: 2rem;
    margin-top: 1rem;
  }
  .lower > :global(section) {
    break-inside: avoid-column;
    padding-bottom: 1.4rem;
  }
  .bench {
    grid-area: bench;
  }
  .verdict {
    padding-bottom: 0.4rem;
    font-family: var(--font-display);
    font-size: 1.3rem;
    line-height: 1.3;
  }
  .views {
    display: grid;
    grid-template-columns: 3fr 2fr;
    gap: 0.6rem;
    height: min(56dvh, 28rem);
  }
  .jumps {
    display: none;
    gap: 1rem;
    padding-bottom: 0.3rem;
  }
  .caution {
    border-left: 4px solid var(--near);
    background: var(--raised);
    padding: 0.4rem 0.7rem;
    font-size: 0.875rem;
  }
  @media (max-width: 899px) {
    .sheet {
      grid-template-columns: minmax(0, 1fr);
      grid-template-areas: 'list' 'rig' 'aside' 'lower' 'bench';
    }
    .views {
      grid-template-columns: minmax(0, 1fr);
      grid-template-rows: 15rem 12rem;
      height: auto;
    }
    .jumps {
      display: flex;
    }
    aside {
      margin-top: 0.8rem;
    }
  }
</style>
