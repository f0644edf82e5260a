<script lang="ts">
  import { severity, type Finding } from '@gentle-arc/core/model/finding';
  import type { Cure } from '@gentle-arc/core/search/cures';
  import { sayLength, saySpeed } from '@gentle-arc/core/model/units';
  import { preferences } from '$lib/store/preferences.svelte';
  import { DECIDES } from '@gentle-arc/core/rig/cautions';
  import GradeMark from '$lib/parts/GradeMark.svelte';
  import type { LiveReading } from '$lib/workers/live-reading.svelte';

  interface Props {
    live: LiveReading;
    onseek: (tS: number) => void;
    oncure: (cure: Cure) => void;
  }
  let { live, onseek, oncure }: Props = $props();

  const findings = $derived(live.reading?.findings ?? []);
  const troubles = $derived(findings.filter((finding) => severity(finding) > 0));
  const calm = $derived(findings.filter((finding) => severity(finding) === 0));
  const verdict = $derived.by(() => {
    const most = Math.max(0, ...troubles.map(severity));
    const counted = (n: number) => `${n} ${n === 1 ? 'thing' : 'things'}`;
    const hard = troubles.filter((finding) => severity(finding) === 2).length;
    if (most === 0) return { grade: 'calm' as const, text: 'Reads smoothly' };
    if (most === 1) return { grade: 'ripple' as const, text: `Nearly: ${counted(troubles.length)} to look at` };
    return { grade: 'jolt' as const, text: `Will not work yet: ${counted(hard)} to mend` };
  });
</script>

{#snippet sentence(finding: Finding)}
  <div class="flex gap-2.5 py-2">
    <span class="shrink-0 pt-1"><GradeMark grade={finding.grade} /></span>
    <div class="min-w-0 flex-1">
      <p class="leading-snug">
        <b class="word" class:hard={severity(finding) === 2} class:soft={severity(finding) === 1}>{finding.grade}</b>
        {finding.sentence}
        {#if severity(finding) > 0}<button class="when" onclick={() => onseek(finding.tS)} aria-label="Show it at {finding.tS.toFixed(1)} seconds"
            >at {finding.tS.toFixed(1)} s</button
          >{/if}
      </p>
      {#each live.cures.get(finding.id) ?? [] as cure (cure.sentence)}
        <button class="cure" onclick={() => oncure(cure)}><span aria-hidden="true">↳</span> {cure.sentence}</button>
      {/each}
      {#if severity(finding) > 0}<details class="text-sm text-soft"><summary>Why</summary>{finding.reason}</details>{/if}
    </div>
  </div>
{/snippet}

<section aria-label="Reading" aria-busy={live.searching}>
  {#if live.problem}<p role="alert" class="border-l-4 border-near bg-raised px-3 py-2">{live.problem}</p>{/if}
  {#if !live.reading}
    <p class="py-2 text-soft">Reading…</p>
  {:else}
    <h2 class="flex items-center gap-2.5 font-display text-xl" aria-live="polite"><GradeMark grade={verdict.grade} />{verdict.text}</h2>
    <div class="divide-y divide-hairline">
      {#each troubles as finding (finding.id)}{@render sentence(finding)}{/each}
    </div>
    {#if live.searching}<p class="py-1 text-sm text-soft">Trying changes that would help…</p>{/if}
    <details class="calm mt-1">
      <summary class="text-soft">{calm.length} things are fine</summary>
      <div class="divide-y divide-hairline">
        {#each calm as finding (finding.id)}{@render sentence(finding)}{/each}
      </div>
    </details>
    {#each live.reading.approaches as approach (approach.pieceId)}
      <p class="mt-2 text-sm leading-snug text-soft">
        Nearest to {approach.name}: <b class="text-ink">{sayLength(approach.distanceM, preferences.units)}</b>{approach.closingMps > 0.05
          ? `, closing at up to ${saySpeed(approach.closingMps, preferences.units)} before that`
          : ''},
        <button class="when" onclick={() => onseek(approach.tS)} aria-label="Show the nearest at {approach.tS.toFixed(1)} seconds">at {approach.tS.toFixed(1)} s</button>
      </p>
    {/each}
    {#if live.reading.cautions.length}
      <div class="mt-2 border-l-4 border-ink px-3 py-1 text-sm leading-snug">
        {#each live.reading.cautions as caution (caution.id)}
          <p class="mb-1"><b>Caution.</b> {caution.sentence.replace(` ${DECIDES}`, '')}</p>
        {/each}
        <p class="text-soft">{DECIDES}</p>
      </div>
    {/if}
  {/if}
</section>

<style>
  .word {
    color: var(--subject);
  }
  .word.hard {
    color: var(--near);
  }
  .word.soft {
    color: var(--far-ink);
  }
  .when {
    color: var(--soft);
    text-decoration: underline dotted;
    cursor: pointer;
    white-space: nowrap;
    padding: 0 0.15rem;
  }
  .cure {
    display: block;
    margin: 0.3rem 0;
    padding: 0.3rem 0.7rem;
    border-radius: 10px;
    background: color-mix(in srgb, var(--subject) 11%, transparent);
    color: var(--subject);
    font-weight: 600;
    text-align: left;
    line-height: 1.3;
    cursor: pointer;
  }
  .cure:hover {
    background: color-mix(in srgb, var(--subject) 20%, transparent);
  }
  summary {
    cursor: pointer;
  }
  @media (pointer: coarse) {
    .cure {
      min-height: 2.75rem;
    }
    .when {
      padding: 0.4rem;
    }
  }
</style>
