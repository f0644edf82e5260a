<script lang="ts">
  import { endReady, readyNow, sayWho, startReady } from '@gentle-arc/core/edit';
  import type { ShotTally } from '@gentle-arc/core/take';
  import { newId } from '$lib/session/store/new-id';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  /** Who has the rig, what is being got ready, and how every shot stands. */
  interface Props {
    store: ShootStore;
    tally: readonly ShotTally[];
    chosen: ShotTally | null;
    onchoose: (shotId: string) => void;
  }
  let { store, tally, chosen, onchoose }: Props = $props();

  const { shoot } = $derived(store);
  const ready = $derived(readyNow(shoot));
  let nowMs = $state(Date.now());
  $effect(() => {
    if (!ready) return;
    const timer = setInterval(() => (nowMs = Date.now()), 5000);
    return () => clearInterval(timer);
  });
  const minutes = $derived(ready ? Math.max(0, Math.floor((nowMs - Date.parse(ready.fromAt)) / 60_000)) : 0);

  function begin(what: 'setUp' | 'change') {
    if (!chosen) return;
    nowMs = Date.now();
    store.change(startReady(shoot, what, chosen.shotId, newId('ready'), new Date().toISOString()));
  }
</script>

<section class="word-pane" aria-label="Shots tried">
  <p class="said">
    <TextField
      label="Who has the rig"
      placeholder="somebody"
      most={60}
      blank
      value={shoot.log.who}
      size={12}
      onchange={(who) => store.change(sayWho(shoot, who))}
    /> has the rig.
  </p>
  {#if ready}
    <p class="said" role="status">
      {ready.what === 'setUp' ? 'Setting up' : 'Changing to'} “{ready.shotName}” for {minutes} min; the next take ends it.
      <button class="link" onclick={() => store.change(endReady(shoot, new Date().toISOString()))}
        >It is ready now</button
      >
    </p>
  {:else if chosen?.number}
    <p class="said">
      Getting ready is timed too:
      <button class="link" onclick={() => begin('change')}>changing to this shot</button>,
      <button class="link" onclick={() => begin('setUp')}>setting it up</button>.
    </p>
  {/if}
  <h2>All shots</h2>
  <ul>
    {#each tally as row (row.shotId)}
      <li>
        <button class="row" aria-pressed={row.shotId === chosen?.shotId} onclick={() => onchoose(row.shotId)}>
          <span class="name">{row.number ?? '–'} {row.name}</span>
          <span class="text-soft"
            >{row.takes.length === 0
              ? 'no take'
              : `${row.takes.length} ${row.takes.length === 1 ? 'take' : 'takes'}${row.best ? ', circled' : row.good > 0 ? `, ${row.good} good` : ''}`}{row.number ===
            null
              ? ', gone from the shoot'
              : row.open && row.takes.length > 0
                ? ', open'
                : ''}</span
          >
        </button>
      </li>
    {/each}
  </ul>
</section>

<style>
  .row {
    display: flex;
    justify-content: space-between;
    gap: 0.8rem;
    width: 100%;
    min-height: 2rem;
    padding: 0.25rem 0.4rem;
    border-radius: 0.4rem;
    text-align: left;
    cursor: pointer;
  }
  .row[aria-pressed='true'] {
    background: var(--sun);
  }
  .text-soft {
    flex-shrink: 0;
    max-width: 50%;
    text-align: right;
    font-size: 0.9rem;
  }
</style>
