<script lang="ts">
  import { changeDay } from '@gentle-arc/core/edit';
  import { usualBattery } from '@gentle-arc/core/day';
  import { type Battery, FIELDS, sayClock } from '@gentle-arc/core/model';
  import { newId } from '$lib/session/store/new-id';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';
  import type { ShownDay } from '$lib/workers/day-messages';

  /** Batteries, chargers and cards: what there is, what the day takes, and when what is charged. */
  let { store, day }: { store: ShootStore; day: ShownDay | null } = $props();

  const { shoot } = $derived(store);
  const { batteries, cards } = $derived(shoot.day);
  const nameOf = (id: string) =>
    [...shoot.kit.cameras, ...shoot.kit.rigs].find((row) => row.id === id)?.name ?? 'something that is not in the kit';
  const set = (id: string, change: Partial<Battery>, join: string | null) =>
    store.change(
      changeDay(shoot, { batteries: batteries.map((row) => (row.id === id ? { ...row, ...change } : row)) }),
      join && `battery.${id}.${join}`,
    );
  const rest = $derived((day?.power ?? []).filter(({ count }) => count === null));
  const more = $derived(
    [
      ...shoot.kit.cameras,
      ...shoot.kit.rigs.filter(({ kind }) => ['drone', 'gimbal', 'wheels', 'vehicle'].includes(kind)),
    ].filter(({ id }) => !batteries.some(({ forId }) => forId === id)),
  );
  const add = (forId: string) => {
    if (forId === '') return;
    store.change(
      changeDay(shoot, {
        batteries: [...batteries, { id: newId('battery'), forId, count: 1, ...usualBattery(shoot, forId) }],
      }),
    );
  };
  const used = $derived(
    (day?.plan.power ?? []).filter(({ what }) => what === 'used').sort((a, b) => a.fromS - b.fromS),
  );
  const charges = $derived(
    (day?.plan.power ?? []).filter(({ what }) => what === 'charged').sort((a, b) => a.fromS - b.fromS),
  );
</script>

<section aria-label="Power" class="words word-pane">
  <h2>Batteries</h2>
  {#each batteries as battery (battery.id)}
    <p class="said">
      <Sentence
        text={'{count} for {what}, each lasts {lastsMin} minutes and is full after {chargeMin} on a charger.'}
        facts={FIELDS.battery}
        values={battery}
        label={(_, fact) => `${fact.label} for ${nameOf(battery.forId)}`}
        onchange={(key, value, join) => set(battery.id, { [key]: value }, join)}
        holes={{ what }}
      />
      {#snippet what()}<b>{nameOf(battery.forId)}</b>{/snippet}
      <button
        class="link"
        aria-label="Remove the batteries for {nameOf(battery.forId)}"
        onclick={() => store.change(changeDay(shoot, { batteries: batteries.filter(({ id }) => id !== battery.id) }))}
        >Remove</button
      >
    </p>
  {/each}
  {#each rest as { forId, name, said } (forId)}
    <p>
      {said}
      <button class="link" aria-label="Say how many there are for {name}" onclick={() => add(forId)}
        >Say how many there are</button
      >
    </p>
  {/each}
  {#if more.length > 0 && batteries.length < 60}
    <p>
      {#key batteries}
        <Choice
          label="Batteries for something else"
          value=""
          items={[
            { value: '', name: 'Batteries for something else…' },
            ...more.map(({ id, name }) => ({ value: id, name })),
          ]}
          onchange={add}
        />
      {/key}
    </p>
  {/if}
  <p class="said">
    <Sentence
      text={'{chargers} charge at a time; 0 where there is nothing to charge from.'}
      facts={FIELDS.day}
      values={shoot.day}
      onchange={(key, value, join) => store.change(changeDay(shoot, { [key]: value }), join && `day.${join}`)}
    />
  </p>
  {#if day}
    <ul>
      {#each day.power.filter(({ count }) => count !== null) as { forId, said, short } (forId)}<li
          class:text-near={short}
        >
          {said}
        </li>{/each}
    </ul>
    {#if used.length > 0}
      <details>
        <summary>Which battery is where</summary>
        <ul>
          {#each used as { forId, pack, fromS, toS, shotNumber }, i (i)}
            <li>{sayClock(fromS / 60)} to {sayClock(toS / 60)}: {nameOf(forId)}, battery {pack}, shot {shotNumber}</li>
          {/each}
        </ul>
      </details>
    {/if}
    {#if charges.length > 0}
      <h2>On the charger</h2>
      <ul>
        {#each charges as { forId, pack, fromS, toS }, i (i)}
          <li>{sayClock(fromS / 60)} to {sayClock(toS / 60)}: {nameOf(forId)}, battery {pack}</li>
        {/each}
      </ul>
    {/if}
    <h2>Cards</h2>
    <p class="said">
      <Sentence
        text={'{count} of {gigabytes} GB.'}
        facts={{ ...FIELDS.day }}
        values={cards}
        onchange={(key, value, join) =>
          store.change(changeDay(shoot, { cards: { ...cards, [key]: value } }), join && `cards.${join}`)}
      />
    </p>
    <p class:text-near={day.cards.short}>{day.cards.said}</p>
    <p class="text-sm text-soft">
      A camera runs while half of its setting up is done and through all tries. A drone keeps its reserve for the way
      home: its minutes are those until then.
    </p>
  {/if}
</section>

<style>
  li {
    padding: 0.08rem 0;
  }
</style>
