<script lang="ts">
  import { drag } from '$lib/ui/drag';
  import { editing } from '$lib/ui/editing';
  import { scaleLinear, scaleLog } from 'd3-scale';
  import { line } from 'd3-shape';
  import type { RampPoint } from '@gentle-arc/core/model';
  import type { Playing } from '@gentle-arc/core/motion';

  /** Speed of playing over the action, as a curve whose points are dragged. Up is faster. */
  interface Props {
    ramp: readonly RampPoint[];
    playing: Playing;
    actionS: number;
    /** Slower than this recorded frames are shown again. */
    leastSpeed: number;
    onchange: (index: number, point: RampPoint) => void;
  }
  let { ramp, playing, actionS, leastSpeed, onchange }: Props = $props();

  const { settle } = editing();

  let width = $state(320);
  let chart: SVGSVGElement | undefined = $state();
  const HEIGHT = 130;
  const [LEFT, RIGHT, TOP, BOTTOM] = [44, 14, 12, 22];
  const STEPS = 90;
  const GAP_S = 0.1;

  const speeds = $derived([leastSpeed, 1, ...ramp.map(({ speed }) => speed)]);
  const x = $derived(
    scaleLinear([0, Math.max(actionS, ramp[ramp.length - 1]?.atS ?? 0)], [LEFT, Math.max(LEFT + 50, width - RIGHT)]),
  );
  const y = $derived(scaleLog([Math.min(...speeds) / 1.5, Math.max(...speeds) * 1.5], [HEIGHT - BOTTOM, TOP]));
  const curve = $derived(
    line<number>()
      .x((tS) => x(tS))
      .y((tS) => y(1 / playing.slowAt(tS)))(Array.from({ length: STEPS + 1 }, (_, i) => (i / STEPS) * actionS)) ?? '',
  );
  const tenth = (s: number) => Math.round(s * 10) / 10;

  function put(i: number, atS: number, speed: number) {
    const from = i === 0 ? 0 : ramp[i - 1].atS + GAP_S;
    const to = i + 1 < ramp.length ? ramp[i + 1].atS - GAP_S : 600;
    onchange(i, {
      atS: tenth(Math.min(to, Math.max(from, atS))),
      speed: Math.round(Math.min(100, Math.max(0.01, speed)) * 100) / 100,
    });
  }
  function move(event: PointerEvent, i: number) {
    if (!chart) return;
    const box = chart.getBoundingClientRect();
    const within = (value: number, [a, b]: number[]) => Math.min(Math.max(a, b), Math.max(Math.min(a, b), value));
    put(i, x.invert(within(event.clientX - box.left, x.range())), y.invert(within(event.clientY - box.top, y.range())));
  }
  const KEYS: Record<string, [number, number]> = {
    ArrowLeft: [-0.1, 1],
    ArrowRight: [0.1, 1],
    ArrowUp: [0, 1.1],
    ArrowDown: [0, 1 / 1.1],
  };
  function keys(event: KeyboardEvent, i: number) {
    const step = KEYS[event.key];
    if (!step) return;
    event.preventDefault();
    event.stopPropagation();
    put(i, ramp[i].atS + step[0], ramp[i].speed * step[1]);
    settle();
  }
</script>

<div bind:clientWidth={width}>
  <svg bind:this={chart} {width} height={HEIGHT} role="group" aria-label="Speed over the action">
    {#each new Set([leastSpeed, 1]) as speed (speed)}
      <line class:least={speed === leastSpeed} x1={LEFT} x2={width - RIGHT} y1={y(speed)} y2={y(speed)} />
      <text x={LEFT - 6} y={y(speed) + 4} text-anchor="end">{speed === 1 ? 'life' : `${Math.round(speed * 100)}%`}</text
      >
    {/each}
    {#each x.ticks(5) as tick (tick)}<text x={x(tick)} y={HEIGHT - 5} text-anchor="middle">{tick} s</text>{/each}
    <path d={curve} />
    {#each ramp as point, i (i)}
      <circle
        role="slider"
        tabindex="0"
        aria-label="Speed point {i + 1}"
        aria-valuenow={Math.round(point.speed * 100)}
        aria-valuetext="{Math.round(point.speed * 100)}% of life at {point.atS} s"
        cx={x(point.atS)}
        cy={y(point.speed)}
        r="8"
        onkeydown={(event) => keys(event, i)}
        use:drag={{ move: (event) => move(event, i), drop: settle }}
      />
    {/each}
  </svg>
</div>

<style>
  svg {
    touch-action: none;
  }
  path {
    fill: none;
    stroke: var(--near);
    stroke-width: 2.2;
    pointer-events: none;
  }
  circle {
    fill: var(--paper);
    stroke: var(--near);
    stroke-width: 2.5;
    cursor: grab;
  }
  line {
    stroke: var(--hairline);
  }
  .least {
    stroke-dasharray: 4 4;
    stroke: var(--soft);
  }
  text {
    font-size: 11px;
    fill: var(--soft);
  }
</style>
