<script lang="ts">
  import { drag, type Drag } from '$lib/ui/drag';
  import type { Piece } from '@gentle-arc/core/model';
  import { bearingDeg, toLocal, toSite } from '@gentle-arc/core/site';
  import type { PlanView } from './plan-view.svelte';

  /** What a chosen piece is turned and resized by. */
  type Spot = { xM: number; yM: number };
  type Move = (xM: number, yM: number) => void;
  interface Props {
    piece: Piece;
    view: PlanView;
    grab: (at: Spot, move: Move) => Drag;
    nudge: (event: KeyboardEvent, at: Spot, move: Move) => void;
    onturn: (id: string, headingDeg: number) => void;
    /** Null: it is one of several, which are turned together only. */
    onresize: ((id: string, lengthM: number, depthM: number) => void) | null;
  }
  let { piece, view, grab, nudge, onturn, onresize }: Props = $props();

  const AWAY_PX = 26;
  const turnAt = $derived(toSite(piece, piece.lengthM / 2 + AWAY_PX / view.scale, 0));
  const sizeAt = $derived(toSite(piece, piece.lengthM / 2, piece.depthM / 2));

  const turn: Move = (xM, yM) => onturn(piece.id, Math.round(bearingDeg(piece.xM, piece.yM, xM, yM)) % 360);
  const resize: Move = (xM, yM) => {
    const { along, across } = toLocal(piece, xM, yM);
    const side = (half: number) => Math.min(2000, Math.max(0.02, Math.round(Math.abs(half) * 200) / 100));
    onresize?.(piece.id, side(along), side(across));
  };

  function turnByKey(event: KeyboardEvent) {
    const by = { ArrowLeft: -5, ArrowRight: 5 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    onturn(piece.id, (piece.headingDeg + by + 360) % 360);
  }
</script>

{#snippet grip(label: string, at: Spot, icon: string, move: Move, keys: (event: KeyboardEvent) => void)}
  <g
    data-grab
    role="button"
    tabindex="0"
    aria-label="{label} {piece.name}"
    transform="translate({view.x(at.xM)} {view.y(at.yM)})"
    use:drag={grab(at, move)}
    onkeydown={keys}
  >
    <circle class="reach" r="16" />
    <circle r="9" />
    <path d={icon} />
  </g>
{/snippet}

{@render grip('Turn', turnAt, 'M-4 2A4.5 4.5 0 1 1 3 3M3 3l-.5-3.5M3 3L-.5 3.5', turn, turnByKey)}
{#if onresize}{@render grip('Resize', sizeAt, 'M-4 -4L4 4M-4 -1V-4H-1M4 1V4H1', resize, (event) =>
    nudge(event, sizeAt, resize),
  )}{/if}

<style>
  g {
    cursor: pointer;
  }
  circle {
    fill: var(--subject);
  }
  .reach {
    fill: transparent;
  }
  path {
    fill: none;
    stroke: var(--paper);
    stroke-width: 1.6;
  }
</style>
