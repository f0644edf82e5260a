<script lang="ts">
  import LimitsScreen from '$lib/screens/limits/LimitsScreen.svelte';
  import { openStore } from '$lib/session/store/context';

  const store = openStore();
</script>

<LimitsScreen {store} />
