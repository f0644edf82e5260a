<script lang="ts">
  import { sayLength } from '@gentle-arc/core/model';
  import { drag, type Drag } from '$lib/ui/drag';
  import { preferences } from '$lib/ui/preferences.svelte';
  import type { PlanView } from './plan-view.svelte';

  /** A tape between two spots of the plan; its ends can be dragged and nudged. */
  interface Props {
    spots: readonly { xM: number; yM: number }[];
    view: PlanView;
    onmove: (index: number, spot: { xM: number; yM: number }) => void;
  }
  let { spots, view, onmove }: Props = $props();

  const [a, b] = $derived(spots);
  let group: SVGGElement | undefined = $state();

  const grab = (index: number): Drag => ({
    move: (event) => {
      const box = group?.ownerSVGElement?.getBoundingClientRect();
      if (box) onmove(index, view.toSite(event.clientX - box.left, event.clientY - box.top));
    },
  });
  function nudge(event: KeyboardEvent, index: number) {
    const step = event.shiftKey ? 1 : 0.1;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }[event.key];
    if (!by) return;
    event.preventDefault();
    event.stopPropagation();
    onmove(index, { xM: spots[index].xM + by[0], yM: spots[index].yM + by[1] });
  }
</script>

<g class="tape" bind:this={group}>
  {#if b}
    <line x1={view.x(a.xM)} y1={view.y(a.yM)} x2={view.x(b.xM)} y2={view.y(b.yM)} />
    <text x={(view.x(a.xM) + view.x(b.xM)) / 2} y={(view.y(a.yM) + view.y(b.yM)) / 2 - 8} text-anchor="middle"
      >{sayLength(Math.hypot(b.xM - a.xM, b.yM - a.yM), preferences.units)}</text
    >
  {/if}
  {#each spots as spot, index (index)}
    <g
      data-grab
      role="button"
      tabindex="0"
      aria-label="{index === 0 ? 'First' : 'Second'} end of the tape"
      transform="translate({view.x(spot.xM)} {view.y(spot.yM)})"
      use:drag={grab(index)}
      onkeydown={(event) => nudge(event, index)}
    >
      <circle class="reach" r="16" />
      <path d="M-8 0H8M0 -8V8" />
    </g>
  {/each}
</g>

<style>
  line,
  path {
    fill: none;
    stroke: var(--near);
    stroke-width: 2.2;
  }
  g[role='button'] {
    cursor: move;
  }
  .reach {
    fill: transparent;
  }
  .tape text {
    font-weight: 650;
  }
</style>
