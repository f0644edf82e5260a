<script lang="ts">
  import { Canvas } from '@threlte/core';
  import { NoToneMapping, PCFShadowMap, WebGLRenderer } from 'three';
  import type { Setup } from '@gentle-arc/core/model/shoot';
  import type { Samples } from '@gentle-arc/core/motion/sample';
  import PictureScene from './PictureScene.svelte';
  import { drawsInSoftware } from './webgl';

  /** `small`: one of many at a time, drawn without shadows. */
  let { setup, samples, row, small = false }: { setup: Setup; samples: Samples; row: number; small?: boolean } = $props();

  const simple = $derived(small && drawsInSoftware());
</script>

<Canvas
  createRenderer={(canvas) => new WebGLRenderer({ canvas, antialias: !simple, powerPreference: 'high-performance' })}
  dpr={simple ? 0.75 : Math.min(window.devicePixelRatio, 2)}
  shadows={small ? false : PCFShadowMap}
  toneMapping={NoToneMapping}
>
  <PictureScene {setup} {samples} {row} />
</Canvas>
