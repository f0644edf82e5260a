<script lang="ts">
  import { untrack, type Snippet } from 'svelte';
  import { openShot } from './shot-session.svelte';
  import type { ShootStore } from './store/shoot-store.svelte';

  /** Opens a shot for everything inside. */
  let { store, shotId, children }: { store: ShootStore; shotId: string; children: Snippet } = $props();

  untrack(() => openShot(store, shotId));
</script>

{@render children()}
