<script lang="ts">
  import type { Fact } from '@gentle-arc/core/model';
  import Choice from './Choice.svelte';
  import NumberField from './NumberField.svelte';

  /** One hole of a sentence: what a person is told of the field decides what is typed or chosen there. */
  interface Props {
    fact: Fact | undefined;
    value: unknown;
    /** Another name than the field's own, where several of a kind stand together. */
    label?: string;
    /** Ends that are narrower than the field's own as the rest is set. */
    min?: number;
    max?: number;
    step?: number;
    /** Frames a second that a shutter time is counted by. */
    rateHz?: number;
    /** What can be chosen, where the field does not know it: pieces of this site, lenses of this kit. */
    items?: { value: string; name: string }[];
    onchange: (value: never) => void;
  }
  let { fact, value, label, min, max, step, rateHz, items, onchange }: Props = $props();

  // A hole takes what its field is: the compiler cannot follow the fact to its value.
  const give = $derived(onchange as unknown as (value: number | string) => void);
</script>

{#if fact?.type === 'number'}<NumberField
    label={label ?? fact.label}
    value={Number(value)}
    unit={fact.unit}
    min={min ?? fact.min}
    max={max ?? fact.max}
    step={step ?? fact.step}
    {rateHz}
    onchange={give}
  />{:else if fact}<Choice
    label={label ?? fact.label}
    value={value === null ? '' : String(value)}
    items={items ??
      (fact.type === 'choice' ? Object.entries(fact.names).map(([option, name]) => ({ value: option, name })) : [])}
    onchange={give}
  />{/if}
