<script lang="ts">
  import ShotList from '$lib/shots/ShotList.svelte';
  import { openStore } from '$lib/store/context';

  const store = openStore();
</script>

<ShotList {store} />
