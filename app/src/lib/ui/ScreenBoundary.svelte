<script lang="ts">
  import type { Snippet } from 'svelte';
  import { afterNavigate } from '$app/navigation';
  import ScreenTrouble from './ScreenTrouble.svelte';

  /** A screen that stumbles is replaced by ways out of it; another screen begins anew. */
  let { children, shootHref = null }: { children: Snippet; shootHref?: string | null } = $props();

  let again: (() => void) | null = null;
  afterNavigate(() => {
    again?.();
    again = null;
  });
</script>

<svelte:boundary onerror={(_, reset) => (again = reset)}>
  {@render children()}
  {#snippet failed(error, reset)}<ScreenTrouble {error} {reset} {shootHref} />{/snippet}
</svelte:boundary>
