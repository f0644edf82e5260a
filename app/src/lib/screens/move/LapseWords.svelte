<script lang="ts">
  import { asFilmed, asTimeLapse } from '@gentle-arc/core/edit';
  import { sayLength, shotDurationS, trim } from '@gentle-arc/core/model';
  import { timeLapseOf } from '@gentle-arc/core/reading';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import GradeMark from '$lib/ui/GradeMark.svelte';
  import Hole from '$lib/ui/Hole.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';

  /** A time-lapse: a picture each interval for hours, and what that comes to. */
  const session = shotSession();
  const { shot } = $derived(session);
  const lapse = $derived(timeLapseOf(session.film));
  const hours = $derived(shotDurationS(shot) / 3600);

  const INTERVAL = { type: 'number', label: 'Interval', unit: 's', min: 1.1, max: 1000, step: 1 } as const;
  const HOURS = { type: 'number', label: 'Hours', unit: 'plain', min: 0.01, max: 24, step: 0.5 } as const;
  const USUAL = { intervalS: 5, hours: 1 };
  const set = (intervalS: number, forHours: number, join: string | null = null) =>
    session.changeShot((row) => asTimeLapse(row, intervalS, forHours), join);
</script>

{#if lapse}
  <p class="said">
    A time-lapse: a picture each <Hole
      fact={INTERVAL}
      value={Math.round(lapse.intervalS * 1000) / 1000}
      onchange={(intervalS: number) => set(intervalS, hours, 'lapse.interval')}
    /> for <Hole
      fact={HOURS}
      value={Math.round(hours * 1000) / 1000}
      onchange={(forHours: number) => set(lapse.intervalS, forHours, 'lapse.hours')}
    /> hours: <b>{lapse.frames}</b> pictures, <b>{trim(lapse.filmS, 1)} s</b> of film, {trim(lapse.faster, 0)} times faster
    than life. From one to the next the camera goes at most
    {lapse.stepM < 1 ? `${trim(lapse.stepM * 1000, 1)} mm` : sayLength(lapse.stepM, preferences.units)} and turns
    {trim(lapse.stepDeg, 2)}°; the card takes {trim(lapse.cardGB, 1)} GB, and {lapse.batteries}
    {lapse.batteries === 1 ? 'battery lasts' : 'batteries last'}.
    <button class="link" onclick={() => session.changeShot((row) => asFilmed(row))}>Film it instead</button>
  </p>
  <p class="graded-line">
    <GradeMark grade={lapse.restS > lapse.intervalS * 0.2 ? 'fits' : lapse.restS > 0.1 ? 'tight' : 'cannot'} /><span
      >The shutter is open {lapse.exposureS < 0.4 ? `1/${Math.round(1 / lapse.exposureS)}` : trim(lapse.exposureS, 2)} s;
      {trim(lapse.restS, 2)} s are left to store, to move and to settle before the next picture.</span
    >
  </p>
{:else}
  <p>
    <button
      class="link"
      title="A picture every few seconds for an hour or more; the move is stretched over it"
      onclick={() => set(USUAL.intervalS, USUAL.hours)}>Make it a time-lapse</button
    >
  </p>
{/if}
