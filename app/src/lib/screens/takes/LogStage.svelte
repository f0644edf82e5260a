<script lang="ts">
  import { changeTake, countTake, removeTake } from '@gentle-arc/core/edit';
  import { type Shot, type Take, TAKE_REASONS, type TakeReason, type TakeVerdict } from '@gentle-arc/core/model';
  import type { ShotTally } from '@gentle-arc/core/take';
  import { newId } from '$lib/session/store/new-id';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import ScreenPhoto from './ScreenPhoto.svelte';
  import TakeRow from './TakeRow.svelte';
  import { clockOf, offsetOf, takeName } from './words';

  /** One shot’s takes, by one thumb: again, how it came out, and why. */
  interface Props {
    store: ShootStore;
    row: ShotTally;
    shot: Shot | null;
    take: Take | null;
    onchoose: (id: string) => void;
    onlook: (id: string, word: 'motion' | 'footage') => void;
  }
  let { store, row, shot, take: latest, onchoose, onlook }: Props = $props();

  const VERDICTS: { verdict: TakeVerdict; name: string }[] = [
    { verdict: 'good', name: 'Good' },
    { verdict: 'usable', name: 'Usable' },
    { verdict: 'no', name: 'No' },
  ];
  const REASONS = Object.keys(TAKE_REASONS) as TakeReason[];

  function again() {
    if (!shot) return;
    const id = newId('take');
    if (store.change(countTake(store.shoot, shot.id, id, new Date().toISOString()))) onchoose(id);
    if ('vibrate' in navigator) navigator.vibrate(30);
  }
  const set = (id: string, change: Partial<Take>, join: string | null = null) =>
    store.change(changeTake(store.shoot, id, change), join);
  function toggle(of: Take, reason: TakeReason) {
    const reasons = of.reasons.includes(reason)
      ? of.reasons.filter((name) => name !== reason)
      : [...of.reasons, reason];
    set(of.id, { reasons });
  }
</script>

<section class="log" aria-label="Log of this shot">
  {#if shot}
    <button class="again" onclick={again}>
      <span class="word">{row.takes.length === 0 ? 'Take 1' : 'Again'}</span>
      <span class="count"
        >{row.takes.length === 0 ? 'counts the first take' : `back to one, then take ${row.takes.length + 1}`}</span
      >
    </button>
  {:else}
    <p class="said">This shot is not in the shoot any more. Its takes are kept.</p>
  {/if}
  <!-- One at most; what is typed stays with the take it was typed at, though another shot is chosen meanwhile. -->
  {#each latest ? [latest] : [] as take (take.id)}
    <div class="latest" role="group" aria-label={takeName(row.takes, take.id)}>
      <h2>
        {takeName(row.takes, take.id)}
        <span class="text-soft">{clockOf(take.at, offsetOf(store.shoot))}{take.who ? `, ${take.who}` : ''}</span>
      </h2>
      <div class="verdicts">
        {#each VERDICTS as { verdict, name } (verdict)}
          <button
            class="verdict {verdict}"
            aria-pressed={take.verdict === verdict}
            onclick={() => set(take.id, { verdict: take.verdict === verdict ? 'tried' : verdict })}>{name}</button
          >
        {/each}
        <button class="verdict circle" aria-pressed={take.best} onclick={() => set(take.id, { best: !take.best })}
          >◯ Circle it</button
        >
      </div>
      <div class="reasons" role="group" aria-label="What was it">
        {#each REASONS as reason (reason)}
          <button class="reason" aria-pressed={take.reasons.includes(reason)} onclick={() => toggle(take, reason)}
            >{TAKE_REASONS[reason]}</button
          >
        {/each}
      </div>
      <p class="word-line">
        <TextField
          label="A word on this take"
          placeholder="a word"
          most={300}
          blank
          value={take.word}
          size={28}
          onchange={(word) => set(take.id, { word })}
        />
        <ScreenPhoto {take} onchange={(id, photo) => set(id, { photo })} />
      </p>
      <p class="more">
        <button class="link" onclick={() => onlook(take.id, 'motion')}
          >{take.recorded ? 'What moved' : 'Record what moves'}</button
        >
        <button class="link" onclick={() => onlook(take.id, 'footage')}
          >{take.clip ? 'What the footage shows' : 'Measure its footage'}</button
        >
      </p>
    </div>
  {/each}
  {#if row.takes.length > 0}
    <h2 class="all">All {row.takes.length} {row.takes.length === 1 ? 'take' : 'takes'} of this shot</h2>
    <ol class="takes">
      {#each row.takes.toReversed() as one (one.id)}
        <TakeRow
          take={one}
          offsetMin={offsetOf(store.shoot)}
          name={takeName(row.takes, one.id)}
          chosen={one.id === latest?.id}
          onchoose={() => onchoose(one.id)}
          onremove={() => store.change(removeTake(store.shoot, one.id))}
        />
      {/each}
    </ol>
  {/if}
</section>

<style>
  .log {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.7rem;
    padding-bottom: 1rem;
  }
  .again {
    display: grid;
    place-content: center;
    min-height: clamp(7rem, 22dvh, 13rem);
    border-radius: 1.6rem;
    background: var(--subject);
    color: var(--paper);
    cursor: pointer;
  }
  .again:active {
    transform: scale(0.985);
  }
  .word {
    font: 600 2.6rem/1 var(--font-display, serif);
  }
  .count {
    padding-top: 0.4rem;
  }
  h2 {
    font-weight: 650;
  }
  .verdicts {
    display: grid;
    grid-template-columns: repeat(4, minmax(0, 1fr));
    gap: 0.5rem;
    padding: 0.4rem 0;
  }
  .verdict {
    min-height: 3.4rem;
    border: 2px solid var(--hairline);
    border-radius: 1rem;
    background: var(--raised);
    font-weight: 650;
    cursor: pointer;
  }
  .verdict[aria-pressed='true'] {
    border-color: var(--subject);
    background: var(--subject);
    color: var(--paper);
  }
  .verdict.no[aria-pressed='true'] {
    border-color: var(--near);
    background: var(--near);
    color: var(--paper);
  }
  .reasons {
    display: flex;
    flex-wrap: wrap;
    gap: 0.35rem;
  }
  .reason {
    min-height: 2.6rem;
    padding: 0 0.8rem;
    border: 1.5px solid var(--hairline);
    border-radius: 999px;
    background: var(--paper);
    cursor: pointer;
  }
  .reason[aria-pressed='true'] {
    border-color: var(--near);
    background: color-mix(in srgb, var(--near) 16%, var(--paper));
    font-weight: 650;
  }
  .word-line,
  .more {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.3rem 1rem;
    padding-top: 0.5rem;
  }
  .all {
    padding-top: 0.4rem;
    border-top: 1px solid var(--hairline);
  }
  .takes {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
  }
  @media (max-width: 420px) {
    .verdicts {
      grid-template-columns: repeat(3, minmax(0, 1fr));
    }
    .circle {
      grid-column: 1 / -1;
      min-height: 2.8rem;
    }
  }
</style>
