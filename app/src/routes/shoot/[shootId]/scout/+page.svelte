<script lang="ts">
  import { page } from '$app/state';
  import ScoutScreen from '$lib/screens/scout/ScoutScreen.svelte';
  import { openStore } from '$lib/session/store/context';
  import WithShot from '$lib/session/WithShot.svelte';

  const store = openStore();
  /** The shot through whose camera the place is seen: that of the address, or the first. */
  const wanted = $derived(page.url.searchParams.get('shot'));
  const found = $derived(store.shoot.shots.find(({ id }) => id === wanted));
  const shotId = $derived((found ?? store.shoot.shots.at(0))?.id ?? 'from-here');
</script>

{#key shotId}<WithShot {store} {shotId}><ScoutScreen strayed={wanted !== null && !found} /></WithShot>{/key}
