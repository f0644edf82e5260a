<script lang="ts">
  import type { Stick } from '@gentle-arc/core/rehearse';

  /** Somebody who holds a camera, drawn from joints: heads up from the ground. */
  let { figure, label }: { figure: Stick; label: string } = $props();

  const P = 15;
  const x = (heads: number) => 52 + heads * P;
  const y = (heads: number) => 126 - heads * P;
  const to = (...points: [number, number][]) => points.map(([a, b]) => `${x(a)},${y(b)}`).join(' ');
</script>

<svg viewBox="0 0 104 136" role="img" aria-label="Figure: {label}">
  <line x1="8" x2="96" y1={y(0) + 3} y2={y(0) + 3} class="ground" />
  {#if figure.stand}<polyline points={to(...figure.stand)} class="stand" />{/if}
  {#each [0, 1] as side (side)}
    <polyline points={to(figure.hips, figure.knees[side], figure.feet[side])} class="limb" class:behind={side === 0} />
    <polyline
      points={to(figure.neck, figure.elbows[side], figure.hands[side])}
      class="limb"
      class:behind={side === 0}
    />
  {/each}
  <polyline points={to(figure.hips, figure.neck)} class="trunk" />
  <circle cx={x(figure.head[0])} cy={y(figure.head[1])} r="8.5" class="head" />
  <g transform="translate({x(figure.camera[0])} {y(figure.camera[1])})">
    <rect x="-7" y="-5" width="13" height="10" rx="2" class="camera" /><rect
      x="6"
      y="-3.5"
      width="6"
      height="7"
      class="camera"
    />
  </g>
</svg>

<style>
  svg {
    flex: 0 0 6.4rem;
    width: 6.4rem;
    align-self: start;
  }
  .ground {
    stroke: var(--hairline);
    stroke-width: 2;
  }
  .limb,
  .trunk,
  .stand {
    fill: none;
    stroke: var(--ink);
    stroke-width: 5;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
  .trunk {
    stroke-width: 9;
    stroke: var(--subject);
  }
  .behind {
    stroke: var(--soft);
  }
  .stand {
    stroke: var(--far);
    stroke-width: 3;
  }
  .head {
    fill: var(--subject);
  }
  .camera {
    fill: var(--near);
  }
</style>
