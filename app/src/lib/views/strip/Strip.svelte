<script lang="ts">
  import { drag } from '$lib/ui/drag';
  import { scaleLinear } from 'd3-scale';
  import { line } from 'd3-shape';
  import { severity } from '@gentle-arc/core/findings';
  import type { Samples } from '@gentle-arc/core/motion';
  import { preferences } from '$lib/ui/preferences.svelte';
  import type { ShownReading } from '$lib/workers/messages';
  import type { Playhead } from '../../session/playhead.svelte';
  import { type Curve, type Lane, lanesOf, sayAt } from './lanes';

  /** The shot over time: what moves how fast on screen, and what the camera does for it. */
  interface Props {
    samples: Samples;
    reading: ShownReading | null;
    playhead: Playhead;
    /** Where one move passes into the next, s on screen. */
    joinsS?: number[];
    /** What of it is in the cut, s on screen; null: all of it. */
    cut?: { inS: number; outS: number } | null;
    /** The row at the playhead, where the playhead counts in another shot's frames. */
    row?: number;
    /** The finding that is pointed at. */
    chosenId?: string | null;
  }
  let { samples, reading, playhead, joinsS = [], cut = null, row: given, chosenId = null }: Props = $props();

  let width = $state(600);
  const LEFT = 122;
  const RIGHT = 16;
  const MARKS = 18;
  const GAP = 9;
  const MOST_DRAWN = 6000;

  const durationS = $derived(samples.screenS[samples.count - 1]);
  const x = $derived(scaleLinear([0, durationS || 1], [LEFT, Math.max(LEFT + 50, width - RIGHT)]));
  const row = $derived(given ?? Math.min(playhead.row, samples.count - 1));

  const lanes = $derived(reading ? lanesOf(reading, preferences.units) : []);

  const tops = $derived(
    lanes.map((_, i) => MARKS + lanes.slice(0, i).reduce((sum, lane) => sum + lane.height + GAP, 0)),
  );
  const height = $derived(lanes.length ? tops[lanes.length - 1] + lanes[lanes.length - 1].height + 18 : 200);

  function path(lane: Lane, curve: Curve, top: number): string {
    const y = scaleLinear([lane.least, lane.most], [top + lane.height, top]);
    const rate = reading?.frameRateHz ?? samples.frameRateHz;
    // More points than pixels show nothing more.
    const every = Math.ceil(curve.column.length / MOST_DRAWN);
    const column = every > 1 ? curve.column.filter((_, i) => i % every === 0) : curve.column;
    return (
      line<number>()
        .digits(1)
        .defined((value) => !Number.isNaN(value))
        .x((_, i) => x((i * every) / rate))
        .y((value) => y(value))(column as unknown as number[]) ?? ''
    );
  }

  const troubles = $derived((reading?.findings ?? []).filter((finding) => severity(finding) > 0));
  const ticks = $derived(x.ticks(Math.max(3, Math.min(10, Math.round(width / 90)))));

  let chart: SVGSVGElement;
  function scrub(event: PointerEvent) {
    playhead.pause();
    playhead.toTime(x.invert(event.clientX - chart.getBoundingClientRect().left));
  }

  function keys(event: KeyboardEvent) {
    const by = { ArrowLeft: -1, ArrowRight: 1, PageDown: -10, PageUp: 10 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    playhead.step(by);
  }
</script>

<div bind:clientWidth={width} class="w-full">
  <svg
    bind:this={chart}
    {width}
    {height}
    class="block touch-pan-y select-none"
    role="slider"
    tabindex="0"
    aria-label="Time in the shot"
    aria-valuemin={0}
    aria-valuemax={Number(durationS.toFixed(2))}
    aria-valuenow={Number(samples.screenS[row].toFixed(2))}
    aria-valuetext="{samples.screenS[row].toFixed(2)} seconds"
    use:drag={{ take: scrub, move: scrub }}
    onkeydown={keys}
  >
    {#each ticks as tick (tick)}
      <line class="grid" x1={x(tick)} x2={x(tick)} y1={MARKS} y2={height - 16} />
      <text class="tick" x={x(tick)} y={height - 4} text-anchor="middle"
        >{tick}{tick === ticks[ticks.length - 1] ? ' s' : ''}</text
      >
    {/each}
    {#each joinsS as joinS, i (i)}<line
        class="join"
        x1={x(joinS)}
        x2={x(joinS)}
        y1={MARKS - 4}
        y2={height - 16}
      />{/each}
    {#each lanes as lane, i (lane.label)}
      <line class="base" x1={LEFT} x2={width - RIGHT} y1={tops[i] + lane.height} y2={tops[i] + lane.height} />
      <text class="label" x="0" y={tops[i] + (i === 0 ? 11 : 10)}>{lane.label}</text>
      {#if i === 0 && reading}
        <text class="value" x="0" y={tops[i] + 26} fill="var(--near)"
          >near {sayAt(reading.columns.nearSpeed, row, 100, ' %/s')}</text
        >
        <text class="value" x="0" y={tops[i] + 41} fill="var(--subject)"
          >subject {sayAt(reading.columns.subjectSpeed, row, 100, ' %/s')}</text
        >
        <text class="value" x="0" y={tops[i] + 56} fill="var(--far)"
          >far {sayAt(reading.columns.farSpeed, row, 100, ' %/s')}</text
        >
      {:else}
        <text class="value" x="0" y={tops[i] + 23}>{lane.say(row)}</text>
      {/if}
      {#each lane.curves as curve, k (k)}
        <path d={path(lane, curve, tops[i])} stroke={curve.colour} stroke-dasharray={curve.dash} />
      {/each}
    {/each}
    {#if cut}
      {@const [from, to] = [Math.min(cut.inS, durationS), Math.min(cut.outS, durationS)]}
      <rect class="away" x={x(0)} width={x(from) - x(0)} y={MARKS} height={height - MARKS - 16}
        ><title>before the cut</title></rect
      >
      <rect class="away" x={x(to)} width={x(durationS) - x(to)} y={MARKS} height={height - MARKS - 16}
        ><title>after the cut</title></rect
      >
    {/if}
    {#each troubles as finding (finding.id)}
      {#if finding.id === chosenId}<rect
          class="chosen"
          x={x(finding.screenS) - 12}
          y="0"
          width="24"
          height={MARKS}
          rx="9"
        />{/if}
      <path
        class={severity(finding) === 2 ? 'jag' : 'wave'}
        transform="translate({x(finding.screenS) - 9} 1)"
        d={severity(finding) === 2 ? 'M0 8h3l3-7 4 13 3-6h4' : 'M0 8c2.2-6 4.4-6 6.6 0s4.4 6 6.6 0 3-4 4-4'}
      >
        <title>{finding.sentence}</title>
      </path>
    {/each}
    <line class="head" x1={x(samples.screenS[row])} x2={x(samples.screenS[row])} y1={MARKS - 4} y2={height - 16} />
    <circle class="knob" cx={x(samples.screenS[row])} cy={height - 15} r="5" />
  </svg>
</div>

<style>
  path {
    fill: none;
    stroke-width: 2;
    stroke-linejoin: round;
  }
  .grid {
    stroke: var(--hairline);
    stroke-width: 1;
    stroke-dasharray: 1 4;
  }
  .join {
    stroke: var(--near);
    stroke-width: 1.4;
    stroke-dasharray: 6 4;
    stroke-opacity: 0.7;
  }
  .base {
    stroke: var(--hairline);
  }
  .label {
    font-size: 12px;
    fill: var(--soft);
  }
  .value {
    font-size: 12.5px;
    font-weight: 650;
  }
  text:not([fill]) {
    fill: var(--ink);
  }
  text.label {
    fill: var(--soft);
  }
  .tick {
    font-size: 11px;
    fill: var(--soft) !important;
  }
  .head {
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .knob {
    fill: var(--ink);
  }
  .away {
    fill: var(--hairline);
    opacity: 0.55;
  }
  .chosen {
    fill: color-mix(in srgb, var(--far) 24%, transparent);
  }
  .jag {
    stroke: var(--near);
    stroke-width: 2.6;
  }
  .wave {
    stroke: var(--far);
    stroke-width: 2.2;
  }
</style>
