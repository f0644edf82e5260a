<script lang="ts">
  import { addPartAt } from '@gentle-arc/core/edit';
  import { FIELDS, type OwnPart, type Piece } from '@gentle-arc/core/model';
  import { partsOf } from '@gentle-arc/core/site';
  import { onDestroy } from 'svelte';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import { newId } from '$lib/session/store/new-id';
  import Sentence from '$lib/ui/Sentence.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  /** The parts of a piece that a shot can be after; a person's own can be added, placed and named. */
  interface Props {
    piece: Piece;
    onchange: (change: (row: Piece) => Piece, join: string | null) => void;
  }
  let { piece, onchange }: Props = $props();

  const MOST = 12;
  const session = shotSession();
  onDestroy(() => (session.partingId = null));
  const known = $derived(partsOf(piece).filter(({ id }) => !id.startsWith('own:')));
  const set = (id: string, change: Partial<OwnPart>, join: string | null) =>
    onchange(
      (row) => ({ ...row, ownParts: row.ownParts.map((part) => (part.id === id ? { ...part, ...change } : part)) }),
      join,
    );
  const add = () =>
    onchange(
      (row) => addPartAt(row, newId('part'), { alongM: row.lengthM / 2, acrossM: 0, upM: row.heightM / 2 }),
      null,
    );
</script>

<details class="text-sm">
  <summary
    >Its parts: {known.map(({ name }) => name).join(', ')}{piece.ownParts.length > 0 ? ', and own ones' : ''}</summary
  >
  {#each piece.ownParts as part (part.id)}
    <p class="leading-8">
      <TextField
        class="w-32"
        label="Name of the part {part.name}"
        most={40}
        value={part.name}
        onchange={(name) => set(part.id, { name }, null)}
      />
      <Sentence
        text={'{alongM} forward, {acrossM} to the right, {upM} up, {sizeM} large.'}
        facts={FIELDS.ownPart}
        values={part}
        label={(_key, fact) => `${part.name}: ${fact.label}`}
        onchange={(key, value) => set(part.id, { [key]: Number(value) }, `part.${part.id}.${key}`)}
      />
      <button
        class="link"
        onclick={() => onchange((row) => ({ ...row, ownParts: row.ownParts.filter(({ id }) => id !== part.id) }), null)}
        >Take {part.name} away</button
      >
    </p>
  {/each}
  {#if piece.ownParts.length < MOST}
    <button class="quiet-button" onclick={add}>Add a part</button>
    <button
      class="quiet-button"
      aria-pressed={session.partingId === piece.id}
      onclick={() => (session.partingId = session.partingId === piece.id ? null : piece.id)}
      >{session.partingId === piece.id ? `Press on ${piece.name} in the picture…` : 'Add one by pressing on it'}</button
    >
  {/if}
  <p class="text-soft">A shot is after one of them under Aim: it is framed, focused and judged by that.</p>
</details>
