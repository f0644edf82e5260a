<script lang="ts">
  import type { View } from './film';
  import { Pictures } from './pictures.svelte';

  /** The sheet of one picture. It fills what it lies in. */
  let { scene, samples, row, playing }: View & { playing: boolean } = $props();

  const pictures = new Pictures(
    () => ({ only: { scene, samples, row } }),
    () => playing,
  );
</script>

<canvas {@attach pictures.sheet('only')}></canvas>

<style>
  canvas {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
  }
</style>
