<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import { line } from 'd3-shape';
  import { trim } from '@gentle-arc/core/model';
  import type { BestCut } from '@gentle-arc/core/sequence';

  /** How ill the motions of two shots fit, by when the first is left: the lower, the better. */
  let { best }: { best: BestCut } = $props();

  const [WIDTH, HEIGHT, TOP] = [380, 84, 18];
  const [from, to] = $derived([best.outS[0], best.outS[best.outS.length - 1]]);
  const x = $derived(scaleLinear([from, Math.max(from + 0.1, to)], [8, WIDTH - 8]));
  const y = $derived(scaleLinear([0, Math.max(0.1, ...best.misfit)], [HEIGHT - 16, TOP]));
  const path = $derived(
    line<number>()
      .digits(1)
      .x((_, i) => x(best.outS[i]))
      .y((value) => y(value))(best.misfit) ?? '',
  );
  const clampX = (s: number) => Math.min(WIDTH - 8, Math.max(8, x(s)));
</script>

<svg
  viewBox="0 0 {WIDTH} {HEIGHT}"
  role="img"
  aria-label="How well the motions fit, by when the first shot is left: best at {trim(best.best.outS, 2)} seconds"
>
  <line x1="8" x2={WIDTH - 8} y1={HEIGHT - 16} y2={HEIGHT - 16} class="base" />
  <path d={path} />
  <line class="now" x1={clampX(best.now.outS)} x2={clampX(best.now.outS)} y1={TOP} y2={HEIGHT - 16} />
  <circle cx={clampX(best.best.outS)} cy={y(best.best.misfit)} r="5" />
  <text x="8" y="12">how ill they fit</text>
  <text x="8" y={HEIGHT - 3}>{trim(from, 1)} s</text>
  <text x={WIDTH - 8} y={HEIGHT - 3} text-anchor="end">{trim(to, 1)} s</text>
</svg>

<style>
  svg {
    width: 100%;
    max-width: 26rem;
  }
  path {
    fill: none;
    stroke: var(--far);
    stroke-width: 2;
  }
  .base {
    stroke: var(--hairline);
  }
  .now {
    stroke: var(--near);
    stroke-width: 2;
    stroke-dasharray: 4 3;
  }
  circle {
    fill: var(--subject);
  }
  text {
    fill: var(--soft);
    font-size: 12px;
  }
</style>
