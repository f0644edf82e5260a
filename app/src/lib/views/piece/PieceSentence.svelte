<script lang="ts">
  import {
    type Fact,
    FIELDS,
    type ModelPiece,
    type Opening,
    type Piece,
    PIECE_KINDS,
    stagedIn,
    unpacked,
  } from '@gentle-arc/core/model';
  import {
    changePiece,
    duplicatePiece,
    movePiece,
    putOn,
    removePiece,
    takeSubject,
    turnPiece,
  } from '@gentle-arc/core/edit';
  import { newId } from '$lib/session/store/new-id';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import PieceHere from './PieceHere.svelte';
  import PieceParts from './PieceParts.svelte';
  import WalkWords from './WalkWords.svelte';

  /** One piece, said as sentences, with what can be done to it. */
  interface Props {
    /** As it is on the site. */
    piece: Piece;
    drawingWalk: boolean;
    ondrawwalk: () => void;
    onselect: (id: string | null) => void;
    onclose: () => void;
  }
  let { piece, drawingWalk, ondrawwalk, onselect, onclose }: Props = $props();

  const session = shotSession();
  const { shoot, shot } = $derived(session);
  const walk = $derived(shot.walks.find(({ pieceId }) => pieceId === piece.id) ?? null);
  const isSubject = $derived(shot.subjectId === piece.id);
  /** As it is in this shot; what is left out is shown as it would be. */
  const here = $derived(session.scene.pieces.find(({ id }) => id === piece.id) ?? piece);
  const staged = $derived(stagedIn(shot, piece.id));

  const edit = (change: (row: Piece) => Piece, join: string | null) =>
    session.change(changePiece(shoot, piece.id, change), join && `${join}.${piece.id}`);
  /** Puts it somewhere else; a walker with its whole walk. */
  const put = (xM: number, yM: number, join: string) =>
    session.change(movePiece(shoot, shot.id, piece.id, xM, yM, session.onlyHere), `${join}.${piece.id}`);

  const MOST_OPENINGS = 8;
  /** A door in the middle, or a window where there is one opening already. */
  const nextOpening = (): Opening =>
    piece.kind === 'wall' && piece.openings.length > 0
      ? { offsetM: piece.lengthM / 4, widthM: 1.2, heightM: 2.1, sillM: 0.9, pane: 'glass' }
      : { offsetM: 0, widthM: 0.9, heightM: 2.05, sillM: 0, pane: 'open' };

  const trianglesOf = ({ mesh }: ModelPiece) => (unpacked(mesh).faces.length / 3).toLocaleString('en');
  /** In a shot in which it walks, its walk says where it is. */
  const start = $derived(walk?.points[0] ?? null);

  const round = $derived(PIECE_KINDS[piece.kind].round);
  const size = $derived(
    piece.kind === 'figure'
      ? '{body}, {heightM} tall, {headwear} on, and'
      : round
        ? '{depthM} across, {heightM} high,'
        : '{lengthM} long, {depthM} deep, {heightM} high,',
  );
  const where = $derived(
    start
      ? 'going from {xM} east, {yM} north; standing it faces {headingDeg}.'
      : 'at {xM} east, {yM} north, {zM} up, facing {headingDeg}.',
  );
  const facts = $derived(piece.kind === 'figure' ? { ...FIELDS.piece, ...FIELDS.figure } : FIELDS.piece);
  const label = (key: string, fact: Fact) => (round && key === 'depthM' ? 'Width' : fact.label);
  const values = $derived({ ...piece, ...staged.place, headingDeg: staged.headingDeg ?? piece.headingDeg, ...start });

  function set(key: string, value: number | string, join: string | null) {
    const from = start ?? values;
    if (key === 'xM') put(Number(value), from.yM, 'place.x');
    else if (key === 'yM') put(from.xM, Number(value), 'place.y');
    else if (key === 'headingDeg')
      session.change(turnPiece(shoot, shot.id, piece.id, Number(value), session.onlyHere), `turn.${piece.id}`);
    else
      edit(
        (row) =>
          round && key === 'depthM'
            ? { ...row, lengthM: Number(value), depthM: Number(value) }
            : ({ ...row, [key]: value } as Piece),
        join && `piece.${join}`,
      );
  }
  const withOpenings = (openings: (rows: readonly Opening[]) => Opening[], join: string | null) =>
    edit((row) => (row.kind === 'wall' ? { ...row, openings: openings(row.openings) } : row), join);
  const setOpening = (index: number, key: string, value: number | string) =>
    withOpenings(
      (rows) => rows.map((row, i) => (i === index ? { ...row, [key]: value } : row)),
      `opening.${index}.${key}`,
    );

  const carriers = $derived([
    { value: '', name: 'the ground' },
    ...shoot.site.pieces
      .filter(({ id, on, kind }) => id !== piece.id && on !== piece.id && !PIECE_KINDS[kind].ground)
      .map(({ id, name }) => ({ value: id, name })),
  ]);

  function duplicate() {
    const id = newId('piece');
    if (session.change(duplicatePiece(shoot, piece.id, id))) onselect(id);
  }
  function remove() {
    if (session.change(removePiece(shoot, piece.id))) onselect(null);
  }
</script>

<section aria-label="Piece">
  <div class="flex items-center gap-2">
    <TextField
      class="piece-name min-w-0 flex-1 font-display text-xl"
      label="Name of the piece"
      most={80}
      value={piece.name}
      onchange={(name) => edit((row) => ({ ...row, name }), null)}
    />
    <button class="quiet-button" onclick={onclose}>Done</button>
  </div>
  <p class="leading-8">
    {PIECE_KINDS[piece.kind].label}{piece.kind === 'model' ? ` of ${trianglesOf(piece)} triangles` : ''},
    <Sentence text={size} {facts} values={piece} {label} onchange={set} />
    {#if piece.kind === 'turntable'}
      <Sentence text={'turning at {turnDegps},'} {facts} values={piece} onchange={set} />
    {/if}
    <Sentence text={where} {facts} {values} onchange={set} />
    {#if !walk}
      <Sentence
        text={'It stands on {on}.'}
        facts={{ on: { type: 'piece', label: 'Stands on' } }}
        values={piece}
        items={{ on: carriers }}
        onchange={(_key, value) => session.change(putOn(shoot, piece.id, `${value}` || null))}
      />
    {/if}
    {#if piece.kind === 'lamp'}
      <Sentence
        text={'It throws {luxAt1M} lux one metre before it in a beam of {beamDeg}, tilted up by {tiltDeg}; its light is {softness}, broken up by {pattern}, with {pulseHz} pulses a second (0: even) and {runMin} minutes of battery (0: mains).'}
        facts={FIELDS.lamp}
        values={piece}
        onchange={set}
      />
    {/if}
    {#if piece.kind === 'wall'}
      {#each piece.openings as opening, index (index)}
        <Sentence
          text={'Opening {widthM} wide from {sillM} to {heightM} up, {offsetM} from the middle, with {pane} in it.'}
          facts={FIELDS.opening}
          values={opening}
          label={(_key, fact) => (index === 0 ? fact.label : `${fact.label} ${index + 1}`)}
          onchange={(key, value) => setOpening(index, key, value)}
        />
        <button
          class="link"
          aria-label="Close opening {index + 1}"
          onclick={() => withOpenings((rows) => rows.filter((_, i) => i !== index), null)}>Close it</button
        >
      {/each}
      {#if piece.openings.length < MOST_OPENINGS}
        <button class="link" onclick={() => withOpenings((rows) => [...rows, nextOpening()], null)}
          >{piece.openings.length === 0 ? 'Cut an opening' : 'And another opening'}</button
        >
      {/if}
    {/if}
    {#if !isSubject}
      <Sentence text={'In the reading it counts as {layer}.'} facts={FIELDS.piece} values={piece} onchange={set} />
    {/if}
    {#if piece.kind !== 'figure' && piece.kind !== 'dog'}
      <Sentence text={'Its sides {surface}.'} facts={FIELDS.piece} values={piece} onchange={set} />
    {/if}
  </p>
  <PieceHere {piece} {here} />
  <WalkWords {piece} {walk} {drawingWalk} {ondrawwalk} />
  <PieceParts {piece} onchange={edit} />
  <div class="mt-1 flex flex-wrap gap-1 text-sm">
    {#if !isSubject}<button
        class="quiet-button font-semibold"
        onclick={() => session.changeShot((row) => takeSubject(row, piece))}>Make it the subject</button
      >{/if}
    <button class="quiet-button" onclick={duplicate}>Duplicate</button>
    <button class="quiet-button" onclick={remove}>Delete</button>
  </div>
</section>

<style>
  section :global(.piece-name) {
    border: 0;
    padding: 0.1rem 0.3rem;
    background: transparent;
    border-radius: 6px;
  }
  section :global(.piece-name:hover) {
    background: color-mix(in srgb, var(--subject) 9%, transparent);
  }
</style>
