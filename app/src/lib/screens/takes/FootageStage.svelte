<script lang="ts">
  import { type Shot, type Take, trim } from '@gentle-arc/core/model';
  import type { ClipCourse, ShotTally } from '@gentle-arc/core/take';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import type { LiveClip } from '$lib/workers/live-clip.svelte';
  import type { Footage } from './footage.svelte';
  import Legend from './Legend.svelte';
  import TwoCourses from './TwoCourses.svelte';
  import WhatDiffers from './WhatDiffers.svelte';
  import { takeName } from './words';

  /** How a clip moves, beside what its plan foretold. */
  interface Props {
    store: ShootStore;
    shot: Shot | null;
    row: ShotTally;
    take: Take | null;
    liveClip: LiveClip;
    footage: Footage;
  }
  let { store, shot, row, take, liveClip, footage }: Props = $props();

  const { shoot } = $derived(store);
  const clip = $derived(take?.clip ?? null);
  /** Takes of this shot that have a clip. */
  const clips = $derived(row.takes.flatMap(({ id, clip: one }) => (one ? [{ id, clip: one }] : [])));
  /** Our own film of this plan, where there is no other. */
  const own = $derived(!clip && footage.tried?.shotId === shot?.id ? (footage.tried?.found.clip ?? null) : null);
  const measured = $derived(clip ?? own);
  $effect(() => {
    if (!shot) return;
    if (measured) void liveClip.against.ask({ shoot, shotId: shot.id, clip: measured, clips: clip ? clips : [] });
    else void liveClip.foretold.ask({ shoot, shotId: shot.id });
  });
  const shown = $derived(liveClip.against.question?.clip === measured ? liveClip.against.answer : null);
  const foretold = $derived(liveClip.foretold.question?.shotId === shot?.id ? liveClip.foretold.answer : null);
  const summary = $derived(footage.measured?.takeId === take?.id ? footage.measured?.found.summary : null);
  /** Of several clips of one shot: which, and why. */
  const best = $derived(shown?.best && row.takes.some(({ id }) => id === shown.best?.id) ? shown.best : null);
  /** What of a picture is drawn where it is more than nothing, and from how much on. */
  const COURSES: { key: ClipCourse; name: string; unit: string; times: number; least: number }[] = [
    { key: 'speed', name: 'Speed', unit: '%/s', times: 100, least: 0 },
    { key: 'near', name: 'Near things', unit: '%/s', times: 100, least: 1 },
    { key: 'far', name: 'Far things', unit: '%/s', times: 100, least: 1 },
    { key: 'growthPerS', name: 'Growing', unit: '%/s', times: 100, least: 2 },
    { key: 'turnDegps', name: 'Turning', unit: '°/s', times: 1, least: 1 },
  ];
  const drawn = (of: (key: ClipCourse) => { plan: Float64Array; take: Float64Array | null }) =>
    COURSES.flatMap(({ key, name, unit, times, least }) => {
      const { plan, take } = of(key);
      const more = (row: Float64Array) => row.map((v) => v * times);
      const course = { name, unit, plan: more(plan), take: take && more(take) };
      return [...course.plan, ...(course.take ?? [])].some((v) => Math.abs(v) >= least) ? [course] : [];
    });
  /** Few strips are drawn higher: together they take what a screen has. */
  const highPx = (strips: number) => Math.min(170, Math.max(110, Math.round(520 / strips)));
  const LEGEND = 'Of the picture, in per cent of its width a second where nothing else is said:';
  const some = (frames: readonly number[]) =>
    frames
      .slice(0, 6)
      .map((i) => i + 1)
      .join(', ') + (frames.length > 6 ? ' …' : '');
</script>

{#snippet strips(courses: ReturnType<typeof drawn>, { rateHz, fromS }: { rateHz: number; fromS: number })}
  {#each courses as course (course.name)}
    <TwoCourses {course} {rateHz} {fromS} names={['foretold', 'seen']} highPx={highPx(courses.length)} />
  {/each}
{/snippet}

{#if !shot}
  <p class="said">The shot is not in the shoot any more: nothing can be held against its plan.</p>
{:else if !measured}
  <p class="said">
    {take ? 'No clip of this take was measured yet.' : 'Nothing was taken of this shot yet.'} Open the clip that the camera
    made: how the whole picture moves is measured frame by frame, and laid on what the plan foretells.
  </p>
  {#if liveClip.foretold.problem}<Trouble>{liveClip.foretold.problem}</Trouble>{/if}
  {#if foretold}
    <h2>What a clip of it would show</h2>
    {@render strips(
      drawn((key) => ({ plan: foretold.courses[key], take: null })),
      foretold,
    )}
    <Legend of={LEGEND} plan="foretold" />
  {/if}
{:else}
  {#if own}<h2>Our own film of this plan</h2>{/if}
  {#if liveClip.against.problem}<Trouble>{liveClip.against.problem}</Trouble>{/if}
  {#if !shown}
    <p role="status">Laying it on the plan…</p>
  {:else}
    <WhatDiffers said={shown.said} differences={shown.differences}>
      {@render strips(
        drawn((key) => shown.courses[key]),
        shown,
      )}
      <Legend of={LEGEND} plan="foretold" take="seen" />
    </WhatDiffers>
    {#if best}
      <h2>Of {clips.length} clips of this shot</h2>
      <p class="said">{takeName(row.takes, best.id)} is best. {best.why}</p>
    {/if}
    {#if summary}
      <h2>The clip by itself</h2>
      <p class="said">
        {#each summary.notes as note (note)}{note}
        {/each}
        {#if summary.crossingS}At its fastest a thing crosses the picture in {trim(summary.crossingS, 1)} s.{/if}
        {#if summary.beatHz}It goes to and fro {trim(summary.beatHz, 1)} times a second.{/if}
        Stabilising it takes {trim(summary.steadying.cropShare * 100, 1)}% of the width on every side: {summary
          .steadying.widthLeftPx} pixels of it are left.
        {#if Math.abs(summary.brightnessDriftStops) > 0.2}It gets {summary.brightnessDriftStops > 0
            ? 'brighter'
            : 'darker'} by {trim(Math.abs(summary.brightnessDriftStops), 1)} stops.{/if}
        {#if summary.darkFrames.length > 0}Dark frames: {some(summary.darkFrames)}.{/if}
        {#if summary.flashFrames.length > 0}Flashes: {some(summary.flashFrames)}.{/if}
        {#if summary.repeatedFrames.length > 0}Repeated frames: {some(summary.repeatedFrames)}.{/if}
        {#if summary.softFrames.length > 0}Softer than the rest: {some(summary.softFrames)}.{/if}
      </p>
    {/if}
  {/if}
{/if}

<style>
  h2 {
    padding-top: 0.8rem;
    font-weight: 650;
  }
</style>
