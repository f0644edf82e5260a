<script lang="ts">
  import { shotSession } from '$lib/session/shot-session.svelte';
  import { FIELDS, type RampPoint, sayLength, type Shot, shotDurationS, trim } from '@gentle-arc/core/model';
  import { mostRateHz } from '@gentle-arc/core/edit';
  import Hole from '$lib/ui/Hole.svelte';
  import { scaleLinear } from 'd3-scale';
  import { line } from 'd3-shape';
  import { playingOf } from '@gentle-arc/core/motion';
  import { timePlan } from '@gentle-arc/core/reading';
  import GradeMark from '$lib/ui/GradeMark.svelte';
  import RampChart from './RampChart.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';

  /**
   * How fast: frames recorded and shown, slow motion and speed ramps; seconds of action against seconds on screen, card
   * and buffer.
   */
  /** `jump`: how far the fastest thing jumps from one shown picture to the next, frame widths; null while it is read. */
  let { jump }: { jump: number | null } = $props();
  const session = shotSession();
  const { shot, scene } = $derived(session);
  const { changeShot: onchange, changeBench: onbench } = session;

  let width = $state(320);
  const HEIGHT = 150;
  const [LEFT, RIGHT, TOP, BOTTOM] = [44, 12, 10, 24];

  const plan = $derived(timePlan(session.film));
  const length = (m: number) => sayLength(m, preferences.units);
  /** The slow-shutter look: common practice, no published source. */
  const SMEAR_HZ = 6;
  const { ramp } = $derived(shot.playback);
  const times = (share: number) =>
    Math.abs(share - 1) < 0.005
      ? 'as in life'
      : share < 1
        ? `${trim(1 / share, 1)} times slower than life`
        : `${trim(share, 1)} times faster than life`;
  const pace = $derived(
    plan.fastest - plan.slowest < 0.005 ? times(plan.slowest) : `from ${times(plan.slowest)} to ${times(plan.fastest)}`,
  );

  const setPlayback = (edit: Partial<Shot['playback']>, join: string | null = null) =>
    onchange((row) => ({ ...row, playback: { ...row.playback, ...edit } }), join);
  const setPoint = (i: number, edit: Partial<RampPoint>, join: string) =>
    setPlayback({ ramp: ramp.map((point, k) => (k === i ? { ...point, ...edit } : point)) }, `${join}.${i}`);
  const tenth = (s: number) => Math.round(s * 10) / 10;
  function addPoint() {
    const durationS = shotDurationS(shot);
    if (ramp.length === 0) {
      // Life to as slow as the recorded frames allow, in the middle third.
      const slow = Math.min(1, shot.frameRateHz / shot.captureRateHz);
      setPlayback({
        ramp: [
          { atS: tenth(durationS * 0.4), speed: 1 },
          { atS: tenth(durationS * 0.6), speed: slow },
        ],
      });
      return;
    }
    const last = ramp[ramp.length - 1];
    const atS = tenth((last.atS + Math.max(durationS, last.atS + 1)) / 2);
    setPlayback({ ramp: [...ramp, { atS: Math.max(atS, last.atS + 0.1), speed: last.speed }] });
  }

  /** Seconds wanted on screen, and what of the action fills them. */
  const wantedS = $derived(shot.bench.wantedS);
  const playing = $derived(playingOf(shot, shotDurationS(shot)));
  const askedS = $derived(Math.min(wantedS ?? 5, plan.screenS));
  const actionForS = $derived(Math.abs(playing.actionAt(askedS) - playing.actionAt(0)));

  const x = $derived(scaleLinear([0, plan.actionS], [LEFT, Math.max(LEFT + 50, width - RIGHT)]));
  const y = $derived(scaleLinear([0, plan.screenS], [HEIGHT - BOTTOM, TOP]));
  const path = $derived(
    line<{ actionS: number; screenS: number }>()
      .x(({ actionS }) => x(actionS))
      .y(({ screenS }) => y(screenS))(plan.curve) ?? '',
  );
</script>

<section aria-label="Time">
  <h2 class="font-display text-xl">How fast</h2>
  <p class="said">
    It records <Hole
      fact={FIELDS.way.captureRateHz}
      value={shot.captureRateHz}
      max={mostRateHz(shot)}
      label="Frames recorded"
      onchange={(captureRateHz: number) => onchange((row) => ({ ...row, captureRateHz }), 'capture')}
    /> frames a second and the cut shows <b>{shot.frameRateHz}</b>: it plays <b>{pace}</b>. {trim(plan.actionS, 1)} s of action
    become <b>{trim(plan.screenS, 1)} s</b> on screen.
    <button
      class="link"
      aria-pressed={shot.playback.reversed}
      onclick={() => setPlayback({ reversed: !shot.playback.reversed })}
      >{shot.playback.reversed ? 'Play it forwards' : 'Play it in reverse'}</button
    >
  </p>
  <div bind:clientWidth={width}>
    <svg
      {width}
      height={HEIGHT}
      role="img"
      aria-label="Time on screen over time of the action: {trim(plan.actionS, 1)} become {trim(plan.screenS, 1)}"
    >
      {#each y.ticks(4) as tick (tick)}
        <line class="grid" x1={LEFT} x2={width - RIGHT} y1={y(tick)} y2={y(tick)} />
        <text x={LEFT - 6} y={y(tick) + 4} text-anchor="end">{tick} s</text>
      {/each}
      {#each x.ticks(5) as tick (tick)}<text x={x(tick)} y={HEIGHT - 6} text-anchor="middle">{tick} s</text>{/each}
      <path d={path} />
    </svg>
    <p class="text-sm text-soft">On screen (up) over the action (across): steep is slow.</p>
  </div>
  {#if ramp.length > 0}
    <RampChart
      {ramp}
      {playing}
      actionS={plan.actionS}
      leastSpeed={Math.min(1, shot.frameRateHz / shot.captureRateHz)}
      onchange={(i, point) => setPoint(i, point, 'ramp')}
    />
    <p class="text-sm text-soft">
      Speed over the action: drag its points. Below the broken line frames are shown again.
    </p>
    <ol aria-label="Speed ramp">
      {#each ramp as point, i (i)}
        <li class="said">
          {i === 0 ? 'Until' : 'By'}
          <Hole
            fact={FIELDS.rampPoint.atS}
            value={point.atS}
            label="Speed {i + 1} at"
            min={i === 0 ? 0 : tenth(ramp[i - 1].atS + 0.1)}
            max={i + 1 < ramp.length ? tenth(ramp[i + 1].atS - 0.1) : 86_400}
            onchange={(atS: number) => setPoint(i, { atS }, 'rampAt')}
          /> at <Hole
            fact={FIELDS.rampPoint.speed}
            value={point.speed}
            label="Speed {i + 1}"
            onchange={(speed: number) => setPoint(i, { speed }, 'rampSpeed')}
          /> of life<button
            class="away"
            aria-label="Without speed {i + 1}"
            onclick={() => setPlayback({ ramp: ramp.filter((_, k) => k !== i) })}>×</button
          >
        </li>
      {/each}
    </ol>
  {/if}
  <p>
    {#if ramp.length < 12}<button class="link" onclick={addPoint}
        >{ramp.length === 0 ? 'Ramp the speed' : 'Another speed'}</button
      >{/if}
    {#if ramp.length > 0}<button class="link ml-3" onclick={() => setPlayback({ ramp: [] })}>No ramp</button>{/if}
    {#if shot.captureRateHz > SMEAR_HZ}<button
        class="link ml-3"
        title="Few frames with an open shutter, each shown again and again: everything smears and stutters"
        onclick={() =>
          onchange(
            (row) => ({
              ...row,
              captureRateHz: SMEAR_HZ,
              shutterDeg: 180,
              playback: { ...row.playback, ramp: [{ atS: 0, speed: 1 }] },
            }),
            null,
          )}>Smear on purpose</button
      >{/if}
  </p>
  <p class="said">
    For <Hole
      fact={FIELDS.bench.wantedS}
      value={wantedS ?? askedS}
      onchange={(value: number) => onbench({ wantedS: value }, 'bench.wanted')}
    />
    on screen from the first frame, <b>{trim(actionForS, 2)} s</b> have to be filmed{askedS < (wantedS ?? 0)
      ? ' (all there is)'
      : ''}.
    {#if plan.subjectM !== null && plan.subjectM > 0.05}{scene.subject?.name} goes {length(plan.subjectM)} in the whole action,
      {length(plan.subjectM / plan.actionS)} a second.{/if}
  </p>
  {#if plan.repeats > scene.limits.repeats}
    <p class="graded-line">
      <GradeMark grade={plan.repeats > scene.limits.repeats * scene.limits.joltFactor ? 'jolt' : 'ripple'} /><span
        >Each recorded frame is shown {trim(plan.repeats, 1)} times{jump === null
          ? ''
          : `: things jump by up to ${trim(jump * 100, 1)}% of the width at a time`}, and smear over {trim(
          plan.smearShare * 100,
          0,
        )}% of each step ({trim(plan.exposureS, 3)} s open). As a look, record few frames with an open shutter.</span
      >
    </p>
  {/if}
  {#if plan.bufferS !== null}
    <p class="graded-line">
      <GradeMark grade={plan.actionS > plan.bufferS ? 'cannot' : 'fits'} /><span
        >At this rate {scene.camera.name} records {trim(plan.bufferS, 1)} s at a time; the action lasts {trim(
          plan.actionS,
          1,
        )} s.</span
      >
    </p>
  {/if}
  <p class="text-sm text-soft">
    {plan.recordedFrames} frames recorded, {plan.shownFrames} shown; about {trim(plan.cardGB, 2)} GB a take, {trim(
      plan.cardGB * 6,
      1,
    )} GB for six.
  </p>
</section>

<style>
  path {
    fill: none;
    stroke: var(--subject);
    stroke-width: 2.2;
  }
  .grid {
    stroke: var(--hairline);
  }
  text {
    font-size: 11px;
    fill: var(--soft);
  }
</style>
