<script lang="ts">
  import type { Shoot, Shot } from '@gentle-arc/core/model';
  import { preferences } from '$lib/ui/preferences.svelte';
  import MovePicture from '$lib/views/move-picture/MovePicture.svelte';
  import type { ShotFrames } from './shot-frames.svelte';

  /** Frames of a shot beside each other, drawn when they come into sight, or before. */
  interface Props {
    shoot: Shoot;
    shot: Shot;
    /** Which frames; null while nobody knows. */
    rows: readonly number[] | null;
    count: number;
    frames: ShotFrames;
    /** Width of one, CSS pixels. */
    width?: number;
    /** Drawn before they are in sight, when nothing else is to be. */
    ahead?: boolean;
  }
  let { shoot, shot, rows, count, frames, width = 168, ahead = false }: Props = $props();

  const MOST_HIGH = 108;
  const aspect = $derived(shoot.delivery.widthPx / shoot.delivery.heightPx);
  const wide = $derived(Math.round(Math.min(width, MOST_HIGH * aspect)));
  const dim = $derived(preferences.light === 'dim');
  /** One width for all sheets of a board: they are kept by it. */
  const widthPx = $derived(Math.max(16, Math.round(wide * Math.min(2, window.devicePixelRatio))));

  let strip: HTMLElement | undefined = $state();
  let picture: Blob | null = $state.raw(null);
  let source: string | undefined = $state();
  let inSight = $state(false);
  let drawn = $state(false);
  /** So often what was kept could not be shown. */
  let broken = $state(0);

  $effect(() => {
    if (!strip) return;
    const seen = new IntersectionObserver((entries) => (inSight = entries.some((entry) => entry.isIntersecting)), {
      rootMargin: '200px',
    });
    seen.observe(strip);
    return () => seen.disconnect();
  });

  const asked = $derived(inSight || ahead);
  /** The same frames told once more are no others. */
  const which = $derived(rows?.join(' ') ?? null);
  $effect(() => {
    // Drawn anew once: what cannot be shown then never can.
    if (!asked || which === null || broken > 1) return;
    let gone = false;
    void frames
      .ask(shoot, shot, which.split(' ').map(Number), widthPx, dim, () => (gone ? 'not' : inSight ? 'now' : 'soon'))
      .then((drawnNow) => {
        if (drawnNow && !gone) picture = drawnNow;
      });
    return () => (gone = true);
  });

  async function drawAnew() {
    await frames.forget(shoot, shot, widthPx);
    broken += 1;
  }

  $effect(() => {
    if (!picture) return;
    const url = URL.createObjectURL(picture);
    source = url;
    return () => URL.revokeObjectURL(url);
  });
</script>

<span class="strip" bind:this={strip} style="--wide: {wide * count}px; --aspect: {count * aspect}">
  <!-- A picture is painted with the page; a canvas is a layer of its own, and a hundred of those hold the page up. -->
  {#if source}<img
      src={source}
      alt=""
      class:drawn
      draggable="false"
      onload={() => ([drawn, broken] = [true, 0])}
      onerror={() => void drawAnew()}
    />{/if}
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
  img {
    display: block;
    width: 100%;
    height: 100%;
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
