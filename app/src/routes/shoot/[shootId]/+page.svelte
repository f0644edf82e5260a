<script lang="ts">
  import ShotList from '$lib/screens/shots/ShotList.svelte';
  import { openStore } from '$lib/session/store/context';

  const store = openStore();
</script>

<ShotList {store} />
