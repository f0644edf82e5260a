<script lang="ts">
  import type { Sun } from '@gentle-arc/core/light';

  /** Where the sun stands: an arrow at the rim of the plan that points the way of its light. */
  let { sun, width, height }: { sun: Sun; width: number; height: number } = $props();

  const rad = $derived((sun.azimuthDeg * Math.PI) / 180);
  const at = $derived({
    x: width / 2 + (width / 2 - 26) * Math.sin(rad),
    y: height / 2 - (height / 2 - 30) * Math.cos(rad),
  });
</script>

{#if sun.altitudeDeg > 0}
  <g class="sun" transform="translate({at.x} {at.y}) rotate({sun.azimuthDeg + 180})" role="img" aria-label="The sun">
    <title>The sun, {Math.round(sun.altitudeDeg)}° high</title>
    <path d="M0 -20V-9M-4 -14L0 -20L4 -14" />
    <circle r="6" />
  </g>
{/if}

<style>
  .sun {
    pointer-events: none;
  }
  circle {
    fill: #e0a04e;
    stroke: var(--paper);
    stroke-width: 1.5;
  }
  path {
    fill: none;
    stroke: #b9772a;
    stroke-width: 2;
  }
</style>
