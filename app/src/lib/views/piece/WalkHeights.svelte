<script lang="ts">
  import { line } from 'd3-shape';
  import { type Piece, sayLength, type Walk } from '@gentle-arc/core/model';
  import { groundHeightM } from '@gentle-arc/core/site';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import { drag } from '$lib/ui/drag';
  import { preferences } from '$lib/ui/preferences.svelte';

  /** A walk from the side: its height along its way, and the ground under it. Drawn heights are dragged up and down. */
  interface Props {
    piece: Piece;
    walk: Walk;
    onheight: (index: number, zM: number) => void;
  }
  let { piece, walk, onheight }: Props = $props();

  const session = shotSession();
  const scene = $derived(session.scene);

  const [WIDTH, HEIGHT, SIDE] = [420, 74, 12];
  const STEPS = 90;
  const MOST_GRIPS = 40;
  const STEP_M = 0.05;

  const [fromS, toS] = $derived([walk.points[0].tS, walk.points[walk.points.length - 1].tS]);
  const profile = $derived.by(() => {
    const thing = scene.things.find((row) => row.piece.id === piece.id);
    const spot = new Float64Array(3);
    return Array.from({ length: STEPS + 1 }, (_, k) => {
      const tS = fromS + ((toS - fromS) * k) / STEPS;
      thing?.at(tS, spot);
      return { tS, zM: spot[2], groundM: groundHeightM(scene.ground, spot[0], spot[1]) };
    });
  });
  const heights = $derived([
    ...profile.flatMap(({ zM, groundM }) => [zM, groundM]),
    ...(walk.footing === 'drawn' ? walk.points.map(({ zM }) => zM) : []),
  ]);
  const [low, high] = $derived.by(() => {
    const [least, most] = [Math.min(...heights), Math.max(...heights)];
    const room = Math.max(0.3, (most - least) * 0.25);
    return [least - room, most + room];
  });
  const x = $derived((tS: number) => SIDE + ((tS - fromS) / Math.max(1e-6, toS - fromS)) * (WIDTH - 2 * SIDE));
  const y = $derived((zM: number) => HEIGHT - ((zM - low) / (high - low)) * HEIGHT);
  const path = (key: 'zM' | 'groundM') =>
    line<(typeof profile)[number]>(
      (row) => x(row.tS),
      (row) => y(row[key]),
    )(profile) ?? '';

  let svg: SVGSVGElement;
  /** Heights keep their scale while one of them is dragged. */
  let held: { low: number; high: number } | null = null;
  const heightAt = (event: PointerEvent) => {
    const box = svg.getBoundingClientRect();
    const scale = held ?? { low, high };
    return scale.low + (1 - (event.clientY - box.top) / box.height) * (scale.high - scale.low);
  };
  const grips = $derived(walk.footing === 'drawn' && walk.points.length <= MOST_GRIPS);
</script>

<svg
  bind:this={svg}
  viewBox="0 0 {WIDTH} {HEIGHT}"
  role="group"
  aria-label="The walk from the side, from {sayLength(Math.min(...heights), preferences.units)} to {sayLength(
    Math.max(...heights),
    preferences.units,
  )}"
>
  <path class="ground" d={path('groundM')} />
  <path class="way" d={path('zM')} />
  {#if grips}
    {#each walk.points as point, i (i)}
      <g
        role="slider"
        tabindex="0"
        aria-label="Height of point {i + 1}"
        aria-valuenow={point.zM}
        aria-valuetext={sayLength(point.zM, preferences.units)}
        aria-orientation="vertical"
        transform="translate({x(point.tS)} {y(point.zM)})"
        use:drag={{
          take: () => (held = { low, high }),
          move: (event) => onheight(i, heightAt(event)),
          drop: () => {
            held = null;
            session.settle();
          },
        }}
        onkeydown={(event) => {
          const by = { ArrowUp: STEP_M, ArrowDown: -STEP_M }[event.key];
          if (by === undefined) return;
          event.preventDefault();
          onheight(i, point.zM + by);
        }}
      >
        <circle class="reach" r="14" />
        <rect x="-4.5" y="-4.5" width="9" height="9" />
      </g>
    {/each}
  {/if}
</svg>

<style>
  svg {
    display: block;
    width: 100%;
    max-width: 30rem;
    height: auto;
    touch-action: none;
  }
  .ground {
    fill: none;
    stroke: var(--soft);
    stroke-width: 1.5;
    stroke-dasharray: 2 4;
  }
  .way {
    fill: none;
    stroke: var(--subject);
    stroke-width: 2;
  }
  g {
    cursor: ns-resize;
  }
  .reach {
    fill: transparent;
  }
  rect {
    fill: var(--raised);
    stroke: var(--subject);
    stroke-width: 2;
  }
</style>
