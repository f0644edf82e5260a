<script lang="ts">
  import { tick, type Snippet } from 'svelte';
  import { Dropdown } from 'flowbite-svelte';

  /** A button with a short list of what can be done. Arrow keys move in it, Escape leads back to the button. */
  interface Props {
    id: string;
    label: string;
    title?: string;
    width?: string;
    /** `group`: a heading over this row and those that follow with the same one. */
    items: { name: string; group?: string; onpress?: () => void; href?: string }[];
    children: Snippet;
  }
  let { id, label, title, width = 'w-60', items, children }: Props = $props();

  let open = $state(false);
  let trigger: HTMLButtonElement;
  let list: HTMLElement | undefined = $state();

  const rows = () => [...(list?.querySelectorAll<HTMLElement>('a, button') ?? [])];

  async function openAt(end: 0 | -1) {
    open = true;
    await tick();
    rows().at(end)?.focus();
  }

  function keys(event: KeyboardEvent) {
    const all = rows();
    const here = all.indexOf(document.activeElement as HTMLElement);
    const to = {
      ArrowDown: (here + 1) % all.length,
      ArrowUp: (here - 1 + all.length) % all.length,
      Home: 0,
      End: all.length - 1,
    }[event.key];
    if (to !== undefined) all[to].focus();
    else if (event.key === 'Escape') {
      open = false;
      trigger.focus();
    } else return;
    event.preventDefault();
    event.stopPropagation();
  }

  function openByKey(event: KeyboardEvent) {
    if (event.key !== 'Enter' && event.key !== ' ' && event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
    event.preventDefault();
    event.stopPropagation();
    void openAt(event.key === 'ArrowUp' ? -1 : 0);
  }

  async function press(onpress?: () => void) {
    open = false;
    onpress?.();
    await tick();
    // Whoever pressed by key goes on from here, unless what was pressed leads elsewhere.
    if (document.activeElement === document.body) trigger.focus();
  }
</script>

<!-- The list opens when it is pressed, not whenever the focus passes. -->
<span class="contents" onfocusincapture={(event) => event.stopPropagation()}>
  <button
    bind:this={trigger}
    class="quiet-button"
    {id}
    aria-label={label}
    {title}
    aria-haspopup="menu"
    aria-expanded={open}
    onkeydown={openByKey}>{@render children()}</button
  >
</span>
<Dropdown
  triggeredBy="#{id}"
  bind:isOpen={open}
  role="menu"
  aria-label={label}
  class="z-40 {width} bg-raised text-ink shadow-lg"
>
  <div bind:this={list} class="list">
    {#each items as { name, group, onpress, href }, i (i)}
      {#if group !== undefined && group !== items[i - 1]?.group}<p class="group">{group}</p>{/if}
      {#if href}<a class="row" role="menuitem" {href} onclick={() => press()} onkeydown={keys}>{name}</a>
      {:else}<button class="row" role="menuitem" onclick={() => press(onpress)} onkeydown={keys}>{name}</button>{/if}
    {/each}
  </div>
</Dropdown>

<style>
  .list {
    max-height: min(70dvh, 34rem);
    overflow-y: auto;
  }
  .group {
    padding: 0.5rem 1rem 0.1rem;
    font-size: 0.8rem;
    color: var(--soft);
  }
  .row {
    display: block;
    width: 100%;
    padding: 0.45rem 1rem;
    text-align: left;
    font-size: 0.95rem;
    cursor: pointer;
  }
  .row:hover,
  .row:focus-visible {
    background: color-mix(in srgb, var(--subject) 12%, transparent);
  }
  .row:focus-visible {
    outline-offset: -3px;
  }
  @media (pointer: coarse) {
    .row {
      min-height: 2.75rem;
    }
  }
</style>
