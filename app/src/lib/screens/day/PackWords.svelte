<script lang="ts">
  import { changeDay } from '@gentle-arc/core/edit';
  import { leftToPack } from '@gentle-arc/core/day';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import type { ShownDay } from '$lib/workers/day-messages';

  /** All that the day takes along, to be ticked off. */
  let { store, day }: { store: ShootStore; day: ShownDay | null } = $props();

  const { shoot } = $derived(store);
  const { packed } = $derived(shoot.day);
  const left = $derived(day ? leftToPack(shoot, day.pack) : 0);
  const toggle = (key: string) =>
    store.change(
      changeDay(shoot, { packed: packed.includes(key) ? packed.filter((row) => row !== key) : [...packed, key] }),
    );
</script>

<section aria-label="Pack" class="words word-pane">
  {#if day}
    <p><b>{left === 0 ? 'All is packed.' : `${left} left to pack.`}</b></p>
    {#each day.pack as { name, items } (name)}
      <h2>{name}</h2>
      <ul>
        {#each items as { key, said, numbers } (key)}
          <li>
            <label
              ><input type="checkbox" checked={packed.includes(key)} onchange={() => toggle(key)} />
              <span class:done={packed.includes(key)}>{said}</span>
              {#if numbers.length > 0}<span class="text-soft"
                  >{numbers.length > 6 ? `${numbers.length} shots` : numbers.join(', ')}</span
                >{/if}</label
            >
          </li>
        {/each}
      </ul>
    {/each}
  {/if}
</section>

<style>
  label {
    display: flex;
    align-items: baseline;
    gap: 0.5rem;
    min-height: 1.75rem;
    padding: 0.1rem 0;
    cursor: pointer;
  }
  .done {
    color: var(--soft);
    text-decoration: line-through;
  }
  @media (pointer: coarse) {
    label {
      min-height: 2.75rem;
      align-items: center;
    }
  }
</style>
