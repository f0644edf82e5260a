<script lang="ts">
  import { changeWish } from '@gentle-arc/core/edit';
  import { FIELDS, numberFact, sayClock, sayMinutes, type Shot, type Wish, wishOf } from '@gentle-arc/core/model';
  import { moveHref } from '$lib/session/links';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';
  import type { ShownDay } from '$lib/workers/day-messages';

  /** What a shot wants of the day, and what comes of it. */
  let { store, shot, day }: { store: ShootStore; shot: Shot; day: ShownDay | null } = $props();

  const { shoot } = $derived(store);
  const number = $derived(shoot.shots.indexOf(shot) + 1);
  const wish = $derived(wishOf(shoot.day, shot.id));
  const entry = $derived(day?.plan.entries.find(({ shotId }) => shotId === shot.id) ?? null);
  const usual = $derived(day?.usual[shot.id] ?? null);
  const cannot = $derived(day?.plan.cannot.find(({ shotId }) => shotId === shot.id) ?? null);
  const others = $derived(
    shoot.shots.flatMap(({ id, name }, i) => (id === shot.id ? [] : [{ value: id, name: `${i + 1} ${name}` }])),
  );
  const set = (change: Partial<Wish>, join: string | null = null) =>
    store.change(changeWish(shoot, shot.id, change), join && `${shot.id}.wish.${join}`);
  /** Choices that are yes or no come as words. */
  const take = (key: string, value: number | string, join: string | null) =>
    set({ [key]: value === 'true' ? true : value === 'false' ? false : value }, join);
  function pin(value: string) {
    const afterId = value === 'rightAfter' ? (wish.afterId ?? others[0]?.value ?? null) : null;
    set({ pin: (value === 'rightAfter' && afterId === null ? 'none' : value) as Wish['pin'], afterId });
  }
  function light(value: string) {
    const sameAsId = value === 'same' ? (wish.sameAsId ?? others[0]?.value ?? null) : null;
    set({ light: (value === 'same' && sameAsId === null ? 'any' : value) as Wish['light'], sameAsId });
  }
  /** The shot before or after it in the story, which it meets in the cut. */
  const joins = $derived(
    [shoot.shots[number - 2], shoot.shots[number]].find(
      (row) =>
        row !== undefined &&
        row.sceneName === shot.sceneName &&
        row.sceneName !== '' &&
        wishOf(shoot.day, row.id).planned,
    ) ?? null,
  );
  const options = (key: 'light' | 'pin') => {
    const fact = FIELDS.wish[key];
    return fact?.type === 'choice' ? Object.entries(fact.names).map(([value, name]) => ({ value, name })) : [];
  };
  const TRIES = numberFact(FIELDS.wish, 'tries');
  const SET_UP = numberFact(FIELDS.wish, 'setUpMin');
  const FROM = numberFact(FIELDS.hours, 'fromMin');
  const TO = numberFact(FIELDS.hours, 'toMin');
</script>

<section aria-label="Shot {number} in the day" class="words word-pane">
  <h2>
    <span class="number">{number}</span>
    {shot.name}
    <a class="link" href={moveHref(shoot.id, shot.id)}>Open its move</a>
  </h2>
  {#if cannot}<p class="cannot">{cannot.why}</p>{/if}
  <p class="said">
    It is <Sentence text={'{planned}'} facts={FIELDS.wish} values={wish} onchange={take} />. It wants <Choice
      label="Light"
      value={wish.light}
      items={options('light')}
      onchange={light}
    />{#if wish.light === 'side'}, lit <Sentence
        text={'{side}'}
        facts={FIELDS.wish}
        values={wish}
        onchange={take}
      />{/if}{#if wish.light === 'same'}: <Choice
        label="The shot whose light it shares"
        value={wish.sameAsId ?? ''}
        items={others}
        onchange={(sameAsId) => set({ sameAsId })}
      />{/if}.
  </p>
  {#if joins && wish.light !== 'same' && wishOf(shoot.day, joins.id).light !== 'same'}
    <p>
      <button class="link" onclick={() => set({ light: 'same', sameAsId: joins.id })}
        >As shot {shoot.shots.indexOf(joins) + 1} has it: they meet in the cut</button
      >
    </p>
  {/if}
  {#if entry?.work.light.note ?? (entry && entry.work.light.hours.length > 0 && wish.light !== 'always')}
    <p class="text-sm text-soft">
      {entry?.work.light.note ?? ''}
      {entry?.work.light.hours
        .slice(0, 4)
        .map(({ fromMin, toMin }) => `${sayClock(fromMin)}–${sayClock(toMin)}`)
        .join(', ')}
    </p>
  {/if}
  <p class="said">
    {#if wish.between}
      Takes are made between <NumberField
        label="Takes from"
        value={wish.between.fromMin}
        unit="clock"
        min={FROM.min}
        max={Math.min(FROM.max, wish.between.toMin - 1)}
        step={FROM.step}
        onchange={(fromMin) => wish.between && set({ between: { ...wish.between, fromMin } }, 'from')}
      /> and <NumberField
        label="Takes until"
        value={wish.between.toMin}
        unit="clock"
        min={Math.max(TO.min, wish.between.fromMin + 1)}
        max={TO.max}
        step={TO.step}
        onchange={(toMin) => wish.between && set({ between: { ...wish.between, toMin } }, 'to')}
      />. <button class="link" onclick={() => set({ between: null })}>At any time</button>
    {:else}
      <button class="link" onclick={() => set({ between: { fromMin: shoot.day.callMin, toMin: shoot.day.wrapMin } })}
        >Only between two times</button
      >
    {/if}
  </p>
  <p class="said">
    It comes <Choice
      label="Place in the day"
      value={wish.pin}
      items={options('pin')}
      onchange={pin}
    />{#if wish.pin === 'rightAfter'}
      <Choice
        label="Right after"
        value={wish.afterId ?? ''}
        items={others}
        onchange={(afterId) => set({ afterId })}
      />{/if}.
  </p>
  <p class="said">
    <NumberField
      label="Tries"
      value={wish.tries ?? usual?.tries ?? 3}
      unit="count"
      min={TRIES.min}
      max={TRIES.max}
      step={1}
      onchange={(tries) => set({ tries: Math.round(tries) }, 'tries')}
    /> tries{#if usual && wish.tries === null}&nbsp;<span class="text-soft">({usual.triesWhy.join(', ')})</span
      >{/if}{#if wish.tries !== null}
      <button class="link" onclick={() => set({ tries: null })}>As many as usual</button>{/if}, set up in <NumberField
      label="Setting up, minutes"
      value={wish.setUpMin ?? Math.round((usual?.setUpS ?? 600) / 60)}
      unit="plain"
      min={SET_UP.min}
      max={SET_UP.max}
      step={1}
      onchange={(setUpMin) => set({ setUpMin }, 'setUp')}
    /> minutes{#if wish.setUpMin !== null}
      <button class="link" onclick={() => set({ setUpMin: null })}>As long as usual</button>{/if}.
  </p>
  <p class="said">
    <Sentence text={'It is {risk}, with {alone}.'} facts={FIELDS.wish} values={wish} onchange={take} />
  </p>
  {#if entry}
    <h2>Why there</h2>
    <ul>
      {#each entry.reasons as reason (reason)}<li>{reason}</li>{:else}<li>Nothing else asks for that time.</li>{/each}
      {#each entry.notes as note (note)}<li class="text-near">{note}</li>{/each}
    </ul>
    <h2>Hands</h2>
    <ul>
      {#if wish.alone}<li>Nobody is at the camera: film long enough before and after.</li>{/if}
      {#each entry.work.hands as { what }, i (i)}
        {@const who = entry.who.find((row) => row.what === what)}
        <li>{who ? `${who.name} ${what}` : `One who ${what}`}</li>
      {/each}
    </ul>
    <p class="text-sm text-soft">
      A try lasts {sayMinutes(entry.work.tryS)} with its handles, back to one {sayMinutes(entry.work.resetS)}.
    </p>
  {/if}
</section>

<style>
  h2 .link {
    margin-left: 0.5rem;
    font-weight: 400;
  }
  .number {
    color: var(--soft);
  }
  .cannot {
    border-left: 4px solid var(--near);
    padding-left: 0.6rem;
  }
  li {
    padding: 0.08rem 0;
  }
</style>
