<script lang="ts">
  import type { Component, ComponentProps } from 'svelte';
  import type { Scene } from '@gentle-arc/core/scene';
  import type { Samples } from '@gentle-arc/core/motion';
  import { preferences } from '$lib/ui/preferences.svelte';
  import type { About } from '@gentle-arc/core/findings';
  import Guides from './Guides.svelte';
  import Highlight from './Highlight.svelte';
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
    /** Somebody presses on it: where, as shares of its width and height from the upper left corner. */
    onpick?: (across: number, down: number) => void;
  }
  let { scene, samples, row, about = null, playing = false, onpick }: Props = $props();

  const drawable = hasWebGl2();
  let Canvas3d: Component<ComponentProps<typeof PictureCanvas>> | null = $state.raw(null);
  let problem: string | null = $state(null);

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
    <Canvas3d {scene} {samples} {row} {playing} />
  {:else}
    <p class="why">Setting up the picture…</p>
  {/if}
  {#if scene.shot.after.barsPercent > 0}
    <div class="bar top" style="height: {scene.shot.after.barsPercent}%"></div>
    <div class="bar bottom" style="height: {scene.shot.after.barsPercent}%"></div>
  {/if}
  {#if preferences.guides && drawable && !problem}<Guides {samples} {row} alsoShape={scene.delivery.alsoShape} />{/if}
  {#if about && drawable && !problem}<Highlight {scene} {samples} {row} {about} />{/if}
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
