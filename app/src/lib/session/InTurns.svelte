<script lang="ts">
  import { type Snippet, untrack } from 'svelte';
  import { takeTurns } from './shot-session.svelte';

  /** A part of the page that is read: while something is dragged elsewhere, it follows a few times a second. */
  let { part, everyMs, children }: { part: string; everyMs?: number; children: Snippet } = $props();

  untrack(() => takeTurns(part, everyMs));
</script>

{@render children()}
