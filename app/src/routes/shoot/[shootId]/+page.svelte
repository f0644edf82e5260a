<script lang="ts">
  import BoardScreen from '$lib/screens/shots/BoardScreen.svelte';
  import { openStore } from '$lib/session/store/context';

  const store = openStore();
</script>

<BoardScreen {store} />
