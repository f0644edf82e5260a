<script lang="ts">
  import LensScreen from '$lib/lens/LensScreen.svelte';
  import WithShot from '$lib/shots/WithShot.svelte';
</script>

<WithShot>{#snippet screen(store, shot)}<LensScreen {store} shotId={shot.id} />{/snippet}</WithShot>
