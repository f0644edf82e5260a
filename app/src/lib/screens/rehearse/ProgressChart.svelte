<script lang="ts">
  import { scaleLinear, scaleTime } from 'd3-scale';
  import { line } from 'd3-shape';
  import { passOf, type SkillProgress } from '@gentle-arc/core/rehearse';

  /** How each skill came along over the days: the middle try of a day, its best, and where it is passed. */
  let {
    progress,
    chosen,
    onchoose,
  }: { progress: readonly SkillProgress[]; chosen: string | null; onchoose: (id: SkillProgress['exercise']) => void } =
    $props();

  let width = $state(700);
  const LEFT = $derived(width < 560 ? 158 : 282);
  const LANE = $derived(width < 560 ? 62 : 50);
  const days = $derived(progress.flatMap((row) => row.days.map(({ day }) => Date.parse(day))));
  const DAY_MS = 86_400_000;
  const span = $derived(
    days.length === 0
      ? [Date.now() - DAY_MS, Date.now() + DAY_MS]
      : [Math.min(...days) - DAY_MS / 2, Math.max(...days) + DAY_MS / 2],
  );
  const x = $derived(scaleTime(span, [LEFT + 14, Math.max(LEFT + 60, width - 58)]));
  const y = $derived(scaleLinear([0, 100], [LANE - 6, 5]));
  const ticks = $derived(
    [...new Set(days)].sort((a, b) => a - b).filter((_, i, all) => i % Math.ceil(all.length / 7) === 0),
  );
  const dayWords = (ms: number) => new Date(ms).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' });
</script>

<div bind:clientWidth={width}>
  <svg {width} height={progress.length * LANE + 26} role="group" aria-label="Progress by skill over days">
    {#each progress as row, k (row.exercise)}
      <g transform="translate(0 {k * LANE})">
        {#if chosen === row.exercise}<rect x="0" y="1" {width} height={LANE - 2} class="chosen" />{/if}
        <line x1={LEFT} x2={width - 58} y1={y(passOf(row.exercise))} y2={y(passOf(row.exercise))} class="pass" />
        <line x1={LEFT} x2={width - 58} y1={LANE} y2={LANE} class="border" />
        <path
          d={line<SkillProgress['days'][number]>(
            ({ day }) => x(Date.parse(day)),
            ({ middle }) => y(middle),
          )(row.days) ?? ''}
          class="middle"
        />
        {#each row.days as { day, middle, best, tries } (day)}
          <line x1={x(Date.parse(day))} x2={x(Date.parse(day))} y1={y(middle)} y2={y(best)} class="spread" />
          <circle cx={x(Date.parse(day))} cy={y(best)} r="4.5" class="best" class:passed={best >= passOf(row.exercise)}
            ><title>{dayWords(Date.parse(day))}: {tries} {tries === 1 ? 'try' : 'tries'}, best {Math.round(best)}</title
            ></circle
          >
        {/each}
        <text x={width - 50} y={LANE / 2 + 5} class="score">{row.best === null ? '' : Math.round(row.best)}</text>
        {#if row.passed}<path d="M{width - 18} {LANE / 2 + 1} l5 5 l9 -11" class="tick" />{/if}
        <foreignObject x="0" y="3" width={LEFT - 8} height={LANE - 6}>
          <button class="skill" aria-pressed={chosen === row.exercise} onclick={() => onchoose(row.exercise)}
            ><b>{row.title}</b><span class="text-soft"
              >{row.tries === 0 ? 'not tried' : `${row.tries} ${row.tries === 1 ? 'try' : 'tries'}`}{row.passed
                ? ', passed'
                : ''}</span
            ></button
          >
        </foreignObject>
      </g>
    {/each}
    {#each ticks as ms (ms)}<text x={x(ms)} y={progress.length * LANE + 18} class="day">{dayWords(ms)}</text>{/each}
  </svg>
</div>

<style>
  .chosen {
    fill: var(--sun);
  }
  .pass {
    stroke: var(--far);
    stroke-dasharray: 3 4;
  }
  .border {
    stroke: var(--hairline);
  }
  .middle {
    fill: none;
    stroke: var(--subject);
    stroke-width: 2;
  }
  .spread {
    stroke: var(--subject);
    opacity: 0.5;
  }
  .best {
    fill: var(--paper);
    stroke: var(--subject);
    stroke-width: 2;
  }
  .best.passed {
    fill: var(--subject);
  }
  .tick {
    fill: none;
    stroke: var(--subject);
    stroke-width: 3;
    stroke-linecap: round;
  }
  text {
    font-size: 12px;
    fill: var(--soft);
  }
  .score {
    font-size: 15px;
    font-weight: 650;
    fill: var(--ink);
  }
  .day {
    text-anchor: middle;
  }
  .skill {
    display: block;
    width: 100%;
    height: 100%;
    text-align: left;
    line-height: 1.15;
    cursor: pointer;
    border-radius: 6px;
    padding: 0 0.3rem;
  }
  .skill b {
    display: block;
    font-weight: 600;
    font-size: 0.92rem;
  }
  .skill span {
    font-size: 0.8rem;
  }
</style>
