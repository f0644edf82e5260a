<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import { extent } from 'd3-array';
  import { sayExactLength, trim } from '@gentle-arc/core/model';
  import type { Marks } from '@gentle-arc/core/rehearse';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';
  import { EDGE_WORDS, markTables } from './mark-tables';

  /** Marks that a person puts down, drawn where they go: on the rail, on the floor, on the head, on the ring, in the frame. */
  let { marks }: { marks: Marks } = $props();

  const session = shotSession();
  const { scene } = $derived(session);
  const units = $derived(preferences.units);
  let width = $state(700);

  const railX = $derived(
    scaleLinear([0, Math.max(0.01, ...marks.rail.map(({ placeM }) => placeM))], [26, Math.max(120, width - 26)]),
  );
  /** The ground from above, the way running to the right: where tape goes. */
  const floor = $derived.by(() => {
    const { xM, yM, count } = session.film.filmed;
    const last = count - 1;
    const [dx, dy] = [xM[last] - xM[0], yM[last] - yM[0]];
    const size = Math.hypot(dx, dy);
    const [ax, ay] = size > 0.05 ? [dx / size, dy / size] : [1, 0];
    const turned = (east: number, north: number) => [
      (east - xM[0]) * ax + (north - yM[0]) * ay,
      (north - yM[0]) * ax - (east - xM[0]) * ay,
    ];
    const points = Array.from({ length: 80 }, (_, i) => Math.round((i * last) / 79)).map((row) =>
      turned(xM[row], yM[row]),
    );
    const [from, to] = extent(points, ([along]) => along) as [number, number];
    const [right, left] = extent(points, ([, aside]) => aside) as [number, number];
    const per = Math.min((width - 170) / Math.max(0.5, to - from), 150 / Math.max(0.2, left - right));
    const HIGH = Math.max(96, (left - right) * per + 96);
    const at = ([along, aside]: number[]) => ({
      x: 40 + (along - from) * per,
      y: HIGH / 2 - (aside - (left + right) / 2) * per,
    });
    return {
      HIGH,
      line: points.map((point) => `${at(point).x.toFixed(1)},${at(point).y.toFixed(1)}`).join(' '),
      place: (east: number, north: number) => at(turned(east, north)),
    };
  });
  const tables = $derived(markTables(marks, units));
</script>

<div bind:clientWidth={width} class="marks">
  <h1 class="sr-only">Rehearse: marks of {scene.shot.name}</h1>
  {#if tables.length + marks.edges.length === 0}
    <p class="said">
      Nothing moves and nothing stands near the edges of the frame: this shot needs no marks but the tripod’s feet.
    </p>
  {/if}
  {#each tables as { name, title, head, numbers, rows } (name)}
    {@const isNumber = (column: number) => column >= numbers[0] && column <= numbers[1]}
    <section aria-label={name}>
      <h2>{title}</h2>
      {#if name === 'Rail'}
        <svg {width} height="118" role="img" aria-label="The rail with its marks">
          <rect x="14" y="58" width={width - 28} height="7" rx="3" class="rail" />
          {#each marks.rail as { placeM, readM, what, atS }, i (i)}
            <line
              x1={railX(placeM)}
              x2={railX(placeM)}
              y1={what === 'start' || what === 'end' ? 38 : 48}
              y2="76"
              class={what.replaceAll(' ', '-')}
            />
            {#if width > 620 || what !== 'on the way'}<text
                x={railX(placeM)}
                y={i % 2 === 0 ? 30 : 18}
                class={i === 0 ? 'first' : i === marks.rail.length - 1 ? 'last' : ''}
                >{sayExactLength(Math.round(readM * 1000) / 1000, units)}</text
              >
              <text
                x={railX(placeM)}
                y={i % 2 === 0 ? 92 : 106}
                class="time {i === 0 ? 'first' : i === marks.rail.length - 1 ? 'last' : ''}">{trim(atS, 1)} s</text
              >{/if}
          {/each}
        </svg>
      {:else if name === 'Floor'}
        <svg {width} height={floor.HIGH} role="img" aria-label="The way over the ground from above, with tape and feet">
          <polyline points={floor.line} class="way" />
          {#each marks.floor as { eastM, northM, what, said, steps, foot }, i (i)}
            {@const { x, y } = floor.place(eastM, northM)}
            <g transform="translate({x} {y})">
              <path d="M-8 -8 L8 8 M8 -8 L-8 8" class="tape {what.replaceAll(' ', '-')}" />
              {#if what !== 'on the way'}<text y={what === 'soon' ? 40 : -30} class={what === 'start' ? 'first' : ''}
                  >{said}</text
                >{/if}
              <text y={what === 'soon' ? 26 : -15} class="time {what === 'start' ? 'first' : ''}"
                >{steps} {steps === 1 ? 'step' : 'steps'}{foot ? `, ${foot}` : ''}</text
              >
            </g>
          {/each}
        </svg>
      {/if}
      <table>
        <thead>
          <tr
            >{#each head as word, k (word)}<th class:n={isNumber(k)}>{word}</th>{/each}</tr
          >
        </thead>
        <tbody>
          {#each rows as { cells, strong }, i (i)}
            <tr class:strong
              >{#each cells as cell, k (k)}<td class:n={isNumber(k)}>{cell}</td>{/each}</tr
            >
          {/each}
        </tbody>
      </table>
    </section>
  {/each}
  {#if marks.edges.length > 0}
    <section aria-label="Frame">
      <h2>In the frame</h2>
      {#each ['start', 'soon', 'end'] as const as when (when)}
        {@const rows = marks.edges.filter((row) => row.when === when)}
        {#if rows.length > 0}
          <div class="edges">
            <b>{EDGE_WORDS[when]}</b>
            <ul>
              {#each rows as { edge, sentence, trailing } (edge)}
                <li>
                  {sentence}{#if trailing}
                    <span class="text-soft">It can be seen coming.</span>{/if}
                </li>
              {/each}
            </ul>
          </div>
        {/if}
      {/each}
    </section>
  {/if}
  {#each marks.notes as note (note)}<p class="said text-soft">{note}</p>{/each}
</div>

<style>
  .marks {
    max-width: 62rem;
  }
  section {
    margin-bottom: 0.9rem;
  }
  h2 {
    font-family: var(--font-display);
    font-size: 1.25rem;
    margin: 0.2rem 0 0.3rem;
  }
  table {
    border-collapse: collapse;
    font-size: 0.95rem;
  }
  th {
    text-align: left;
    font-weight: 450;
    color: var(--soft);
  }
  th,
  td {
    padding: 0.16rem 1.1rem 0.16rem 0;
    border-bottom: 1px solid var(--hairline);
  }
  .n {
    text-align: right;
  }
  .strong td {
    font-weight: 650;
  }
  .rail {
    fill: var(--hairline);
  }
  line,
  .tape {
    stroke: var(--far);
    stroke-width: 2;
  }
  line.start,
  line.end,
  .tape.start,
  .tape.end {
    stroke: var(--subject);
    stroke-width: 4;
  }
  line.soon,
  .tape.soon,
  line.pause,
  .tape.pause,
  .tape.subject-pauses {
    stroke: var(--near);
    stroke-width: 3;
  }
  text {
    font-size: 12.5px;
    fill: var(--ink);
    text-anchor: middle;
  }
  text.first {
    text-anchor: start;
  }
  text.last {
    text-anchor: end;
  }
  text.time {
    fill: var(--soft);
  }
  .way {
    fill: none;
    stroke: var(--hairline);
    stroke-width: 9;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
  .edges {
    display: flex;
    gap: 1rem;
    padding: 0.2rem 0;
    border-bottom: 1px solid var(--hairline);
  }
  .edges b {
    flex: 0 0 9rem;
  }
  @media (max-width: 799px) {
    th,
    td {
      padding-right: 0.55rem;
    }
    .edges {
      flex-direction: column;
      gap: 0;
    }
    .edges b {
      flex: none;
    }
  }
</style>
