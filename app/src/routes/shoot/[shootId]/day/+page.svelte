<script lang="ts">
  import DayScreen from '$lib/screens/day/DayScreen.svelte';
  import { openStore } from '$lib/session/store/context';

  const store = openStore();
</script>

<DayScreen {store} />
