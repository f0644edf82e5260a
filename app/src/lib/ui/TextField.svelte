<script lang="ts">
  import { notice } from './notice.svelte';

  /** A name, or words, that are typed over where they stand. A name is never empty: left blank it is as it was. */
  interface Props {
    value: string;
    label: string;
    most: number;
    class?: string;
    placeholder?: string;
    /** It may be empty. */
    blank?: boolean;
    size?: number;
    onchange: (value: string) => void;
  }
  let { value, label, most, class: look = 'typed-word', placeholder, blank = false, size, onchange }: Props = $props();

  function take(input: HTMLInputElement) {
    const text = input.value.trim().slice(0, most);
    if (text === '' && !blank) notice.say(`${label} stays “${value}”: a name is more than white space.`);
    else if (text !== value) onchange(text);
    // What is shown is what is kept, whatever came of it.
    input.value = value;
  }

  function keys(event: KeyboardEvent & { currentTarget: HTMLInputElement }) {
    if (event.ctrlKey || event.metaKey || event.altKey || event.key === 'Tab') return;
    const input = event.currentTarget;
    if (event.key === 'Enter') {
      event.preventDefault();
      take(input);
    } else if (event.key === 'Escape') {
      if (input.value === value) return;
      event.preventDefault();
      input.value = value;
    }
    event.stopPropagation();
  }
</script>

<input
  class={look}
  type="text"
  aria-label={label}
  maxlength={most}
  {placeholder}
  {size}
  {value}
  onchange={(event) => take(event.currentTarget)}
  onkeydown={keys}
/>
