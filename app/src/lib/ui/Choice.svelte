<script lang="ts">
  import { tick } from 'svelte';
  import { Select } from 'flowbite-svelte';

  /** A choice inside a sentence. */
  interface Props {
    value: string;
    label: string;
    items: { value: string; name: string }[];
    onchange: (value: string) => void;
  }
  let { value, label, items, onchange }: Props = $props();

  /** Shows what is kept: the choice may have been refused, or be one that starts something and is free again. */
  async function choose(event: Event) {
    const select = event.currentTarget as HTMLSelectElement;
    // What stands there is no choice: least of all the words that ask for one.
    if (select.value === value) return;
    onchange(select.value);
    await tick();
    select.value = value;
  }
</script>

<span class="inline-block align-baseline">
  <Select aria-label={label} {items} {value} placeholder="" classes={{ select: 'choice' }} onchange={choose} />
</span>

<style>
  span :global(select.choice) {
    width: auto;
    field-sizing: content;
    max-width: 15rem;
    min-height: 1.5rem;
    padding: 0.05rem 1.3rem 0.05rem 0.2rem;
    border: 0;
    border-bottom: 1.5px dotted var(--soft);
    background-color: transparent;
    background-position: right 0.1rem center;
    color: var(--subject);
    font: inherit;
    font-weight: 650;
    cursor: pointer;
    text-overflow: ellipsis;
  }
  span :global(select.choice:hover) {
    background-color: color-mix(in srgb, var(--subject) 9%, transparent);
  }
  span :global(select.choice option) {
    font-weight: 650;
    color: var(--ink);
    background: var(--raised);
  }
</style>
