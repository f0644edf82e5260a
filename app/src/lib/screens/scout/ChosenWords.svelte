<script lang="ts">
  import { tick } from 'svelte';
  import {
    type Alignment,
    ALIGNMENTS,
    alignPieces,
    groupPieces,
    hidePieces,
    lockPieces,
    MOST_REPEATS,
    removePieces,
    repeatPieces,
  } from '@gentle-arc/core/edit';
  import type { Fact, Piece, Shoot } from '@gentle-arc/core/model';
  import { newId } from '$lib/session/store/new-id';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Menu from '$lib/ui/Menu.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';
  import PieceSentence from '$lib/views/piece/PieceSentence.svelte';

  /** What is chosen on the ground, and what can be done with it: one piece, or several at a time. */
  interface Props {
    selected: Piece;
    chosenIds: readonly string[];
    drawingWalk: boolean;
    ondrawwalk: () => void;
    oncopy: () => void;
    onselect: (id: string | null) => void;
    onchosen: (ids: string[]) => void;
  }
  let { selected, chosenIds, drawingWalk, ondrawwalk, oncopy, onselect, onchosen }: Props = $props();

  const session = shotSession();
  const { shoot, shot } = $derived(session);
  const pieces = $derived(shoot.site.pieces.filter(({ id }) => chosenIds.includes(id)));
  const many = $derived(pieces.length > 1);
  const all = (of: (piece: Piece) => boolean) => pieces.every(of);
  const grouped = $derived(many && selected.group !== null && all(({ group }) => group === selected.group));
  const change = (next: Shoot) => session.change(next);

  let words: HTMLElement | undefined = $state();
  /** One of several, whatever it is grouped with; the keys go on in its sentence. */
  async function chooseAlone(id: string) {
    onchosen([id]);
    await tick();
    words?.querySelector('button')?.focus();
  }

  /** A row of what is chosen: how many more, how far apart, which way. */
  let row = $state({ times: 4, apartM: 2, bearingDeg: 90 });
  const FACTS: Record<string, Fact> = {
    times: { type: 'number', label: 'How many more', unit: 'count', step: 1, min: 1, max: MOST_REPEATS },
    apartM: { type: 'number', label: 'Apart', unit: 'm', step: 0.1, min: 0.05, max: 500 },
    bearingDeg: { type: 'number', label: 'Towards', unit: 'deg', step: 5, min: 0, max: 360 },
  };
  function repeat() {
    const before = shoot.site.pieces.length;
    const next = repeatPieces(shoot, chosenIds, { ...row, times: Math.round(row.times) }, () => newId('piece'));
    if (change(next)) onchosen([...chosenIds, ...next.site.pieces.slice(before).map(({ id }) => id)]);
  }
</script>

{#if many}
  <h2 class="font-display text-xl">{pieces.length} pieces</h2>
  <p class="text-soft text-sm">
    {#each pieces as { id, name }, i (id)}{i > 0 ? ', ' : ''}<button
        class="link min-h-6"
        title="Choose this one alone"
        onclick={() => chooseAlone(id)}>{name}</button
      >{/each}
  </p>
{:else}
  <div bind:this={words}>
    <PieceSentence piece={selected} {drawingWalk} {ondrawwalk} {onselect} onclose={() => onselect(null)} />
  </div>
{/if}
<div class="acts" role="group" aria-label="With what is chosen">
  {#if many}
    <Menu
      id="line-up"
      label="Line up"
      items={Object.entries(ALIGNMENTS).map(([how, name]) => ({
        name,
        onpress: () => void change(alignPieces(shoot, shot.id, chosenIds, how as Alignment)),
      }))}>Line up</Menu
    >
    {#if grouped}<button class="quiet-button" onclick={() => change(groupPieces(shoot, chosenIds, null))}
        >Ungroup</button
      >{:else}<button class="quiet-button" onclick={() => change(groupPieces(shoot, chosenIds, newId('group')))}
        >Group</button
      >{/if}
  {/if}
  <button
    class="quiet-button"
    aria-pressed={all(({ locked }) => locked)}
    onclick={() => change(lockPieces(shoot, chosenIds, !all(({ locked }) => locked)))}
    title="Cannot be dragged, turned or sized by hand">Lock</button
  >
  <button
    class="quiet-button"
    aria-pressed={all(({ hidden }) => hidden)}
    onclick={() => change(hidePieces(shoot, chosenIds, !all(({ hidden }) => hidden)))}
    title="Not drawn on the plan; it stays in the picture">Hide on the plan</button
  >
  <button class="quiet-button" onclick={oncopy} title="Ctrl C; put it here or in another shoot with Ctrl V">Copy</button
  >
  {#if many}<button
      class="quiet-button"
      onclick={() => {
        if (change(removePieces(shoot, chosenIds))) onselect(null);
      }}>Delete</button
    >{/if}
</div>
<p class="said">
  <Sentence
    text={'{times} more in a row, {apartM} apart, towards {bearingDeg}.'}
    facts={FACTS}
    values={row}
    onchange={(key, value) => (row = { ...row, [key]: Number(value) })}
  />
  <button class="link" onclick={repeat}>Repeat</button>
</p>

<style>
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 0.1rem;
    margin: 0.3rem 0;
    font-size: 0.9rem;
  }
</style>
