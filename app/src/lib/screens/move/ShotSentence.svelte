<script lang="ts">
  import { mostDurationS, takeSubject, withTiming } from '@gentle-arc/core/edit';
  import { type Fact, factsOf, type Move, TimingSchema, WaySchema } from '@gentle-arc/core/model';
  import { subjectWords } from '@gentle-arc/core/scene';
  import { gistOf, givenByTheLegBefore, recipeOf } from '@gentle-arc/core/motion';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';

  /**
   * The shot in one sentence: what it does, on whom, from where to where, with which focal length, in how long. Of a
   * chain, the move that is being shaped. The move's name leads to the other moves.
   */
  let { onmove }: { onmove: () => void } = $props();

  const session = shotSession();
  const { changeShot, changeLeg } = session;
  const shot = $derived(session.shot);
  const leg = $derived(session.leg);
  const recipe = $derived(recipeOf(leg.move));
  const isFirst = $derived(session.active === 0);
  const given = $derived(isFirst ? new Set<string>() : givenByTheLegBefore(leg.move));
  const gist = $derived(gistOf(leg.move.kind).filter(({ key }) => !given.has(key)));

  const { focalLengthMm } = factsOf(WaySchema);
  const { durationS } = factsOf(TimingSchema);
  const facts: Record<string, Fact> = $derived({
    ...Object.fromEntries(gist.map((row) => [row.key, row])),
    subjectId: { type: 'piece', label: 'Subject' },
    focalLengthMm,
    durationS,
  });
  const text = $derived(
    `${recipe.joins} {subjectId}: ${gist.map(({ key, label }) => `${label} {${key}}, `).join('')}` +
      'through {focalLengthMm}, in {durationS}.',
  );
  const subjects = $derived([
    { value: '', name: 'no subject' },
    ...session.scene.pieces.map(({ id, name }) => ({
      value: id,
      name: id === shot.subjectId ? subjectWords(session.scene) : name,
    })),
  ]);
  const { lens } = $derived(session.scene);
  const range = (key: string) =>
    key === 'focalLengthMm'
      ? { min: lens.focalLengthMinMm, max: lens.focalLengthMaxMm }
      : key === 'durationS'
        ? { max: mostDurationS(shot, leg.timing) }
        : {};

  function change(key: string, value: number | string, join: string | null) {
    if (key === 'subjectId')
      changeShot((row) => takeSubject(row, session.shoot.site.pieces.find(({ id }) => id === value) ?? null));
    else if (key === 'focalLengthMm') changeShot((row) => ({ ...row, focalLengthMm: Number(value) }), 'focal');
    else if (key === 'durationS')
      changeLeg((row) => ({ ...row, timing: withTiming(row.timing, key, Number(value)) }), 'timing.durationS');
    else changeLeg((row) => ({ ...row, move: { ...row.move, [key]: value } as Move }), join && `move.${join}`);
  }
</script>

<p class="said" aria-label="The shot in one sentence" role="group">
  {#if session.motion.legs.length > 1}
    {#each session.motion.legs as { recipe: one }, i (i)}
      <button
        class="number"
        aria-pressed={session.active === i}
        aria-label="Move {i + 1} of the shot, {one.title.toLowerCase()}"
        title={one.title}
        onclick={() => (session.chosenLeg = i)}>{i + 1}</button
      >
    {/each}
  {/if}
  <button class="link font-bold" title="Choose another move" onclick={onmove}
    >{isFirst ? recipe.title : `Then ${recipe.title.toLowerCase()}`}</button
  >
  <Sentence
    {text}
    {facts}
    values={{ ...leg.move, ...leg.timing, focalLengthMm: shot.focalLengthMm, subjectId: shot.subjectId }}
    {range}
    items={{ subjectId: subjects }}
    onchange={change}
  />
</p>

<style>
  .number {
    display: inline-grid;
    place-content: center;
    min-width: 1.7rem;
    min-height: 1.7rem;
    border-radius: 999px;
    color: var(--soft);
    cursor: pointer;
  }
  .number[aria-pressed='true'] {
    background: color-mix(in srgb, var(--near) 18%, transparent);
    color: var(--ink);
    font-weight: 650;
  }
  @media (pointer: coarse) {
    .number {
      min-width: 2.75rem;
      min-height: 2.75rem;
    }
  }
</style>
