<script lang="ts">
  import RehearseScreen from '$lib/screens/rehearse/RehearseScreen.svelte';
</script>

<RehearseScreen />
