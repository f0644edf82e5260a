<script lang="ts">
  import LimitsScreen from '$lib/limits/LimitsScreen.svelte';
  import { openStore } from '$lib/store/context';

  const store = openStore();
</script>

<LimitsScreen {store} />
