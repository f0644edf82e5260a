<script lang="ts">
  import { max } from 'd3-array';
  import { scaleLinear, scaleLog } from 'd3-scale';
  import { line } from 'd3-shape';
  import { type Bench, M_PER_FOOT } from '@gentle-arc/core/model';
  import type { LensColumn } from '@gentle-arc/core/reading';
  import { preferences } from '$lib/ui/preferences.svelte';
  import Choice from '$lib/ui/Choice.svelte';

  /** One measure over the focal lengths of the kit: where wide wins, and where long does. */
  interface Props {
    columns: readonly LensColumn[];
    own: number;
    measure: Measure;
    onmeasure: (measure: Measure) => void;
  }
  let { columns, own, measure, onmeasure }: Props = $props();

  type Measure = Bench['measure'];
  const MEASURES: Record<Measure, { name: string; unit: string; times: number }> = $derived({
    parallax: { name: 'depth', unit: '%/s', times: 100 },
    nearSlide: { name: 'slide of near things in all', unit: '% of the width', times: 100 },
    farSlide: { name: 'slide of far things in all', unit: '% of the width', times: 100 },
    slidePerM: { name: 'slide for each metre', unit: '% of the width', times: 100 },
    slidePerDeg: { name: 'far slide for each degree', unit: '% of the width', times: 100 },
    nearSpeed: { name: 'speed of near things', unit: '%/s', times: 100 },
    farSpeed: { name: 'speed of far things', unit: '%/s', times: 100 },
    wobble: { name: 'bob and tremor', unit: '% of the width', times: 100 },
    backgroundGrowth: { name: 'growth of the background', unit: '×', times: 1 },
    sharpFromM: {
      name: 'nearest sharp distance',
      unit: preferences.units === 'metric' ? 'm' : 'ft',
      times: preferences.units === 'metric' ? 1 : 1 / M_PER_FOOT,
    },
    distanceM: {
      name: 'distance of the camera',
      unit: preferences.units === 'metric' ? 'm' : 'ft',
      times: preferences.units === 'metric' ? 1 : 1 / M_PER_FOOT,
    },
  });
  let width = $state(600);
  const HEIGHT = 150;
  const [LEFT, RIGHT, TOP, BOTTOM] = [46, 12, 8, 24];

  const points = $derived(
    columns.map((column) => ({
      mm: column.focalLengthMm,
      value:
        column[measure] === null || Number.isNaN(column[measure])
          ? null
          : (column[measure] ?? 0) * MEASURES[measure].times,
      possible: column.grade !== 'cannot',
    })),
  );
  const x = $derived(
    scaleLog([points[0]?.mm ?? 10, points[points.length - 1]?.mm ?? 200], [LEFT, Math.max(LEFT + 60, width - RIGHT)]),
  );
  const y = $derived(
    scaleLinear([0, Math.max(0.1, max(points, (point) => point.value ?? 0) ?? 1)], [HEIGHT - BOTTOM, TOP]).nice(4),
  );
  const curve = $derived(
    line<(typeof points)[number]>()
      .defined(({ value }) => value !== null)
      .x(({ mm }) => x(mm))
      .y(({ value }) => y(value ?? 0))(points) ?? '',
  );
  const says = $derived(
    `${MEASURES[measure].name} over focal length: ${points
      .filter((point) => point.value !== null)
      .map(({ mm, value }) => `${mm} mm ${(value ?? 0).toFixed(1)}`)
      .join(', ')} ${MEASURES[measure].unit}`,
  );
</script>

<figure class="mt-3">
  <figcaption class="said">
    Over the kit’s focal lengths:
    <Choice
      label="Measure"
      value={measure}
      items={Object.entries(MEASURES).map(([value, { name }]) => ({ value, name }))}
      onchange={(value) => onmeasure(value as Measure)}
    />,
    <span class="text-soft">{MEASURES[measure].unit}; hollow: rig or lens cannot.</span>
  </figcaption>
  <div bind:clientWidth={width}>
    <svg {width} height={HEIGHT} role="img" aria-label={says}>
      {#each y.ticks(4) as tick (tick)}
        <line class="grid" x1={LEFT} x2={width - RIGHT} y1={y(tick)} y2={y(tick)} />
        <text x={LEFT - 6} y={y(tick) + 4} text-anchor="end">{tick}</text>
      {/each}
      {#if points.length > 1}
        <line class="own" x1={x(own)} x2={x(own)} y1={TOP} y2={HEIGHT - BOTTOM} />
        <path d={curve} />
        {#each points as point, i (i)}
          {#if point.value !== null}<circle
              class:possible={point.possible}
              cx={x(point.mm)}
              cy={y(point.value)}
              r="4"
            />{/if}
          <text x={x(point.mm)} y={HEIGHT - 7} text-anchor="middle">{point.mm}</text>
        {/each}
      {/if}
    </svg>
  </div>
</figure>

<style>
  path {
    fill: none;
    stroke: var(--subject);
    stroke-width: 2;
  }
  circle {
    fill: var(--paper);
    stroke: var(--subject);
    stroke-width: 2;
  }
  circle.possible {
    fill: var(--subject);
  }
  .grid {
    stroke: var(--hairline);
  }
  .own {
    stroke: var(--near);
    stroke-dasharray: 4 4;
  }
  text {
    font-size: 11px;
    fill: var(--soft);
  }
</style>
