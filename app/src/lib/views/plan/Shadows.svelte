<script lang="ts">
  import type { Piece } from '@gentle-arc/core/model';
  import type { Sun } from '@gentle-arc/core/light';
  import { shadowOf } from '@gentle-arc/core/site';
  import type { PlanView } from './plan-view.svelte';

  /** Where shadows lie on level ground. */
  interface Props {
    sun: Sun;
    pieces: readonly Piece[];
    shownPlace: (piece: Piece) => { xM: number; yM: number; headingDeg: number };
    view: PlanView;
  }
  let { sun, pieces, shownPlace, view }: Props = $props();

  const shadows = $derived(
    pieces.flatMap((piece) => {
      if (piece.kind === 'ridge' || piece.kind === 'terrain' || piece.hidden) return [];
      const outline = shadowOf({ ...piece, ...shownPlace(piece) }, sun);
      if (!outline) return [];
      const points = outline.map(([xM, yM]) => `${view.x(xM).toFixed(1)},${view.y(yM).toFixed(1)}`).join(' ');
      return [{ id: piece.id, points }];
    }),
  );
</script>

<g class="shadows" aria-hidden="true">
  {#each shadows as { id, points } (id)}<polygon {points} />{/each}
</g>

<style>
  .shadows {
    fill: var(--ink);
    opacity: 0.13;
    pointer-events: none;
  }
</style>
