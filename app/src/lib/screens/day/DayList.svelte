<script lang="ts">
  import { DotsVerticalOutline } from 'flowbite-svelte-icons';
  import { dragHandle, dragHandleZone, type DndEvent, TRIGGERS } from 'svelte-dnd-action';
  import { changeDay, changeWish } from '@gentle-arc/core/edit';
  import { sayClock, sayMinutes, wishOf } from '@gentle-arc/core/model';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import type { ShownDay, ShownEntry } from '$lib/workers/day-messages';

  /** The shots in the order in which they are shot; what does not fit; what is done, dropped or left for another day. */
  interface Props {
    store: ShootStore;
    day: ShownDay;
    /** The day is worked out of the shoot as it is now. */
    fresh: boolean;
    chosenId: string | null;
    onchoose: (id: string) => void;
    onfit: () => void;
  }
  let { store, day, fresh, chosenId, onchoose, onfit }: Props = $props();

  const { shoot } = $derived(store);
  type Row = ShownEntry & { id: string };
  const planned = $derived(day.plan.entries.map((entry): Row => ({ ...entry, id: entry.shotId })));
  let dragged: Row[] | null = $state.raw(null);
  /** Until the times are known anew the shots stand in the order that was told. */
  const told = $derived(new Map(shoot.day.order.map((id, i) => [id, i])));
  const placed = (row: Row) => told.get(row.id) ?? Infinity;
  const settled = $derived(fresh ? planned : [...planned].sort((a, b) => placed(a) - placed(b)));
  const rows = $derived(dragged ?? settled);
  const restBefore = $derived(
    new Map(
      day.plan.breaks.map((rest) => [
        planned.find(({ startS }) => startS >= rest.startS + rest.forS - 1)?.id ?? '',
        rest,
      ]),
    ),
  );
  const stateOf = (id: string) => wishOf(shoot.day, id);
  const numbered = $derived(shoot.shots.map((shot, i) => ({ shot, number: i + 1, wish: stateOf(shot.id) })));
  const done = $derived(
    numbered.filter(({ wish }) => wish.state === 'done').sort((a, b) => (a.wish.doneMin ?? 0) - (b.wish.doneMin ?? 0)),
  );
  const dropped = $derived(numbered.filter(({ wish }) => wish.planned && wish.state === 'dropped'));
  const other = $derived(numbered.filter(({ wish }) => !wish.planned && wish.state !== 'done'));

  function drop(next: Row[]) {
    dragged = null;
    const ids = next.map(({ id }) => id);
    if (ids.every((id, i) => id === settled[i]?.id)) return;
    store.change(changeDay(shoot, { order: [...ids, ...day.plan.cannot.map(({ shotId }) => shotId)] }));
  }
  const parts = (entry: ShownEntry) =>
    [
      entry.changeS >= 30 ? `change ${sayMinutes(entry.changeS)}` : '',
      `set up ${sayMinutes(entry.setUpS)}`,
      entry.waitS > 60 ? `wait ${sayMinutes(entry.waitS)}` : '',
      `${entry.tries} ${entry.tries === 1 ? 'try' : 'tries'} ${sayMinutes(entry.takesS)}`,
    ]
      .filter((part) => part !== '')
      .join(' · ');
  const bring = (id: string) => store.change(changeWish(shoot, id, { planned: true, state: 'open', doneMin: null }));
</script>

{#if shoot.shots.length === 0}
  <p class="mt-6 text-soft">There are no shots yet: what is shot when is worked out from them. Add some under Shots.</p>
{:else if rows.length === 0 && day.plan.cannot.length === 0 && done.length === 0}
  <p class="mt-6 text-soft">No shot is in this day. Put some of those below into it.</p>
{/if}
{#if done.length > 0}
  <h2>Done</h2>
  <ul>
    {#each done as { shot, number, wish } (shot.id)}
      <li class="small">
        <span class="time">{wish.doneMin === null ? '' : sayClock(wish.doneMin)}</span>
        <button class="link" onclick={() => onchoose(shot.id)}>{number} {shot.name}</button>
        <button class="link" onclick={() => bring(shot.id)} aria-label="Not done yet: {shot.name}">Not done yet</button>
      </li>
    {/each}
  </ul>
{/if}
<ol
  aria-label="Shots in the order of the day"
  use:dragHandleZone={{ items: rows, flipDurationMs: 120, dropTargetStyle: {} }}
  onconsider={(event: CustomEvent<DndEvent<Row>>) =>
    (dragged = event.detail.info.trigger === TRIGGERS.DRAG_STOPPED ? null : event.detail.items)}
  onfinalize={(event: CustomEvent<{ items: Row[] }>) => drop(event.detail.items)}
>
  {#each rows as entry (entry.id)}
    {@const rest = dragged ? undefined : restBefore.get(entry.id)}
    <li data-number={entry.number}>
      {#if rest}<p class="rest">
          <span class="time">{sayClock(rest.startS / 60)}</span>{rest.name}, {sayMinutes(rest.forS)}
        </p>{/if}
      <div class="row" class:chosen={entry.id === chosenId}>
        <span class="handle" use:dragHandle aria-label="Move {entry.name}" title="Drag to another time"
          ><DotsVerticalOutline class="h-5 w-5" /></span
        >
        <button class="open" aria-pressed={entry.id === chosenId} onclick={() => onchoose(entry.id)}>
          <span class="time">{sayClock(entry.startS / 60)}</span>
          <span class="what">
            <span class="name"><span class="number">{entry.number}</span> <b>{entry.name}</b></span>
            <span class="gear">{entry.work.rigName} · {entry.work.lensName}, {entry.work.focalLengthMm} mm</span>
            <span class="parts">{parts(entry)}</span>
            {#if entry.reasons.length > 0}<span class="why">{entry.reasons.slice(0, 2).join(' ')}</span>{/if}
            {#if entry.notes.length > 0}<span class="note">{entry.notes.join(' ')}</span>{/if}
          </span>
        </button>
      </div>
    </li>
  {/each}
</ol>
{#if day.plan.cannot.length > 0}
  <h2 class="near">Does not fit</h2>
  <ul>
    {#each day.plan.cannot as { shotId, number, name, why } (shotId)}
      <li class="cannot">
        <button class="link" onclick={() => onchoose(shotId)}>{number} {name}</button>
        <span>{why}</span>
      </li>
    {/each}
  </ul>
  <p><button class="link" onclick={onfit}>What would make it fit</button></p>
{/if}
{#if dropped.length > 0}
  <h2>Dropped</h2>
  <ul>
    {#each dropped as { shot, number } (shot.id)}
      <li class="small">
        <span>{number} {shot.name}</span>
        <button class="link" onclick={() => bring(shot.id)} aria-label="Take it up again: {shot.name}"
          >Take it up again</button
        >
      </li>
    {/each}
  </ul>
{/if}
{#if other.length > 0}
  <details>
    <summary>{other.length} left for another day</summary>
    <ul>
      {#each other as { shot, number } (shot.id)}
        <li class="small">
          <span>{number} {shot.name}</span>
          <button class="link" onclick={() => bring(shot.id)} aria-label="Shoot it on this day: {shot.name}"
            >Shoot it on this day</button
          >
        </li>
      {/each}
    </ul>
  </details>
{/if}

<style>
  h2 {
    margin-top: 0.8rem;
    font-weight: 650;
  }
  .near {
    color: var(--near);
  }
  ol {
    margin-top: 0.4rem;
  }
  ol li {
    background: var(--paper);
    border-top: 1px solid var(--hairline);
  }
  .row {
    display: flex;
    align-items: flex-start;
    border-radius: 8px;
  }
  .row.chosen {
    background: color-mix(in srgb, var(--subject) 12%, var(--paper));
  }
  .handle {
    flex: none;
    width: 1.6rem;
    padding-top: 0.45rem;
    padding-bottom: 0.3rem;
    color: var(--soft);
    cursor: grab;
  }
  .open {
    flex: 1;
    min-width: 0;
    display: flex;
    gap: 0.7rem;
    padding: 0.35rem 0.3rem;
    border-radius: 8px;
    text-align: left;
    cursor: pointer;
  }
  .open:hover {
    background: color-mix(in srgb, var(--subject) 7%, transparent);
  }
  .time {
    flex: none;
    width: 3.6rem;
    font-variant-numeric: tabular-nums;
    font-weight: 650;
    text-align: right;
  }
  .what {
    flex: 1;
    min-width: 0;
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 1rem;
  }
  .name b {
    font-weight: 650;
  }
  .number {
    color: var(--soft);
  }
  .parts,
  .gear {
    color: var(--soft);
    font-size: 0.93rem;
  }
  .gear {
    text-align: right;
  }
  .parts,
  .why,
  .note {
    grid-column: 1 / -1;
    font-size: 0.93rem;
  }
  .note {
    color: var(--near);
  }
  .rest {
    display: flex;
    gap: 0.7rem;
    padding: 0.35rem 0.3rem 0.35rem 1.55rem;
    border-bottom: 1px dashed var(--soft);
    color: var(--soft);
  }
  .small,
  .cannot {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 0 0.7rem;
    padding: 0.15rem 0;
  }
  .cannot {
    border-left: 4px solid var(--near);
    padding-left: 0.6rem;
  }
  summary {
    min-height: 1.75rem;
    margin-top: 0.8rem;
    color: var(--soft);
    cursor: pointer;
  }
  details {
    margin-bottom: 1rem;
  }
  @media (max-width: 799px) {
    .what {
      grid-template-columns: minmax(0, 1fr);
    }
    .gear {
      text-align: left;
    }
    .name {
      font-size: 1.1rem;
    }
    .time {
      width: 3rem;
    }
  }
  @media (pointer: coarse) {
    summary {
      min-height: 2.75rem;
    }
  }
</style>
