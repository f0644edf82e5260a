<script lang="ts">
  import type { Shoot } from '@gentle-arc/core/model';
  import { sceneOf } from '@gentle-arc/core/scene';
  import { motionOf } from '@gentle-arc/core/motion';
  import { drawingOrder, outline, placed } from '@gentle-arc/core/site';

  /** The site from above with every shot's path: what a shoot looks like at a glance. */
  let { shoot }: { shoot: Shoot } = $props();

  const paths = $derived(
    shoot.shots.map((shot) => {
      const { placeAt, durationS } = motionOf(sceneOf(shoot, shot));
      const at = new Float64Array(3);
      const points = Array.from({ length: 41 }, (_, i) => {
        placeAt((durationS * i) / 40, at);
        return [at[0], at[1]] as const;
      });
      return { id: shot.id, points };
    }),
  );
  const frame = $derived.by(() => {
    const near = shoot.site.pieces.filter((piece) => Math.max(piece.lengthM, piece.depthM) < 60);
    const xs = [...near.map((piece) => piece.xM), ...paths.flatMap((path) => path.points.map((p) => p[0]))];
    const ys = [...near.map((piece) => piece.yM), ...paths.flatMap((path) => path.points.map((p) => p[1]))];
    if (xs.length === 0) return { x: -10, y: -6, w: 20, h: 12 };
    const [x0, x1, y0, y1] = [Math.min(...xs) - 4, Math.max(...xs) + 4, Math.min(...ys) - 4, Math.max(...ys) + 4];
    return { x: x0, y: -y1, w: x1 - x0, h: y1 - y0 };
  });
</script>

<svg
  viewBox="{frame.x} {frame.y} {frame.w} {frame.h}"
  preserveAspectRatio="xMidYMid slice"
  role="img"
  aria-label="{shoot.name} from above, with the path of every shot"
>
  <g transform="scale(1 -1)">
    {#each drawingOrder(shoot.site.pieces) as piece (piece.id)}
      <path class={piece.kind} d={outline(piece)} transform={placed(piece)} />
    {/each}
    {#each paths as path (path.id)}
      <polyline class="track" points={path.points.map((p) => p.join(',')).join(' ')} />
      <circle class="start" cx={path.points[0][0]} cy={path.points[0][1]} r={frame.w / 110} />
    {/each}
  </g>
</svg>

<style>
  svg {
    width: 100%;
    height: 100%;
    background: var(--sun);
    display: block;
  }
  path {
    fill: color-mix(in srgb, var(--hairline) 55%, var(--paper));
    stroke: var(--soft);
    stroke-width: 0.6px;
    vector-effect: non-scaling-stroke;
  }
  path.hedge,
  path.tree {
    fill: #b9c795;
    fill-opacity: 0.75;
  }
  path.ridge {
    fill: none;
    stroke-opacity: 0.3;
  }
  path.slab {
    fill-opacity: 0.5;
    stroke-opacity: 0.5;
  }
  path.figure {
    fill: var(--subject);
    stroke: none;
  }
  .track {
    fill: none;
    stroke: var(--near);
    stroke-width: 2.6px;
    stroke-linecap: round;
    vector-effect: non-scaling-stroke;
  }
  .start {
    fill: var(--near);
  }
</style>
