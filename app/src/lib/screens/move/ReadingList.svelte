<script lang="ts">
  import { type Finding, severity } from '@gentle-arc/core/findings';
  import type { Cure } from '@gentle-arc/core/search';
  import { DECIDES, sayLength, saySpeed } from '@gentle-arc/core/model';
  import { preferences } from '$lib/ui/preferences.svelte';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import FindingRow from './FindingRow.svelte';
  import Numbers from './Numbers.svelte';

  /** All that the reading says. `chosenId`: the finding that is pointed at in the picture. */
  interface Props {
    chosenId: string | null;
    limitsHref: string;
    onchoose: (finding: Finding) => void;
    oncure: (cure: Cure) => void;
  }
  let { chosenId, limitsHref, onchoose, oncure }: Props = $props();

  const { live, seek } = shotSession();
  const findings = $derived(live.reading?.findings ?? []);
  const troubles = $derived(findings.filter((finding) => severity(finding) > 0));
  const calm = $derived(findings.filter((finding) => severity(finding) === 0));

  /** Those who come nearest are told; the rest stand farther off. */
  const MOST_NEAR = 5;
</script>

{#snippet row(finding: Finding)}
  <FindingRow
    {finding}
    cures={live.cures.get(finding.id) ?? []}
    chosen={chosenId === finding.id}
    onchoose={() => onchoose(finding)}
    {oncure}
  />
{/snippet}

<section aria-label="Reading" aria-busy={live.progress !== null}>
  {#if live.reading}
    {#if live.progress}
      <div class="search" role="status">
        <progress max={Math.max(1, live.progress.of)} value={live.progress.done} aria-label="Changes tried"></progress>
        <span>Trying changes that would help: {live.progress.done} of {live.progress.of}</span>
        <button class="link" onclick={() => live.callOff()}>Stop</button>
      </div>
    {:else if live.calledOff}
      <p class="search">
        Stopped before every change was tried. <button class="link" onclick={() => live.searchAgain()}>Go on</button>
      </p>
    {/if}
    <div class="divide-y divide-hairline">
      {#each troubles as finding (finding.id)}{@render row(finding)}{/each}
    </div>
    <details class="fold">
      <summary>{calm.length === 1 ? 'One thing is' : `${calm.length} things are`} fine</summary>
      <div class="divide-y divide-hairline">
        {#each calm as finding (finding.id)}{@render row(finding)}{/each}
      </div>
    </details>
    <details class="fold">
      <summary>The numbers, and marks for a hand move</summary>
      <Numbers figures={live.reading.figures} />
      <p class="mt-1 text-sm"><a class="link" href={limitsHref}>What they are held against</a></p>
    </details>
    {#each live.reading.approaches.slice(0, MOST_NEAR) as approach (approach.pieceId)}
      <p class="mt-2 text-sm leading-snug text-soft">
        Nearest to {approach.name}:
        <b class="text-ink">{sayLength(approach.distanceM, preferences.units)}</b>{approach.closingMps > 0.05
          ? `, closing at up to ${saySpeed(approach.closingMps, preferences.units)} before that`
          : ''},
        <button
          class="link"
          onclick={() => seek(approach.screenS)}
          aria-label="Show the nearest at {approach.screenS.toFixed(1)} seconds"
          >at {approach.screenS.toFixed(1)} s</button
        >
      </p>
    {/each}
    {#each live.reading.passes.slice(0, MOST_NEAR) as pass (`${pass.moverId} ${pass.whoId}`)}
      <p class="mt-2 text-sm leading-snug text-soft">
        {pass.mover} passes {pass.who} at
        <b class="text-ink">{sayLength(pass.distanceM, preferences.units)}</b> and {saySpeed(
          Math.max(pass.passingMps, pass.closingMps),
          preferences.units,
        )},
        <button
          class="link"
          onclick={() => seek(pass.screenS)}
          aria-label="Show the pass at {pass.screenS.toFixed(1)} seconds">at {pass.screenS.toFixed(1)} s</button
        >
      </p>
    {/each}
    {#if live.reading.cautions.length}
      <div class="mt-2 border-l-4 border-ink px-3 py-1 text-sm leading-snug">
        {#each live.reading.cautions as caution (caution.id)}
          <p class="mb-1" class:strongest={caution.strongest}>
            <b>{caution.strongest ? 'Stop and think.' : 'Caution.'}</b>
            {caution.sentence.replace(` ${DECIDES}`, '')}
          </p>
        {/each}
        <p class="text-soft">{DECIDES}</p>
      </div>
    {/if}
  {/if}
</section>

<style>
  .strongest {
    border: 2px solid var(--ink);
    padding: 0.35rem 0.5rem;
    font-weight: 600;
  }
  .search {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.1rem 0.6rem;
    font-size: 0.875rem;
    color: var(--soft);
  }
  progress {
    width: 5rem;
    height: 0.45rem;
    appearance: none;
  }
  progress::-webkit-progress-bar {
    border-radius: 999px;
    background: var(--hairline);
  }
  progress::-webkit-progress-value {
    border-radius: 999px;
    background: var(--subject);
  }
  progress::-moz-progress-bar {
    background: var(--subject);
  }
  .fold {
    margin-top: 0.25rem;
  }
  .fold > summary {
    cursor: pointer;
    color: var(--soft);
  }
  @media (pointer: coarse) {
    .fold > summary {
      padding: 0.5rem 0;
    }
  }
</style>
