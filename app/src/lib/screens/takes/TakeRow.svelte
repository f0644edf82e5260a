<script lang="ts">
  import { type Take, TAKE_REASONS } from '@gentle-arc/core/model';
  import { clockOf, dayWords, VERDICT_WORDS } from './words';

  /** One take in the list: how it came out, at a glance. */
  interface Props {
    take: Take;
    name: string;
    offsetMin: number;
    chosen: boolean;
    onchoose: () => void;
    onremove: () => void;
  }
  let { take, name, offsetMin, chosen, onchoose, onremove }: Props = $props();
  const said = $derived(
    [...take.reasons.map((reason) => TAKE_REASONS[reason]), ...(take.word ? [`“${take.word}”`] : [])].join(', '),
  );
</script>

<li class:chosen>
  <button class="row" aria-pressed={chosen} onclick={onchoose}>
    <b class="name" class:best={take.best}>{name}</b>
    <span class="verdict {take.verdict}">{VERDICT_WORDS[take.verdict]}{take.best ? ', circled' : ''}</span>
    <span class="text-soft">{dayWords(take.at, offsetMin)}, {clockOf(take.at, offsetMin)}</span>
    {#if said}<span class="why">{said}</span>{/if}
    {#if take.recorded}<span class="tag">motion</span>{/if}
    {#if take.clip}<span class="tag">footage</span>{/if}
    {#if take.photo}<span class="tag">picture</span>{/if}
  </button>
  <button class="away" aria-label="Remove {name.toLowerCase()}" onclick={onremove}>×</button>
</li>

<style>
  li {
    display: flex;
    align-items: center;
    border-bottom: 1px solid var(--hairline);
  }
  .row {
    flex: 1;
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 0.1rem 0.8rem;
    min-height: 2.6rem;
    padding: 0.3rem 0.4rem;
    text-align: left;
    cursor: pointer;
  }
  .away {
    min-width: 1.6rem;
    min-height: 1.6rem;
  }
  .chosen {
    background: var(--sun);
  }
  .name {
    min-width: 4.3rem;
  }
  .best {
    padding: 0 0.5rem;
    border: 2px solid var(--subject);
    border-radius: 999px;
  }
  .good {
    color: var(--subject);
    font-weight: 650;
  }
  .no {
    color: var(--near);
  }
  .why {
    flex: 1;
    min-width: 8rem;
  }
  .tag {
    padding: 0 0.45rem;
    border: 1px solid var(--hairline);
    border-radius: 999px;
    font-size: 0.85rem;
  }
</style>
