<script lang="ts">
  import {
    BackwardStepOutline,
    CaretLeftOutline,
    CaretRightOutline,
    PauseSolid,
    PlaySolid,
  } from 'flowbite-svelte-icons';
  import { trim } from '@gentle-arc/core/model';
  import { keepPreferences, preferences } from '$lib/ui/preferences.svelte';
  import type { Samples } from '@gentle-arc/core/motion';
  import Choice from '$lib/ui/Choice.svelte';
  import type { Playhead } from '../../session/playhead.svelte';

  /** `bodied`: somebody or something shakes the camera, which can be shown. */
  let { playhead, samples, bodied }: { playhead: Playhead; samples: Samples; bodied: boolean } = $props();

  const tS = $derived(samples.screenS[Math.min(playhead.readRow, samples.count - 1)]);
  const LOOKS = [
    { value: 'plain', name: 'all sharp' },
    { value: 'lens', name: 'lens blur' },
    { value: 'motion', name: 'motion blur' },
    { value: 'both', name: 'both blurs' },
    { value: 'tone', name: 'what is sharp' },
    { value: 'depth', name: 'depth in tones' },
  ];
  const look = $derived(
    preferences.sharpTone
      ? 'tone'
      : preferences.depthTint
        ? 'depth'
        : preferences.lensBlur
          ? preferences.motionBlur
            ? 'both'
            : 'lens'
          : preferences.motionBlur
            ? 'motion'
            : 'plain',
  );
  function setLook(value: string) {
    preferences.lensBlur = value === 'lens' || value === 'both';
    preferences.motionBlur = value === 'motion' || value === 'both';
    preferences.sharpTone = value === 'tone';
    preferences.depthTint = value === 'depth';
    keepPreferences();
  }
  const slow = $derived(samples.captureRateHz / samples.frameRateHz);
</script>

<div class="flex flex-wrap items-center gap-1" role="group" aria-label="Playback">
  <button class="quiet-button" onclick={() => playhead.toRow(0)} aria-label="To the start" title="To the start (Home)"
    ><BackwardStepOutline class="h-5 w-5" /></button
  >
  <button class="quiet-button" onclick={() => playhead.step(-1)} aria-label="One frame back" title="One frame back (←)"
    ><CaretLeftOutline class="h-5 w-5" /></button
  >
  <button
    class="play"
    onclick={() => playhead.toggle()}
    aria-label={playhead.playing ? 'Pause' : 'Play'}
    title="Play or pause (space)"
  >
    {#if playhead.playing}<PauseSolid class="h-5 w-5" />{:else}<PlaySolid class="h-5 w-5" />{/if}
  </button>
  <button class="quiet-button" onclick={() => playhead.step(1)} aria-label="One frame on" title="One frame on (→)"
    ><CaretRightOutline class="h-5 w-5" /></button
  >
  <button
    class="quiet-button text-sm"
    aria-pressed={playhead.loop}
    onclick={() => (playhead.loop = !playhead.loop)}
    title="Start again at the end">Loop</button
  >
  <Choice label="Picture shown" value={look} items={LOOKS} onchange={setLook} />
  {#if bodied}
    <button
      class="quiet-button text-sm"
      aria-pressed={preferences.body}
      onclick={() => {
        preferences.body = !preferences.body;
        keepPreferences();
      }}
      title="Show the bob and tremor of whoever carries the camera">Body</button
    >
  {/if}
  <span class="ml-2 whitespace-nowrap text-sm" aria-live="off"
    ><b>{tS.toFixed(2)} s</b>
    <span class="text-soft"
      >of {samples.screenS[samples.count - 1].toFixed(1)} s{slow === 1
        ? ''
        : ` · ${slow > 1 ? `${trim(slow, 1)} times slower` : `${trim(1 / slow, 1)} times faster`} than life`}</span
    >
  </span>
</div>

<style>
  .play {
    display: grid;
    place-content: center;
    width: 2.5rem;
    height: 2.5rem;
    border-radius: 999px;
    background: var(--subject);
    color: var(--paper);
    cursor: pointer;
  }
  @media (pointer: coarse) {
    .play {
      width: 3rem;
      height: 3rem;
    }
  }
</style>
