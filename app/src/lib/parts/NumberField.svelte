<script lang="ts" module>
  export type Unit = 'm' | 'deg' | 'tenth' | 'degps' | 's' | 'mm' | 'mps' | 'percent' | 'fine' | 'plain' | 'g' | 'newton';
</script>

<script lang="ts">
  import { parseLength, parseMass, parseSpeed, sayLength, sayMass, saySpeed, trim } from '@gentle-arc/core/model/units';
  import { preferences } from '$lib/store/preferences.svelte';

  /** A number inside a sentence: read it, type over it, or nudge it with the arrow keys. */
  interface Props {
    value: number;
    label: string;
    unit: Unit;
    min: number;
    max: number;
    step: number;
    onchange: (value: number) => void;
    onsettle?: () => void;
  }
  let { value, label, unit, min, max, step, onchange, onsettle }: Props = $props();

  let typed: string | null = $state(null);
  let problem: string | null = $state(null);

  /** `tenth`: degrees with a decimal. */
  const SUFFIX: Record<Unit, string> = { m: '', deg: '°', tenth: '°', degps: '°/s', s: ' s', mm: ' mm', mps: '', percent: '%', fine: '', plain: '', g: '', newton: ' N' };
  const say = (number: number) => {
    if (unit === 'm') return sayLength(number, preferences.units);
    if (unit === 'mps') return saySpeed(number, preferences.units);
    if (unit === 'g') return sayMass(number / 1000, preferences.units);
    if (unit === 'fine') return `${Number(number.toPrecision(4))}`;
    return `${trim(number, unit === 'deg' || unit === 'degps' ? 0 : 2)}${SUFFIX[unit]}`;
  };
  const shown = $derived(typed ?? say(value));

  function read(text: string): number | null {
    if (unit === 'm') return parseLength(text, preferences.units);
    if (unit === 'mps') return parseSpeed(text, preferences.units);
    if (unit === 'g') {
      const massKg = parseMass(text, preferences.units);
      return massKg === null ? null : massKg * 1000;
    }
    const match = /^\s*([-−]?\d*[.,]?\d+)\s*(°\/s|°|s|mm|deg|%|N)?\s*$/.exec(text);
    return match ? Number(match[1].replace('−', '-').replace(',', '.')) : null;
  }

  function commit() {
    if (typed === null) return;
    const number = read(typed);
    if (number === null) problem = `${label}: “${typed}” is not a number${unit === 'm' ? ' or a length such as 1.2 or 4′ 6″' : ''}; type one from ${say(min)} to ${say(max)}.`;
    else if (number < min || number > max) problem = `${label} must be from ${say(min)} to ${say(max)}; “${typed}” is outside.`;
    else {
      problem = null;
      typed = null;
      onchange(number);
      onsettle?.();
    }
  }

  function keys(event: KeyboardEvent) {
    event.stopPropagation();
    if (event.key === 'Enter') commit();
    else if (event.key === 'Escape') {
      typed = null;
      problem = null;
    } else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault();
      const by = step * (event.shiftKey ? 10 : 1) * (event.key === 'ArrowUp' ? 1 : -1);
      typed = null;
      problem = null;
      onchange(Math.min(max, Math.max(min, Math.round((value + by) * 1e6) / 1e6)));
    }
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
    title="{label}: type a number, or use the arrow keys"
    style="width: {Math.max(3, shown.length + 1)}ch"
    value={shown}
    onfocus={(event) => event.currentTarget.select()}
    oninput={(event) => (typed = event.currentTarget.value)}
    onblur={() => {
      commit();
      onsettle?.();
    }}
    onkeydown={keys}
  />
  {#if problem}<span class="problem" role="alert">{problem}</span>{/if}
</span>

<style>
  .number {
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
  }
  @media (pointer: coarse) {
    .number {
      min-height: 2.4rem;
    }
  }
</style>
