<script lang="ts">
  import { extent } from 'd3-array';
  import { scaleLinear } from 'd3-scale';
  import { line } from 'd3-shape';
  import { trim } from '@gentle-arc/core/model';

  /** One thing over time, as planned and as it was; as planned alone where nothing was taken yet. */
  interface Props {
    course: { name: string; unit: string; plan: Float64Array; take: Float64Array | null };
    rateHz: number;
    /** The plan’s own time of the first row. */
    fromS: number;
    names?: [string, string];
    /** Where there is room it is drawn so high, px. */
    highPx?: number;
  }
  let { course, rateHz, fromS, names = ['plan', 'take'], highPx = 74 }: Props = $props();

  let width = $state(600);
  const height = $derived(width < 500 ? 74 : highPx);
  const left = $derived(width < 500 ? 104 : 156);
  const count = $derived(course.plan.length);
  const every = $derived(Math.max(1, Math.ceil(count / 600)));
  const rows = $derived(Array.from({ length: Math.ceil(count / every) }, (_, i) => i * every));
  const [low, high] = $derived.by(() => {
    const drawn = [course.plan, course.take].flatMap((column) => (column ? rows.map((i) => column[i]) : []));
    const [a, b] = extent(drawn) as [number, number];
    const middle = (a + b) / 2;
    const half = Math.max((b - a) / 2, 0.02 * Math.max(1, Math.abs(middle)));
    return [middle - half, middle + half];
  });
  const digits = $derived(high - low < 5 ? 2 : high - low < 10 ? 1 : 0);
  const x = $derived(scaleLinear([fromS, fromS + (count - 1) / rateHz], [left, Math.max(left + 50, width - 8)]));
  const y = $derived(scaleLinear([low, high], [height - 18, 6]));
  const path = (column: Float64Array) =>
    line<number>(
      (i) => x(fromS + i / rateHz),
      (i) => y(column[i]),
    ).defined((i) => !Number.isNaN(column[i]))(rows) ?? '';
  const ticks = $derived(x.ticks(width < 500 ? 4 : 8));
</script>

<div class="course" bind:clientWidth={width}>
  <svg {width} {height} role="img" aria-label="{course.name}: {course.take ? names.join(' and ') : names[0]} over time">
    <text x="0" y="22" class="name">{course.name}</text>
    <text x="0" y="40" class="range">{trim(low, digits)} to {trim(high, digits)} {course.unit}</text>
    {#each ticks as s (s)}
      <line x1={x(s)} x2={x(s)} y1="4" y2={height - 16} class="tick" />
      <text x={x(s)} y={height - 3} class="time" class:last={x(s) > width - 24}>{trim(s, 1)} s</text>
    {/each}
    <path d={path(course.plan)} class="plan" />
    {#if course.take}<path d={path(course.take)} class="take" />{/if}
  </svg>
</div>

<style>
  .course {
    /* Not as wide as what is drawn in it: that follows. */
    min-width: 0;
  }
  .name {
    font-weight: 650;
    fill: var(--ink);
  }
  .range,
  .time {
    font-size: 12px;
    fill: var(--soft);
  }
  .time {
    text-anchor: middle;
  }
  .time.last {
    text-anchor: end;
  }
  .tick {
    stroke: var(--hairline);
  }
  path {
    fill: none;
    stroke-width: 2;
  }
  .plan {
    stroke: var(--far);
    stroke-dasharray: 6 4;
  }
  .take {
    stroke: var(--near);
  }
</style>
