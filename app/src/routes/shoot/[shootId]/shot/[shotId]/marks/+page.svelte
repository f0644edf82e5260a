<script lang="ts">
  import MarksSheet from '$lib/lens/MarksSheet.svelte';
  import WithShot from '$lib/shots/WithShot.svelte';
</script>

<WithShot>{#snippet screen(store, shot)}<MarksSheet {store} {shot} />{/snippet}</WithShot>
