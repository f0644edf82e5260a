<script lang="ts">
  import { TAKE_REASONS } from '@gentle-arc/core/model';
  import { dayReport, daysOf, taught } from '@gentle-arc/core/take';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import { clockOf, offsetOf, VERDICT_WORDS } from './words';

  /** A day of the log: what it came to, shot by shot. */
  let { store, day }: { store: ShootStore; day: string | null } = $props();

  const { shoot } = $derived(store);
  const shownDay = $derived(day ?? daysOf(shoot, offsetOf(shoot)).at(0) ?? null);
  const report = $derived(shownDay === null ? null : dayReport(shoot, shownDay, offsetOf(shoot)));
  const lessons = $derived(taught(shoot));
  const most = $derived(Math.max(1, ...(report?.spoilers ?? []).map(({ count }) => count)));
</script>

<h1 class="font-display text-2xl py-1">
  {report
    ? new Date(`${report.day}T12:00:00`).toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long' })
    : 'Report'}
</h1>
{#if !report}
  <p class="said">Nothing is logged yet. Under Log every try is counted with one press; what it came to stands here.</p>
{:else}
  {#each report.said as sentence (sentence)}<p class="said">{sentence}</p>{/each}
  {#if report.spoilers.length > 0}
    <h2>What spoilt takes</h2>
    <ul class="bars">
      {#each report.spoilers as row (row.reason)}
        <li>
          <span>{row.words}</span><span class="bar" style:width="{(row.count / most) * 100}%"></span><b>{row.count}</b>
        </li>
      {/each}
    </ul>
  {/if}
  <h2>Shot by shot</h2>
  <ul>
    {#each report.shots as row (row.shotId)}
      <li class="shot">
        <b>{row.number ?? '–'} {row.name}</b>
        <ol>
          {#each row.takes as take, i (take.id)}
            <li>
              {i + 1}, {clockOf(take.at, offsetOf(shoot))}: {VERDICT_WORDS[take.verdict]}{take.best
                ? ', circled'
                : ''}{take.reasons.length > 0
                ? `; ${take.reasons.map((reason) => TAKE_REASONS[reason]).join(', ')}`
                : ''}{take.word ? `; “${take.word}”` : ''}
            </li>
          {/each}
        </ol>
      </li>
    {/each}
  </ul>
  {#if lessons.length > 0}
    <h2>What the log has taught, and the day reckons with</h2>
    <ul>
      {#each lessons as sentence (sentence)}<li>{sentence}</li>{/each}
    </ul>
  {/if}
{/if}

<style>
  h2 {
    padding-top: 0.8rem;
    font-weight: 650;
  }
  .bars li {
    display: grid;
    grid-template-columns: 9.5rem minmax(0, 1fr) 2rem;
    align-items: center;
    gap: 0.5rem;
    padding: 0.15rem 0;
  }
  .bar {
    height: 0.9rem;
    border-radius: 0.3rem;
    background: var(--near);
  }
  .shot {
    padding: 0.3rem 0;
  }
  ol {
    padding-left: 1rem;
    line-height: 1.5;
  }
  li {
    line-height: 1.5;
  }
</style>
