<script lang="ts">
  import { mountedAt, mountOf, mountsOn, toTheOtherSide } from '@gentle-arc/core/edit';
  import { FIELDS, type Leg, numbersOf, parametersOf, type Move } from '@gentle-arc/core/model';
  import { gistOf, givenByTheLegBefore, recipeOf } from '@gentle-arc/core/motion';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';
  import FreePoints from './FreePoints.svelte';
  import TwoFilms from './TwoFilms.svelte';

  /**
   * Everything that a move says of itself, as a sentence. A move that goes on from another takes its beginning from
   * there. `drawing`: presses on the plan draw the path on.
   */
  let { drawing, ondraw }: { drawing: boolean; ondraw: () => void } = $props();

  const session = shotSession();
  const { leg, scene } = $derived(session);
  const move = $derived(leg.move);
  const isFirst = $derived(session.active === 0);
  const recipe = $derived(recipeOf(move));
  const given = $derived(isFirst ? new Set<string>() : givenByTheLegBefore(move));
  /** What the sentence of the shot has said already is not said again. */
  const said = $derived(new Set(gistOf(move.kind).map(({ key }) => key)));
  const shown = $derived(
    parametersOf(move.kind).filter(({ key }) => !key.startsWith('pivot') && !given.has(key) && !said.has(key)),
  );
  const offPivot = $derived(isFirst && (move.pivotEastM !== 0 || move.pivotNorthM !== 0));
  const handed = $derived(move.kind === 'free' || numbersOf(move.kind).some(({ mirror }) => mirror === 'side'));

  const facts = $derived(Object.fromEntries(shown.map((row) => [row.key, row])));
  const text = $derived(shown.map(({ key, label }) => `${label} {${key}}`).join(', '));
  const pieceItems = $derived([
    { value: '', name: 'the subject' },
    ...scene.pieces.filter(({ id }) => id !== scene.subject?.id).map(({ id, name }) => ({ value: id, name })),
  ]);
  const items = $derived(
    Object.fromEntries(shown.filter(({ type }) => type === 'piece').map(({ key }) => [key, pieceItems])),
  );
  const change = (key: string, value: number | string, join: string | null) =>
    session.changeLeg(
      (row) => ({ ...row, move: { ...row.move, [key]: value === '' ? null : value } as Move }),
      join && `move.${join}`,
    );
</script>

<p class="said">
  <b>{isFirst ? recipe.title : `Then ${recipe.title.toLowerCase()}`}</b>{#if text}: <Sentence
      {text}
      {facts}
      values={move}
      {items}
      onchange={change}
    />{/if}.
  {#if offPivot}
    <span class="text-soft"
      >It goes by a point beside the subject. <button
        class="link"
        onclick={() => session.changeLeg((row) => ({ ...row, move: { ...row.move, pivotEastM: 0, pivotNorthM: 0 } }))}
        >Back onto it</button
      ></span
    >
  {/if}
  <span class="whitespace-nowrap">
    {#if handed}<button
        class="link"
        onclick={() => session.changeLeg(toTheOtherSide)}
        title="Left for right, clockwise for anticlockwise">To the other side</button
      >{/if}
    <button
      class="link"
      aria-pressed={leg.backwards}
      onclick={() => session.changeLeg((row) => ({ ...row, backwards: !row.backwards }))}
      title="From its end to its start">{leg.backwards ? 'Forwards again' : 'Run it backwards'}</button
    >
  </span>
</p>
{#if move.kind === 'carried' && scene.subject}
  {@const mounts = mountsOn(scene.subject)}
  {@const own = 'at a place of its own'}
  <p class="said">
    The camera sits
    <Choice
      label="Where it is fixed"
      value={mountOf(move, scene.subject)?.id ?? ''}
      items={[...mounts.map(({ id, name }) => ({ value: id, name })), { value: '', name: own }]}
      onchange={(id) => {
        const mount = mounts.find((row) => row.id === id);
        if (mount) session.changeLeg((row) => ({ ...row, move: mountedAt(move, mount) }));
      }}
    />.
  </p>
{/if}
{#if recipe.goes !== 'itself' && scene.subject}
  <p class="said">
    While {scene.subject.name} goes, the move <Sentence
      text={'{goes}.'}
      facts={FIELDS.leg}
      values={leg}
      onchange={(_key, value) => session.changeLeg((row) => ({ ...row, goes: value as Leg['goes'] }))}
    />
  </p>
{/if}
<p class="said">
  <Sentence
    text={'The camera rolls from {fromRollDeg} to {toRollDeg} on the way'}
    facts={FIELDS.lookOver}
    values={leg.look}
    onchange={(key, value, join) =>
      session.changeLeg((row) => ({ ...row, look: { ...row.look, [key]: value } }), join && `look.${join}`)}
  />{recipe.turn ? ', besides what the move does' : ''}.
</p>
{#if move.kind === 'dollyZoom' || move.kind === 'standingDollyZoom'}<TwoFilms />{/if}
{#if move.kind === 'free'}
  <FreePoints
    {move}
    {drawing}
    {ondraw}
    onchange={(next, join) => session.changeLeg((row) => ({ ...row, move: next }), join)}
  />
{/if}
