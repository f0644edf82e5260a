<script lang="ts">
  import type { Placed } from './placed';
  import type { PlanView } from './plan-view.svelte';

  /** What things on the plan are called, as far as names do not lie on each other; the larger thing first. */
  interface Props {
    pieces: readonly Placed[];
    view: PlanView;
  }
  let { pieces, view }: Props = $props();

  const LETTER_PX = 6.6;
  const LINE_PX = 15;
  const LEAST_PX = 9;

  const names = $derived.by(() => {
    const put: { id: string; name: string; x: number; y: number; half: number }[] = [];
    const rows = pieces
      .filter(({ isSubject }) => !isSubject)
      .map(({ piece, at }) => ({ piece, at, px: Math.max(piece.lengthM, piece.depthM) * view.scale }))
      .filter(({ px, piece }) => px > LEAST_PX && Math.max(piece.lengthM, piece.depthM) < 80)
      .sort((a, b) => b.px - a.px);
    for (const { piece, at, px } of rows) {
      const half = (piece.name.length * LETTER_PX) / 2;
      // A small thing is named below it, a large one in its middle.
      const [x, y] = [view.x(at.xM), view.y(at.yM) + (px < 2 * half ? Math.min(px / 2, 20) + 12 : 4)];
      const free = put.every((row) => Math.abs(row.x - x) > row.half + half + 4 || Math.abs(row.y - y) > LINE_PX);
      if (free) put.push({ id: piece.id, name: piece.name, x, y, half });
    }
    return put;
  });
</script>

<g aria-hidden="true">
  {#each names as { id, name, x, y } (id)}<text {x} {y} text-anchor="middle">{name}</text>{/each}
</g>

<style>
  g {
    opacity: 0.75;
  }
</style>
