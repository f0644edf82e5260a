<script lang="ts">
  import { changeTake } from '@gentle-arc/core/edit';
  import { type Shot, type Take, TAKE_REASONS, type TakeReason, trim } from '@gentle-arc/core/model';
  import { plannedFilm } from '@gentle-arc/core/motion';
  import { sceneOf } from '@gentle-arc/core/scene';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import PlanAndTry from '$lib/views/picture/PlanAndTry.svelte';
  import type { LiveTake } from '$lib/workers/live-take.svelte';
  import Legend from './Legend.svelte';
  import TwoCourses from './TwoCourses.svelte';
  import WhatDiffers from './WhatDiffers.svelte';

  /** What was recorded of a take beside its plan: through the lens, as strips, and in sentences. */
  interface Props {
    store: ShootStore;
    shot: Shot | null;
    take: Take | null;
    live: LiveTake;
    name: string;
  }
  let { store, shot, take, live, name }: Props = $props();

  const { shoot } = $derived(store);
  const recorded = $derived(take?.recorded ?? null);
  const film = $derived(shot ? plannedFilm(sceneOf(shoot, shot)) : null);
  $effect(() => {
    if (recorded && shot) void live.shown.ask({ shoot, shotId: shot.id, units: preferences.units, recorded });
  });
  const shown = $derived(live.shown.question?.recorded === recorded ? live.shown.answer : null);
  const reasons = $derived([...new Set((shown?.differences ?? []).flatMap(({ reason }) => (reason ? [reason] : [])))]);
  const unsaid = $derived(reasons.filter((reason) => take && !take.reasons.includes(reason)));
  const smooth = (value: number | null) => (value === null ? '–' : trim(value, 2));

  function note(reason: TakeReason) {
    if (take) store.change(changeTake(shoot, take.id, { reasons: [...take.reasons, reason] }));
  }
</script>

{#if !shot || !film}
  <p class="said">The shot is not in the shoot any more: its takes are kept, but nothing can be held against them.</p>
{:else if !recorded}
  <div class="empty">
    <p class="said">
      {take ? 'Nothing was recorded of this take yet.' : 'Nothing was taken of this shot yet.'} Fix a phone to the rig and
      record with it, open a recording from a file, or let a device that pretends carry out the plan.
    </p>
    <PlanAndTry title={name} {film} flown={null} pace={1} plays={false} />
  </div>
{:else}
  {#if live.shown.problem}<Trouble>{live.shown.problem}</Trouble>{/if}
  {#if !shown}
    <p role="status">Laying it on the plan…</p>
  {:else}
    <WhatDiffers said={shown.said} differences={shown.differences}>
      <PlanAndTry title={name} {film} flown={shown.flown} pace={1} what="Take" plays={false} />
      <div class="courses">
        {#each shown.courses as course (course.name)}
          <TwoCourses {course} rateHz={shown.rateHz} fromS={shown.fromS} />
        {/each}
      </div>
      {#if shown.courses.length > 0}<Legend of="At the plan’s own time:" plan="plan" take="take" />{/if}
    </WhatDiffers>
    {#if unsaid.length > 0}
      <p class="said">
        Into the log:
        {#each unsaid as reason (reason)}<button class="quiet-button framed" onclick={() => note(reason)}
            >{TAKE_REASONS[reason]}</button
          >{/each}
      </p>
    {/if}
    <h2>What the audience would get</h2>
    <ul>
      {#each shown.reading as row (row.id + row.sentence)}<li>{row.sentence}</li>{/each}
    </ul>
    <details>
      <summary>How smooth, and what is not known</summary>
      <p>
        {#if shown.smoothnessOf}Of its {shown.smoothnessOf}: spectral arc length {smooth(
            shown.smoothness.take.spectralArcLength,
          )}
          (plan {smooth(shown.smoothness.plan.spectralArcLength)}; nearer to 0 is smoother), log dimensionless jerk {smooth(
            shown.smoothness.take.logDimensionlessJerk,
          )} (plan {smooth(shown.smoothness.plan.logDimensionlessJerk)}).{/if}
        {#if shown.tremor}Trembling {trim(shown.tremor.deg, 2)}°, mostly {trim(shown.tremor.hz, 1)} times a second.{/if}
        It began {trim(shown.delayS, 1)} s into what is kept, at {trim(100 / shown.stretch, 0)}% of the planned pace.
      </p>
      {#each shown.untold as row (row)}<p>{row}</p>{/each}
    </details>
  {/if}
{/if}

<style>
  h2 {
    padding-top: 0.8rem;
    font-weight: 650;
  }
  ul li {
    padding: 0.15rem 0;
    line-height: 1.45;
  }
  .courses {
    display: grid;
    gap: 0.2rem;
    padding-top: 0.6rem;
  }
  details {
    padding: 0.8rem 0;
    color: var(--soft);
  }
  summary {
    min-height: 1.6rem;
    cursor: pointer;
  }
</style>
