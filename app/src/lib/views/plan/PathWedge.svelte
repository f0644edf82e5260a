<script lang="ts">
  import type { Samples } from '@gentle-arc/core/motion';
  import { angleOfViewDeg } from '@gentle-arc/core/optics';
  import type { PlanView } from './plan-view.svelte';

  /** The frame's angle of view at a row, out to well past the subject. */
  let { samples, row, view }: { samples: Samples; row: number; view: PlanView } = $props();

  const wedge = $derived.by(() => {
    const half = ((angleOfViewDeg(samples.frameWidthMm, samples.focalLengthMm[row]) / 2) * Math.PI) / 180;
    const pan = (samples.panDeg[row] * Math.PI) / 180;
    const reach = Math.max(4, samples.focusDistanceM[row] * 2.2);
    const [x, y] = [samples.xM[row], samples.yM[row]];
    const end = (angle: number) =>
      `${view.x(x + (reach * Math.sin(angle)) / Math.cos(half))},${view.y(y + (reach * Math.cos(angle)) / Math.cos(half))}`;
    return `M${view.x(x)},${view.y(y)}L${end(pan - half)}L${end(pan + half)}Z`;
  });
</script>

<path class="wedge" d={wedge} />

<style>
  .wedge {
    fill: var(--far);
    fill-opacity: 0.16;
    stroke: var(--far);
    stroke-opacity: 0.6;
    pointer-events: none;
  }
</style>
