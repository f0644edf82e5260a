<script lang="ts">
  import { area, curveMonotoneX, line } from 'd3-shape';
  import { scaleLinear } from 'd3-scale';
  import { lightAt } from '@gentle-arc/core/light';
  import { sayClock, saySpeed } from '@gentle-arc/core/model';
  import { preferences } from '$lib/ui/preferences.svelte';
  import type { ShownDay, ShownEntry } from '$lib/workers/day-messages';
  import { SKY_COLOURS } from '$lib/views/light/sky-colours';

  /** A day at a glance: the light it has, the wind, what is shot when, and which battery is where. */
  interface Props {
    day: ShownDay;
    callMin: number;
    wrapMin: number;
    nowMin: number | null;
    chosenId: string | null;
    onchoose: (id: string) => void;
  }
  let { day, callMin, wrapMin, nowMin, chosenId, onchoose }: Props = $props();

  let width = $state(900);
  const LEFT = 20;
  const SKY = { top: 20, high: 92 };
  const WORK = { top: 122, high: 50 };
  const RUNS_Y = WORK.top + WORK.high + 18;
  const POWER_Y = RUNS_Y + 16;
  const POWER_HIGH = 25;

  const from = $derived(Math.floor(Math.min(callMin, day.riseMin ?? callMin, day.fromMin) / 60) * 60);
  const to = $derived(Math.ceil(Math.max(wrapMin, day.setMin ?? wrapMin, day.plan.endS / 60) / 60) * 60);
  const wide = $derived(Math.max(width, 640));
  const x = $derived(scaleLinear([from, to], [LEFT, wide - LEFT]));
  const s = $derived((seconds: number) => x(seconds / 60));
  const hours = $derived(Array.from({ length: (to - from) / 60 + 1 }, (_, i) => from + i * 60));
  const sun = $derived(day.sun.filter(({ atMin }) => atMin >= from && atMin <= to));
  const height = scaleLinear([-18, 90], [SKY.top + SKY.high, SKY.top + 6]);
  const sunLine = $derived(
    line<ShownDay['sun'][number]>(
      ({ atMin }) => x(atMin),
      ({ altitudeDeg }) => height(Math.max(-18, altitudeDeg)),
    ).curve(curveMonotoneX)(sun) ?? '',
  );
  const gusts = $derived(
    (day.weather ?? [])
      .map(({ hour, gustMps }) => ({ atMin: hour * 60 + 30, gustMps }))
      .filter(({ atMin }) => atMin >= from && atMin <= to),
  );
  const blown = scaleLinear([0, 20], [SKY.top + SKY.high, SKY.top + 24]).clamp(true);
  const gustArea = $derived(
    area<(typeof gusts)[number]>()
      .x(({ atMin }) => x(atMin))
      .y0(SKY.top + SKY.high)
      .y1(({ gustMps }) => blown(gustMps))
      .curve(curveMonotoneX)(gusts) ?? '',
  );
  const strongest = $derived(
    gusts.reduce((most, row) => (row.gustMps > most.gustMps ? row : most), { atMin: 0, gustMps: 0 }),
  );
  /** Shots that follow each other on one rig and lens. */
  const runs = $derived(
    day.plan.entries.reduce<{ name: string; fromS: number; toS: number }[]>((rows, { work, startS, endS }) => {
      const name = `${work.rigName} · ${work.lensName}`;
      const last = rows.at(-1);
      if (last?.name === name) last.toS = endS;
      else rows.push({ name, fromS: startS, toS: endS });
      return rows;
    }, []),
  );
  const kinds = $derived(day.power.filter(({ forId }) => day.plan.power.some((row) => row.forId === forId)));
  const high = $derived(POWER_Y + kinds.length * POWER_HIGH + 4);
  const short = (entry: ShownEntry) => s(entry.endS) - s(entry.startS) < 15;
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<figure class="ribbon" aria-label="The day at a glance" tabindex="0" bind:clientWidth={width}>
  <svg width={wide} height={high} viewBox="0 0 {wide} {high}" aria-hidden="true">
    <defs>
      <pattern id="day-change" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="5" height="5" fill="var(--raised)" /><line
          x1="0"
          y1="0"
          x2="0"
          y2="5"
          stroke="var(--soft)"
          stroke-width="1.6"
        />
      </pattern>
    </defs>
    <rect x={LEFT} y={SKY.top} width={wide - 2 * LEFT} height={SKY.high} rx="8" fill="var(--sun)" />
    {#each sun.slice(0, -1) as { atMin, altitudeDeg } (atMin)}
      <rect
        x={x(atMin)}
        y={SKY.top}
        width={x(atMin + 5) - x(atMin) + 0.6}
        height={SKY.high}
        fill={SKY_COLOURS[lightAt(altitudeDeg)]}
      />
    {/each}
    {#each (day.weather ?? []).filter(({ hour }) => hour * 60 >= from && hour * 60 < to) as { hour, cloudShare, rainMmph } (hour)}
      <rect class="cloud" x={x(hour * 60)} y={SKY.top} width={x(60) - x(0)} height={18 * cloudShare} />
      {#if rainMmph > 0}
        {#each [0.2, 0.5, 0.8] as share (share)}
          <line
            class="rain"
            x1={x(hour * 60 + share * 60)}
            x2={x(hour * 60 + share * 60) - 4}
            y1={SKY.top + 19}
            y2={SKY.top + 30}
          />
        {/each}
      {/if}
    {/each}
    {#if gusts.length > 1}<path class="gusts" d={gustArea} />
      {#if strongest.gustMps > 0}<text
          class="on-sky"
          x={x(strongest.atMin)}
          y={blown(strongest.gustMps) - 4}
          text-anchor="middle">gusts {saySpeed(strongest.gustMps, preferences.units)}</text
        >{/if}{/if}
    <path class="sun" d={sunLine} />
    {#each [{ atMin: day.riseMin, name: 'sunrise' }, { atMin: day.setMin, name: 'sunset' }] as { atMin, name } (name)}
      {#if atMin !== null}<circle class="edge" cx={x(atMin)} cy={height(0)} r="4.5" />
        <text
          class="on-sky"
          x={x(atMin) + (name === 'sunset' ? -8 : 8)}
          y={height(0) - 6}
          text-anchor={name === 'sunset' ? 'end' : 'start'}>{name} {sayClock(atMin)}</text
        >{/if}
    {/each}
    {#each hours as atMin (atMin)}
      <line class="hour" x1={x(atMin)} x2={x(atMin)} y1={SKY.top} y2={WORK.top + WORK.high} />
      {#if (atMin - from) % (wide / hours.length < 38 ? 120 : 60) === 0}<text
          class="when"
          x={x(atMin)}
          y="13"
          text-anchor="middle">{sayClock(atMin)}</text
        >{/if}
    {/each}
    {#each day.plan.breaks as { id, name, startS, forS } (id)}
      <rect class="rest" x={s(startS)} y={WORK.top} width={s(startS + forS) - s(startS)} height={WORK.high} rx="6" />
      <text class="resting" x={s(startS + forS / 2)} y={WORK.top + WORK.high / 2 + 4} text-anchor="middle"
        >{s(forS) - s(0) > name.length * 6.2 + 8 ? name : s(forS) - s(0) > 40 ? 'break' : ''}</text
      >
    {/each}
    {#each day.plan.entries as entry (entry.shotId)}
      {@const ready = entry.startS + entry.changeS}
      <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
      <g class="shot" class:chosen={entry.shotId === chosenId} onclick={() => onchoose(entry.shotId)}>
        <rect
          class="all"
          x={s(entry.startS)}
          y={WORK.top}
          width={Math.max(2, s(entry.endS) - s(entry.startS))}
          height={WORK.high}
          rx="3"
        />
        <rect
          fill="url(#day-change)"
          x={s(entry.startS)}
          y={WORK.top + 20}
          width={s(ready) - s(entry.startS)}
          height={WORK.high - 20}
        />
        <rect
          class="setup"
          x={s(ready)}
          y={WORK.top + 20}
          width={s(ready + entry.setUpS) - s(ready)}
          height={WORK.high - 20}
        />
        {#if entry.waitS > 60}<line
            class="wait"
            x1={s(ready + entry.setUpS)}
            x2={s(entry.takesFromS)}
            y1={WORK.top + 35}
            y2={WORK.top + 35}
          />{/if}
        <rect
          class="takes"
          x={s(entry.takesFromS)}
          y={WORK.top + 20}
          width={Math.max(2, s(entry.endS) - s(entry.takesFromS))}
          height={WORK.high - 20}
        />
        {#if !short(entry)}<text
            x={(s(Math.max(entry.startS, entry.takesFromS - 900)) + s(entry.endS)) / 2}
            y={WORK.top + 15}
            text-anchor="middle">{entry.number}</text
          >{/if}
      </g>
    {/each}
    {#each runs as { name, fromS, toS } (fromS)}
      <line class="run" x1={s(fromS) + 1} x2={s(toS) - 1} y1={WORK.top + WORK.high + 4} y2={WORK.top + WORK.high + 4} />
      {#if s(toS) - s(fromS) > 46}
        <foreignObject x={s(fromS)} y={RUNS_Y - 13} width={s(toS) - s(fromS)} height="16"
          ><span class="named">{name}</span></foreignObject
        >
      {/if}
    {/each}
    {#each kinds as { forId, name }, i (forId)}
      {@const y = POWER_Y + i * POWER_HIGH}
      <line class="store" x1={LEFT} x2={wide - LEFT} y1={y + 17} y2={y + 17} />
      {#each day.plan.power.filter((row) => row.forId === forId) as { fromS, toS, what }, k (k)}
        <rect class={what} x={s(fromS)} y={y + 13} width={Math.max(2, s(toS) - s(fromS))} height="8" rx="2" />
      {/each}
      <text class="battery" x={LEFT} y={y + 9}>{name}</text>
    {/each}
    {#if nowMin !== null && nowMin >= from && nowMin <= to}
      <line class="now" x1={x(nowMin)} x2={x(nowMin)} y1={SKY.top - 4} y2={high} />
      <text class="now-words" x={x(nowMin) + 4} y={SKY.top + 12}>now</text>
    {/if}
  </svg>
  <figcaption>
    <span><i class="change"></i> changing</span><span><i class="set"></i> setting up</span><span
      ><i class="take"></i> takes</span
    >
    {#if kinds.length > 0}<span><i class="use"></i> on a battery</span><span><i class="load"></i> charging</span>{/if}
  </figcaption>
</figure>

<style>
  .ribbon {
    overflow-x: auto;
    overflow-y: hidden;
  }
  svg {
    display: block;
    font-size: 12px;
  }
  text {
    fill: var(--ink);
  }
  .when,
  .battery {
    fill: var(--soft);
  }
  .battery {
    font-size: 11px;
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 4px;
  }
  .on-sky {
    fill: #1e2a2c;
    paint-order: stroke;
    stroke: rgb(255 250 235 / 0.75);
    stroke-width: 3px;
    font-size: 11px;
  }
  .cloud {
    fill: #7d8a90;
    opacity: 0.55;
  }
  .rain {
    stroke: #2f5f8a;
    stroke-width: 1.6;
  }
  .gusts {
    fill: #4f7396;
    opacity: 0.3;
  }
  .sun {
    fill: none;
    stroke: #b4531f;
    stroke-width: 2;
  }
  .edge {
    fill: #fffdf8;
    stroke: #b4531f;
    stroke-width: 2.5;
  }
  .hour {
    stroke: var(--hairline);
    stroke-width: 1;
    opacity: 0.55;
  }
  .rest {
    fill: none;
    stroke: var(--soft);
    stroke-dasharray: 3 3;
  }
  .resting {
    fill: var(--soft);
    font-size: 11px;
  }
  .shot {
    cursor: pointer;
  }
  .shot .all {
    fill: var(--raised);
    stroke: var(--hairline);
  }
  .shot.chosen .all {
    fill: color-mix(in srgb, var(--near) 24%, var(--raised));
    stroke: var(--near);
    stroke-width: 2;
  }
  .shot text {
    font-weight: 650;
    pointer-events: none;
  }
  .setup {
    fill: color-mix(in srgb, var(--subject) 28%, var(--raised));
  }
  .takes {
    fill: var(--subject);
  }
  .wait {
    stroke: var(--soft);
    stroke-width: 2;
    stroke-dasharray: 2 4;
  }
  .run {
    stroke: var(--soft);
    stroke-width: 1.5;
  }
  .named {
    display: block;
    overflow: hidden;
    color: var(--soft);
    font-size: 11px;
    line-height: 16px;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .store {
    stroke: var(--hairline);
  }
  .used {
    fill: var(--subject);
  }
  .charged {
    fill: color-mix(in srgb, var(--near) 45%, var(--paper));
    stroke: var(--near);
    stroke-width: 0.8;
  }
  .now {
    stroke: var(--near);
    stroke-width: 2.5;
  }
  .now-words {
    fill: var(--near);
    font-weight: 700;
  }
  figcaption {
    position: sticky;
    left: 0;
    display: flex;
    flex-wrap: wrap;
    gap: 0 0.9rem;
    color: var(--soft);
    font-size: 0.82rem;
  }
  i {
    display: inline-block;
    width: 0.9rem;
    height: 0.55rem;
    margin-right: 0.15rem;
    border-radius: 2px;
  }
  .change {
    background: repeating-linear-gradient(45deg, var(--soft) 0 1.5px, var(--raised) 1.5px 4px);
  }
  .set {
    background: color-mix(in srgb, var(--subject) 28%, var(--raised));
  }
  .take,
  .use {
    background: var(--subject);
  }
  .use {
    height: 0.3rem;
  }
  .load {
    height: 0.3rem;
    background: color-mix(in srgb, var(--near) 45%, var(--paper));
    box-shadow: inset 0 0 0 1px var(--near);
  }
</style>
