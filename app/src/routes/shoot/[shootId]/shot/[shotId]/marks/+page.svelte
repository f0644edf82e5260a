<script lang="ts">
  import MarksSheet from '$lib/screens/lens/MarksSheet.svelte';
</script>

<MarksSheet />
