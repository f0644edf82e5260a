<script lang="ts">
  import type { View } from './film';
  import { Pictures } from './pictures.svelte';

  /** The sheet of one picture. It fills what it lies in. */
  let {
    scene,
    samples,
    row,
    playing,
    held,
    flown = null,
    live = null,
  }: View & { playing: boolean; held: boolean } = $props();

  /** The picture as it is now, as a PNG. */
  export const still = (widthPx: number) => pictures.still('only', widthPx);
  /** How many pictures were drawn so far. */
  export const drawnCount = () => pictures.count;
  /** What the picture on the sheet is of. */
  export const drawn = () => pictures.drawn?.get('only') ?? null;

  const pictures = new Pictures(
    () => ({ only: { scene, samples, row, flown, live } }),
    () => playing,
    () => held,
  );
</script>

{#if pictures.problem}<p class="why" role="alert">{pictures.problem}</p>
{:else if !pictures.drawn}<p class="why" role="status">Setting up the picture…</p>{/if}
<canvas {@attach pictures.sheet('only')}></canvas>

<style>
  .why {
    position: absolute;
    inset: auto 1rem 1rem;
    z-index: 1;
    padding: 0.4rem 0.8rem;
    border-radius: 8px;
    background: var(--raised);
  }
  canvas {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
  }
</style>
