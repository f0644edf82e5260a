<script lang="ts">
  import type { Underlay } from '@gentle-arc/core/model';
  import type { PlanView } from './plan-view.svelte';

  /** Photographs, scans and drawings of the place, under everything else. */
  let { underlays, view }: { underlays: readonly Underlay[]; view: PlanView } = $props();
</script>

{#each underlays.filter(({ shown }) => shown) as { id, image, widthPx, heightPx, mPerPx, xM, yM, turnDeg, opacity } (id)}
  <image
    href={image}
    x={-widthPx / 2}
    y={-heightPx / 2}
    width={widthPx}
    height={heightPx}
    {opacity}
    preserveAspectRatio="none"
    transform="translate({view.x(xM)} {view.y(yM)}) rotate({turnDeg}) scale({view.scale * mPerPx})"
  />
{/each}

<style>
  image {
    pointer-events: none;
  }
</style>
