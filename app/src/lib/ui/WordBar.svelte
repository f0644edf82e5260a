<script lang="ts" generics="Word extends string">
  /** The words under which the rest of a screen lies; one is open at a time. */
  interface Props {
    label: string;
    words: { word: Word; name: string }[];
    open: Word;
    onopen: (word: Word) => void;
  }
  let { label, words, open, onopen }: Props = $props();
</script>

<div class="bar-of-words" role="group" aria-label={label}>
  {#each words as { word, name } (word)}
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
