<script lang="ts">
  import LensScreen from '$lib/screens/lens/LensScreen.svelte';
</script>

<LensScreen />
