<script lang="ts">
  import type { Piece } from '@gentle-arc/core/model';
  import type { Scene } from '@gentle-arc/core/scene';
  import { drag, type Drag } from '$lib/ui/drag';
  import { drawingOrder, outline, placed } from '@gentle-arc/core/site';
  import type { PlanView } from './plan-view.svelte';

  /** The pieces of a site from above, walkers where they are at the playhead; each can be chosen, dragged and nudged. */
  interface Props {
    scene: Scene;
    view: PlanView;
    selectedId: string | null;
    chosenIds: readonly string[];
    /** A press puts a point where it is, whatever lies there. */
    drawing: boolean;
    shownPlace: (piece: Piece) => { xM: number; yM: number; headingDeg: number };
    grabbable: (piece: Piece) => boolean;
    grab: (piece: Piece, at: { xM: number; yM: number }) => Drag | null;
    nudge: (event: KeyboardEvent, at: { xM: number; yM: number }, move: (xM: number, yM: number) => void) => void;
    onselect: (id: string, event: MouseEvent | KeyboardEvent) => void;
    onmove: (id: string, xM: number, yM: number) => void;
  }
  let { scene, view, selectedId, chosenIds, drawing, shownPlace, grabbable, grab, nudge, onselect, onmove }: Props =
    $props();

  const pieces = $derived(drawingOrder(scene.pieces.filter(({ hidden }) => !hidden)));
</script>

<g transform="translate({view.originX} {view.originY}) scale({view.scale} {-view.scale})">
  {#each pieces as piece (piece.id)}
    {@const at = shownPlace(piece)}
    <path
      class="piece {piece.kind}"
      class:subject={piece.id === scene.subject?.id}
      class:selected={piece.id === selectedId || chosenIds.includes(piece.id)}
      class:locked={piece.locked}
      d={outline(piece)}
      transform={placed(at)}
      data-grab={grabbable(piece) ? '' : undefined}
      role="button"
      tabindex="0"
      aria-label={piece.name}
      data-piece={piece.id}
      use:drag={grab(piece, at)}
      onclick={(event) => {
        if (drawing) return;
        event.stopPropagation();
        onselect(piece.id, event);
      }}
      onkeydown={(event) => {
        if (event.key === 'Enter' || event.key === ' ') {
          event.preventDefault();
          event.stopPropagation();
          onselect(piece.id, event);
        }
        if (!piece.locked)
          nudge(event, scene.shot.walks.find((walk) => walk.pieceId === piece.id)?.points[0] ?? piece, (xM, yM) =>
            onmove(piece.id, xM, yM),
          );
      }}
    >
      <title>{piece.name}</title>
    </path>
  {/each}
</g>

<style>
  .piece {
    fill: color-mix(in srgb, var(--hairline) 70%, var(--paper));
    stroke: var(--soft);
    stroke-width: 1px;
    vector-effect: non-scaling-stroke;
  }
  .piece[data-grab] {
    cursor: grab;
  }
  .water {
    fill: color-mix(in srgb, var(--far) 34%, var(--paper));
  }
  .terrain {
    fill: none;
    stroke-dasharray: 4 4;
  }
  .road,
  .stair,
  .platform {
    fill-opacity: 0.6;
  }
  .hedge,
  .bush,
  .tree {
    fill: color-mix(in srgb, #9db06f 75%, var(--paper));
    fill-opacity: 0.8;
  }
  .slab,
  .ridge {
    fill-opacity: 0.35;
    stroke-opacity: 0.45;
  }
  .figure {
    fill: color-mix(in srgb, var(--near) 70%, var(--ink));
    stroke: none;
  }
  .subject {
    fill: var(--subject);
    fill-opacity: 1;
  }
  .piece.selected {
    stroke: var(--subject);
    stroke-width: 2.5px;
    stroke-opacity: 1;
  }
</style>
