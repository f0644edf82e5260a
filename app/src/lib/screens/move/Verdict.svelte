<script lang="ts">
  import Trouble from '$lib/ui/Trouble.svelte';
  import { readingVerdict } from '@gentle-arc/core/reading';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import GradeMark from '$lib/ui/GradeMark.svelte';

  /** The reading in a few words, with the first thing that it says. */
  let { onmore }: { onmore: () => void } = $props();

  const { live } = shotSession();
  const findings = $derived(live.reading?.findings ?? []);
  const verdict = $derived(readingVerdict(findings));
</script>

<section class="verdict" aria-label="Verdict">
  {#if live.problem}<Trouble>{live.problem}</Trouble>{/if}
  {#if live.reading}
    <h2 class="flex items-center gap-2.5 font-display text-xl" aria-live="polite">
      <GradeMark grade={verdict.grade} />{verdict.text}
    </h2>
    {#if findings[0]}
      <p class="first"><button class="min-h-6 text-left" onclick={onmore}>{findings[0].sentence}</button></p>
    {/if}
  {:else if !live.problem}<p class="py-2 text-soft">Reading…</p>{/if}
</section>

<style>
  .first {
    line-height: 1.3;
  }
  .first button {
    display: -webkit-box;
    overflow: hidden;
    -webkit-box-orient: vertical;
    -webkit-line-clamp: 2;
    line-clamp: 2;
    cursor: pointer;
  }
  .first button:hover {
    background: color-mix(in srgb, var(--subject) 7%, transparent);
  }
</style>
