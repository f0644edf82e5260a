<script lang="ts">
  import { Canvas } from '@threlte/core';
  import { NoToneMapping, PCFShadowMap } from 'three';
  import type { Setup } from '@gentle-arc/core/model/shoot';
  import type { Samples } from '@gentle-arc/core/motion/sample';
  import PictureScene from './PictureScene.svelte';

  let { setup, samples, row }: { setup: Setup; samples: Samples; row: number } = $props();
</script>

<Canvas dpr={Math.min(window.devicePixelRatio, 2)} shadows={PCFShadowMap} toneMapping={NoToneMapping}>
  <PictureScene {setup} {samples} {row} />
</Canvas>
