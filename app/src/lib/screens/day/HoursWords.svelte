<script lang="ts">
  import { changeDay } from '@gentle-arc/core/edit';
  import { type Break, type Day, FIELDS, type Person, numberFact, type Skill, SKILLS } from '@gentle-arc/core/model';
  import { newId } from '$lib/session/store/new-id';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';
  import NumberField from '$lib/ui/NumberField.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import type { ShownDay } from '$lib/workers/day-messages';

  /** When the day is, its breaks, and who is there and can do what. */
  let { store, day: shown }: { store: ShootStore; day: ShownDay | null } = $props();

  const { shoot } = $derived(store);
  const { day } = $derived(shoot);
  const set = (change: Partial<Day>, join: string | null = null) =>
    store.change(changeDay(shoot, change), join && `day.${join}`);
  const setBreak = (id: string, change: Partial<Break>, join: string | null) =>
    set(
      { breaks: day.breaks.map((row) => (row.id === id ? { ...row, ...change } : row)) },
      join && `break.${id}.${join}`,
    );
  const setPerson = (id: string, change: Partial<Person>, join: string | null = null) =>
    set(
      { people: day.people.map((row) => (row.id === id ? { ...row, ...change } : row)) },
      join && `person.${id}.${join}`,
    );
  const figures = $derived(shoot.site.pieces.filter(({ kind }) => kind === 'figure'));
  const left = $derived(figures.filter(({ id }) => !day.people.some(({ pieceId }) => pieceId === id)));
  const hours = $derived({ fromMin: day.callMin, toMin: day.wrapMin });
  function add(person: Pick<Person, 'name' | 'pieceId' | 'skills'>) {
    set({ people: [...day.people, { id: newId('person'), hours, ...person }] });
  }
  const addCast = (id: string) => {
    const figure = figures.find((row) => row.id === id);
    if (figure) add({ name: figure.name.slice(0, 60), pieceId: id, skills: [] });
  };
  const SKILL_WORDS: Record<Skill, string> = {
    operates: 'operates',
    flies: 'flies',
    pulls: 'pulls focus',
    drives: 'drives',
    helps: 'helps',
  };
  const toggled = (skills: readonly Skill[], skill: Skill) =>
    SKILLS.filter((row) => (row === skill) !== skills.includes(row));
  /** The rigs of the day, and how long each is set up: as usual, or as this person knows it. */
  const rigs = $derived(
    shoot.kit.rigs.flatMap(({ id, name }) => {
      const entry = shown?.plan.entries.find(({ work }) => work.rigId === id);
      const own = day.rigTimes.find(({ rigId }) => rigId === id)?.setUpMin ?? null;
      return entry || own !== null ? [{ id, name, own, usual: (entry?.work.usual.rigSetUpS ?? 600) / 60 }] : [];
    }),
  );
  function setRig(rigId: string, setUpMin: number | null, join: string | null = null) {
    const rest = day.rigTimes.filter((row) => row.rigId !== rigId);
    set({ rigTimes: setUpMin === null ? rest : [...rest, { rigId, setUpMin }] }, join);
  }
  const SET_UP = numberFact(FIELDS.rigTimes, 'setUpMin');
  /** An end of a stretch keeps clear of the other. */
  const within =
    ({ fromMin, toMin }: { fromMin: number; toMin: number }) =>
    (key: string) =>
      key === 'fromMin' || key === 'callMin'
        ? { max: toMin - 1 }
        : key === 'toMin' || key === 'wrapMin'
          ? { min: fromMin + 1 }
          : {};
</script>

<section aria-label="Hours" class="words word-pane">
  <p class="said">
    The day is <input
      type="date"
      class="typed-word"
      aria-label="Date of the day"
      value={day.date ?? ''}
      min="1900-01-01"
      max="2999-12-31"
      onchange={({ currentTarget }) => set({ date: currentTarget.value === '' ? null : currentTarget.value })}
    />; <Sentence
      text={'everybody is there at {callMin} and gone by {wrapMin}.'}
      facts={FIELDS.day}
      values={day}
      range={within({ fromMin: day.callMin, toMin: day.wrapMin })}
      onchange={(key, value, join) => set({ [key]: value }, join)}
    />
  </p>
  {#if day.date === null}<p class="text-sm">Nobody has said which day: there is no sun and no weather to go by.</p>{/if}
  {#if !shoot.site.place}<p class="text-sm">
      Nobody has said where on earth the site is: say it under Scout or Light, for sunrise and sunset.
    </p>{/if}
  {#each day.breaks as rest (rest.id)}
    <p class="said">
      <TextField
        class="typed-word"
        label="Name of the break"
        most={60}
        value={rest.name}
        size={Math.max(5, rest.name.length)}
        onchange={(name) => setBreak(rest.id, { name }, null)}
      />
      <Sentence
        text={'from {fromMin} for {forMin} minutes, half an hour sooner or later where a shot asks for it.'}
        facts={FIELDS.break}
        values={rest}
        label={(_, fact) => `${rest.name}, ${fact.label.toLowerCase()}`}
        onchange={(key, value, join) => setBreak(rest.id, { [key]: value }, join)}
      />
      <button
        class="link"
        aria-label="Remove {rest.name}"
        onclick={() => set({ breaks: day.breaks.filter(({ id }) => id !== rest.id) })}>Remove</button
      >
    </p>
  {/each}
  {#if day.breaks.length < 8}<p>
      <button
        class="link"
        onclick={() =>
          set({
            breaks: [
              ...day.breaks,
              {
                id: newId('break'),
                name: 'Break',
                fromMin: Math.min(2100, Math.round((day.callMin + day.wrapMin) / 10) * 5),
                forMin: 20,
              },
            ],
          })}>Add a break</button
      >
    </p>{/if}
  <p class="said">
    <Sentence
      text={'With the kit people walk at {walkMps}; a try is looked at for {reviewS}.'}
      facts={FIELDS.day}
      values={day}
      onchange={(key, value, join) => set({ [key]: value }, join)}
    />
  </p>
  {#if rigs.length > 0}
    <details>
      <summary>Setting up, by rig</summary>
      <p class="text-sm text-soft">What crews usually reckon with; type your own minutes over them.</p>
      <ul>
        {#each rigs as { id, name, own, usual } (id)}
          <li>
            {name}: <NumberField
              label="Setting up {name}, minutes"
              value={own ?? usual}
              unit="plain"
              min={SET_UP.min}
              max={SET_UP.max}
              step={1}
              onchange={(minutes) => setRig(id, minutes, `rigTimes.${id}`)}
            /> minutes
            {#if own !== null}<button
                class="link"
                aria-label="Setting up {name} as usual"
                onclick={() => setRig(id, null)}>as usual</button
              >{/if}
          </li>
        {/each}
      </ul>
    </details>
  {/if}
  <h2>Who is there</h2>
  {#if day.people.length === 0}<p class="text-soft">Nobody is named: hands are said, and not counted.</p>{/if}
  {#each day.people as person (person.id)}
    <div class="person">
      <p class="said">
        <TextField
          class="typed-word"
          label="Name"
          most={60}
          value={person.name}
          size={Math.max(4, person.name.length)}
          onchange={(name) => setPerson(person.id, { name })}
        />
        {#if person.pieceId !== null}<span class="text-soft">(before the camera)</span>{/if}
        <Sentence
          text={'is there from {fromMin} until {toMin}.'}
          facts={FIELDS.hours}
          values={person.hours}
          range={within(person.hours)}
          label={(_, fact) => `${person.name}, ${fact.label.toLowerCase()}`}
          onchange={(key, value, join) => setPerson(person.id, { hours: { ...person.hours, [key]: value } }, join)}
        />
        <button
          class="link"
          aria-label="Remove {person.name}"
          onclick={() => set({ people: day.people.filter(({ id }) => id !== person.id) })}>Remove</button
        >
      </p>
      {#if person.pieceId !== null && person.skills.length === 0}
        <button
          class="link"
          aria-label="{person.name} also helps behind the camera"
          onclick={() => setPerson(person.id, { skills: ['helps'] })}>also helps behind the camera</button
        >
      {:else}
        <div class="skills" role="group" aria-label="What {person.name} can do">
          {#each SKILLS as skill (skill)}
            <label
              ><input
                type="checkbox"
                checked={person.skills.includes(skill)}
                onchange={() => setPerson(person.id, { skills: toggled(person.skills, skill) })}
              />
              {SKILL_WORDS[skill]}</label
            >
          {/each}
        </div>
      {/if}
    </div>
  {/each}
  {#if day.people.length < 40}
    <p class="said">
      <button
        class="link"
        onclick={() => add({ name: `Hand ${day.people.length + 1}`, pieceId: null, skills: ['operates', 'helps'] })}
        >Somebody behind the camera</button
      >
      {#if left.length > 0}
        {#key day.people}
          <Choice
            label="Somebody before the camera"
            value=""
            items={[{ value: '', name: 'Somebody before it…' }, ...left.map(({ id, name }) => ({ value: id, name }))]}
            onchange={addCast}
          />
        {/key}
      {/if}
    </p>
  {/if}
</section>

<style>
  .person {
    padding: 0.2rem 0;
    border-top: 1px solid var(--hairline);
  }
  .skills {
    display: flex;
    flex-wrap: wrap;
    gap: 0 0.8rem;
  }
  label {
    display: inline-flex;
    align-items: center;
    gap: 0.35rem;
    min-height: 1.75rem;
  }
  @media (pointer: coarse) {
    label {
      min-height: 2.75rem;
    }
  }
</style>
