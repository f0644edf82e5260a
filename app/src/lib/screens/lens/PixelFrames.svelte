<script lang="ts">
  import { shotSession } from '$lib/session/shot-session.svelte';
  import { FIELDS, trim } from '@gentle-arc/core/model';
  import Hole from '$lib/ui/Hole.svelte';
  import {
    aspectAfterBars,
    cropFactor,
    frameSizeMm,
    fromFullFrame,
    onFullFrame,
    pixelChain,
    type PixelStep,
  } from '@gentle-arc/core/optics';
  import GradeMark from '$lib/ui/GradeMark.svelte';

  /** How many pixels are left between recording and delivery: each cut as a frame inside the one before. */
  const session = shotSession();
  const { shot, scene, samples } = $derived(session);
  const { changeBench: onbench, changeShot: onchange } = session;

  const bench = $derived(shot.bench);
  const { after } = $derived(shot);
  const bars = $derived(after.barsPercent);

  const kept = $derived(1 - after.stabilisingPercent / 100);
  /** Beyond what stabilising cuts away. */
  const enlargement = $derived(samples.crop.reduce((most, value) => Math.max(most, value * kept), 1));
  const chain = $derived(pixelChain(scene.camera, scene.delivery, { stabilisingShare: 1 - kept, enlargement }));
  const frame = $derived(frameSizeMm(scene.camera, scene.delivery));
  const equal = $derived(onFullFrame(frame, shot.focalLengthMm, shot.fNumber));

  const here = $derived(fromFullFrame(frame, bench.fullFocalLengthMm, bench.fullFNumber));

  const NAMES: Record<PixelStep['what'], string> = {
    recorded: 'recorded',
    shape: 'in the delivered shape',
    stabilising: 'after stabilising',
    zoom: 'after digital zoom',
    alsoShape: 'second shape',
  };
  const WIDTH = 300;
  const scale = $derived(WIDTH / chain.steps[0].widthPx);
  const height = $derived(chain.steps[0].heightPx * scale);
  const grade = (perDelivered: number) =>
    perDelivered >= 1 ? ('calm' as const) : perDelivered >= 0.6 ? ('ripple' as const) : ('jolt' as const);
  const verdict = (perDelivered: number) =>
    perDelivered >= 1
      ? `enough: ${trim(perDelivered, 2)} recorded for each delivered one across`
      : `softened: only ${trim(perDelivered, 2)} recorded for each delivered one across`;
</script>

<section aria-label="Pixels">
  <h2 class="font-display text-xl">How many pixels</h2>
  <p class="said">
    {scene.camera.name} records {scene.camera.pictureWidthPx} × {scene.camera.pictureHeightPx}; the cut is {scene
      .delivery.widthPx} × {scene.delivery.heightPx}. Kept back for stabilising
    <Hole
      fact={FIELDS.after.stabilisingPercent}
      value={after.stabilisingPercent}
      onchange={(stabilisingPercent: number) =>
        onchange((row) => ({ ...row, after: { ...row.after, stabilisingPercent } }), 'after.stabilising')}
    />, black bars at top and bottom
    <Hole
      fact={FIELDS.after.barsPercent}
      value={bars}
      onchange={(barsPercent: number) =>
        onchange((row) => ({ ...row, after: { ...row.after, barsPercent } }), 'after.bars')}
    /> each{bars > 0
      ? `, which leaves ${trim(aspectAfterBars(scene.delivery.widthPx / scene.delivery.heightPx, bars / 100), 2)}:1`
      : ''}.
  </p>
  <svg
    width={WIDTH}
    {height}
    role="img"
    aria-label={chain.steps
      .map((step) => `${NAMES[step.what]} ${Math.round(step.widthPx)} by ${Math.round(step.heightPx)}`)
      .join(', ')}
  >
    {#each chain.steps as step, i (i)}
      {@const [w, h] = [step.widthPx * scale, step.heightPx * scale]}
      <rect
        class:last={i === chain.steps.length - 1}
        x={(WIDTH - w) / 2}
        y={(height - h) / 2}
        width={w}
        height={h}
        rx="4"
      />
    {/each}
  </svg>
  <ul>
    {#each chain.steps as step, i (i)}<li>
        <b>{Math.round(step.widthPx)} × {Math.round(step.heightPx)}</b>
        {NAMES[step.what]}
      </li>{/each}
  </ul>
  <p class="graded-line">
    <GradeMark grade={grade(chain.perDelivered)} /><span>The picture is {verdict(chain.perDelivered)}.</span>
  </p>
  {#if chain.alsoPerDelivered !== null}<p class="graded-line">
      <GradeMark grade={grade(chain.alsoPerDelivered)} /><span
        >The second shape is {verdict(chain.alsoPerDelivered)}.</span
      >
    </p>{/if}
  <p class="text-sm text-soft">
    This frame is {trim(frame.widthMm, 1)} × {trim(frame.heightMm, 1)} mm, crop factor {trim(cropFactor(frame), 2)}: {trim(
      shot.focalLengthMm,
      0,
    )} mm at f/{trim(shot.fNumber, 1)} look like {trim(equal.focalLengthMm, 0)} mm at f/{trim(equal.fNumber, 1)} on full frame.
  </p>
  <p class="said">
    What is <Hole
      fact={FIELDS.bench.fullFocalLengthMm}
      value={bench.fullFocalLengthMm}
      onchange={(fullFocalLengthMm: number) => onbench({ fullFocalLengthMm }, 'bench.full')}
    /> at f/<Hole
      fact={FIELDS.bench.fullFNumber}
      value={bench.fullFNumber}
      onchange={(fullFNumber: number) => onbench({ fullFNumber }, 'bench.fullStop')}
    /> on full frame takes <b>{trim(here.focalLengthMm, 1)} mm at f/{trim(here.fNumber, 1)}</b> on this one.
  </p>
</section>

<style>
  rect {
    fill: var(--subject);
    fill-opacity: 0.09;
    stroke: var(--subject);
    stroke-opacity: 0.55;
  }
  rect.last {
    stroke: var(--near);
    stroke-opacity: 1;
    stroke-width: 2;
  }
  ul {
    margin: 0.4rem 0;
    font-size: 0.9rem;
    line-height: 1.45;
  }
</style>
