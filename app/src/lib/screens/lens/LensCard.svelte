<script lang="ts">
  import type { Attachment } from 'svelte/attachments';
  import { percent, speedWords } from '@gentle-arc/core/findings';
  import type { Scene } from '@gentle-arc/core/scene';
  import { sayLength, trim } from '@gentle-arc/core/model';
  import type { LensColumn } from '@gentle-arc/core/reading';
  import GradeMark from '$lib/ui/GradeMark.svelte';
  import { preferences } from '$lib/ui/preferences.svelte';

  /** The shot through one focal length: its picture, and what it does. */
  interface Props {
    scene: Scene;
    focalLengthMm: number;
    /** Makes the canvas the sheet that its picture is drawn on; null where nothing can be drawn. */
    sheet: Attachment<HTMLCanvasElement> | null;
    column: LensColumn | null;
    /** It is how the shot is taken now. */
    own: boolean;
    ontake: () => void;
  }
  let { scene, focalLengthMm, sheet, column, own, ontake }: Props = $props();

  const length = (m: number) => sayLength(m, preferences.units);
</script>

<article class:own aria-label="{trim(focalLengthMm, 1)} mm">
  <div
    class="frame"
    style="aspect-ratio: {scene.delivery.widthPx} / {scene.delivery.heightPx}"
    role="img"
    aria-label="Picture through {trim(scene.shot.focalLengthMm, 1)} mm"
  >
    {#if sheet}<canvas {@attach sheet}></canvas>{/if}
  </div>
  <div class="flex items-baseline gap-2 pt-1">
    <h3>{trim(scene.shot.focalLengthMm, 1)} mm</h3>
    <span class="flex-1 truncate text-sm text-soft">{scene.lens.name}</span>
    {#if own}<span class="text-sm font-semibold">taken so</span>{:else}<button
        class="link text-sm font-semibold"
        onclick={ontake}>Take it</button
      >{/if}
  </div>
  {#if column}
    <p>
      <b class="near">near {column.nearSpeed === null ? '–' : speedWords(column.nearSpeed)}</b>,
      <b class="far">far {column.farSpeed === null ? '–' : speedWords(column.farSpeed)}</b>; depth {speedWords(
        column.parallax,
      )}{Number.isFinite(column.distanceM) ? `; stands ${length(column.distanceM)} away` : ''}{Math.max(
        column.nearSlide ?? 0,
        column.farSlide ?? 0,
      ) > 0.005
        ? `; slides ${percent(Math.max(column.nearSlide ?? 0, column.farSlide ?? 0))} of the width in all`
        : ''}.
    </p>
    <p class="text-soft">
      Sharp {length(column.sharpFromM)} to {Number.isFinite(column.sharpToM)
        ? length(column.sharpToM)
        : 'the horizon'}{column.wobble > 0.0005 ? `; bobs ${percent(column.wobble)}` : ''}{Math.abs(
        column.backgroundGrowth - 1,
      ) > 0.02
        ? `; background × ${trim(column.backgroundGrowth, 2)} against the subject`
        : ''}.
    </p>
    {#if column.grade !== 'fits'}<p class="flex gap-2">
        <span class="shrink-0 pt-0.5"><GradeMark grade={column.grade} /></span>{column.why[0]}
      </p>{/if}
  {/if}
</article>

<style>
  article {
    min-width: 0;
    padding: 0.3rem;
    border-radius: 14px;
    font-size: 0.875rem;
    line-height: 1.35;
  }
  article.own {
    box-shadow: inset 0 0 0 2px var(--subject);
  }
  .frame {
    max-height: 40dvh;
    margin: 0 auto;
    background: var(--sun);
  }
  canvas {
    width: 100%;
    height: 100%;
  }
  h3 {
    font-family: var(--font-display);
    font-size: 1.15rem;
  }
  .near {
    color: var(--near);
  }
  .far {
    color: var(--far-ink);
  }
</style>
