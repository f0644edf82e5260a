<script lang="ts">
  import TakesScreen from '$lib/screens/takes/TakesScreen.svelte';
  import { openStore } from '$lib/session/store/context';

  const store = openStore();
</script>

<TakesScreen {store} />
