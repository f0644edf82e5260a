<script lang="ts">
  import type { Camera, Kit } from '@gentle-arc/core/model/kit';
  import type { Shoot } from '@gentle-arc/core/model/shoot';
  import TextField from '$lib/parts/TextField.svelte';
  import NumberField from '$lib/parts/NumberField.svelte';
  import { newId } from '$lib/store/new-id';
  import RatePictures from './RatePictures.svelte';
  import { changedThing, namedBy, THINGS, withThings, type Thing, type ThingList } from './kit-things';

  /** Cameras, lenses, filters and rigs that shots name: copied, typed over, taken out. */
  let {
    shoot,
    onchange,
    onsettle,
  }: { shoot: Shoot; onchange: (kit: Kit, join: string | null) => boolean; onsettle: () => void } = $props();

  let open: string | null = $state(null);
  let problem: string | null = $state(null);
  const lists = Object.keys(THINGS) as ThingList[];
  const thingsOf = (list: ThingList): Thing[] => shoot.kit[list];
  const cameraOf = (thing: Thing) => thing as Camera;
  const numberOf = (thing: Thing, key: string) => Number((thing as unknown as Record<string, unknown>)[key]);

  function change(list: ThingList, thing: Thing, edit: Record<string, unknown>, join: string | null) {
    const next = changedThing(list, thing, edit);
    problem = typeof next === 'string' ? next : null;
    if (typeof next !== 'string')
      onchange(
        withThings(
          shoot.kit,
          list,
          thingsOf(list).map((row) => (row.id === thing.id ? next : row)),
        ),
        join,
      );
  }
  function copy(list: ThingList, thing: Thing) {
    const added = { ...thing, id: newId(THINGS[list].one), name: `${thing.name}, again`.slice(0, 80) };
    if (onchange(withThings(shoot.kit, list, [...thingsOf(list), added]), null)) open = added.id;
  }
  function remove(list: ThingList, thing: Thing) {
    const by = namedBy(shoot, list, thing.id);
    const only = list !== 'filters' && thingsOf(list).length === 1;
    problem =
      by.length > 0
        ? `${thing.name} is named by ${by.slice(0, 4).join(', ')}${by.length > 4 ? ` and ${by.length - 4} more` : ''}: choose another there first, then it can go.`
        : only
          ? `${thing.name} is the only ${THINGS[list].one}: copy it first.`
          : null;
    if (problem === null)
      onchange(
        withThings(
          shoot.kit,
          list,
          thingsOf(list).filter(({ id }) => id !== thing.id),
        ),
        null,
      );
  }
</script>

<section aria-label="Cameras, lenses, filters, rigs">
  {#if problem}<p role="alert" class="my-2 border-l-4 border-near bg-raised px-3 py-2">{problem}</p>{/if}
  <div class="lists">
    {#each lists as list (list)}
      <div class="list">
        <h2 class="font-display text-xl">{THINGS[list].title}</h2>
        <ul>
          {#each thingsOf(list) as thing (thing.id)}
            <li>
              <button
                class="link py-0.5 text-left"
                aria-expanded={open === thing.id}
                onclick={() => (open = open === thing.id ? null : thing.id)}><b>{thing.name}</b></button
              >
              {#if open === thing.id}
                <p class="said">
                  <TextField
                    label="Name of {thing.name}"
                    most={80}
                    value={thing.name}
                    onchange={(name) => change(list, thing, { name }, null)}
                  />{#each THINGS[list].fields as row (row.key)}, <NumberField
                      label="{thing.name}, {row.said}"
                      value={numberOf(thing, row.key)}
                      unit={row.unit}
                      min={row.min}
                      max={row.max}
                      step={row.step}
                      onchange={(value) => change(list, thing, { [row.key]: value }, `thing.${thing.id}.${row.key}`)}
                      {onsettle}
                    />
                    {row.said}{/each}.
                  {#if list === 'cameras'}<RatePictures
                      camera={cameraOf(thing)}
                      onchange={(picturesFrom, join) => change(list, thing, { picturesFrom }, join)}
                      {onsettle}
                    />{/if}
                  <button class="link" onclick={() => copy(list, thing)}>Copy</button>
                  <button class="link" onclick={() => remove(list, thing)}>Delete</button>
                </p>
              {/if}
            </li>
          {/each}
        </ul>
      </div>
    {/each}
  </div>
</section>

<style>
  .lists {
    columns: 17rem;
    column-gap: 2rem;
  }
  .list {
    break-inside: avoid;
    padding-bottom: 1rem;
  }
</style>
