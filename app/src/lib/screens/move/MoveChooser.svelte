<script lang="ts">
  import { tick } from 'svelte';
  import { CloseOutline } from 'flowbite-svelte-icons';
  import type { MoveKind } from '@gentle-arc/core/model';
  import { type Effect, EFFECT_KINDS, EFFECTS, kindsFor, RECIPES } from '@gentle-arc/core/motion';
  import MovePicture from '../../views/move-picture/MovePicture.svelte';

  /**
   * Choosing a move by what it does on screen: first the effect, then the moves that make it, each by its picture. A
   * choice shows at once in the picture beside it.
   */
  interface Props {
    kind: MoveKind;
    onchoose: (kind: MoveKind) => void;
    onclose: () => void;
  }
  let { kind: chosen, onchoose, onclose }: Props = $props();

  // The chooser opens at what the shot has; after that the person leads.
  // svelte-ignore state_referenced_locally
  let wanted: Effect = $state(RECIPES[chosen].effect);
  let heading: HTMLHeadingElement;

  $effect(() => {
    void tick().then(() => heading.focus());
  });

  function keys(event: KeyboardEvent) {
    if (event.key !== 'Escape') return;
    event.stopPropagation();
    onclose();
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<section class="chooser" aria-label="Choose a move" onkeydown={keys}>
  <div class="flex items-center justify-between gap-2">
    <h2 class="font-display text-xl" tabindex="-1" bind:this={heading}>What should happen on screen?</h2>
    <button class="quiet-button shrink-0 font-semibold" onclick={onclose} title="Close (Escape)"
      ><CloseOutline class="h-4 w-4" />Done</button
    >
  </div>
  <div class="effects" role="group" aria-label="What it does on screen">
    {#each EFFECT_KINDS as key (key)}
      <button aria-pressed={wanted === key} onclick={() => (wanted = key)} title={EFFECTS[key].says}
        >{EFFECTS[key].label}</button
      >
    {/each}
  </div>
  <p class="text-soft">{EFFECTS[wanted].says}</p>
  <div class="moves" role="group" aria-label="Moves">
    {#each kindsFor(wanted) as kind (kind)}
      <button
        class="move"
        aria-pressed={chosen === kind}
        aria-label={RECIPES[kind].title}
        onclick={() => onchoose(kind)}
      >
        <MovePicture {kind} size={92} />
        <span class="min-w-0"><b>{RECIPES[kind].title}</b><span class="purpose">{RECIPES[kind].purpose}</span></span>
      </button>
    {/each}
  </div>
</section>

<style>
  .chooser {
    flex: 1;
    min-height: 0;
    display: flex;
    flex-direction: column;
    gap: 0.5rem;
    padding-right: 0.3rem;
  }
  .effects {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem;
  }
  .effects button {
    min-height: 1.9rem;
    padding: 0 0.6rem;
    font-size: 0.92rem;
    border-radius: 999px;
    background: color-mix(in srgb, var(--far) 12%, transparent);
    cursor: pointer;
  }
  .effects button:hover {
    background: color-mix(in srgb, var(--far) 24%, transparent);
  }
  .effects button[aria-pressed='true'] {
    background: var(--subject);
    color: var(--paper);
    font-weight: 650;
  }
  .moves {
    flex: 1;
    min-height: 0;
    overflow-y: auto;
    display: grid;
    align-content: start;
    gap: 0.2rem;
  }
  .move {
    display: flex;
    align-items: center;
    gap: 0.8rem;
    padding: 0.3rem 0.6rem 0.3rem 0.3rem;
    border-radius: 12px;
    text-align: left;
    line-height: 1.25;
    cursor: pointer;
  }
  .move :global(svg) {
    flex: none;
  }
  .move:hover {
    background: color-mix(in srgb, var(--near) 9%, transparent);
  }
  .move[aria-pressed='true'] {
    background: color-mix(in srgb, var(--near) 13%, transparent);
    box-shadow: inset 4px 0 0 var(--near);
  }
  .purpose {
    display: block;
    color: var(--soft);
    font-size: 0.92rem;
  }
  @media (pointer: coarse) {
    .effects button {
      min-height: 2.75rem;
    }
  }
  @media (max-width: 799px) {
    .moves {
      overflow: visible;
    }
  }
</style>
