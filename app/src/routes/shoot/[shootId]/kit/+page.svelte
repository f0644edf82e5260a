<script lang="ts">
  import KitScreen from '$lib/kit/KitScreen.svelte';
  import { openStore } from '$lib/store/context';

  const store = openStore();
</script>

<KitScreen {store} />
