<script lang="ts">
  import { duplicateShot, fromOtherSide, moveShots, putInScene, removeShots } from '@gentle-arc/core/edit';
  import { optionWords, type Purpose, PurposeField } from '@gentle-arc/core/model';
  import { newId } from '$lib/session/store/new-id';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import { notice } from '$lib/ui/notice.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  /** What can be done with the shots that are chosen. */
  interface Props {
    store: ShootStore;
    ids: readonly string[];
    onchosen: (ids: string[]) => void;
  }
  let { store, ids, onchosen }: Props = $props();

  const { shoot } = $derived(store);
  const chosen = $derived(shoot.shots.filter(({ id }) => ids.includes(id)));
  const first = $derived(chosen[0]);
  const firstAt = $derived(shoot.shots.indexOf(first));
  const lastAt = $derived(shoot.shots.indexOf(chosen[chosen.length - 1]));
  const one = $derived(chosen.length === 1);
  const purposes = PurposeField.options.map((value) => ({ value, name: optionWords(PurposeField, value) }));

  function added(next: typeof shoot, id: string) {
    if (store.change(next)) onchosen([id]);
  }
  function copy() {
    const id = newId('shot');
    added(duplicateShot(shoot, lastAt, id), id);
  }
  function otherSide() {
    const id = newId('shot');
    const next = fromOtherSide(shoot, firstAt, id);
    if (next) added(next, id);
    else notice.say(`“${first.name}” goes straight before or behind who walks: it has no other side.`);
  }
  const earlier = () => store.change(moveShots(shoot, ids, shoot.shots[firstAt - 1].id));
  const later = () => store.change(moveShots(shoot, ids, shoot.shots[lastAt + 2]?.id ?? null));
  function remove() {
    if (store.change(removeShots(shoot, ids))) onchosen([]);
  }
  const set = (edit: (shot: typeof first) => typeof first) =>
    store.change({ ...shoot, shots: shoot.shots.map((shot) => (ids.includes(shot.id) ? edit(shot) : shot)) });
</script>

{#if first}
  <section aria-label="Chosen shots" class="words">
    {#if one}
      <TextField
        class="typed-word name"
        label="Name of shot {firstAt + 1}"
        most={120}
        value={first.name}
        onchange={(name) => set((shot) => ({ ...shot, name }))}
      />
    {:else}<p><b>{chosen.length} shots</b> are chosen. What you set here, all of them take.</p>{/if}
    <p>
      What it is for: <Choice
        label={String(PurposeField.meta()?.label)}
        value={first.purpose}
        items={purposes}
        onchange={(value) => set((shot) => ({ ...shot, purpose: value as Purpose }))}
      />
    </p>
    <p class="scene">
      Scene: <TextField
        label="Scene"
        most={60}
        blank
        placeholder="none yet"
        value={first.sceneName}
        onchange={(name) => store.change(putInScene(shoot, ids, name))}
      />
    </p>
    {#if one}
      <TextField
        class="note"
        label="Note for this shot"
        placeholder="A note for this shot"
        most={2000}
        blank
        value={first.note}
        onchange={(note) => set((shot) => ({ ...shot, note }))}
      />
    {/if}
    <div class="acts">
      <button class="quiet-button" disabled={firstAt === 0} onclick={earlier}>Earlier</button>
      <button class="quiet-button" disabled={lastAt === shoot.shots.length - 1} onclick={later}>Later</button>
      {#if one}
        <button class="quiet-button" onclick={copy}>Duplicate, as another angle</button>
        <button class="quiet-button" onclick={otherSide}>Another like this from the other side</button>
      {/if}
      <button class="quiet-button" onclick={() => onchosen([])}>Choose nothing</button>
    </div>
    <button class="quiet-button delete" onclick={remove}
      >Delete {one ? 'this shot' : `these ${chosen.length} shots`}</button
    >
  </section>
{/if}

<style>
  .words {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.6rem;
  }
  .words :global(.name) {
    font-size: 1.1rem;
    font-weight: 650;
  }
  .words :global(.note) {
    width: 100%;
    border-radius: 8px;
    background: var(--raised);
    color: inherit;
  }
  .scene :global(input) {
    min-width: 12rem;
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem;
  }
  .delete {
    justify-self: start;
    margin-top: 1rem;
    color: var(--near);
  }
  .words :global(.quiet-button) {
    box-shadow: inset 0 0 0 1px var(--hairline);
  }
</style>
