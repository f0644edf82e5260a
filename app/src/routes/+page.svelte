<script lang="ts">
  import HomeScreen from '$lib/screens/home/HomeScreen.svelte';
</script>

<HomeScreen />
