<script lang="ts">
  import type { Piece } from '@gentle-arc/core/model';
  import { drag, type Drag } from '$lib/ui/drag';
  import { outline, placed } from '@gentle-arc/core/site';
  import type { Place, Placed } from './placed';
  import type { PlanView } from './plan-view.svelte';

  /** The pieces of a site from above, walkers where they are at the playhead; each can be chosen, dragged and nudged. */
  interface Props {
    pieces: readonly Placed[];
    view: PlanView;
    selectedId: string | null;
    chosenIds: readonly string[];
    /** A press puts a point where it is, whatever lies there. */
    drawing: boolean;
    grabbable: (piece: Piece) => boolean;
    grab: (piece: Piece, at: Place) => Drag | null;
    onnudge: (event: KeyboardEvent, piece: Piece) => void;
    onselect: (id: string, event: MouseEvent | KeyboardEvent) => void;
  }
  let { pieces, view, selectedId, chosenIds, drawing, grabbable, grab, onnudge, onselect }: Props = $props();
</script>

<g transform="translate({view.originX} {view.originY}) scale({view.scale} {-view.scale})">
  {#each pieces as { piece, at, isSubject } (piece.id)}
    <path
      class="piece {piece.kind}"
      class:subject={isSubject}
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
        if (!piece.locked) onnudge(event, piece);
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
