<script lang="ts">
  import Trouble from '$lib/ui/Trouble.svelte';
  import FilePicker from '$lib/ui/FilePicker.svelte';
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { MOST_MB, SHOOT_FILE_ENDING } from '@gentle-arc/core/formats';
  import { differencesOf, newShoot, type Shoot, STARTER_KIT } from '@gentle-arc/core/model';
  import { lengthOnScreenS } from '@gentle-arc/core/motion';
  import { opening } from '$lib/session/files/opening.svelte';
  import { openHref, shotsHref } from '$lib/session/links';
  import Mark from '$lib/ui/Mark.svelte';
  import { exportShoot } from '$lib/session/exports';
  import type { Listed } from '$lib/session/store/database';
  import { DEMO_ID, fetchDemo } from '$lib/session/store/demo';
  import { allInMemory, forgetMemory, keepInMemory } from '$lib/session/store/memory';
  import { newId } from '$lib/session/store/new-id';
  import { hearTabs } from '$lib/session/store/tabs';
  import { storageTrouble } from '$lib/session/store/trouble';

  /** The database is loaded after the page is there: the demo does not need it. */
  const database = () => import('$lib/session/store/database');

  let shipped: Shoot | null = $state.raw(null);
  let rows: Listed[] = $state.raw([]);
  let unkept: Shoot[] = $state.raw(allInMemory());
  let problem: string | null = $state(null);
  let demoProblem: string | null = $state(null);

  const kept = $derived(rows.find(({ id }) => id === DEMO_ID) ?? null);
  const demo = $derived(kept?.shoot ?? shipped);
  const changedDemo = $derived(
    kept !== null &&
      shipped !== null &&
      (kept.shoot === null || differencesOf(kept.shoot, shipped, { one: '', other: '' }).length > 0),
  );
  const own = $derived(rows.filter(({ id }) => id !== DEMO_ID));

  async function list() {
    try {
      rows = await (await database()).listShoots();
      problem = null;
    } catch (error) {
      problem = `Your own shoots cannot be shown. ${storageTrouble(error)} What you start now lasts as long as this tab: take it away as a file.`;
    }
    unkept = allInMemory();
  }

  onMount(() => {
    // The demo ships with the app: it shows whatever the storage does.
    fetchDemo().then(
      (shoot) => (shipped = shoot),
      (error: Error) => (demoProblem = error.message),
    );
    void list();
    return hearTabs(() => void list());
  });

  async function startOwn() {
    const shoot = newShoot(newId('shoot'), 'My shoot', newId('shot'), STARTER_KIT);
    try {
      await (await database()).saveShoot({ shoot, rev: null, past: [], future: [] });
    } catch (error) {
      keepInMemory(shoot);
      opening.problem = `This shoot is not kept. ${storageTrouble(error)} Take it away as a file before you leave.`;
    }
    await goto(openHref(shoot));
  }

  /** Deletes what lies under an id, and says so with a way back. */
  async function remove(id: string, text: string) {
    try {
      const removed = await (await database()).removeShoot(id);
      opening.said = {
        text,
        undo: async () => {
          opening.said = null;
          await (await database()).bringBack(removed);
        },
      };
    } catch (error) {
      problem = storageTrouble(error);
    }
  }

  const seconds = (shoot: Shoot) => Math.round(shoot.shots.reduce((sum, shot) => sum + lengthOnScreenS(shot), 0));
</script>

{#snippet notDrawn()}<p class="p-6">Its plan cannot be drawn.</p>{/snippet}

{#snippet counts(shoot: Shoot)}
  <span class="text-soft">
    · {shoot.shots.length} {shoot.shots.length === 1 ? 'shot' : 'shots'}, {seconds(shoot)} s</span
  >
{/snippet}

<main class="mx-auto max-w-6xl px-5 py-6 md:px-10 md:py-10">
  <header class="flex items-center gap-3">
    <Mark />
    <p class="font-display text-xl">Gentle Arc</p>
  </header>

  <section class="mt-6 grid items-end gap-6 md:mt-8 md:grid-cols-[1.05fr_1fr] md:gap-10" aria-label="What it is for">
    <h1 class="font-display text-3xl leading-tight md:text-[2.7rem]">Will this move read smoothly on screen?</h1>
    <p class="max-w-prose leading-relaxed text-soft">
      Plan a camera move on a ground plan, watch it through the lens, and read in plain sentences what the audience will
      notice, before anyone carries a rig anywhere.
    </p>
  </section>

  {#if problem}
    <Trouble class="mt-6">{problem}</Trouble>
  {/if}

  <section class="mt-8 grid gap-8 md:grid-cols-[1.55fr_1fr] md:gap-12" aria-label="Shoots">
    {#if demo}
      {@const shoot = demo}
      <article>
        <a
          href={openHref(shoot)}
          class="block overflow-hidden rounded-2xl"
          aria-label="Open the demo shoot {shoot.name}"
        >
          <div class="h-56 bg-sun md:h-72">
            <svelte:boundary>
              {#await import('./PlanThumb.svelte')}
                <p class="p-6">Drawing its plan…</p>
              {:then { default: PlanThumb }}
                <PlanThumb {shoot} />
              {:catch}
                {@render notDrawn()}
              {/await}
              {#snippet failed()}{@render notDrawn()}{/snippet}
            </svelte:boundary>
          </div>
        </a>
        <div class="mt-3 flex flex-wrap items-baseline justify-between gap-x-6 gap-y-2">
          <div>
            <h2 class="font-display text-2xl">{shoot.name}</h2>
            <p class="text-soft">
              A made-up shoot to try things on: {shoot.shots.length} shots, {seconds(shoot)} s. Change anything.
            </p>
            {#if kept?.problem}<p class="text-near">
                Your changed copy of it cannot be read: <a class="link" href={shotsHref(DEMO_ID)}>see what can be</a>.
              </p>{/if}
          </div>
          <div class="flex items-center gap-2">
            {#if changedDemo}<button class="quiet-button" onclick={() => remove(DEMO_ID, 'The demo is as it shipped.')}
                >Put it back as it was</button
              >{/if}
            <a href={openHref(shoot)} class="main-button">Open “{shoot.name}”</a>
          </div>
        </div>
      </article>
    {:else if demoProblem}
      <Trouble>{demoProblem}</Trouble>
    {:else}
      <p class="h-56 rounded-2xl bg-sun p-6 md:h-72">Fetching the demo shoot…</p>
    {/if}

    <div>
      <h2 class="font-display text-2xl">Your own</h2>
      {#if own.length === 0 && unkept.length === 0}
        <p class="mt-2 leading-relaxed text-soft">
          Start on empty ground: put a figure and something near the lens on the plan, choose a move, and read what it
          does. It stays in this browser and is saved as you go.
        </p>
      {:else}
        <ul class="mt-2 divide-y divide-hairline">
          {#each unkept as shoot (shoot.id)}
            <li class="py-2">
              <a class="py-1 hover:underline" href={openHref(shoot)}
                ><span class="font-semibold">{shoot.name}</span>{@render counts(shoot)}</a
              >
              <p class="text-sm text-near">
                Not kept by this browser: it goes with this tab. <button
                  class="link font-semibold"
                  onclick={() => exportShoot(shoot)}>Take it away as a file</button
                >
                <button
                  class="link"
                  aria-label="Let go of {shoot.name}"
                  onclick={() => {
                    forgetMemory(shoot.id);
                    unkept = allInMemory();
                  }}>Let it go</button
                >
              </p>
            </li>
          {/each}
          {#each own as row (row.id)}
            <li class="flex items-center justify-between gap-2 py-2">
              {#if row.shoot}
                <a class="min-w-0 flex-1 py-1 hover:underline" href={openHref(row.shoot)}
                  ><span class="font-semibold">{row.name}</span>{@render counts(row.shoot)}</a
                >
              {:else}
                <a class="min-w-0 flex-1 py-1 hover:underline" href={shotsHref(row.id)}
                  ><span class="font-semibold">{row.name}</span>
                  <span class="block text-sm text-near"
                    >cannot be read as it is: export it, or open what can be read</span
                  ></a
                >
              {/if}
              <button
                class="quiet-button text-sm"
                onclick={() => remove(row.id, `“${row.name}” is deleted.`)}
                aria-label="Delete {row.name}">Delete</button
              >
            </li>
          {/each}
        </ul>
      {/if}
      <div class="mt-4 flex flex-wrap gap-3">
        <button onclick={startOwn} class="quiet-button rounded-full border border-subject !px-5 font-semibold"
          >Start an own shoot</button
        >
        <FilePicker
          class="quiet-button"
          label="Shoot file"
          accept="{SHOOT_FILE_ENDING},.json,application/json"
          title="An .arc.json file of at most {MOST_MB.shoot} MB; it can be dropped here as well"
          onfile={(file) => opening.take(file)}>Open a shoot file…</FilePicker
        >
      </div>
    </div>
  </section>
</main>
