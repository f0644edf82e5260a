<script lang="ts">
  import KitScreen from '$lib/screens/kit/KitScreen.svelte';
  import { openStore } from '$lib/session/store/context';

  const store = openStore();
</script>

<KitScreen {store} />
