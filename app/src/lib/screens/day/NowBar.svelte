<script lang="ts">
  import { CheckOutline } from 'flowbite-svelte-icons';
  import { changeDay, changeWish } from '@gentle-arc/core/edit';
  import { madeIds, nowIn } from '@gentle-arc/core/day';
  import { sayClock, sayMinutes, saySpeed, type Shoot, wishOf } from '@gentle-arc/core/model';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import type { ShownDay } from '$lib/workers/day-messages';
  import type { Asked, LiveDay } from '$lib/workers/live-day.svelte';

  /** Where the day stands, for one thumb: what is on, what comes, how long there is light, and what to do when it runs late. */
  interface Props {
    store: ShootStore;
    live: LiveDay;
    asked: Asked;
    day: ShownDay;
    /** By the clock of the place; null on any other day. */
    nowMin: number | null;
    onchoose: (id: string) => void;
  }
  let { store, live, asked, day, nowMin, onchoose }: Props = $props();

  const { shoot } = $derived(store);
  let late = $state(false);
  let lateMin = $state(20);
  let gustMps: number | null = $state(null);
  /** What would change: how late was asked for, the order and what it does. */
  let offered = $state.raw<{ of: Shoot; lateMin: number; ids: string[]; changes: string[] } | null>(null);

  const now = $derived(nowMin === null ? null : nowIn(day.plan, nowMin));
  const first = $derived(day.plan.entries[0] ?? null);
  const current = $derived(now ? (now.entry ?? now.next) : first);
  const then = $derived(current ? day.plan.entries[day.plan.entries.indexOf(current) + 1] : undefined);
  const DOING = {
    before: 'begins at',
    changes: 'changing over until',
    'sets up': 'setting up until',
    waits: 'waiting for its light until',
    takes: 'takes until',
    break: 'break until',
    over: '',
  } as const;
  const begun = $derived(madeIds(shoot).length > 0);
  const sunset = $derived(day.setMin !== null && nowMin !== null ? day.setMin - nowMin : null);
  const hour = $derived(nowMin === null || !day.weather ? null : day.weather[Math.floor(nowMin / 60) % 24]);
  const limit = $derived(current ? day.gustMaxMps[current.shotId] : undefined);
  const blows = $derived(gustMps ?? hour?.gustMps ?? null);
  const stale = $derived(offered !== null && offered.of !== shoot);

  function finish(id: string) {
    const entry = day.plan.entries.find(({ shotId }) => shotId === id);
    const doneMin = Math.min(2160, Math.max(0, Math.round(nowMin ?? (entry ? entry.endS / 60 : shoot.day.callMin))));
    store.change(changeWish(shoot, id, { state: 'done', doneMin }));
  }
  const dropIt = (id: string) => store.change(changeWish(shoot, id, { state: 'dropped' }));
  function later(id: string) {
    const ids = day.plan.entries.map(({ shotId }) => shotId);
    const at = ids.indexOf(id);
    [ids[at], ids[at + 1]] = [ids[at + 1], ids[at]];
    store.change(changeDay(shoot, { order: [...ids, ...day.plan.cannot.map(({ shotId }) => shotId)] }));
  }
  async function plan() {
    const [of, asks] = [shoot, lateMin];
    const answer = await live.order({ ...asked, lateMin: asks }, shoot.day.aim, true);
    offered = answer && { of, lateMin: asks, ...answer };
  }
  /** Time that is lost is lost: the day goes on so much later from now on. */
  function take() {
    if (!offered) return;
    const last = madeIds(shoot).at(-1);
    const order = offered.ids;
    if (last === undefined) {
      const callMin = Math.min(shoot.day.wrapMin - 1, shoot.day.callMin + offered.lateMin);
      store.change(changeDay(shoot, { order, callMin }));
    } else {
      const doneMin = Math.min(2160, (wishOf(shoot.day, last).doneMin ?? shoot.day.callMin) + offered.lateMin);
      store.change(changeWish(changeDay(shoot, { order }), last, { doneMin }));
    }
    offered = null;
    late = false;
  }
</script>

<section class="now" aria-label="Now">
  {#if now?.doing === 'over' || !current}
    <p class="big">
      {day.plan.entries.length === 0 && begun
        ? 'All that fits is done.'
        : now?.doing === 'over'
          ? 'The day is over by its plan.'
          : 'Nothing is left to shoot.'}
    </p>
  {:else}
    <div class="top">
      <div class="big">
        <span class="label">{now ? (now.entry ? 'Now' : 'Next') : begun ? 'Next' : 'First'}</span>
        <button class="shot" onclick={() => onchoose(current.shotId)}
          ><span class="number">{current.number}</span> {current.name}</button
        >
        <span class="until"
          >{now
            ? `${DOING[now.doing]} ${now.untilS === null ? '' : sayClock(now.untilS / 60)}`
            : `from ${sayClock(current.startS / 60)}, takes at ${sayClock(current.takesFromS / 60)}`}</span
        >
      </div>
      <div class="acts">
        <button class="main-button" onclick={() => finish(current.shotId)}><CheckOutline class="h-5 w-5" /> Done</button
        >
        <button class="quiet-button" disabled={!then} onclick={() => later(current.shotId)}>Later</button>
        <button class="quiet-button" onclick={() => dropIt(current.shotId)}>Drop it</button>
        <button class="quiet-button" aria-pressed={late} onclick={() => (late = !late)}>Running late</button>
      </div>
    </div>
    <p class="line">
      {#if then}Then {then.number} {then.name}.{/if}
      {#if sunset !== null && sunset > 0}<b>Sunset in {sayMinutes(sunset * 60)}.</b
        >{:else if day.setMin !== null && nowMin === null}Sunset {sayClock(day.setMin)}.{/if}
      {#if limit !== undefined}
        Gusts now <NumberField
          label="Gusts now"
          value={blows ?? 0}
          unit="mps"
          min={0}
          max={80}
          step={0.5}
          onchange={(value) => (gustMps = value)}
        />{/if}
    </p>
    {#if limit !== undefined && blows !== null && blows > limit}
      <p class="warn" role="alert">
        {current.work.rigName} is used up to {saySpeed(limit, preferences.units)}: wait, or shoot something else. {current
          .work.rigKind === 'drone'
          ? 'Do not take off.'
          : ''} Local rules and whoever is qualified decide.
      </p>
    {/if}
  {/if}
  {#if late}
    <div class="late">
      <p>
        Running <NumberField
          label="Late, minutes"
          value={lateMin}
          unit="plain"
          min={0}
          max={600}
          step={5}
          onchange={(value) => (lateMin = value)}
        /> minutes late.
        <button class="quiet-button framed" disabled={live.progress !== null} onclick={() => void plan()}
          >Plan the rest anew</button
        >
      </p>
      {#if offered}
        <ul role="status">
          {#each offered.changes.slice(0, 8) as change (change)}<li>{change}</li>{:else}<li>
              Nothing has to change but the times.
            </li>{/each}
        </ul>
        {#if stale}<p>The day has changed since: plan anew.</p>
        {:else}<button class="quiet-button framed" onclick={take}>Go on like that</button>{/if}
      {/if}
    </div>
  {/if}
</section>

<style>
  .now {
    display: grid;
    gap: 0.25rem;
    margin-bottom: 0.4rem;
    padding: 0.5rem 0.8rem 0.5rem;
    border-radius: 12px;
    background: var(--raised);
    box-shadow: inset 0 0 0 1.5px var(--hairline);
  }
  .top {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: 0.3rem 1rem;
  }
  .big {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 0 0.7rem;
    font-size: 1.25rem;
  }
  .label {
    color: var(--near);
    font-weight: 700;
  }
  .shot {
    min-height: 2rem;
    font-weight: 700;
    text-align: left;
    cursor: pointer;
  }
  .shot:hover {
    text-decoration: underline;
  }
  .number {
    color: var(--subject);
  }
  .until {
    font-size: 1.05rem;
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
  }
  .acts .quiet-button,
  .framed {
    box-shadow: inset 0 0 0 1.5px var(--hairline);
  }
  .warn {
    border-left: 5px solid var(--near);
    padding-left: 0.6rem;
    color: var(--near);
    font-weight: 650;
  }
  .late {
    border-top: 1px solid var(--hairline);
    padding-top: 0.3rem;
  }
  li {
    padding: 0.1rem 0;
  }
  @media (max-width: 799px) {
    .top {
      display: grid;
    }
    .now {
      position: sticky;
      top: 0;
      max-height: calc(100dvh - 4rem);
      overflow-y: auto;
      z-index: 2;
      padding: 0.7rem 0.8rem;
      box-shadow:
        inset 0 0 0 2px var(--ink),
        0 6px 16px rgb(0 0 0 / 0.12);
    }
    .big {
      font-size: 1.5rem;
    }
    .until {
      flex-basis: 100%;
      font-size: 1.2rem;
    }
    .acts {
      display: grid;
      grid-template-columns: 1fr 1fr 1fr;
    }
    .acts .main-button {
      grid-column: 1 / -1;
      min-height: 3.4rem;
      font-size: 1.2rem;
    }
    .acts .quiet-button {
      min-height: 3rem;
    }
    .line {
      font-size: 1.1rem;
    }
  }
</style>
