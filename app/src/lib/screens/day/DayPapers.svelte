<script lang="ts">
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import { download, fileName } from '$lib/ui/download';
  import Trouble from '$lib/ui/Trouble.svelte';
  import type { ShownDay } from '$lib/workers/day-messages';
  import type { Asked, LiveDay } from '$lib/workers/live-day.svelte';
  import { printCallSheet, printCards, printChecklists, printOrder, printPack } from './print-day';

  /** The day on paper and as files. */
  interface Props {
    store: ShootStore;
    live: LiveDay;
    asked: Asked;
    day: ShownDay | null;
  }
  let { store, live, asked, day }: Props = $props();

  const { shoot } = $derived(store);
  let problem: string | null = $state(null);
  const PAPERS = [
    { name: 'Call sheet', print: printCallSheet, says: 'who is there when, the light, the day in short' },
    { name: 'Shooting order', print: printOrder, says: 'with settings, marks and why' },
    { name: 'Shot cards', print: printCards, says: 'two to a page, with boxes for the tries' },
    { name: 'Pack list', print: printPack, says: 'all that the builds take, and what people forget' },
    { name: 'Checklists', print: printChecklists, says: 'of the builds that are used' },
  ];
  const stem = $derived(`${fileName(shoot.name)}-${shoot.day.date ?? 'day'}`);

  async function take(format: 'ics' | 'csv') {
    problem = null;
    try {
      const text = await live.file(asked, format);
      download(`${stem}.${format}`, format === 'ics' ? 'text/calendar' : 'text/csv', text);
    } catch (error) {
      problem = `The file could not be made. ${(error as Error).message}`;
    }
  }
</script>

<section aria-label="Papers" class="words word-pane">
  {#if problem}<Trouble>{problem}</Trouble>{/if}
  <h2>On paper</h2>
  <ul>
    {#each PAPERS as { name, print, says } (name)}
      <li>
        <button class="quiet-button" disabled={!day} onclick={() => day && void print(shoot, day)}>{name}</button>
        <span class="text-soft">{says}</span>
      </li>
    {/each}
  </ul>
  <h2>As files</h2>
  <ul>
    <li>
      <button class="quiet-button" disabled={!day || shoot.day.date === null} onclick={() => void take('ics')}
        >Calendar (iCalendar)</button
      >
      <span class="text-soft"
        >{shoot.day.date === null
          ? 'needs a date: say it under Hours'
          : 'every shot and break as an event, in UTC'}</span
      >
    </li>
    <li>
      <button class="quiet-button" disabled={!day} onclick={() => void take('csv')}>Shooting order as CSV</button>
      <span class="text-soft">one row a shot</span>
    </li>
  </ul>
</section>

<style>
  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.1rem 0.7rem;
    padding: 0.2rem 0;
  }
  .words :global(.quiet-button) {
    box-shadow: inset 0 0 0 1px var(--hairline);
  }
</style>
