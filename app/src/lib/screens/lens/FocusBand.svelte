<script lang="ts">
  import { shotSession } from '$lib/session/shot-session.svelte';
  import { scaleLinear } from 'd3-scale';
  import { area, line } from 'd3-shape';
  import { LIMITS, type OwnLimits, sayLength, trim } from '@gentle-arc/core/model';
  import { filmedBackwards } from '@gentle-arc/core/edit';
  import { focusPlan, softFocusM } from '@gentle-arc/core/reading';
  import Choice from '$lib/ui/Choice.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import Pullers from './Pullers.svelte';
  import FocusWords from '$lib/views/focus/FocusWords.svelte';
  import { limitsHref, marksHref } from '$lib/session/links';
  import { preferences } from '$lib/ui/preferences.svelte';

  /**
   * How sharp: the band of sharp distances around the subject over the whole move, and the marks for whoever pulls
   * focus.
   */
  const session = shotSession();
  const { shoot, shot, scene, samples } = $derived(session);
  const { playhead, changeShot: onchange } = session;
  const onlimits = (limits: OwnLimits) => session.change({ ...session.shoot, limits });

  let width = $state(500);
  const HEIGHT = 170;
  const [LEFT, RIGHT, TOP, BOTTOM] = [52, 10, 8, 22];

  const plan = $derived(focusPlan(session.film));
  const length = (m: number) => sayLength(m, preferences.units);
  const durationS = $derived(plan.screenS[plan.screenS.length - 1] || 1);
  const finite = (column: Float64Array) =>
    column.reduce((most, value) => (Number.isFinite(value) && value > most ? value : most), 0);
  const farthest = $derived(Math.max(finite(plan.focusM), finite(plan.subjectM)) * 1.6);
  const x = $derived(scaleLinear([0, durationS], [LEFT, Math.max(LEFT + 50, width - RIGHT)]));
  const y = $derived(scaleLinear([0, farthest || 1], [HEIGHT - BOTTOM, TOP]));
  const at = (i: number) => x(plan.screenS[i]);
  const band = $derived(
    area<number>()
      .x((_, i) => at(i))
      .y0((_, i) => y(Math.min(farthest, plan.nearM[i])))
      .y1((_, i) => y(Math.min(farthest, plan.farM[i])))(plan.screenS as unknown as number[]) ?? '',
  );
  const curve = (column: Float64Array) =>
    line<number>()
      .defined((value) => Number.isFinite(value))
      .x((_, i) => at(i))
      .y((value) => y(Math.min(farthest, value)))(column as unknown as number[]) ?? '';
  const leastS = $derived(plan.band.atS.toFixed(1));
  const far = (m: number) => (Number.isFinite(m) ? length(m) : 'the horizon');
  const pulled = $derived(
    plan.marksSharpShare >= 0.995
      ? 'Pulled evenly from one to the next it stays sharp.'
      : `Pulled evenly from one to the next, ${Math.round(plan.marksSharpShare * 100)}% of the shot stays sharp: ` +
          'more marks nobody keeps in mind.',
  );
  const row = $derived(Math.min(playhead.row, samples.count - 1));
  const read = $derived(Math.min(playhead.readRow, samples.count - 1));

  const diagonalShare = $derived(Math.hypot(samples.frameWidthMm, samples.frameHeightMm) / 1500 / samples.frameWidthMm);
  const alike = (a: number, b: number) => Math.abs(a / b - 1) < 1e-4;
  const confusion = $derived(
    alike(scene.limits.confusionShare, LIMITS.confusionShare.value)
      ? 'table'
      : alike(scene.limits.confusionShare, diagonalShare)
        ? 'diagonal'
        : 'own',
  );
  function setConfusion(share: number | null) {
    const others: OwnLimits = Object.fromEntries(
      Object.entries(shoot.limits).filter(([name]) => name !== 'confusionShare'),
    );
    onlimits(share === null ? others : { ...others, confusionShare: share });
  }

  /** A focus has to be somewhere, even with a lens whose nearest is not known. */
  const closestM = $derived(Math.max(0.05, scene.lens.closestFocusM));

  /** Out of focus at first, sharp before the move is half over. */
  function startSoft() {
    const softM = softFocusM(
      samples.focalLengthMm[0] / samples.crop[0],
      shot.fNumber,
      plan.confusionMm,
      samples.subjectDistanceM[0],
      closestM,
    );
    const overS = Math.min(1.5, Math.round(samples.tS[samples.count - 1] * 4) / 10);
    onchange(
      (row) => ({
        ...row,
        focus: {
          mode: 'racks',
          from: { on: 'distance', distanceM: Math.ceil(softM * 100) / 100 },
          racks: [{ atS: row.timing.holdStartS, overS, to: { on: 'subject' } }],
        },
      }),
      null,
    );
  }

  /** The same on screen, filmed from its end to its start with the focus left where it ends. */
  function inReverse() {
    const distanceM = Math.max(closestM, Math.round(samples.subjectDistanceM[samples.count - 1] * 100) / 100);
    onchange((row) => ({ ...(filmedBackwards(row) ?? row), focus: { mode: 'fixed', distanceM } }), null);
  }

  const nearest = $derived(plan.subjectM.reduce((least, value) => (value < least ? value : least), Infinity));
  const most = $derived(finite(plan.subjectM));
  /** One focus for the whole move: where, and the stop it takes. */
  const { one } = $derived(plan);
  /** A stop as it is said and set: never more open than it has to be. */
  const oneStop = $derived(one ? Math.max(scene.lens.fNumberMin, Math.ceil(one.fNumber * 10 - 1e-6) / 10) : 0);
</script>

<section aria-label="Focus">
  <h2 class="font-display text-xl">How sharp</h2>
  <p class="said">
    <FocusWords />
  </p>
  <div class="relative" bind:clientWidth={width}>
    <svg
      {width}
      height={HEIGHT}
      role="img"
      aria-label="Sharp distances over the shot: at the start from {length(plan.nearM[0])} to {Number.isFinite(
        plan.farM[0],
      )
        ? length(plan.farM[0])
        : 'the horizon'}"
    >
      {#each y.ticks(4) as tick (tick)}
        <line class="grid" x1={LEFT} x2={width - RIGHT} y1={y(tick)} y2={y(tick)} />
        <text x={LEFT - 6} y={y(tick) + 4} text-anchor="end">{length(tick)}</text>
      {/each}
      {#each x.ticks(6) as tick (tick)}<text x={x(tick)} y={HEIGHT - 6} text-anchor="middle">{tick} s</text>{/each}
      <path class="band" d={band} />
      <path class="focus" d={curve(plan.focusM)} />
      <path class="subject" d={curve(plan.subjectM)} />
      {#each plan.marks as mark, i (i)}<circle
          cx={x(mark.atS)}
          cy={y(Math.min(farthest, mark.distanceM))}
          r="4.5"
        />{/each}
    </svg>
    <div
      class="head own-layer"
      style="height: {HEIGHT - BOTTOM - TOP}px; transform: translate({x(plan.screenS[row])}px, {TOP}px)"
    ></div>
  </div>
  <p class="fact">
    <b class="band-word">Shaded</b> is sharp: now
    {length(plan.nearM[read])} to {far(plan.farM[read])}. At {leastS} s, where it is least, {scene.subject?.name ??
      'the subject'} may come and go between {length(plan.band.nearM)} and
    {far(plan.band.farM)}. From {length(plan.hyperfocalM)} on (hyperfocal, at the moment that asks most) everything behind
    is sharp. What blurs by up to
    <Choice
      label="Circle of confusion"
      value={confusion}
      items={[
        { value: 'table', name: 'the table’s disc' },
        { value: 'diagonal', name: 'a 1500th of the diagonal' },
        { value: 'own', name: 'a disc of its own' },
      ]}
      onchange={(value) =>
        setConfusion(
          value === 'table' ? null : value === 'diagonal' ? diagonalShare : scene.limits.confusionShare * 1.001,
        )}
    />,
    <NumberField
      label="Circle of confusion in millimetres"
      value={Math.round(plan.confusionMm * 10000) / 10000}
      unit="fine"
      min={0.001}
      max={1}
      step={0.001}
      onchange={(mm) => setConfusion(mm / samples.frameWidthMm)}
    /> mm, looks sharp.
  </p>
  {#if one && most - nearest > 0.05}
    <p class="fact">
      One focus for the whole move: {length(one.focusM)} and {one.fNumber > 64
        ? 'no stop is deep enough'
        : `f/${trim(oneStop, 1)} or deeper`}.
      {#if one.fNumber <= 64}<button
          class="link"
          onclick={() =>
            onchange(
              (given) => ({
                ...given,
                fNumber: Math.max(given.fNumber, oneStop),
                focus: { mode: 'fixed', distanceM: Math.round(one.focusM * 100) / 100 },
              }),
              null,
            )}>Set it so</button
        >{/if}
    </p>
  {/if}
  <p class="fact">
    <b>Marks:</b>
    {#each plan.marks as mark, i (i)}{i > 0 ? ', ' : ' '}<button class="link" onclick={() => playhead.toTime(mark.atS)}
        >{length(mark.distanceM)} at {mark.actionS.toFixed(1)} s</button
      >{/each}.
    {pulled}
    <a class="link font-semibold" href={marksHref(shoot.id, shot.id)}>Print them</a>
  </p>
  <p class="fact flex flex-wrap gap-x-4">
    {#if scene.subject && shot.focus.mode !== 'racks'}<button class="link" onclick={startSoft}
        >Start out of focus</button
      >{/if}
    {#if scene.subject && !shot.playback.reversed && shot.then.length === 0 && !scene.things.some(({ walks }) => walks)}<button
        class="link"
        onclick={inReverse}
        title="Leave the focus where the shot ends, back away until it is soft, and play it in reverse: it lands sharp every time"
        >Film it backwards instead</button
      >{/if}
  </p>
  <Pullers
    {plan}
    puller={shot.puller}
    lens={scene.lens}
    limitsHref={limitsHref(shoot.id)}
    onpuller={(puller) => onchange((row) => ({ ...row, puller }), null)}
    onring={(ringDeg) =>
      session.changeKit(
        {
          ...shoot.kit,
          lenses: shoot.kit.lenses.map((lens) => (lens.id === scene.lens.id ? { ...lens, ringDeg } : lens)),
        },
        'ring',
      )}
  />
</section>

<style>
  path {
    fill: none;
    stroke-width: 2;
  }
  .band {
    fill: var(--subject);
    fill-opacity: 0.16;
  }
  .band-word {
    padding: 0 0.2rem;
    background: color-mix(in srgb, var(--subject) 16%, transparent);
  }
  .focus {
    stroke: var(--near);
    stroke-dasharray: 6 4;
  }
  .subject {
    stroke: var(--subject);
  }
  circle {
    fill: var(--paper);
    stroke: var(--near);
    stroke-width: 2;
  }
  .grid {
    stroke: var(--hairline);
  }
  .head {
    position: absolute;
    top: 0;
    left: -0.75px;
    width: 1.5px;
    background: var(--ink);
  }
  text {
    font-size: 11px;
    fill: var(--soft);
  }
  .fact {
    margin: 0.3rem 0;
    font-size: 0.9rem;
    line-height: 1.4;
  }
</style>
