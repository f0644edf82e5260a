<script lang="ts">
  import { writeTakesCsv } from '@gentle-arc/core/formats';
  import { daysOf, dayReport, tallyOf } from '@gentle-arc/core/take';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import { download, fileName } from '$lib/ui/download';
  import { printReport } from './print-report';
  import { offsetOf } from './words';

  /** Which day, what is still open, and away with it on paper or as CSV. */
  interface Props {
    store: ShootStore;
    day: string | null;
    onday: (day: string) => void;
  }
  let { store, day, onday }: Props = $props();

  const { shoot } = $derived(store);
  const days = $derived(daysOf(shoot, offsetOf(shoot)));
  const shownDay = $derived(day ?? days.at(0) ?? null);
  const open = $derived(tallyOf(shoot).filter((row) => row.open));
</script>

<section class="word-pane" aria-label="Report">
  {#if shownDay !== null}
    <p class="said">
      The day is <Choice
        label="Day"
        value={shownDay}
        items={days.map((value) => ({ value, name: value }))}
        onchange={onday}
      />.
      <button class="link" onclick={() => void printReport(shoot, dayReport(shoot, shownDay, offsetOf(shoot)))}
        >Print it</button
      >,
      <button
        class="link"
        onclick={() =>
          download(
            `${fileName(shoot.name)}-takes-${shownDay}.csv`,
            'text/csv',
            writeTakesCsv(
              shoot,
              new Set(
                dayReport(shoot, shownDay, offsetOf(shoot)).shots.flatMap(({ takes }) => takes.map(({ id }) => id)),
              ),
            ),
          )}>as CSV</button
      >;
      <button
        class="link"
        onclick={() => download(`${fileName(shoot.name)}-takes.csv`, 'text/csv', writeTakesCsv(shoot))}
        >all days as CSV</button
      >.
    </p>
  {/if}
  <h2>Still open: {open.length}</h2>
  <ul>
    {#each open as row (row.shotId)}
      <li>
        {row.number}
        {row.name} <span class="text-soft">{row.takes.length > 0 ? `after ${row.takes.length}` : ''}</span>
      </li>
    {/each}
  </ul>
</section>
