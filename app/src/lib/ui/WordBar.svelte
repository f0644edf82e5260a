<script lang="ts" generics="Word extends string">
  /** The words under which the rest of a screen lies; one is open at a time. */
  interface Props {
    label: string;
    words: { word: Word; name: string }[];
    open: Word;
    /** On a phone: what lies under the open word is folded away, or not; pressing the word again turns that about. */
    folded?: boolean;
    onopen: (word: Word) => void;
  }
  let { label, words, open, folded, onopen }: Props = $props();
</script>

<div class="bar-of-words" role="group" aria-label={label}>
  {#each words as { word, name } (word)}
    <button
      aria-pressed={open === word}
      class={{ folds: open === word && folded !== undefined, folded }}
      onclick={() => onopen(word)}>{name}</button
    >
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
  /* What pressing it again would do. */
  @media (max-width: 799px) {
    .folds {
      position: relative;
    }
    .folds::after {
      content: '';
      position: absolute;
      top: 0.3rem;
      left: calc(50% - 0.3rem);
      border: 0.3rem solid transparent;
      border-top-color: currentColor;
    }
    .folds.folded::after {
      top: 0;
      border-top-color: transparent;
      border-bottom-color: currentColor;
    }
  }
  @media (pointer: coarse) {
    button {
      min-height: 2.75rem;
    }
  }
</style>
