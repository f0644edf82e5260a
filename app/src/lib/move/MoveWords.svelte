<script lang="ts">
  import { numbersOf, parametersOf, type Move } from '@gentle-arc/core/model/move';
  import type { Piece } from '@gentle-arc/core/model/piece';
  import type { Leg } from '@gentle-arc/core/model/shot';
  import { givenByTheLegBefore, recipeOf } from '@gentle-arc/core/motion/moves/index';
  import { mirrored } from '@gentle-arc/core/motion/moves/transform';
  import Choice from '$lib/parts/Choice.svelte';
  import NumberField from '$lib/parts/NumberField.svelte';
  import FreePoints from './FreePoints.svelte';

  /**
   * One move said as a sentence whose numbers can be typed over. A move that goes on from another takes its beginning
   * from there.
   */
  interface Props {
    leg: Leg;
    isFirst: boolean;
    subjectId: string | null;
    pieces: Piece[];
    /** Presses on the plan draw the path on. */
    drawing: boolean;
    ondraw: () => void;
    onsubject: (id: string | null) => void;
    onleg: (edit: (leg: Leg) => Leg, join: string | null) => void;
    onsettle: () => void;
  }
  let { leg, isFirst, subjectId, pieces, drawing, ondraw, onsubject, onleg, onsettle }: Props = $props();

  const move = $derived(leg.move);
  const recipe = $derived(recipeOf(move));
  const given = $derived(isFirst ? new Set<string>() : givenByTheLegBefore(move));
  const shown = $derived(parametersOf(move.kind).filter(({ key }) => !key.startsWith('pivot') && !given.has(key)));
  const offPivot = $derived(isFirst && (move.pivotEastM !== 0 || move.pivotNorthM !== 0));
  const handed = $derived(move.kind === 'free' || numbersOf(move.kind).some(({ mirror }) => mirror === 'side'));

  const values = $derived(move as unknown as Record<string, number & string & (string | null)>);
  const set = (key: string, value: number | string | null, join: string | null) =>
    onleg((row) => ({ ...row, move: { ...row.move, [key]: value } as Move }), join);
  const pieceItems = $derived([
    { value: '', name: 'the subject' },
    ...pieces.filter((piece) => piece.id !== subjectId).map((piece) => ({ value: piece.id, name: piece.name })),
  ]);
</script>

<p class="said">
  <b>{isFirst ? recipe.title : `Then ${recipe.title.toLowerCase()}`}</b>
  {recipe.joins}
  <Choice
    label="Subject"
    value={subjectId ?? ''}
    items={[{ value: '', name: 'no subject' }, ...pieces.map((piece) => ({ value: piece.id, name: piece.name }))]}
    onchange={(id) => onsubject(id || null)}
  />{#if shown.length}:{/if}
  {#each shown as parameter, i (parameter.key)}
    {i > 0 ? ', ' : ''}<span class="whitespace-nowrap"
      >{parameter.label}
      {#if parameter.type === 'number'}
        <NumberField
          value={parameter.unit === 'share' ? Math.round(values[parameter.key] * 100) : values[parameter.key]}
          label={parameter.label}
          unit={parameter.unit === 'share' ? 'percent' : parameter.unit}
          min={parameter.unit === 'share' ? parameter.min * 100 : parameter.min}
          max={parameter.unit === 'share' ? parameter.max * 100 : parameter.max}
          step={parameter.unit === 'share' ? parameter.step * 100 : parameter.step}
          onchange={(value) =>
            set(parameter.key, parameter.unit === 'share' ? value / 100 : value, `move.${parameter.key}`)}
          {onsettle}
        />
      {:else if parameter.type === 'choice'}
        <Choice
          label={parameter.label}
          value={values[parameter.key]}
          items={Object.entries(parameter.names).map(([value, name]) => ({ value, name }))}
          onchange={(value) => set(parameter.key, value, null)}
        />
      {:else}
        <Choice
          label={parameter.label}
          value={values[parameter.key] ?? ''}
          items={pieceItems}
          onchange={(value) => set(parameter.key, value || null, null)}
        />
      {/if}</span
    >{/each}.
  {#if offPivot}
    <span class="text-soft"
      >It goes by a point beside the subject. <button
        class="link"
        onclick={() => onleg((row) => ({ ...row, move: { ...row.move, pivotEastM: 0, pivotNorthM: 0 } }), null)}
        >Back onto it</button
      ></span
    >
  {/if}
  <span class="whitespace-nowrap">
    {#if handed}<button
        class="link"
        onclick={() => onleg((row) => ({ ...row, move: mirrored(row.move) }), null)}
        title="Left for right, clockwise for anticlockwise">To the other side</button
      >{/if}
    <button
      class="link"
      aria-pressed={leg.backwards}
      onclick={() => onleg((row) => ({ ...row, backwards: !row.backwards }), null)}
      title="From its end to its start">{leg.backwards ? 'Forwards again' : 'Run it backwards'}</button
    >
  </span>
</p>
{#if move.kind === 'free'}
  <FreePoints
    {move}
    {drawing}
    {ondraw}
    onchange={(next, join) => onleg((row) => ({ ...row, move: next }), join)}
    {onsettle}
  />
{/if}
