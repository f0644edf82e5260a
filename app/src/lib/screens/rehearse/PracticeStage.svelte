<script lang="ts">
  import { sayLength, trim } from '@gentle-arc/core/model';
  import { fullAt } from '@gentle-arc/core/rehearse';
  import { preferences } from '$lib/ui/preferences.svelte';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Picture from '$lib/views/picture/Picture.svelte';
  import Ghost from './Ghost.svelte';
  import LeadStrip from './LeadStrip.svelte';
  import type { Practising } from './practising.svelte';
  import TouchStick from './TouchStick.svelte';

  /** The picture through a lens that hands lead, and what they have hold of. */
  let { practising }: { practising: Practising } = $props();

  const { run, hands, film, settings, title, ghost } = $derived(practising);
  const start = () => practising.start();
  const session = shotSession();
  const { scene, samples } = $derived(film);
  const distanceM = $derived(film.filmed.subjectDistanceM[0]);
  const full = $derived(run.pose ? fullAt(scene, run.pose.tS) : 0);
  const saying = $derived(
    run.state === 'counting'
      ? run.beginsInS > 1
        ? 'Two'
        : 'One'
      : run.state === 'shown'
        ? 'So it goes'
        : run.state === 'done'
          ? 'Done'
          : '',
  );
  const KEYS = {
    drone: 'W A S D and the arrows are the sticks, R and F the wheel',
    head: 'arrows turn the head',
    jib: 'arrows swing and lift the arm',
    carriage: 'arrows push, a finger leads it',
    ring: 'arrows or the mouse’s wheel turn the ring',
  } as const;
  let picture: { drawnCount: () => number } | undefined = $state();
  let perS = $state(0);
  $effect(() => {
    if (!run.running) return;
    let before = picture?.drawnCount() ?? 0;
    const timer = setInterval(() => {
      const now = picture?.drawnCount() ?? 0;
      perS = now - before;
      before = now;
    }, 1000);
    return () => clearInterval(timer);
  });
</script>

<div class="head">
  <h1 class="font-display text-2xl">{title}</h1>
  <p class="text-soft text-sm">
    <span class="keys">{KEYS[settings.held]}</span><span class="touch">a finger leads it</span>{hands.pad
      ? '; the gamepad is heard'
      : '; a gamepad is heard when one of its buttons is pressed'}.
  </p>
</div>
<div class="picture" data-per-second={perS}>
  <Picture bind:this={picture} {scene} {samples} row={0} live={run.pose} playing={run.running}>
    {#snippet over()}
      {#if ghost && run.pose && run.plan && run.state !== 'shown'}
        <Ghost
          pose={run.pose}
          plan={run.plan}
          frameWidthMm={film.filmed.frameWidthMm}
          frameHeightMm={film.filmed.frameHeightMm}
          {distanceM}
        />
      {/if}
      {#if saying !== ''}<p class="saying" role="status">{saying}</p>{/if}
      {#if run.running}
        <div class="pace" aria-hidden="true"><span style:height="{full * 100}%"></span></div>
        <p class="clock">
          {trim(Math.max(0, run.pose?.tS ?? 0), 1)} of {trim(scene.durationS, 1)} s{settings.held === 'drone'
            ? `, battery ${Math.round(run.batteryShare * 100)}%`
            : ''}
        </p>
      {/if}
    {/snippet}
  </Picture>
</div>
<div class="hands">
  {#if settings.held === 'carriage'}
    <LeadStrip
      label="Carriage"
      at={run.alongM}
      length={run.railM}
      said="{sayLength(run.alongM, preferences.units)} of {sayLength(run.railM, preferences.units)}"
      onlead={(to) => (hands.leadToM = to)}
    />
  {:else if settings.held === 'ring'}
    <LeadStrip
      label="Focus ring"
      at={run.ringDeg}
      length={scene.lens.ringDeg}
      said="{run.pose ? sayLength(Math.min(run.pose.focusM, 999), preferences.units) : ''}, {Math.round(
        run.ringDeg,
      )}° from ∞"
      onlead={(to) => (hands.ringToDeg = to)}
      onwheel={(by) => hands.wheel(by)}
    />
  {:else}
    {#if settings.held === 'drone'}
      <TouchStick
        label="Left stick"
        x={hands.now.left.x}
        y={hands.now.left.y}
        onlead={(x, y) => (hands.touched.left = { x, y })}
      />
      <TouchStick
        label="Wheel"
        wheel
        x={0}
        y={hands.now.wheel.y}
        onlead={(_, y) => (hands.touched.wheel = { x: 0, y })}
      />
    {/if}
    <button class="solid-button go" onclick={start}
      >{run.running ? 'Stop' : run.state === 'done' ? 'Again' : 'Start'}</button
    >
    <TouchStick
      label={settings.held === 'drone' ? 'Right stick' : settings.held === 'jib' ? 'Arm' : 'Joystick'}
      x={hands.now.right.x}
      y={hands.now.right.y}
      onlead={(x, y) => (hands.touched.right = { x, y })}
    />
  {/if}
  {#if settings.held === 'carriage' || settings.held === 'ring'}
    <button class="solid-button go" onclick={start}
      >{run.running ? 'Stop' : run.state === 'done' ? 'Again' : 'Start'}</button
    >
  {/if}
</div>
{#if session.scene.rig.kind === 'drone' || settings.held === 'drone'}
  <p class="text-xs text-soft caution">
    A simulator is not the air: real wind, trees and people are. Local rules and licensed people decide what is flown.
  </p>
{/if}

<style>
  .head {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 0 1rem;
    padding-bottom: 0.2rem;
  }
  .picture :global(.frame) {
    width: min(100%, (100dvh - 19rem) * var(--aspect));
  }
  .saying {
    position: absolute;
    inset: 34% 0 auto;
    text-align: center;
    font: 600 clamp(2.4rem, 7vw, 4.6rem) var(--font-display);
    color: var(--subject);
    paint-order: stroke;
    -webkit-text-stroke: 8px var(--sun);
    pointer-events: none;
  }
  .pace {
    position: absolute;
    left: 10px;
    bottom: 10px;
    width: 10px;
    height: 40%;
    border-radius: 5px;
    overflow: hidden;
    display: flex;
    align-items: flex-end;
    background: color-mix(in srgb, var(--raised) 60%, transparent);
  }
  .pace span {
    width: 100%;
    background: var(--subject);
  }
  .clock {
    position: absolute;
    right: 10px;
    bottom: 8px;
    padding: 0.1rem 0.6rem;
    border-radius: 999px;
    background: color-mix(in srgb, var(--raised) 76%, transparent);
  }
  .hands {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: center;
    gap: 0.5rem 1.6rem;
    padding: 0.6rem 0 1.5rem;
  }
  .go {
    min-width: 6.5rem;
  }
  .caution {
    text-align: center;
  }
  .touch {
    display: none;
  }
  @media (pointer: coarse) {
    .keys {
      display: none;
    }
    .touch {
      display: inline;
    }
  }
  @media (max-width: 799px) {
    .hands {
      flex-wrap: nowrap;
      gap: 0.4rem;
      justify-content: space-between;
    }
    .hands :global(.well) {
      flex: 0 0 auto;
      width: 6.6rem;
      height: 6.6rem;
    }
    .hands :global(.well.wheel) {
      width: 2.6rem;
    }
    .go {
      min-width: 0;
      padding: 0 0.8rem;
    }
  }
</style>
