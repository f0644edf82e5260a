<script lang="ts">
  import type { Snippet } from 'svelte';

  /** What went wrong, and the mend: where it belongs, or over the foot of the screen where it can be closed. */
  let { children, class: place = '', onclose }: { children: Snippet; class?: string; onclose?: () => void } = $props();
</script>

{#if onclose}
  <div
    role="alert"
    class="fixed inset-x-3 bottom-3 z-50 mx-auto flex max-w-xl items-start gap-3 rounded-xl border-l-4 border-near bg-raised px-4 py-3 shadow-lg"
  >
    <span class="flex-1">{@render children()}</span>
    <button class="quiet-button shrink-0" onclick={onclose}>Close</button>
  </div>
{:else}
  <p role="alert" class="border-l-4 border-near bg-raised px-4 py-2 {place}">{@render children()}</p>
{/if}
