<script lang="ts">
  import { PlusOutline, TrashBinOutline } from 'flowbite-svelte-icons';
  import type { LegMotion } from '@gentle-arc/core/motion';
  import { trim } from '@gentle-arc/core/model';
  import MovePicture from '../../views/move-picture/MovePicture.svelte';

  /** The moves of a shot in order: choose the one to shape, change it for another, add one after. */
  interface Props {
    legs: LegMotion[];
    active: number;
    onselect: (index: number) => void;
    onchange: () => void;
    onadd: () => void;
    onremove: (index: number) => void;
  }
  const MOST_LEGS = 13;
  let { legs, active, onselect, onchange, onadd, onremove }: Props = $props();
</script>

<div class="bar" role="group" aria-label="Moves of this shot">
  {#each legs as leg, i (i)}
    {#if i > 0}<span class="then" aria-hidden="true">{leg.leg.overlapS > 0 ? '⤳' : '→'}</span>{/if}
    <button
      class="leg"
      aria-pressed={legs.length > 1 ? active === i : undefined}
      onclick={() => (active === i ? onchange() : onselect(i))}
      title={active === i ? 'Choose another move' : 'Shape this one'}
    >
      <MovePicture kind={leg.move.kind} size={legs.length > 2 ? 44 : 60} />
      <span class="text">
        <b>{leg.recipe.title}</b>
        {#if legs.length > 1}<span class="text-soft"
            >{trim(leg.fromS, 1)} to {trim(leg.toS, 1)} s{active === i ? ' · change' : ''}</span
          >{:else}<span class="text-soft">Choose another move</span>{/if}
      </span>
    </button>
  {/each}
  <span class="flex-1"></span>
  {#if legs.length > 1}
    <button
      class="quiet-button"
      onclick={() => onremove(active)}
      aria-label="Take out {legs[active].recipe.title}"
      title="Take this move out (can be undone)"><TrashBinOutline class="h-4 w-4" /></button
    >
  {/if}
  {#if legs.length < MOST_LEGS}
    <button
      class="quiet-button text-sm"
      onclick={onadd}
      aria-label="Then another move"
      title="Add a move that goes on from where this shot ends"
      ><PlusOutline class="h-4 w-4" />{#if legs.length < 2}Then{/if}</button
    >
  {/if}
</div>

<style>
  .bar {
    display: flex;
    align-items: center;
    gap: 0.15rem;
    overflow-x: auto;
  }
  @media (max-width: 799px) {
    .bar {
      flex-wrap: wrap;
    }
  }
  .leg {
    display: flex;
    align-items: center;
    gap: 0.4rem;
    padding: 0.15rem 0.7rem 0.15rem 0.2rem;
    border-radius: 12px;
    text-align: left;
    line-height: 1.15;
    cursor: pointer;
  }
  .leg :global(svg) {
    flex: none;
  }
  .leg:hover {
    background: color-mix(in srgb, var(--near) 9%, transparent);
  }
  .leg[aria-pressed='true'] {
    background: color-mix(in srgb, var(--near) 14%, transparent);
    box-shadow: inset 0 -3px 0 var(--near);
  }
  .text {
    display: grid;
    white-space: nowrap;
    font-size: 0.9rem;
  }
  .then {
    color: var(--near);
    font-weight: 700;
  }
</style>
