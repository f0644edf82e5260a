<script lang="ts">
  import { extent } from 'd3-array';
  import { scaleLinear } from 'd3-scale';
  import { line } from 'd3-shape';
  import { trim } from '@gentle-arc/core/model';

  /** One thing over time, as planned and as it was. */
  interface Props {
    course: { name: string; unit: string; plan: Float64Array; take: Float64Array };
    rateHz: number;
    /** The plan’s own time of the first row. */
    fromS: number;
    names?: [string, string];
  }
  let { course, rateHz, fromS, names = ['plan', 'take'] }: Props = $props();

  let width = $state(600);
  const HEIGHT = 74;
  const left = $derived(width < 500 ? 104 : 156);
  const count = $derived(course.plan.length);
  const every = $derived(Math.max(1, Math.ceil(count / 600)));
  const rows = $derived(Array.from({ length: Math.ceil(count / every) }, (_, i) => i * every));
  const [low, high] = $derived.by(() => {
    const [a, b] = extent([...rows.map((i) => course.plan[i]), ...rows.map((i) => course.take[i])]) as [number, number];
    const middle = (a + b) / 2;
    const half = Math.max((b - a) / 2, 0.02 * Math.max(1, Math.abs(middle)));
    return [middle - half, middle + half];
  });
  const x = $derived(scaleLinear([fromS, fromS + (count - 1) / rateHz], [left, Math.max(left + 50, width - 8)]));
  const y = $derived(scaleLinear([low, high], [HEIGHT - 18, 6]));
  const path = (column: Float64Array) =>
    line<number>(
      (i) => x(fromS + i / rateHz),
      (i) => y(column[i]),
    ).defined((i) => !Number.isNaN(column[i]))(rows) ?? '';
  const ticks = $derived(x.ticks(width < 500 ? 4 : 8));
</script>

<div class="course" bind:clientWidth={width}>
  <svg {width} height={HEIGHT} role="img" aria-label="{course.name}: {names[0]} and {names[1]} over time">
    <text x="0" y="22" class="name">{course.name}</text>
    <text x="0" y="40" class="range">{trim(low, 2)} to {trim(high, 2)} {course.unit}</text>
    {#each ticks as s (s)}
      <line x1={x(s)} x2={x(s)} y1="4" y2={HEIGHT - 16} class="tick" />
      <text x={x(s)} y={HEIGHT - 3} class="time" class:last={x(s) > width - 24}>{trim(s, 1)} s</text>
    {/each}
    <path d={path(course.plan)} class="plan" />
    <path d={path(course.take)} class="take" />
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
