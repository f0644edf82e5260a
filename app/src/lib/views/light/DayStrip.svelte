<script lang="ts">
  import { clockAt, type LightWindow } from '@gentle-arc/core/light';
  import type { SitePlace } from '@gentle-arc/core/model';
  import { SKY_COLOURS } from './sky-colours';

  /** A day as a strip of its light, midnight to midnight by the clock of the place; a press or an arrow key sets the time. */
  interface Props {
    place: SitePlace;
    day: { windows: LightWindow[]; noon: Date };
    at: Date;
    onpick: (time: string) => void;
  }
  let { place, day, at, onpick }: Props = $props();

  const DAY_MS = 86_400_000;
  const startMs = $derived(day.windows[0].start.getTime());
  const share = (moment: Date) => (moment.getTime() - startMs) / DAY_MS;
  const time = (moment: Date) => clockAt(place, moment).time;
  const lows = $derived(day.windows.filter(({ name }) => name === 'low sun'));
  const pick = (to: number) => onpick(time(new Date(startMs + Math.min(0.9993, Math.max(0, to)) * DAY_MS)));

  function press(event: MouseEvent & { currentTarget: HTMLElement }) {
    const box = event.currentTarget.getBoundingClientRect();
    // To five minutes: nobody points finer.
    pick(Math.round(((event.clientX - box.left) / box.width) * 288) / 288);
  }
  function key(event: KeyboardEvent) {
    const minutes = { ArrowLeft: -5, ArrowRight: 5, PageDown: -60, PageUp: 60 }[event.key];
    if (minutes === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    pick(share(at) + minutes / 1440);
  }
</script>

<div
  class="day"
  role="slider"
  tabindex="0"
  aria-label="Time of day"
  aria-valuemin={0}
  aria-valuemax={1439}
  aria-valuenow={Math.round(share(at) * 1440)}
  aria-valuetext={time(at)}
  onclick={press}
  onkeydown={key}
>
  {#each day.windows as { name, start, end } (start.getTime())}
    <span
      title="{name}, {time(start)} to {time(end)}"
      style="left: {share(start) * 100}%; width: {(share(end) - share(start)) * 100}%; background: {SKY_COLOURS[name]}"
    ></span>
  {/each}
  <i style="left: {share(at) * 100}%"></i>
</div>
<p class="hours" aria-hidden="true">
  {#each [0, 6, 12, 18, 24] as hour (hour)}<span>{hour}</span>{/each}
</p>
<p class="text-sm">
  {#each lows as { start, end }, i (start.getTime())}{i > 0 ? '; ' : 'Low sun '}{time(start)}–{time(
      end,
    )}{/each}{lows.length > 0 ? '. ' : ''}Highest at {time(day.noon)}.
</p>

<style>
  .day {
    position: relative;
    height: 1.6rem;
    margin-top: 0.4rem;
    border-radius: 6px;
    overflow: hidden;
    cursor: pointer;
  }
  .day span,
  i {
    position: absolute;
    inset-block: 0;
  }
  i {
    width: 3px;
    margin-left: -1px;
    background: var(--near);
    box-shadow: 0 0 0 1.5px var(--paper);
  }
  .hours {
    display: flex;
    justify-content: space-between;
    font-size: 0.8rem;
    color: var(--soft);
  }
  @media (pointer: coarse) {
    .day {
      height: 2.75rem;
    }
  }
</style>
