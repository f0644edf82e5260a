<script lang="ts">
  import type { Shoot, Shot } from '@gentle-arc/core/model';
  import { preferences } from '$lib/ui/preferences.svelte';
  import MovePicture from '$lib/views/move-picture/MovePicture.svelte';
  import type { ShotFrames } from './shot-frames.svelte';

  /** Frames of a shot beside each other, drawn when they come into sight. */
  interface Props {
    shoot: Shoot;
    shot: Shot;
    /** Which frames; null while nobody knows. */
    rows: readonly number[] | null;
    count: number;
    frames: ShotFrames;
    /** Width of one, CSS pixels. */
    width?: number;
  }
  let { shoot, shot, rows, count, frames, width = 168 }: Props = $props();

  const MOST_HIGH = 108;
  const aspect = $derived(shoot.delivery.widthPx / shoot.delivery.heightPx);
  const wide = $derived(Math.round(Math.min(width, MOST_HIGH * aspect)));
  const dim = $derived(preferences.light === 'dim');
  /** One width for all sheets of a board: they are kept by it. */
  const widthPx = $derived(Math.max(16, Math.round(wide * Math.min(2, window.devicePixelRatio))));

  let canvas: HTMLCanvasElement | undefined = $state();
  let inSight = $state(false);
  let drawn = $state(false);

  $effect(() => {
    if (!canvas) return;
    const seen = new IntersectionObserver((entries) => (inSight = entries.some((entry) => entry.isIntersecting)), {
      rootMargin: '200px',
    });
    seen.observe(canvas);
    return () => seen.disconnect();
  });

  $effect(() => {
    if (!canvas || !inSight || rows === null) return;
    const sheet = canvas;
    let wanted = true;
    void frames
      .ask(shoot, shot, rows, widthPx, dim, () => wanted)
      .then((bitmap) => {
        if (!bitmap || !wanted) return;
        const high = Math.round(bitmap.height / rows.length);
        Object.assign(sheet, { width: bitmap.width * rows.length, height: high });
        const paper = sheet.getContext('2d', { alpha: false });
        rows.forEach((_, i) =>
          paper?.drawImage(bitmap, 0, i * high, bitmap.width, high, i * bitmap.width, 0, bitmap.width, high),
        );
        drawn = true;
      });
    return () => (wanted = false);
  });
</script>

<span class="strip" style="--wide: {wide * count}px; --aspect: {count * aspect}">
  <canvas bind:this={canvas} class:drawn aria-hidden="true"></canvas>
  {#if frames.unable}<span class="glyph"><MovePicture kind={shot.move.kind} /></span>{/if}
  {#if shot.after.barsPercent > 0 && drawn}
    <i style="top: 0; height: {shot.after.barsPercent}%"></i>
    <i style="bottom: 0; height: {shot.after.barsPercent}%"></i>
  {/if}
  {#each { length: count - 1 }, i (i)}<b style="left: {(100 * (i + 1)) / count}%"></b>{/each}
</span>

<style>
  .strip {
    position: relative;
    display: block;
    width: min(100%, var(--wide));
    aspect-ratio: var(--aspect);
    overflow: hidden;
    border-radius: 7px;
    background: var(--sun);
  }
  canvas {
    width: 100%;
    height: 100%;
    opacity: 0;
  }
  canvas.drawn {
    opacity: 1;
  }
  .glyph {
    position: absolute;
    inset: 0;
    display: grid;
    place-content: center;
  }
  i {
    position: absolute;
    inset-inline: 0;
    background: #050606;
  }
  b {
    position: absolute;
    inset-block: 0;
    width: 3px;
    margin-left: -1.5px;
    background: var(--paper);
  }
</style>
