<script lang="ts">
  import { drag, type Drag } from '$lib/ui/drag';
  import { gripsOf, type LegMotion } from '@gentle-arc/core/motion';
  import type { PlanView } from './plan-view.svelte';

  /** What a move is shaped by on the plan: its ends or points, and the pivot it goes by. */
  type Spot = { xM: number; yM: number };
  type Move = (xM: number, yM: number) => void;
  interface Props {
    leg: LegMotion;
    isFirst: boolean;
    view: PlanView;
    grab: (at: Spot, move: Move) => Drag;
    nudge: (event: KeyboardEvent, at: Spot, move: Move) => void;
    onmovehandle: (id: string, xM: number, yM: number) => void;
    onmovepivot: Move;
  }
  let { leg, isFirst, view, grab, nudge, onmovehandle, onmovepivot }: Props = $props();

  const pivot = $derived(leg.moveFrame.pivot);
  const handles = $derived(gripsOf(leg, isFirst));
</script>

<path
  class="pivot"
  d="M{view.x(pivot.xM) - 7} {view.y(pivot.yM)}h14m-7-7v14"
  data-grab
  role="button"
  tabindex="0"
  aria-label="Pivot"
  use:drag={grab(pivot, onmovepivot)}
  onkeydown={(event) => nudge(event, pivot, onmovepivot)}
>
  <title>Pivot: what the move goes by. Drag it off the subject to go past or round something else.</title>
</path>

{#each handles as handle (handle.id)}
  <g
    class="handle"
    data-grab
    role="button"
    tabindex="0"
    aria-label="Path {handle.label}"
    transform="translate({view.x(handle.xM)} {view.y(handle.yM)})"
    use:drag={grab(handle, (xM, yM) => onmovehandle(handle.id, xM, yM))}
    onkeydown={(event) => nudge(event, handle, (xM, yM) => onmovehandle(handle.id, xM, yM))}
  >
    <circle class="reach" r="18" />
    <circle r="7.5" class={handle.label === 'end' ? 'end' : 'start'} />
    <text y={handle.label === 'end' ? 22 : -13} text-anchor="middle">{handle.label}</text>
  </g>
{/each}

<style>
  .pivot {
    fill: none;
    stroke: var(--subject);
    stroke-width: 2.4;
    cursor: move;
    pointer-events: bounding-box;
  }
  .handle {
    cursor: grab;
  }
  .handle .reach {
    fill: transparent;
    stroke: none;
  }
  .handle circle {
    fill: var(--raised);
    stroke: var(--near);
    stroke-width: 3;
  }
  .handle .end {
    fill: var(--near);
  }
</style>
