<script lang="ts">
  import type { Support } from '@gentle-arc/core/model/build';
  import Choice from '$lib/parts/Choice.svelte';
  import NumberField from '$lib/parts/NumberField.svelte';
  import { fieldOf, rangeIn, SUPPORT_WORDS, withField } from './support-words';

  /** The rig of a build in sentences whose numbers can be typed. */
  let {
    support,
    onchange,
    onsettle,
  }: { support: Support; onchange: (support: Support, join: string | null) => void; onsettle: () => void } = $props();

  /** Words begin with a space unless a sign does. */
  const spaced = (words: string) => `${/^[,.;]/.test(words) ? '' : ' '}${words} `;
</script>

{#each SUPPORT_WORDS[support.kind] as sentence, i (i)}
  <p class="said">
    {#each sentence as token, k (k)}{#if typeof token === 'string'}{spaced(
          token,
        )}{:else if 'number' in token}<NumberField
          label={token.label}
          value={Number(fieldOf(support, token.number))}
          unit={token.unit}
          {...rangeIn(support, token)}
          step={token.step}
          onchange={(value) => onchange(withField(support, token.number, value), `kit.${token.number}`)}
          {onsettle}
        />{:else}<Choice
          label={token.label}
          value={String(fieldOf(support, token.choice))}
          items={token.names}
          onchange={(value) => onchange(withField(support, token.choice, value), null)}
        />{/if}{/each}
  </p>
{/each}
