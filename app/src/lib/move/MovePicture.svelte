<script lang="ts">
  import type { MoveKind } from '@gentle-arc/core/model/move';

  /** A small picture of a move's path from above, subject in ink. */
  let { kind }: { kind: MoveKind } = $props();

  const PATHS: Record<MoveKind, { subject: [number, number]; path: string; tip: string }> = {
    slide: { subject: [28, 9], path: 'M10 29H44', tip: 'M39 25l6 4-6 4' },
    push: { subject: [45, 18], path: 'M8 18H32', tip: 'M27 13l6 5-6 5' },
    arc: { subject: [28, 22], path: 'M13 30A17 17 0 1 1 43 30', tip: 'M38 30l5 1 2-5' },
    dollyZoom: { subject: [46, 18], path: 'M10 18H30', tip: 'M15 13l-6 5 6 5' },
  };
  const shape = $derived(PATHS[kind]);
</script>

<svg viewBox="0 0 56 38" width="56" height="38" aria-hidden="true">
  {#if kind === 'dollyZoom'}<path class="view" d="M10 18L54 4M10 18L54 32M30 18L54 10M30 18L54 26" />{/if}
  <circle cx={shape.subject[0]} cy={shape.subject[1]} r="4" />
  <path class="track" d={shape.path} />
  <path class="track" d={shape.tip} />
</svg>

<style>
  circle {
    fill: var(--subject);
  }
  .track {
    fill: none;
    stroke: var(--near);
    stroke-width: 2.6;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
  .view {
    fill: none;
    stroke: var(--far);
    stroke-width: 1.2;
  }
</style>
