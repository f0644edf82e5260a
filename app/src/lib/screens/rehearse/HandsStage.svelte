<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import { line } from 'd3-shape';
  import type { Controls, TooMuch } from '@gentle-arc/core/rehearse';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Picture from '$lib/views/picture/Picture.svelte';
  import Transport from '$lib/views/picture/Transport.svelte';
  import MovingSticks from './MovingSticks.svelte';

  /** Who does what: the picture, the sticks and hands as they move at the playhead, and all of them over time. */
  let { controls, tooMuch }: { controls: Controls; tooMuch: readonly TooMuch[] } = $props();

  const session = shotSession();
  const { samples, row, scene } = $derived(session);
  let width = $state(700);
  /** On a phone names stand above their lanes. */
  const narrow = $derived(width < 560);
  const LEFT = $derived(narrow ? 6 : 190);
  const LANE = $derived(narrow ? 62 : 44);
  const TOP = $derived(narrow ? 20 : 0);
  const tS = $derived(samples.tS[Math.min(row, samples.count - 1)]);
  const x = $derived(scaleLinear([0, scene.durationS], [LEFT, Math.max(LEFT + 80, width - 12)]));
  const paths = $derived(
    controls.tracks.map(({ rows }, k) => {
      const every = Math.max(1, Math.floor(rows.length / 600));
      const y = scaleLinear([-1, 1], [30 + k * LANE + LANE - 8, 30 + k * LANE + TOP + 3]);
      const shown = Array.from({ length: Math.ceil(rows.length / every) }, (_, i) => i * every);
      return (
        line<number>(
          (i) => x(i / controls.rateHz),
          (i) => y(Math.max(-1, Math.min(1, rows[i]))),
        ).digits(1)(shown) ?? ''
      );
    }),
  );
  const height = $derived(40 + controls.tracks.length * LANE);
  let chart: SVGSVGElement | undefined = $state();
  function seek(event: MouseEvent) {
    if (!chart) return;
    const at = x.invert(event.clientX - chart.getBoundingClientRect().left);
    const { tS: times, count } = samples;
    let best = 0;
    for (let i = 1; i < count; i += 1) if (Math.abs(times[i] - at) < Math.abs(times[best] - at)) best = i;
    session.playhead.pause();
    session.playhead.toRow(best);
  }
</script>

<h1 class="sr-only">Rehearse: who does what in {scene.shot.name}</h1>
<div class="top">
  <div class="picture"><Picture {scene} samples={session.shown} {row} playing={session.playhead.playing} /></div>
  <MovingSticks {controls} {tS} />
</div>
<Transport playhead={session.playhead} {samples} bodied={false} />
<div bind:clientWidth={width}>
  <!-- The playhead is moved by keys through the playback above. -->
  <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
  <svg bind:this={chart} {width} {height} role="img" aria-label="Hands over time" onclick={seek}>
    {#each tooMuch as { fromS, toS }, i (i)}
      <rect x={x(fromS)} y="6" width={Math.max(2, x(toS) - x(fromS))} height={height - 12} class="too" />
    {/each}
    {#each controls.tracks as { id, name, hand, busy, full }, k (id)}
      <g transform="translate(0 {30 + k * LANE})">
        <text x="0" y={narrow ? 14 : 17} class="name"
          >{name}{#if narrow}<tspan class="more">&nbsp; {hand}; {full}</tspan>{/if}</text
        >
        {#if !narrow}<text x="0" y="31">{hand}; {full}</text>{/if}
        <line x1={LEFT} x2={width - 12} y1={(LANE + TOP) / 2 - 2} y2={(LANE + TOP) / 2 - 2} class="rest" />
        {#each busy as { fromS, toS }, i (i)}<rect
            x={x(fromS)}
            y={TOP + 2}
            width={Math.max(2, x(toS) - x(fromS))}
            height={LANE - TOP - 8}
            class="busy"
          />{/each}
      </g>
      <path d={paths[k]} class="value" />
    {/each}
    <line x1={x(tS)} x2={x(tS)} y1="4" y2={height - 4} class="now" />
    {#each x.ticks(narrow ? 4 : 6) as tick (tick)}<text x={x(tick)} y="18" class="tick">{tick} s</text>{/each}
  </svg>
</div>

<style>
  .top {
    display: flex;
    gap: 1rem;
    align-items: center;
  }
  .picture {
    flex: 1.5;
    min-width: 0;
  }
  .picture :global(.frame) {
    width: min(100%, 44dvh * var(--aspect));
  }
  text {
    font-size: 11px;
    fill: var(--soft);
  }
  .name {
    font-size: 12.5px;
    fill: var(--ink);
    font-weight: 600;
  }
  .more {
    font-weight: 400;
    font-size: 11px;
    fill: var(--soft);
  }
  .tick {
    text-anchor: middle;
  }
  .rest {
    stroke: var(--hairline);
  }
  .busy {
    fill: var(--sun);
  }
  .too {
    fill: var(--near);
    opacity: 0.16;
  }
  .value {
    fill: none;
    stroke: var(--subject);
    stroke-width: 1.8;
  }
  .now {
    stroke: var(--near);
    stroke-width: 2;
  }
  @media (max-width: 799px) {
    .top {
      flex-direction: column;
      align-items: stretch;
    }
  }
</style>
