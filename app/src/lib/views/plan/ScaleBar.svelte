<script lang="ts">
  import { sayLength } from '@gentle-arc/core/model';
  import { preferences } from '$lib/ui/preferences.svelte';
  import type { PlanView } from './plan-view.svelte';

  /** How long things are on the plan, and which way north is. */
  let {
    view,
    width,
    height,
    north = true,
  }: { view: PlanView; width: number; height: number; north?: boolean } = $props();

  const FOOT_M = 0.3048;
  const bar = $derived.by(() => {
    const unitM = preferences.units === 'metric' ? 1 : FOOT_M;
    const lengthM =
      [0.5, 1, 2, 5, 10, 20, 50, 100, 200].map((count) => count * unitM).find((m) => m * view.scale >= 46) ?? 100;
    return { said: sayLength(lengthM, preferences.units), px: lengthM * view.scale };
  });
</script>

<g class="scale" transform="translate(12 {height - 12})">
  <path d="M0 -5V0H{bar.px}V-5" />
  <text x={bar.px + 6} y="0">{bar.said}</text>
</g>
{#if north}
  <g class="scale" transform="translate({width - 20} {height - 16})"
    ><path d="M0 6V-8M-4 -3L0 -8L4 -3" /><text y="-13" text-anchor="middle">N</text></g
  >
{/if}

<style>
  .scale {
    pointer-events: none;
  }
  .scale path {
    fill: none;
    stroke: var(--soft);
    stroke-width: 1.5;
  }
</style>
