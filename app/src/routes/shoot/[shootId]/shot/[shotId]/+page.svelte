<script lang="ts">
  import MoveScreen from '$lib/screens/move/MoveScreen.svelte';
</script>

<MoveScreen />
