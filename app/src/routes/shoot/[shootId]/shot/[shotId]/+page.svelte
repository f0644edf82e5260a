<script lang="ts">
  import MoveScreen from '$lib/move/MoveScreen.svelte';
  import WithShot from '$lib/shots/WithShot.svelte';
</script>

<WithShot>{#snippet screen(store, shot)}<MoveScreen {store} shotId={shot.id} />{/snippet}</WithShot>
