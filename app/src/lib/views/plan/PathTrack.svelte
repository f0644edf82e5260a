<script lang="ts">
  import type { Samples } from '@gentle-arc/core/motion';
  import type { PlanView } from './plan-view.svelte';

  /** The way of the camera, with its speed as spacing. */
  let { samples, view }: { samples: Samples; view: PlanView } = $props();

  /** Points of the line are so far apart, pixels: no curve of a camera is so tight that more can be seen. */
  const APART_PX = 2;
  // Tenths of a pixel are all that is seen, and soon read.
  const tenth = (px: number) => Math.round(px * 10) / 10;
  const track = $derived.by(() => {
    let [x, y] = [Infinity, Infinity];
    let points = '';
    const last = samples.count - 1;
    for (let i = 0; i <= last; i += 1) {
      const [nextX, nextY] = [view.x(samples.xM[i]), view.y(samples.yM[i])];
      if (i < last && Math.hypot(nextX - x, nextY - y) < APART_PX) continue;
      [x, y] = [nextX, nextY];
      points += `${tenth(x)},${tenth(y)} `;
    }
    return points;
  });

  /** Ticks at even times, square to the path: close together where the camera is slow; of a long shot so many. */
  const TICK_S = 0.25;
  const MOST_TICKS = 240;
  const ticks = $derived.by(() => {
    const every = Math.max(1, Math.round(TICK_S * samples.frameRateHz), Math.ceil(samples.count / MOST_TICKS));
    let marks = '';
    for (let i = 0; i < samples.count; i += every) {
      const [a, b] = [Math.max(0, i - 1), Math.min(samples.count - 1, i + 1)];
      const dx = samples.xM[b] - samples.xM[a];
      const dy = samples.yM[b] - samples.yM[a];
      const size = Math.hypot(dx, dy);
      if (size < 1e-7) continue;
      const [cx, cy] = [view.x(samples.xM[i]), view.y(samples.yM[i])];
      const [ax, ay] = [(5 * dy) / size, (5 * dx) / size];
      marks += `M${tenth(cx + ax)} ${tenth(cy + ay)}L${tenth(cx - ax)} ${tenth(cy - ay)}`;
    }
    return marks;
  });
</script>

<polyline class="track" points={track} />
<path class="tick" d={ticks} />

<style>
  .track {
    fill: none;
    stroke: var(--near);
    stroke-width: 2;
    stroke-opacity: 0.55;
    pointer-events: none;
  }
  .tick {
    stroke: var(--near);
    stroke-width: 1.8;
    pointer-events: none;
  }
</style>
