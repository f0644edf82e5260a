<script lang="ts">
  import { Modal } from 'flowbite-svelte';
  import { differencesOf, sayDifferences, type Shoot } from '@gentle-arc/core/model';
  import { statesOf } from '$lib/session/store/database';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import { storageTrouble } from '$lib/session/store/trouble';

  /** States the shoot had before, when, and what differs from now; each is one press away, and Undo comes back. */
  let { store, open = $bindable() }: { store: ShootStore; open: boolean } = $props();

  interface Row {
    atMs: number;
    shoot: Shoot;
    differs: string;
  }
  let rows: Row[] | null = $state.raw(null);
  let problem: string | null = $state(null);

  $effect(() => {
    if (!open) return;
    rows = null;
    problem = null;
    const now = store.shoot;
    statesOf(now.id).then(
      (states) => {
        rows = states
          .map(({ atMs, shoot }) => ({
            atMs,
            shoot,
            differences: differencesOf(now, shoot, { one: 'now', other: 'then' }),
          }))
          .filter(({ differences }) => differences.length > 0)
          .map(({ atMs, shoot, differences }) => ({ atMs, shoot, differs: sayDifferences(differences, 2) }));
      },
      (error: Error) => (problem = storageTrouble(error)),
    );
  });

  // Worked out when they are first read: it takes the browser as long as all else in the header.
  const day = $derived(new Intl.DateTimeFormat(undefined, { weekday: 'short', day: 'numeric', month: 'short' }));
  const time = $derived(new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' }));
  const said = (atMs: number) =>
    new Date(atMs).toDateString() === new Date().toDateString()
      ? `today, ${time.format(atMs)}`
      : `${day.format(atMs)}, ${time.format(atMs)}`;
</script>

<Modal bind:open title="Go back to" class="bg-raised text-ink" size="md">
  {#if problem}<p role="alert">{problem}</p>
  {:else if rows === null}<p class="text-soft">Looking…</p>
  {:else if rows.length === 0}<p class="text-soft">
      Nothing earlier is kept yet: a state is kept when you begin to work, then each minute, hour and day.
    </p>
  {:else}
    <ul class="divide-y divide-hairline">
      {#each rows as { atMs, shoot, differs } (atMs)}
        <li class="flex items-start justify-between gap-3 py-2">
          <div class="min-w-0">
            <b>{said(atMs)}</b><span class="block text-sm leading-snug text-soft">{differs}</span>
          </div>
          <button
            class="quiet-button shrink-0 font-semibold"
            aria-label="Go back to {said(atMs)}"
            onclick={() => {
              store.change(shoot);
              open = false;
            }}>Go back</button
          >
        </li>
      {/each}
    </ul>
  {/if}
</Modal>
