<script lang="ts">
  import type { Delivery } from '@gentle-arc/core/model';
  import type { Samples } from '@gentle-arc/core/motion';
  import { innerArea } from '@gentle-arc/core/findings';

  /** Level and thirds over the picture, and the area that a second shape is cut from. */
  let { samples, row, alsoShape }: { samples: Samples; row: number; alsoShape: Delivery['alsoShape'] } = $props();

  /** Where the horizon lies, as a share of the frame from its top. */
  const horizon = $derived(
    0.5 +
      (Math.tan((Math.max(-89, Math.min(89, samples.tiltDeg[row])) * Math.PI) / 180) * samples.focalLengthMm[row]) /
        samples.frameHeightMm,
  );
  const aspect = $derived(samples.frameWidthMm / samples.frameHeightMm);
  const inner = $derived(innerArea(alsoShape, aspect));
  const leaning = $derived(Math.abs(samples.rollDeg[row]) > 0.5);
</script>

<svg viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden="true">
  <path d="M33.33 0V100M66.67 0V100M0 33.33H100M0 66.67H100" />
  {#if inner}
    {@const [left, top] = [(0.5 - inner.halfWidth) * 100, (0.5 - inner.halfHeight) * 100]}
    <path class="outside" d="M0 0H100V100H0ZM{left} {top}V{100 - top}H{100 - left}V{top}Z" />
  {/if}
  {#if leaning}
    <!-- The true horizon's lean, through the middle. -->
    <path
      class="level"
      d="M22 50H36M64 50H78"
      transform="translate(50 50) scale(1 {aspect}) rotate({-samples.rollDeg[row]}) scale(1 {1 /
        aspect}) translate(-50 -50)"
    />
  {:else if horizon > 0 && horizon < 1}<path class="level" d="M0 {horizon * 100}H6M94 {horizon * 100}H100" />{/if}
</svg>

<style>
  svg {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    pointer-events: none;
  }
  path {
    fill: none;
    stroke: #fffdf8;
    stroke-opacity: 0.5;
    stroke-width: 1px;
    vector-effect: non-scaling-stroke;
  }
  .outside {
    fill: #1e2a2c;
    fill-opacity: 0.38;
    fill-rule: evenodd;
    stroke: none;
  }
  .level {
    stroke: #b4531f;
    stroke-opacity: 0.95;
    stroke-width: 3px;
  }
</style>
