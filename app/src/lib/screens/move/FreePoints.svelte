<script lang="ts">
  import { FIELDS, type FreePoint, MOST_PATH_POINTS, type MoveOf } from '@gentle-arc/core/model';
  import Hole from '$lib/ui/Hole.svelte';
  import { CloseOutline } from 'flowbite-svelte-icons';

  /**
   * The points of a drawn path: how high the lens is at each, and where it looks there. They are dragged on the plan.
   */
  interface Props {
    move: MoveOf<'free'>;
    drawing: boolean;
    ondraw: () => void;
    onchange: (move: MoveOf<'free'>, join: string | null) => void;
  }
  let { move, drawing, ondraw, onchange }: Props = $props();

  const ANGLES = [
    { key: 'panDeg', name: 'Pan' },
    { key: 'tiltDeg', name: 'Tilt' },
    { key: 'rollDeg', name: 'Roll' },
  ] as const;
  const put = (points: FreePoint[], join: string | null = null) => onchange({ ...move, points }, join);
  const edit = (index: number, change: Partial<FreePoint>, join: string | null = null) =>
    put(
      move.points.map((point, i) => (i === index ? { ...point, ...change } : point)),
      join,
    );
  const cm = (m: number) => Math.round(m * 100) / 100;

  /** One more, as far on as the last piece goes. */
  function add() {
    const [before, last] = move.points.slice(-2);
    put([
      ...move.points,
      {
        eastM: cm(2 * last.eastM - before.eastM),
        northM: cm(2 * last.northM - before.northM),
        heightM: last.heightM,
        look: null,
      },
    ]);
  }

  /** A key of its own starts by looking at the pivot, level. */
  function key(index: number) {
    const point = move.points[index];
    const panDeg = Math.round((Math.atan2(-point.eastM, -point.northM) * 180) / Math.PI);
    edit(index, { look: point.look ? null : { panDeg, tiltDeg: 0, rollDeg: 0 } });
  }
</script>

<ol class="points" aria-label="Points of the drawn path">
  {#each move.points as point, i (i)}
    <li>
      <span class="w-10 text-soft">{i === 0 ? 'start' : i === move.points.length - 1 ? 'end' : i + 1}</span>
      <Hole
        fact={FIELDS.pathPoint.heightM}
        value={point.heightM}
        label="Lens height at point {i + 1}"
        onchange={(heightM: number) => edit(i, { heightM }, `point.${i}.height`)}
      /> high,
      <button class="link" aria-pressed={point.look !== null} onclick={() => key(i)}
        >{point.look ? 'looks to' : 'looks as the shot aims'}</button
      >
      {#if point.look}
        {@const look = point.look}
        {#each ANGLES as { key, name }, k (key)}
          {k > 0 ? `, ${name.toLowerCase()}` : ''}
          <Hole
            fact={FIELDS.look[key]}
            value={look[key]}
            label="{name} at point {i + 1}"
            onchange={(deg: number) => edit(i, { look: { ...look, [key]: deg } }, `point.${i}.${key}`)}
          />
        {/each}
      {/if}
      {#if move.points.length > 2}
        <button
          class="quiet-button !min-h-0 !min-w-0 !p-1"
          onclick={() => put(move.points.filter((_, k) => k !== i))}
          aria-label="Delete point {i + 1}"><CloseOutline class="h-3.5 w-3.5" /></button
        >
      {/if}
    </li>
  {/each}
</ol>
{#if move.points.length < MOST_PATH_POINTS}
  <button class="link" aria-pressed={drawing} onclick={ondraw}
    >{drawing ? 'The path is done' : 'Draw on the plan'}</button
  >
  <button class="link" onclick={add}>Add a point</button>
  {#if drawing}<p class="text-sm text-soft" role="status">
      Press on the plan where the camera goes next; drag a point to move it.
    </p>{/if}
{/if}

<style>
  .points li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.3rem;
    font-size: 0.95rem;
  }
</style>
