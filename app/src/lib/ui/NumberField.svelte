<script lang="ts">
  import { preferences } from '$lib/ui/preferences.svelte';
  import { notice } from './notice.svelte';
  import type { Quantity } from '@gentle-arc/core/model';
  import { editing } from './editing';
  import { sayQuantity, within } from './quantities';

  /** A number inside a sentence: read it, type over it, or nudge it with the arrow keys. */
  interface Props {
    value: number;
    label: string;
    unit: Quantity;
    min: number;
    max: number;
    step: number;
    /** Frames a second that a shutter time is counted by. */
    rateHz?: number;
    onchange: (value: number) => void;
  }
  let { value, label, unit, min, max, step, rateHz, onchange }: Props = $props();

  const { settle } = editing();

  let typed: string | null = $state(null);
  let problem: string | null = $state(null);

  const shown = $derived(typed ?? sayQuantity(value, unit, preferences.units));

  function forget() {
    typed = null;
    problem = null;
  }

  /**
   * Takes what was typed; false when it is refused, with the reason in `problem`. A number that is typed is a step of
   * undo of its own.
   */
  function commit(): boolean {
    if (typed === null) return true;
    const result = within(typed, label, unit, preferences.units, min, max, rateHz);
    if (typeof result === 'string') {
      problem = result;
      return false;
    }
    forget();
    if (result === value) return true;
    settle();
    onchange(result);
    settle();
    return true;
  }

  function leave() {
    if (!commit()) {
      // The field goes back to what is kept; the sentence stays where it covers nothing.
      if (problem) notice.say(`${problem} It stays ${sayQuantity(value, unit, preferences.units)}.`);
      forget();
    }
    settle();
  }

  /** From the window's edge, px: as far as a phone's page reaches. */
  const EDGE_PX = 12;
  /** Moves the sentence to the left as far as it would be cut off at the right. */
  function inSight(node: HTMLElement) {
    const overPx = node.getBoundingClientRect().right - (document.documentElement.clientWidth - EDGE_PX);
    if (overPx > 0) node.style.left = `${-overPx}px`;
  }

  function keys(event: KeyboardEvent) {
    // What is still being typed is taken back letter by letter; a number that is taken, by the shoot's own undo.
    if (event.ctrlKey || event.metaKey) {
      if (typed !== null) event.stopPropagation();
      return;
    }
    if (event.key === 'Enter') {
      event.preventDefault();
      commit();
    } else if (event.key === 'Escape') {
      if (typed === null && problem === null) return;
      event.preventDefault();
      forget();
    } else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault();
      const by = step * (event.shiftKey ? 10 : 1) * (event.key === 'ArrowUp' ? 1 : -1);
      forget();
      const next = Math.min(max, Math.max(min, Math.round((value + by) * 1e6) / 1e6));
      if (next !== value) onchange(next);
    } else if (event.altKey || event.key === 'Tab') return;
    event.stopPropagation();
  }
</script>

<span class="relative inline-block whitespace-nowrap">
  <input
    class="number"
    type="text"
    inputmode="text"
    autocomplete="off"
    aria-label={label}
    aria-invalid={problem !== null}
    data-unit={unit}
    data-value={value}
    data-min={min}
    data-max={max}
    style="width: {Math.max(3, shown.length + 1)}ch"
    value={shown}
    onfocus={(event) => event.currentTarget.select()}
    oninput={(event) => (typed = event.currentTarget.value)}
    onblur={leave}
    onkeydown={keys}
  />
  {#if problem}<span class="problem" role="alert" use:inSight>{problem}</span>{/if}
</span>

<style>
  .number {
    min-height: 1.5rem;
    padding: 0.05rem 0.2rem;
    border: 0;
    border-bottom: 1.5px dotted var(--soft);
    background: transparent;
    color: var(--subject);
    font: inherit;
    font-weight: 650;
    text-align: center;
    border-radius: 4px 4px 0 0;
  }
  /* As wide as what it says, so that a comma stands right behind it; elsewhere by the count of its letters. */
  @supports (field-sizing: content) {
    .number {
      width: auto !important;
      min-width: 1.5rem;
      field-sizing: content;
    }
  }
  .number:hover,
  .number:focus {
    background: color-mix(in srgb, var(--subject) 9%, transparent);
    border-bottom-style: solid;
  }
  .number[aria-invalid='true'] {
    border-bottom: 2px solid var(--near);
    color: var(--near);
  }
  .problem {
    position: absolute;
    z-index: 30;
    top: 100%;
    left: 0;
    width: 15rem;
    white-space: normal;
    padding: 0.5rem 0.7rem;
    border-left: 4px solid var(--near);
    background: var(--raised);
    box-shadow: 0 4px 18px rgb(0 0 0 / 0.18);
    font-size: 0.85rem;
    font-weight: 400;
    line-height: 1.35;
    text-align: left;
  }
  @media (pointer: coarse) {
    .number {
      min-height: 2.4rem;
    }
  }
</style>
