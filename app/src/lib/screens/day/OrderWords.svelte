<script lang="ts">
  import { untrack } from 'svelte';
  import { changeDay } from '@gentle-arc/core/edit';
  import { type DayChange, withDayChange } from '@gentle-arc/core/day';
  import {
    DAY_AIMS,
    type DayAim,
    optionWords,
    sayClock,
    sayLength,
    sayMinutes,
    type Shoot,
    trim,
  } from '@gentle-arc/core/model';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import type { Alternative, ShownDay, WayToFit } from '$lib/workers/day-messages';
  import type { Asked, LiveDay } from '$lib/workers/live-day.svelte';

  /** The order found by search, what it saves, what would make the rest fit, and other days beside it. */
  interface Props {
    store: ShootStore;
    live: LiveDay;
    asked: Asked;
    day: ShownDay | null;
    /** How often somebody has asked elsewhere what would make it fit. */
    fitAsked: number;
  }
  let { store, live, asked, day, fitAsked }: Props = $props();

  const { shoot } = $derived(store);
  let said: string[] = $state.raw([]);
  let ways = $state.raw<{ of: Shoot; rows: WayToFit[] } | null>(null);
  let others = $state.raw<{ of: Shoot; rows: Alternative[] } | null>(null);
  const aims = DAY_AIMS.options.map((value) => ({ value, name: optionWords(DAY_AIMS, value) }));
  const busy = $derived(live.progress !== null);
  /** What was worked out of another day than this says nothing any more. */
  const freshWays = $derived(ways?.of === shoot ? ways.rows : null);
  const freshOthers = $derived(others?.of.shots === shoot.shots && sameDay(others.of, shoot) ? others.rows : null);

  function sameDay(a: Shoot, b: Shoot): boolean {
    const plain = ({ day: row }: Shoot) => JSON.stringify({ ...row, order: null, aim: null, packed: null });
    return plain(a) === plain(b);
  }
  async function find() {
    const answer = await live.order(asked, shoot.day.aim, false);
    if (!answer) return;
    said = answer.changes.length > 0 ? answer.changes : ['No better order was found than the one that is there.'];
    store.change(changeDay(store.shoot, { order: answer.ids }));
  }
  async function tryWays() {
    const of = shoot;
    const rows = await live.ways(asked);
    ways = rows && { of, rows };
  }
  let fitTried = untrack(() => fitAsked);
  $effect(() => {
    if (fitAsked === fitTried) return;
    fitTried = fitAsked;
    untrack(() => void tryWays());
  });
  async function compare() {
    const of = shoot;
    const rows = await live.alternatives(asked);
    others = rows && rows.length > 0 ? { of, rows } : null;
  }
  function take(change: DayChange) {
    if (store.change(withDayChange(shoot, change))) said = [];
  }
  const takeOther = ({ aim, order }: Alternative) => store.change(changeDay(shoot, { aim, order }));
</script>

<section aria-label="Order" class="words word-pane">
  <p class="said">
    The day looks for <Choice
      label="Looks for"
      value={shoot.day.aim}
      items={aims}
      onchange={(aim) => store.change(changeDay(shoot, { aim: aim as DayAim }))}
    />.
  </p>
  {#if live.progress}
    <p role="status">
      {live.progress.what}:
      <progress aria-label={live.progress.what} value={live.progress.done} max={live.progress.of}></progress>
      <button class="quiet-button" onclick={() => live.callOff()}>Call it off</button>
    </p>
  {:else}
    <p><button class="main-button" disabled={!day} onclick={() => void find()}>Find the best order</button></p>
  {/if}
  {#if said.length > 0}
    <ul role="status">
      {#each said.slice(0, 6) as row (row)}<li>{row}</li>{/each}
      {#if said.length > 6}<li>And {said.length - 6} more.</li>{/if}
    </ul>
  {/if}
  {#if day}
    {#each day.notes as note (note)}<p class="text-sm">{note}</p>{/each}
    <p>{day.saved}</p>
    <p class="text-soft">
      {day.plan.rigChanges}
      {day.plan.rigChanges === 1 ? 'change' : 'changes'} of rig, {day.plan.lensChanges} of lens, {sayLength(
        Math.round(day.plan.walkM),
        preferences.units,
      )} carried. Drag a shot in the list to overrule the order; pin it under its own word.
    </p>
    {#if day.plan.cannot.length > 0}
      <h2>{day.plan.cannot.length} {day.plan.cannot.length === 1 ? 'does' : 'do'} not fit</h2>
      {#if freshWays === null}
        <p>
          <button class="quiet-button framed" disabled={busy} onclick={() => void tryWays()}
            >What would make it fit</button
          >
        </p>
      {:else}
        <ul class="ways" aria-label="What would make it fit">
          {#each freshWays as { said: words, left, fits, change } (words)}
            <li>
              <b>{words}</b>
              <span
                >{fits.length === 0 ? '' : `Then ${fits.join(', ')} ${fits.length === 1 ? 'fits' : 'fit'}`}{left > 0
                  ? `; ${left} still ${left === 1 ? 'does' : 'do'} not.`
                  : '.'}</span
              >
              {#if change}<button
                  class="quiet-button framed"
                  disabled={busy}
                  aria-label="Do that: {words}"
                  onclick={() => take(change)}>Do that</button
                >
              {:else}<span class="text-soft">To be brought or asked for.</span>{/if}
            </li>
          {:else}<li>
              Nothing that was tried makes more of it fit: the shots want more of the same hour than it has. Leave one
              for another day.
            </li>{/each}
        </ul>
      {/if}
    {/if}
    <h2>Other days</h2>
    {#if freshOthers === null}
      <p>
        <button class="quiet-button framed" disabled={busy} onclick={() => void compare()}
          >Compare with other days</button
        >
      </p>
    {:else}
      <div class="table">
        <table>
          <thead
            ><tr
              ><th>Looks for</th><th>Over at</th><th>Lenses</th><th>Rigs</th><th>Carried, kg m</th><th>High sun</th><th
                >Left out</th
              ><th></th></tr
            ></thead
          >
          <tbody>
            {#each freshOthers as row (row.aim)}
              <tr class:here={row.aim === shoot.day.aim}>
                <th scope="row">{optionWords(DAY_AIMS, row.aim)}</th>
                <td>{sayClock(row.endS / 60)}</td>
                <td>{row.lensChanges}</td>
                <td>{row.rigChanges}</td>
                <td>{trim(row.carriedKgM, 0)}</td>
                <td>{row.harshS < 30 ? '—' : sayMinutes(row.harshS)}</td>
                <td>{row.cannot.length === 0 ? '—' : row.cannot.join(', ')}</td>
                <td
                  ><button
                    class="quiet-button framed"
                    aria-label="Take the day with {optionWords(DAY_AIMS, row.aim)}"
                    onclick={() => takeOther(row)}>Take</button
                  ></td
                >
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
    {/if}
  {/if}
</section>

<style>
  .ways li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.1rem 0.6rem;
    padding: 0.35rem 0;
    border-top: 1px solid var(--hairline);
  }
  .table {
    overflow-x: auto;
  }
  table {
    width: 100%;
    font-size: 0.9rem;
  }
  th,
  td {
    padding: 0.25rem 0.3rem;
    text-align: left;
    vertical-align: top;
  }
  thead th {
    color: var(--soft);
    font-weight: 400;
  }
  tbody tr {
    border-top: 1px solid var(--hairline);
  }
  tr.here th {
    box-shadow: inset 4px 0 0 var(--subject);
    padding-left: 0.6rem;
  }
</style>
