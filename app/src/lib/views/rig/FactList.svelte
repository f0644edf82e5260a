<script lang="ts">
  import type { Fact } from '@gentle-arc/core/supports';
  import GradeMark from '$lib/ui/GradeMark.svelte';

  /** What is known of a build: its numbers in words, what cannot be first. */
  let { facts }: { facts: readonly Fact[] } = $props();

  const ORDER = { cannot: 0, tight: 1, fits: 2 };
  const rows = $derived([...facts].sort((a, b) => (a.grade ? ORDER[a.grade] : 3) - (b.grade ? ORDER[b.grade] : 3)));
</script>

<ul aria-label="What is known of it">
  {#each rows as { label, said, grade, why }, i (i)}
    <li class="graded-line">
      <span class="w-7 shrink-0"
        >{#if grade}<GradeMark {grade} /><span class="sr-only">{grade}</span>{/if}</span
      >
      <span
        ><span class="text-soft">{label}:</span> <b>{said}</b>{#if why}<span class="block">{why}</span>{/if}</span
      >
    </li>
  {/each}
</ul>

<style>
  li {
    font-size: 0.95rem;
  }
</style>
