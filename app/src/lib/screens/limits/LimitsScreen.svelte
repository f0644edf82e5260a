<script lang="ts">
  import {
    LIMIT_NAMES,
    LIMITS,
    limitRange,
    shownLimit,
    type Limit,
    type LimitGroup,
    type LimitName,
  } from '@gentle-arc/core/model';
  import NumberField from '$lib/ui/NumberField.svelte';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';

  /** The one table of limits: what every finding of this shoot is held against, with where each comes from. */
  let { store }: { store: ShootStore } = $props();

  const own = $derived(store.shoot.limits);
  const changed = $derived(LIMIT_NAMES.filter((name) => own[name] !== undefined).length);
  const groups = $derived(
    [...new Set(LIMIT_NAMES.map((name) => LIMITS[name].group as LimitGroup))].map((group) => ({
      group,
      names: LIMIT_NAMES.filter((name) => LIMITS[name].group === group),
    })),
  );
  const facts = (name: LimitName): Limit => LIMITS[name];
  const step = (value: number) => Number((10 ** Math.floor(Math.log10(value) - 0.5)).toPrecision(1));

  const without = (name: LimitName) => Object.fromEntries(Object.entries(own).filter(([key]) => key !== name));
  const set = (name: LimitName, value: number) =>
    store.change(
      { ...store.shoot, limits: { ...without(name), ...(value === LIMITS[name].value ? {} : { [name]: value }) } },
      `limit.${name}`,
    );
  const restore = (name: LimitName) => store.change({ ...store.shoot, limits: without(name) });
</script>

<main class="mx-auto max-w-4xl px-4 pb-12">
  <div class="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1 py-2">
    <h1 class="font-display text-3xl">What the reading is held against</h1>
    <button
      class="quiet-button font-semibold"
      disabled={changed === 0}
      onclick={() => store.change({ ...store.shoot, limits: {} })}>Back to the usual limits</button
    >
  </div>
  <p class="max-w-prose leading-snug text-soft">
    Every finding in this shoot reads its limit here. Type over one where your own eye or your own audience says
    otherwise; it goes with the shoot into its file. {changed === 0
      ? 'All are as they ship.'
      : `${changed} ${changed === 1 ? 'differs' : 'differ'} from what ships.`}
  </p>
  {#each groups as { group, names } (group)}
    <h2 class="mt-5 font-display text-xl">{group}</h2>
    <ul>
      {#each names as name (name)}
        {@const limit = facts(name)}
        {@const [least, most] = limitRange(name)}
        {@const shown = shownLimit(limit)}
        <li class:own={own[name] !== undefined}>
          <span class="label">{limit.label}</span>
          <span class="value">
            {#if limit.unit === 'm'}
              <NumberField
                label={limit.label}
                value={own[name] ?? limit.value}
                unit="m"
                min={least}
                max={most}
                step={step(own[name] ?? limit.value)}
                onchange={(value) => set(name, value)}
              />
            {:else}
              <NumberField
                label={limit.label}
                value={(own[name] ?? limit.value) * shown.times}
                unit="fine"
                min={least * shown.times}
                max={most * shown.times}
                step={step((own[name] ?? limit.value) * shown.times)}
                onchange={(value) => set(name, Number((value / shown.times).toPrecision(10)))}
              />
              {shown.unit}
            {/if}
          </span>
          <span class="source"
            >{limit.source}{#if own[name] !== undefined}. Ships as <button class="link" onclick={() => restore(name)}
                >{Number((limit.value * shown.times).toPrecision(6))} {shown.unit}</button
              >{/if}</span
          >
        </li>
      {/each}
    </ul>
  {/each}
</main>

<style>
  li {
    display: grid;
    grid-template-columns: minmax(0, 1.25fr) minmax(0, 0.85fr) minmax(0, 1.2fr);
    gap: 0.1rem 1rem;
    padding: 0.35rem 0 0.35rem 0.7rem;
    border-bottom: 1px solid var(--hairline);
    border-left: 3px solid transparent;
    line-height: 1.3;
    align-items: baseline;
  }
  li.own {
    border-left-color: var(--subject);
  }
  .source {
    font-size: 0.875rem;
    color: var(--soft);
  }
  @media (max-width: 699px) {
    li {
      grid-template-columns: 1fr;
    }
  }
</style>
