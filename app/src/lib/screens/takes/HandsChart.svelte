<script lang="ts">
  import { scaleLinear, scaleTime } from 'd3-scale';
  import { line } from 'd3-shape';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import Trouble from '$lib/ui/Trouble.svelte';
  import type { LiveTake } from '$lib/workers/live-take.svelte';
  import { FIGURES, figuresOf, peopleRecorded } from './hands-figures';
  import { dayWords, offsetOf } from './words';

  /** How the hands of whoever had the rig came along, recording by recording. */
  let { store, live }: { store: ShootStore; live: LiveTake } = $props();

  const { shoot } = $derived(store);
  $effect(() => void live.hands.ask({ shoot }));
  const people = $derived(peopleRecorded(shoot));
  let width = $state(600);
  const LANE = 84;
  const LEFT = 120;
</script>

<h1 class="font-display text-2xl py-1">My hands</h1>
{#if live.hands.problem}<Trouble>{live.hands.problem}</Trouble>{/if}
{#if people.length === 0}
  <p class="said">
    Nothing of anybody’s hands was recorded yet. Record a few takes under Motion, with a phone fixed to the rig: steps,
    bob, sway and trembling are measured from them, and every later reading can go by them.
  </p>
{:else if !live.hands.answer}
  <p role="status">Measuring…</p>
{:else}
  {#each people as who (who)}
    {@const rows = figuresOf(shoot, live.hands.answer, who)}
    {#if rows.some((row) => FIGURES.some(({ key }) => row[key] !== null))}
      <h2>{who || 'Nobody has said who'}: {rows.length} {rows.length === 1 ? 'recording' : 'recordings'}</h2>
      <div bind:clientWidth={width}>
        <svg
          {width}
          height={FIGURES.length * LANE}
          role="img"
          aria-label="{who || 'Somebody'}: figures recording by recording"
        >
          {#each FIGURES as { key, name, say }, k (key)}
            {@const seen = rows.filter((row) => row[key] !== null)}
            {@const most = Math.max(1e-3, ...seen.map((row) => row[key] ?? 0)) * 1.15}
            {@const times = seen.map(({ at }) => Date.parse(at))}
            {@const x = scaleTime(
              [Math.min(...times) - 3.6e6, Math.max(...times) + 3.6e6],
              [LEFT, Math.max(LEFT + 40, width - 70)],
            )}
            {@const y = scaleLinear([0, most], [LANE - 22, 8])}
            <g transform="translate(0 {k * LANE})">
              <text x="0" y="26" class="name">{name}</text>
              {#if seen.length === 0}
                <text x={LEFT} y="26" class="soft">not told by what was recorded</text>
              {:else}
                <line x1={LEFT} x2={width - 70} y1={y(0)} y2={y(0)} class="ground" />
                <path
                  d={line<(typeof seen)[number]>(
                    ({ at }) => x(Date.parse(at)),
                    (row) => y(row[key] ?? 0),
                  )(seen) ?? ''}
                />
                {#each seen as row (row.at)}
                  <circle cx={x(Date.parse(row.at))} cy={y(row[key] ?? 0)} r="4.5"
                    ><title>{dayWords(row.at, offsetOf(shoot))}: {say(row[key] ?? 0)}</title></circle
                  >
                {/each}
                <text x={width - 62} y={y(seen[seen.length - 1][key] ?? 0) + 5} class="name"
                  >{say(seen[seen.length - 1][key] ?? 0)}</text
                >
                <text x={LEFT} y={LANE - 6} class="soft">{dayWords(seen[0].at, offsetOf(shoot))}</text>
                {#if seen.length > 1}<text x={width - 70} y={LANE - 6} class="soft end"
                    >{dayWords(seen[seen.length - 1].at, offsetOf(shoot))}</text
                  >{/if}
              {/if}
            </g>
          {/each}
        </svg>
      </div>
    {/if}
  {/each}
{/if}

<style>
  h2 {
    padding: 0.5rem 0;
    font-weight: 650;
  }
  .name {
    font-weight: 600;
    fill: var(--ink);
  }
  .soft {
    font-size: 12px;
    fill: var(--soft);
  }
  .end {
    text-anchor: end;
  }
  .ground {
    stroke: var(--hairline);
  }
  path {
    fill: none;
    stroke: var(--subject);
    stroke-width: 2;
  }
  circle {
    fill: var(--paper);
    stroke: var(--subject);
    stroke-width: 2.5;
  }
</style>
