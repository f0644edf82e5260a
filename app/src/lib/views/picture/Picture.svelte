<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Flown } from '@gentle-arc/core/model';
  import type { LivePose } from './film';
  import type { Scene } from '@gentle-arc/core/scene';
  import type { Samples } from '@gentle-arc/core/motion';
  import { preferences } from '$lib/ui/preferences.svelte';
  import type { About } from '@gentle-arc/core/findings';
  import Guides from './Guides.svelte';
  import Highlight from './Highlight.svelte';
  import { downloadBlob, fileName } from '$lib/ui/download';
  import { notice } from '$lib/ui/notice.svelte';
  import { ImageOutline } from 'flowbite-svelte-icons';
  import type PictureCanvas from './PictureCanvas.svelte';
  import { hasWebGl2 } from './webgl';

  /** The picture through the lens at the playhead. three.js is only loaded here, and only where it can draw. */
  interface Props {
    scene: Scene;
    samples: Samples;
    row: number;
    /** What to point at. */
    about?: About | null;
    /** It plays: drawn quickly rather than finely. */
    playing?: boolean;
    /** A hand is changing what is drawn: quickly from its first move on. */
    held?: boolean;
    /** A way that was flown, in the plan's place; a camera that is led by hand. */
    flown?: Flown | null;
    live?: LivePose | null;
    /** What lies over the picture. */
    over?: Snippet;
    /** Somebody presses on it: where, as shares of its width and height from the upper left corner. */
    onpick?: (across: number, down: number) => void;
  }
  let {
    scene,
    samples,
    row,
    about = null,
    playing = false,
    held = false,
    flown = null,
    live = null,
    over,
    onpick,
  }: Props = $props();

  /** How many pictures were drawn so far. */
  export const drawnCount = (): number => sheet?.drawnCount() ?? 0;

  const drawable = hasWebGl2();
  let Canvas3d: typeof PictureCanvas | null = $state.raw(null);
  let sheet: ReturnType<typeof PictureCanvas> | undefined = $state();
  /** What lies over the picture goes with the one that is drawn. */
  const seen = $derived(sheet?.drawn() ?? { scene, samples, row });
  let problem: string | null = $state(null);
  let taking = $state(false);
  /** A still is taken this large, whatever the screen. */
  const STILL_PX = 1920;
  async function takeStill(event: MouseEvent) {
    event.stopPropagation();
    taking = true;
    const still = await sheet?.still(STILL_PX).catch((error: Error) => notice.say(`No still: ${error.message}`));
    taking = false;
    if (still) downloadBlob(`${fileName(scene.shot.name)}-${samples.screenS[row].toFixed(2)}s.png`, still);
    else if (still === null) notice.say('This browser gave no picture to keep.');
  }

  function press(event: MouseEvent & { currentTarget: HTMLElement }) {
    const box = event.currentTarget.getBoundingClientRect();
    onpick?.((event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height);
  }

  $effect(() => {
    if (!drawable) return;
    import('./PictureCanvas.svelte').then(
      (module) => (Canvas3d = module.default),
      (error: Error) => (problem = `The picture could not be loaded: ${error.message}`),
    );
  });
</script>

<!-- What stands in the picture is chosen by key on the plan. -->
<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
<figure
  class="frame"
  onclick={press}
  style="aspect-ratio: {scene.delivery.widthPx} / {scene.delivery.heightPx}; --aspect: {scene.delivery.widthPx /
    scene.delivery.heightPx}"
  aria-label="Picture through the lens"
>
  {#if !drawable || problem}
    <p class="why" role="status">
      {problem ??
        'This browser cannot draw the picture through the lens: WebGL 2 is missing or switched off. The plan, the strip and the reading work without it.'}
    </p>
  {:else if Canvas3d}
    <Canvas3d bind:this={sheet} {scene} {samples} {row} {playing} {held} {flown} {live} />
  {:else}
    <p class="why">Setting up the picture…</p>
  {/if}
  {@render over?.()}
  {#if sheet && !problem && !live}<button
      class="still quiet-button"
      disabled={taking}
      onclick={(event) => void takeStill(event)}
      aria-label="Take this picture as PNG"
      title="Take this picture as PNG"><ImageOutline class="h-4 w-4" /></button
    >{/if}
  {#if scene.shot.after.barsPercent > 0}
    <div class="bar top" style="height: {scene.shot.after.barsPercent}%"></div>
    <div class="bar bottom" style="height: {scene.shot.after.barsPercent}%"></div>
  {/if}
  {#if preferences.guides && drawable && !problem}<Guides
      samples={seen.samples}
      row={Math.min(seen.row, seen.samples.count - 1)}
      alsoShape={seen.scene.delivery.alsoShape}
    />{/if}
  {#if about && drawable && !problem}<Highlight scene={seen.scene} samples={seen.samples} row={seen.row} {about} />{/if}
</figure>

<style>
  .frame {
    position: relative;
    width: min(100%, 62dvh * var(--aspect));
    margin: 0 auto;
    overflow: hidden;
    border-radius: 10px;
    background: var(--sun);
  }
  .still {
    position: absolute;
    right: 6px;
    bottom: 6px;
    z-index: 1;
    background: color-mix(in srgb, var(--raised) 72%, transparent);
  }
  .bar {
    position: absolute;
    inset-inline: 0;
    background: #050606;
  }
  .top {
    top: 0;
  }
  .bottom {
    bottom: 0;
  }
  .why {
    position: absolute;
    inset: 0;
    display: grid;
    place-content: center;
    padding: 2rem;
    text-align: center;
    color: var(--soft);
  }
  @media (max-width: 799px) {
    .frame {
      width: min(100%, 45dvh * var(--aspect));
    }
  }
</style>
