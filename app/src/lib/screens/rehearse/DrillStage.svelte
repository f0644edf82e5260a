<script lang="ts">
  import { sayExactMm, trim } from '@gentle-arc/core/model';
  import {
    drillScore,
    GIMBAL_PLATES,
    gimbalDrill,
    gimbalWorks,
    isWorkable,
    lookAtGimbal,
    lookAtSled,
    moveGimbal,
    moveSled,
    saySledLook,
    type SledSetting,
    sledDrill,
  } from '@gentle-arc/core/rehearse';
  import { preferences } from '$lib/ui/preferences.svelte';

  /** A rig to be balanced by looking: what is seen, what can be moved, and how many moves it took. */
  interface Props {
    which: 'sledDrill' | 'gimbalDrill';
    seed: number;
    onend: (score: number, said: string) => void;
    onagain: () => void;
    onclose: () => void;
  }
  let { which, seed, onend, onagain, onclose }: Props = $props();

  let sled = $derived(sledDrill(seed));
  let gimbal = $derived(gimbalDrill(seed));
  /** What was seen at the last look; null: it was moved since. */
  let looked = $state(false);
  let done = $state(false);
  let stepMm = $state(2);

  const look = $derived(lookAtSled(sled));
  const axes = $derived(lookAtGimbal(gimbal));
  const moves = $derived(which === 'sledDrill' ? sled.moves : gimbal.moves);
  const par = $derived(which === 'sledDrill' ? sled.par : gimbal.par);
  const lean = $derived(looked && which === 'sledDrill' ? Math.max(-60, Math.min(60, look.leanForeDeg)) : 0);
  const SETTINGS: { what: SledSetting; name: string; less: string; more: string }[] = [
    { what: 'stageForeMm', name: 'Stage', less: 'Stage back', more: 'Stage forward' },
    { what: 'stageSideMm', name: 'Stage', less: 'Stage left', more: 'Stage right' },
    { what: 'gimbalMm', name: 'Pivot', less: 'Pivot up', more: 'Pivot down' },
  ];
  const STEPS = [0.5, 1, 2, 5, 10];

  function change(work: () => void) {
    if (done) return;
    work();
    looked = false;
  }
  function see() {
    looked = true;
    const works = which === 'sledDrill' ? isWorkable(sled) : gimbalWorks(gimbal);
    if (!works || done || moves === 0) return;
    done = true;
    const score = drillScore(moves, par);
    onend(score, `${moves} ${moves === 1 ? 'move' : 'moves'}; the coach needs ${par}.`);
  }
</script>

<div class="head">
  <h1 class="font-display text-2xl">{which === 'sledDrill' ? 'Balance the sled' : 'Balance the gimbal'}</h1>
  <button class="quiet-button framed" onclick={onclose}>Back to the course</button>
</div>
<div class="drill">
  {#if which === 'sledDrill'}
    <svg viewBox="-70 -20 400 330" role="img" aria-label="The sled from its side">
      <g style="transform: rotate({lean}deg); transform-origin: 130px 92px" class="sled">
        <rect x="126" y="60" width="8" height="200" class="post" />
        <rect x={112 + sled.sled.stageForeMm} y="52" width="46" height="8" class="stage" />
        <rect x={106 + sled.sled.stageForeMm} y="22" width="44" height="30" rx="4" class="camera" />
        <rect x={150 + sled.sled.stageForeMm} y="28" width="18" height="18" rx="3" class="camera" />
        <rect x="104" y="252" width="52" height="12" rx="4" class="weight" />
        <rect x="90" y="238" width="26" height="16" rx="3" class="weight" />
      </g>
      <circle cx="130" cy="92" r="8" class="pivot" />
      <path d="M130 92 q40 10 62 -6" class="handle" />
    </svg>
  {:else}
    <ul class="axes">
      {#each axes as { axis, said, holds } (axis)}
        <li>
          <b>{axis}</b>
          <span class:holds={looked && holds}>{looked ? said : 'Let go of it and look.'}</span>
        </li>
      {/each}
    </ul>
  {/if}
  <div class="work">
    <p class="seen" role="status">
      {#if done}<b>{which === 'sledDrill' ? 'Workable' : 'It holds on all axes'}</b> after {moves}
        {moves === 1 ? 'move' : 'moves'}; the coach needs {par}. Worth {drillScore(moves, par)}.
      {:else if which === 'gimbalDrill'}{looked
          ? 'Slide the plate of an axis that falls, the first one first, then look again.'
          : 'Motors off, a hand under the camera: let go of each axis and look.'}
      {:else if looked}{saySledLook(look)} Wished: upright, and {trim(sled.sled.wishS, 1)} s.
      {:else}Hold it level by its grip, let it find its rest, let it drop: then look.{/if}
    </p>
    {#if done}
      <button class="solid-button" onclick={onagain}>Another one</button>
    {:else}
      <button class="solid-button" onclick={see}>Look</button>
    {/if}
    <p class="row" role="group" aria-label="Step">
      <span class="text-soft">By</span>
      {#each STEPS as step (step)}
        <button class="quiet-button framed" aria-pressed={stepMm === step} onclick={() => (stepMm = step)}
          >{sayExactMm(step, preferences.units)}</button
        >
      {/each}
    </p>
    <ul class="moves">
      {#if which === 'sledDrill'}
        {#each SETTINGS as { what, less, more } (what)}
          <li>
            <button
              class="quiet-button framed"
              disabled={done}
              onclick={() => change(() => (sled = moveSled(sled, what, -stepMm)))}>{less}</button
            >
            <span>{sayExactMm(sled.sled[what], preferences.units)}</span>
            <button
              class="quiet-button framed"
              disabled={done}
              onclick={() => change(() => (sled = moveSled(sled, what, stepMm)))}>{more}</button
            >
          </li>
        {/each}
      {:else}
        {#each GIMBAL_PLATES as { key, name } (key)}
          <li>
            <button
              class="quiet-button framed"
              disabled={done}
              aria-label="{name}, less"
              onclick={() => change(() => (gimbal = moveGimbal(gimbal, key, -stepMm)))}>−</button
            >
            <span>{name}: {sayExactMm(gimbal.gimbal[key], preferences.units)}</span>
            <button
              class="quiet-button framed"
              disabled={done}
              aria-label="{name}, more"
              onclick={() => change(() => (gimbal = moveGimbal(gimbal, key, stepMm)))}>+</button
            >
          </li>
        {/each}
      {/if}
    </ul>
    <p class="text-soft text-sm">{moves} {moves === 1 ? 'move' : 'moves'} so far.</p>
    <p class="text-xs text-soft">At the real one: a hand under the camera, fingers out of the arms, motors off.</p>
  </div>
</div>

<style>
  .head {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 0.3rem 1rem;
    padding: 0.3rem 0;
  }
  .drill {
    display: flex;
    gap: 1.5rem;
    flex-wrap: wrap;
  }
  .drill > svg {
    flex: 1 1 16rem;
    max-height: 68dvh;
    min-width: 14rem;
  }
  .work {
    flex: 1 1 20rem;
    display: grid;
    gap: 0.6rem;
    align-content: start;
    justify-items: start;
  }
  .sled {
    transition: transform 0.6s ease-in-out;
  }
  .post,
  .stage {
    fill: var(--soft);
  }
  .camera {
    fill: var(--near);
  }
  .weight {
    fill: var(--far);
  }
  .pivot {
    fill: var(--subject);
  }
  .handle {
    fill: none;
    stroke: var(--subject);
    stroke-width: 7;
    stroke-linecap: round;
  }
  .seen {
    font-size: 1.15rem;
    min-height: 3.2rem;
    border-left: 4px solid var(--subject);
    padding-left: 0.7rem;
  }
  .row,
  .moves li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.4rem;
  }
  .moves {
    display: grid;
    gap: 0.35rem;
  }
  .moves span {
    min-width: 5rem;
    text-align: center;
  }
  .framed {
    box-shadow: inset 0 0 0 1px var(--hairline);
  }
  .axes {
    flex: 1 1 18rem;
  }
  .axes li {
    display: grid;
    padding: 0.5rem 0;
    border-bottom: 1px solid var(--hairline);
    font-size: 1.1rem;
  }
  .holds {
    color: var(--subject);
    font-weight: 650;
  }
</style>
