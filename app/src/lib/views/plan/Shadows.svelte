<script lang="ts">
  import type { Sun } from '@gentle-arc/core/light';
  import { shadowOf } from '@gentle-arc/core/site';
  import type { Placed } from './placed';
  import type { PlanView } from './plan-view.svelte';

  /** Where shadows lie on level ground. */
  interface Props {
    sun: Sun;
    pieces: readonly Placed[];
    view: PlanView;
  }
  let { sun, pieces, view }: Props = $props();

  const shadows = $derived(
    pieces.flatMap(({ piece, at: { xM, yM, headingDeg } }) => {
      if (piece.kind === 'ridge' || piece.kind === 'terrain') return [];
      const outline = shadowOf({ ...piece, xM, yM, headingDeg }, sun);
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
