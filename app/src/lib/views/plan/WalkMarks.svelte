<script lang="ts">
  import { drag, type Drag } from '$lib/ui/drag';
  import { trim, type Walk } from '@gentle-arc/core/model';
  import type { Thing } from '@gentle-arc/core/scene';
  import type { PlanView } from './plan-view.svelte';

  /** The walks of a shot on the plan: their line, and at each point when the walker is there. */
  interface Props {
    walks: Walk[];
    things: readonly Thing[];
    view: PlanView;
    selectedId: string | null;
    grab: (at: { xM: number; yM: number }, pieceId: string, index: number) => Drag;
    onnudge: (event: KeyboardEvent, at: { xM: number; yM: number }, pieceId: string, index: number) => void;
  }
  let { walks, things, view, selectedId, grab, onnudge }: Props = $props();

  const MOST_MARKS = 60;
  const MOST_STEPS = 400;
  const thingOf = (id: string) => things.find(({ piece }) => piece.id === id);
  const nameOf = (id: string) => thingOf(id)?.piece.name ?? id;
  /** The way that is really gone: corners are rounded as a walker or a vehicle rounds them. */
  function wayOf({ pieceId, points }: Walk): string {
    const at = thingOf(pieceId)?.at;
    const [fromS, toS] = [points[0].tS - 1, points[points.length - 1].tS + 1];
    const steps = Math.min(MOST_STEPS, Math.max(2, Math.ceil((toS - fromS) * 6)));
    const spot = new Float64Array(3);
    return Array.from({ length: at ? steps + 1 : 0 }, (_, k) => {
      at?.(fromS + ((toS - fromS) * k) / steps, spot);
      return `${view.x(spot[0]).toFixed(1)},${view.y(spot[1]).toFixed(1)}`;
    }).join(' ');
  }
</script>

{#each walks as walk (walk.pieceId)}
  {#if walk.points.length > 1}
    <polyline points={wayOf(walk)} />
    {#if walk.points.length <= MOST_MARKS}
      {#each walk.points as point, i (i)}
        <g
          data-grab
          role="button"
          tabindex="0"
          aria-label="{nameOf(walk.pieceId)} at {trim(point.tS, 1)} seconds"
          transform="translate({view.x(point.xM)} {view.y(point.yM)})"
          use:drag={grab(point, walk.pieceId, i)}
          onkeydown={(event) => onnudge(event, point, walk.pieceId, i)}
        >
          <circle class="reach" r="12" />
          <rect x="-4" y="-4" width="8" height="8" />
          {#if walk.pieceId === selectedId || i === 0 || i === walk.points.length - 1}<text x="8" y="14"
              >{trim(point.tS, 1)} s</text
            >{/if}
        </g>
      {/each}
    {/if}
  {/if}
{/each}

<style>
  polyline {
    fill: none;
    stroke: var(--subject);
    stroke-width: 2;
    stroke-dasharray: 2 5;
    stroke-linecap: round;
    pointer-events: none;
  }
  g {
    cursor: grab;
  }
  .reach {
    fill: transparent;
  }
  rect {
    fill: var(--raised);
    stroke: var(--subject);
    stroke-width: 2;
  }
  text {
    font-size: 11.5px;
    fill: var(--subject);
    paint-order: stroke;
    stroke: var(--sun);
    stroke-width: 3px;
    pointer-events: none;
  }
</style>
