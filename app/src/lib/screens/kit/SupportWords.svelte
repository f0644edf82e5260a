<script lang="ts">
  import type { Fact, Support } from '@gentle-arc/core/model';
  import { rangeIn, withField } from '@gentle-arc/core/edit';
  import { supportFacts, supportOf } from '@gentle-arc/core/supports';
  import Sentence from '$lib/ui/Sentence.svelte';

  /** The rig of a build in sentences whose numbers can be typed. */
  let { support, onchange }: { support: Support; onchange: (support: Support, join: string | null) => void } = $props();

  const facts = $derived(supportFacts(support.kind));
  const range = (key: string, fact: Fact) => (fact.type === 'number' ? rangeIn(support, key, fact.min, fact.max) : {});
</script>

{#each supportOf(support.kind).sentences as text (text)}
  <p class="said">
    <Sentence
      {text}
      {facts}
      values={support}
      {range}
      onchange={(key, value, join) => onchange(withField(support, key, value), join && `kit.${join}`)}
    />
  </p>
{/each}
