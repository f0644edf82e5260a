<script lang="ts">
  import { sayLength, saySpeed } from '@gentle-arc/core/model';
  import type { Pass, Sweep } from '@gentle-arc/core/findings';
  import { preferences } from '$lib/ui/preferences.svelte';
  import type { PlanView } from './plan-view.svelte';

  /**
   * The ground that something fast sweeps, the line behind which people usually stand, and where something comes nearest
   * to somebody.
   */
  interface Props {
    sweeps: readonly Sweep[];
    passes: readonly Pass[];
    /** Where somebody is at a moment on screen. */
    placeAt: (pieceId: string, screenS: number) => { xM: number; yM: number } | null;
    view: PlanView;
  }
  let { sweeps, passes, placeAt, view }: Props = $props();

  const MOST_PASSES = 3;
  /** Farther off nobody need be told on the plan, m. */
  const NEAR_M = 6;
  const line = ({ way }: Sweep) =>
    Array.from(
      { length: way.length / 2 },
      (_, k) => `${view.x(way[2 * k]).toFixed(1)},${view.y(way[2 * k + 1]).toFixed(1)}`,
    ).join(' ');
  const nearest = $derived(
    passes
      .filter(({ distanceM }) => distanceM < NEAR_M)
      .slice(0, MOST_PASSES)
      .flatMap((pass) => {
        const [a, b] = [placeAt(pass.moverId, pass.screenS), placeAt(pass.whoId, pass.screenS)];
        return a && b ? [{ ...pass, a, b }] : [];
      }),
  );
</script>

{#each sweeps as sweep, i (i)}
  {@const wide = 2 * (sweep.halfM + sweep.standBackM) * view.scale}
  <polyline class="back" points={line(sweep)} stroke-width={wide + 3} />
  <polyline class="keep" points={line(sweep)} stroke-width={wide} />
  <polyline class="swept" points={line(sweep)} stroke-width={Math.max(2, 2 * sweep.halfM * view.scale)}>
    <title
      >{sweep.name}, up to {saySpeed(sweep.fastestMps, preferences.units)}: people usually stand {sayLength(
        sweep.standBackM,
        preferences.units,
      )} back from its way</title
    >
  </polyline>
{/each}
{#each nearest as { moverId, whoId, distanceM, a, b } (`${moverId} ${whoId}`)}
  <line class="near" x1={view.x(a.xM)} y1={view.y(a.yM)} x2={view.x(b.xM)} y2={view.y(b.yM)} />
  <text x={(view.x(a.xM) + view.x(b.xM)) / 2 + 5} y={(view.y(a.yM) + view.y(b.yM)) / 2}
    >{sayLength(distanceM, preferences.units)}</text
  >
{/each}

<style>
  polyline {
    fill: none;
    stroke-linejoin: round;
    stroke-linecap: butt;
    pointer-events: none;
  }
  .back {
    stroke: color-mix(in srgb, var(--near) 55%, transparent);
  }
  .keep {
    stroke: color-mix(in srgb, var(--near) 12%, var(--sun));
  }
  .swept {
    stroke: color-mix(in srgb, var(--near) 40%, var(--sun));
  }
  .near {
    stroke: var(--ink);
    stroke-width: 1.5;
    stroke-dasharray: 3 2;
    pointer-events: none;
  }
  text {
    font-size: 11.5px;
    fill: var(--ink);
    paint-order: stroke;
    stroke: var(--sun);
    stroke-width: 3px;
    pointer-events: none;
  }
</style>
