<script module lang="ts">
  /** What else there is to say of a shot, each under one word. */
  export type Word = 'reading' | 'move' | 'time' | 'aim' | 'camera' | 'light' | 'rig' | 'note' | 'piece';
</script>

<script lang="ts">
  /** The words under which the rest of a shot lies; one is open at a time. `piece`: one is chosen on the plan. */
  let { open, piece, onopen }: { open: Word; piece: boolean; onopen: (word: Word) => void } = $props();

  const WORDS: { word: Word; name: string }[] = [
    { word: 'reading', name: 'Reading' },
    { word: 'move', name: 'Move' },
    { word: 'time', name: 'Time' },
    { word: 'aim', name: 'Aim' },
    { word: 'camera', name: 'Camera' },
    { word: 'light', name: 'Light' },
    { word: 'rig', name: 'Rig' },
    { word: 'note', name: 'Note' },
  ];
  const shown = $derived(!piece ? WORDS : [...WORDS, { word: 'piece' as const, name: 'Piece' }]);
</script>

<div class="bar-of-words" role="group" aria-label="More of this shot">
  {#each shown as { word, name } (word)}
    <button aria-pressed={open === word} onclick={() => onopen(word)}>{name}</button>
  {/each}
</div>

<style>
  .bar-of-words {
    display: flex;
    flex-wrap: wrap;
    gap: 0 0.15rem;
    border-bottom: 1px solid var(--hairline);
  }
  button {
    max-width: 9rem;
    min-height: 2rem;
    padding: 0.15rem 0.42rem;
    overflow: hidden;
    border-radius: 8px 8px 0 0;
    text-overflow: ellipsis;
    white-space: nowrap;
    color: var(--soft);
    cursor: pointer;
  }
  button:hover {
    background: color-mix(in srgb, var(--subject) 9%, transparent);
  }
  button[aria-pressed='true'] {
    box-shadow: inset 0 -3px 0 var(--subject);
    color: var(--ink);
    font-weight: 650;
  }
  @media (pointer: coarse) {
    button {
      min-height: 2.75rem;
    }
  }
</style>
