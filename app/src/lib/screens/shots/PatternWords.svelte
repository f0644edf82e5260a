<script module lang="ts">
  /** What was answered, by shoot: whoever goes to Scout in between finds it again. */
  const answered = new Map<string, { who: string; where: string; happens: string; ending: string }>();
</script>

<script lang="ts">
  import { untrack } from 'svelte';
  import { type Pattern, PatternSchema } from '@gentle-arc/core/model';
  import { layOut, patternFrom, PATTERNS } from '@gentle-arc/core/sequence';
  import { scoutHref } from '$lib/session/links';
  import { newId } from '$lib/session/store/new-id';
  import type { ShootStore } from '$lib/session/store/shoot-store.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import TextField from '$lib/ui/TextField.svelte';

  /** A first set of shots from a pattern: who, where, what happens, how it ends. */
  interface Props {
    store: ShootStore;
    onlaid: (ids: string[]) => void;
  }
  let { store, onlaid }: Props = $props();

  const { shoot } = $derived(store);
  let patternId = $state(PATTERNS[0].id);
  let subjectId: string | null = $state(null);
  const shootId = untrack(() => store.shoot.id);
  const answers = $state(answered.get(shootId) ?? { who: '', where: '', happens: '', ending: '' });
  answered.set(shootId, answers);
  /** Shots of the pattern that are left out. */
  let without: number[] = $state.raw([]);
  let said: string | null = $state(null);

  const own = $derived(shoot.story.patterns);
  const pattern: Pattern = $derived([...PATTERNS, ...own].find(({ id }) => id === patternId) ?? PATTERNS[0]);
  const pieces = $derived(shoot.site.pieces);
  const subject = $derived(
    pieces.find(({ id }) => id === subjectId) ?? pieces.find(({ kind }) => kind === 'figure') ?? pieces[0] ?? null,
  );
  const wanted = $derived(pattern.shots.filter((_, i) => !without.includes(i)));
  const QUESTIONS = [
    { key: 'who', label: 'Who is it about?' },
    { key: 'where', label: 'Where is it?' },
    { key: 'happens', label: 'What happens?' },
    { key: 'ending', label: 'How does it end?' },
  ] as const;

  function lay() {
    if (!subject || wanted.length === 0) return;
    const { shoot: next, ids } = layOut(shoot, { ...pattern, shots: wanted }, subject.id, answers, () => newId('shot'));
    if (!store.change(next)) return;
    said = `${ids.length === 1 ? 'One shot was' : `${ids.length} shots were`} planned about ${subject.name}, behind those that were there.`;
    onlaid(ids);
  }
  function keep() {
    const named = `${pattern.name.slice(0, 68)} (own)`;
    const kept = { ...pattern, id: newId('pattern'), name: named, shots: wanted };
    if (!PatternSchema.safeParse(kept).success) return;
    if (!store.change({ ...shoot, story: { ...shoot.story, patterns: [...own, kept] } })) return;
    patternId = kept.id;
    without = [];
  }
  function fromBoard() {
    const ids = shoot.shots.slice(0, 24).map(({ id }) => id);
    const made = patternFrom(shoot, ids, newId('pattern'), `As in ${shoot.name}`.slice(0, 80));
    if (!store.change({ ...shoot, story: { ...shoot.story, patterns: [...own, made] } })) return;
    patternId = made.id;
    without = [];
  }
  const setOwn = (edit: (row: Pattern) => Pattern) =>
    store.change({
      ...shoot,
      story: { ...shoot.story, patterns: own.map((row) => (row.id === pattern.id ? edit(row) : row)) },
    });
  const isOwn = $derived(own.some(({ id }) => id === pattern.id));
  const forget = () =>
    store.change({ ...shoot, story: { ...shoot.story, patterns: own.filter(({ id }) => id !== pattern.id) } });
</script>

<section aria-label="Lay out" class="words">
  <p>A first set of shots, planned on what stands on the site. Everything can be changed afterwards.</p>
  {#if !subject}
    <p>
      The site is empty: put a figure or a thing on it first, on <a class="link" href={scoutHref(shoot.id)}>Scout</a>,
      and come back.
    </p>
  {/if}
  {#each QUESTIONS as { key, label } (key)}
    <label class="question"
      ><span>{label}</span><input
        type="text"
        maxlength="200"
        aria-label={label}
        value={answers[key]}
        oninput={(event) => (answers[key] = event.currentTarget.value)}
      /></label
    >
  {/each}
  {#if subject}
    <p>
      Laid out about <Choice
        label="About"
        value={subject.id}
        items={pieces.slice(0, 300).map(({ id, name }) => ({ value: id, name }))}
        onchange={(id) => (subjectId = id)}
      /> as <Choice
        label="Pattern"
        value={pattern.id}
        items={[...PATTERNS, ...own].map(({ id, name }) => ({ value: id, name }))}
        onchange={(id) => {
          patternId = id;
          without = [];
        }}
      />:
    </p>
    <ul>
      {#each pattern.shots as row, i (i)}
        <li>
          <label
            ><input
              type="checkbox"
              checked={!without.includes(i)}
              onchange={() => (without = without.includes(i) ? without.filter((k) => k !== i) : [...without, i])}
            />{#if !isOwn}{row.name}{/if}</label
          >
          {#if isOwn}<TextField
              label="Shot {i + 1} of the pattern"
              most={80}
              value={row.name}
              onchange={(name) =>
                setOwn((given) => ({
                  ...given,
                  shots: given.shots.map((shot, k) => (k === i ? { ...shot, name } : shot)),
                }))}
            />{/if}
          <span class="soft">{row.size}, {row.durationS} s</span>
        </li>
      {/each}
    </ul>
    <p class="acts">
      <button class="main-button" disabled={wanted.length === 0} onclick={lay}
        >Lay out {wanted.length} {wanted.length === 1 ? 'shot' : 'shots'}</button
      >
      <button class="quiet-button" disabled={wanted.length === 0 || own.length >= 20} onclick={keep}
        >Keep as my own pattern</button
      >
      {#if shoot.shots.length > 0}<button class="quiet-button" disabled={own.length >= 20} onclick={fromBoard}
          >Make a pattern of this board</button
        >{/if}
    </p>
    {#if isOwn}
      <p>
        <TextField
          label="Name of the pattern"
          most={80}
          value={pattern.name}
          onchange={(name) => setOwn((given) => ({ ...given, name }))}
        />
        <button class="quiet-button" onclick={forget}>Forget this pattern</button>
      </p>
    {/if}
  {/if}
  {#if said}<p role="status" class="said">{said}</p>{/if}
</section>

<style>
  .words {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.5rem;
  }
  .question {
    display: grid;
    gap: 0.1rem;
    color: var(--soft);
  }
  .question input {
    border: 0;
    border-bottom: 1.5px solid var(--hairline);
    background: transparent;
    padding: 0.1rem 0.2rem;
    color: var(--ink);
  }
  li {
    display: flex;
    align-items: center;
    gap: 0.5rem;
    min-height: 1.8rem;
  }
  li label {
    display: inline-flex;
    align-items: center;
    gap: 0.5rem;
  }
  .soft {
    color: var(--soft);
    font-size: 0.92rem;
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
  }
  .said {
    border-left: 4px solid var(--subject);
    padding-left: 0.6rem;
  }
  .words :global(.quiet-button) {
    box-shadow: inset 0 0 0 1px var(--hairline);
  }
</style>
