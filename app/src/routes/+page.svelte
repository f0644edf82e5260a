<script lang="ts">
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { resolve } from '$app/paths';
  import { Button, Toast } from 'flowbite-svelte';
  import { Refusal } from '@gentle-arc/core/formats/refusal';
  import { readShootFile, SHOOT_FILE_ENDING } from '@gentle-arc/core/formats/shoot-file';
  import { newShoot } from '@gentle-arc/core/model/defaults';
  import type { Shoot } from '@gentle-arc/core/model/shoot';
  import { lengthOnScreenS } from '@gentle-arc/core/motion/playback';
  import PlanThumb from '$lib/home/PlanThumb.svelte';
  import Mark from '$lib/parts/Mark.svelte';
  import { allShoots, deleteShoot, saveShoot } from '$lib/store/database';
  import { DEMO_ID, fetchDemo } from '$lib/store/demo';
  import { newId } from '$lib/store/new-id';

  let demo: Shoot | null = $state.raw(null);
  let own: Shoot[] = $state.raw([]);
  let problem: string | null = $state(null);
  let said: { text: string; undo?: () => Promise<void> } | null = $state.raw(null);
  let changedDemo = $state(false);
  let files: HTMLInputElement;

  async function list() {
    const shoots = await allShoots();
    own = shoots.filter((shoot) => shoot.id !== DEMO_ID);
    const kept = shoots.find((shoot) => shoot.id === DEMO_ID);
    const shipped = await fetchDemo();
    if (!kept) await saveShoot(shipped);
    changedDemo = kept !== undefined && JSON.stringify(kept) !== JSON.stringify(shipped);
    demo = kept ?? shipped;
  }

  onMount(() => {
    list().catch((error: Error) => (problem = error.message));
  });

  async function startOwn() {
    const shoot = newShoot(newId('shoot'), 'My shoot', newId('shot'));
    await saveShoot(shoot);
    await goto(resolve('/shoot/[shootId]/shot/[shotId]', { shootId: shoot.id, shotId: shoot.shots[0].id }));
  }

  async function open(event: Event & { currentTarget: HTMLInputElement }) {
    const file = event.currentTarget.files?.[0];
    if (!file) return;
    problem = null;
    try {
      const shoot = readShootFile(await file.text());
      const known = [...own, ...(demo ? [demo] : [])].find((row) => row.id === shoot.id);
      const same = known !== undefined && JSON.stringify(known) === JSON.stringify(shoot);
      const taken = known && !same ? { ...shoot, id: newId('shoot'), name: `${shoot.name} (opened)`.slice(0, 120) } : shoot;
      await saveShoot(taken);
      await list();
      said = { text: same ? `“${shoot.name}” is here already and nothing differs.` : `“${taken.name}” is open below.` };
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      problem = `“${file.name}” was not opened, and nothing here has changed. ${error.message}`;
    } finally {
      event.currentTarget.value = '';
    }
  }

  async function remove(shoot: Shoot) {
    await deleteShoot(shoot.id);
    await list();
    said = {
      text: `“${shoot.name}” is deleted.`,
      undo: async () => {
        await saveShoot(shoot);
        said = null;
        await list();
      },
    };
  }

  async function restoreDemo() {
    if (!demo) return;
    const changed = demo;
    await saveShoot(await fetchDemo());
    await list();
    said = {
      text: 'The demo is as it shipped.',
      undo: async () => {
        await saveShoot(changed);
        said = null;
        await list();
      },
    };
  }

  const seconds = (shoot: Shoot) => Math.round(shoot.shots.reduce((sum, shot) => sum + lengthOnScreenS(shot), 0));
  const first = (shoot: Shoot) =>
    shoot.shots[0] ? resolve('/shoot/[shootId]/shot/[shotId]', { shootId: shoot.id, shotId: shoot.shots[0].id }) : resolve('/shoot/[shootId]', { shootId: shoot.id });
</script>

<main class="mx-auto max-w-6xl px-5 py-6 md:px-10 md:py-10">
  <header class="flex items-center gap-3">
    <Mark />
    <p class="font-display text-xl">Gentle Arc</p>
  </header>

  <section class="mt-6 grid items-end gap-6 md:mt-8 md:grid-cols-[1.05fr_1fr] md:gap-10">
    <h1 class="font-display text-3xl leading-tight md:text-[2.7rem]">Will this move read smoothly on screen?</h1>
    <p class="max-w-prose leading-relaxed text-soft">
      Plan a camera move on a ground plan, watch it through the lens, and read in plain sentences what the audience will notice, before anyone carries a rig anywhere.
    </p>
  </section>

  {#if problem}
    <p role="alert" class="mt-6 border-l-4 border-near bg-raised px-4 py-3">{problem}</p>
  {/if}

  <section class="mt-8 grid gap-8 md:grid-cols-[1.55fr_1fr] md:gap-12" aria-label="Shoots">
    {#if demo}
      <article>
        <a href={first(demo)} class="block overflow-hidden rounded-2xl" aria-label="Open the demo shoot {demo.name}">
          <div class="h-56 md:h-72"><PlanThumb shoot={demo} /></div>
        </a>
        <div class="mt-3 flex flex-wrap items-baseline justify-between gap-x-6 gap-y-2">
          <div>
            <h2 class="font-display text-2xl">{demo.name}</h2>
            <p class="text-soft">A made-up shoot to try things on: {demo.shots.length} shots, {seconds(demo)} s. Change anything.</p>
          </div>
          <div class="flex items-center gap-2">
            {#if changedDemo}<button class="quiet-button" onclick={restoreDemo}>Put it back as it was</button>{/if}
            <Button href={first(demo)} class="rounded-full px-5">Open “{demo.name}”</Button>
          </div>
        </div>
      </article>
    {:else if !problem}
      <p class="text-soft">Fetching the demo shoot…</p>
    {/if}

    <div>
      <h2 class="font-display text-2xl">Your own</h2>
      {#if own.length === 0}
        <p class="mt-2 leading-relaxed text-soft">
          Start on empty ground: put a figure and something near the lens on the plan, choose a move, and read what it does. It stays in this browser and is saved as you go.
        </p>
      {:else}
        <ul class="mt-2 divide-y divide-hairline">
          {#each own as shoot (shoot.id)}
            <li class="flex items-center justify-between gap-2 py-2">
              <a class="min-w-0 flex-1 py-1 hover:underline" href={first(shoot)}>
                <span class="font-semibold">{shoot.name}</span>
                <span class="text-soft"> · {shoot.shots.length} {shoot.shots.length === 1 ? 'shot' : 'shots'}, {seconds(shoot)} s</span>
              </a>
              <button class="quiet-button text-sm" onclick={() => remove(shoot)} aria-label="Delete {shoot.name}">Delete</button>
            </li>
          {/each}
        </ul>
      {/if}
      <div class="mt-4 flex flex-wrap gap-3">
        <Button onclick={startOwn} color="primary" outline class="rounded-full px-5">Start an own shoot</Button>
        <button class="quiet-button" onclick={() => files.click()}>Open a shoot file…</button>
        <input bind:this={files} class="sr-only" type="file" accept="{SHOOT_FILE_ENDING},.json,application/json" aria-label="Shoot file" tabindex="-1" onchange={open} />
      </div>
    </div>
  </section>

  {#if said}
    <div class="fixed right-5 bottom-5 z-40">
      <Toast dismissable={false} class="rounded-xl bg-raised text-ink shadow-lg">
        <span role="status">{said.text}</span>
        {#if said.undo}<button class="quiet-button ml-3 font-semibold underline" onclick={said.undo}>Undo</button>{/if}
        <button class="quiet-button ml-1" onclick={() => (said = null)}>Close</button>
      </Toast>
    </div>
  {/if}
</main>
