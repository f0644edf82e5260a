<script lang="ts">
  import { dragHandleZone, type DndEvent, TRIGGERS } from 'svelte-dnd-action';
  import { renameScene } from '@gentle-arc/core/edit';
  import type { Shot } from '@gentle-arc/core/model';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import type { ShotFrames } from '$lib/views/frames/shot-frames.svelte';
  import type { LiveBoard } from '$lib/workers/live-board.svelte';
  import BoardRow from './BoardRow.svelte';
  import JoinLine from './JoinLine.svelte';

  /** The shots in the order of the story, scene by scene, with their joins between them. */
  interface Props {
    store: ShootStore;
    live: LiveBoard;
    frames: ShotFrames;
    chosenIds: readonly string[];
    /** The first of the two shots whose join is looked at. */
    joinId: string | null;
    onchoose: (id: string, also: boolean) => void;
    onjoin: (shot: Shot) => void;
    onlay: () => void;
  }
  let { store, live, frames, chosenIds, joinId, onchoose, onjoin, onlay }: Props = $props();

  const { shoot } = $derived(store);
  const { story } = $derived(live);
  /** The order while a row is being dragged; the shoot's own order otherwise. */
  let dragged: Shot[] | null = $state.raw(null);
  const rows = $derived(dragged ?? shoot.shots);
  const told = $derived(new Map((story?.board ?? []).map((row) => [row.shotId, row])));
  const joins = $derived(new Map((story?.joins ?? []).map((row) => [`${row.fromId} ${row.toId}`, row])));

  function drop(shots: Shot[]) {
    dragged = null;
    if (shots.some((shot, i) => shot.id !== shoot.shots[i]?.id)) store.change({ ...shoot, shots });
  }
  /** Where a scene begins: a name that the shot before does not have. */
  const beginsScene = (i: number) => rows[i].sceneName !== '' && rows[i].sceneName !== (rows[i - 1]?.sceneName ?? '');
</script>

{#if rows.length === 0}
  <p class="mt-6 text-soft">
    No shots yet. Add the first: you will see it through the lens at once. Or let a set be laid out, under
    <button class="link" onclick={onlay}>Lay out</button>.
  </p>
{/if}
<ol
  aria-label="Shots in order"
  use:dragHandleZone={{ items: rows, flipDurationMs: 120, dropTargetStyle: {} }}
  onconsider={(event: CustomEvent<DndEvent<Shot>>) =>
    (dragged = event.detail.info.trigger === TRIGGERS.DRAG_STOPPED ? null : event.detail.items)}
  onfinalize={(event: CustomEvent<{ items: Shot[] }>) => drop(event.detail.items)}
>
  {#each rows as shot, i (shot.id)}
    {@const next = rows[i + 1]}
    <li data-number={i + 1}>
      {#if beginsScene(i)}
        <TextField
          class="scene-name"
          label="Scene that begins with shot {i + 1}"
          most={60}
          blank
          value={shot.sceneName}
          onchange={(name) => store.change(renameScene(shoot, i, name))}
        />
      {/if}
      <BoardRow
        {shoot}
        {shot}
        number={i + 1}
        told={told.get(shot.id) ?? null}
        grade={live.grades.get(shot.id) ?? null}
        {frames}
        chosen={chosenIds.includes(shot.id)}
        onchoose={(also) => onchoose(shot.id, also)}
      />
      {#if next && !dragged}
        <JoinLine
          {shot}
          nextName={next.name}
          join={joins.get(`${shot.id} ${next.id}`) ?? null}
          open={joinId === shot.id}
          onopen={() => onjoin(shot)}
        />
      {/if}
    </li>
  {/each}
</ol>

<style>
  li {
    background: var(--paper);
    content-visibility: auto;
    contain-intrinsic-size: auto 140px;
  }
  li :global(.scene-name) {
    width: 100%;
    margin: 0.7rem 0 0.2rem;
    padding: 0.1rem 0.4rem;
    border: 0;
    border-bottom: 2px solid var(--subject);
    background: transparent;
    color: inherit;
    font-family: var(--font-display);
    font-size: 1.15rem;
  }
  .link {
    color: var(--subject);
    text-decoration: underline;
    cursor: pointer;
  }
</style>
