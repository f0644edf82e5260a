<script lang="ts">
  import Trouble from '$lib/ui/Trouble.svelte';
  import FilePicker from '$lib/ui/FilePicker.svelte';
  import { type Fact, FIELDS, type Piece, PIECE_KINDS, saySpeed, type WalkPoint } from '@gentle-arc/core/model';
  import Hole from '$lib/ui/Hole.svelte';
  import { changePiece, changeWalk, duplicatePiece, movePiece, removePiece } from '@gentle-arc/core/edit';
  import { MOST_MB } from '@gentle-arc/core/formats';
  import { preferences } from '$lib/ui/preferences.svelte';
  import { takeDropped } from '$lib/session/files/takers.svelte';
  import { newId } from '$lib/session/store/new-id';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import Sentence from '$lib/ui/Sentence.svelte';
  import { readFile } from '$lib/workers/read-file';
  import TextField from '$lib/ui/TextField.svelte';

  /** One piece, said as sentences, with what can be done to it. */
  interface Props {
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

  const edit = (change: (row: Piece) => Piece, join: string | null) =>
    session.change(changePiece(shoot, piece.id, change), join && `${join}.${piece.id}`);
  const setWalk = (points: WalkPoint[], join: string | null) =>
    session.change(changeWalk(session.shoot, shot.id, piece.id, points), join && `${join}.${piece.id}`);
  /** Puts it somewhere else; a walker with its whole walk. */
  const put = (xM: number, yM: number, join: string) =>
    session.change(movePiece(shoot, shot.id, piece.id, xM, yM), `${join}.${piece.id}`);

  let problem: string | null = $state(null);
  const MOST_TIMES = 12;
  /** In a shot in which it walks, its walk says where it is. */
  const start = $derived(walk?.points[0] ?? null);

  const round = $derived(PIECE_KINDS[piece.kind].round);
  const size = $derived(round ? '{depthM} across, {heightM} high' : '{lengthM} long, {depthM} deep, {heightM} high');
  const where = $derived(
    start
      ? 'walking from {xM} east, {yM} north, where and how high the walk says, heading {headingDeg}.'
      : 'at {xM} east, {yM} north, {zM} up, heading {headingDeg}.',
  );
  const label = (key: string, fact: Fact) => (round && key === 'depthM' ? 'Width' : fact.label);

  function set(key: string, value: number | string, join: string | null) {
    if (start && key === 'xM') put(Number(value), start.yM, 'place.x');
    else if (start && key === 'yM') put(start.xM, Number(value), 'place.y');
    else
      edit(
        (row) =>
          round && key === 'depthM'
            ? { ...row, lengthM: Number(value), depthM: Number(value) }
            : { ...row, [key]: value },
        join && `piece.${join}`,
      );
  }
  const setOpening = (key: string, value: number | string) =>
    edit(
      (row) => (row.kind === 'wall' ? { ...row, opening: { ...row.opening, [key]: value } } : row),
      `opening.${key}`,
    );

  function setTime(index: number, tS: number) {
    if (!walk) return;
    const before = walk.points[index - 1]?.tS ?? -Infinity;
    const after = walk.points[index + 1]?.tS ?? Infinity;
    if (tS <= before || tS >= after) {
      problem = `Time of point ${index + 1} must lie between its neighbours (${before === -Infinity ? 'any' : `${before} s`} and ${after === Infinity ? 'any' : `${after} s`}); it stays as it was.`;
      return;
    }
    problem = null;
    setWalk(
      walk.points.map((point, i) => (i === index ? { ...point, tS } : point)),
      `walk.${index}`,
    );
  }

  async function open(file: File) {
    const contents = await readFile(file, 'walk', piece);
    problem = typeof contents === 'string' ? contents : null;
    if (typeof contents !== 'string' && contents.kind === 'walk') setWalk(contents.points, null);
  }
  takeDropped(() => ({
    walk: { landing: { xM: piece.xM, yM: piece.yM, zM: piece.zM }, take: (points) => void setWalk(points, null) },
  }));

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
    {PIECE_KINDS[piece.kind].label},
    <Sentence text={`${size},`} facts={FIELDS.piece} values={piece} {label} onchange={set} />
    <Sentence text={where} facts={FIELDS.piece} values={{ ...piece, ...start }} onchange={set} />
    {#if piece.kind === 'wall'}
      <Sentence
        text={'Opening {widthM} wide from {sillM} to {heightM} up, {offsetM} from the middle.'}
        facts={FIELDS.opening}
        values={piece.opening}
        onchange={setOpening}
      />
    {/if}
    {#if !isSubject}
      <Sentence text={'In the reading it counts as {layer}.'} facts={FIELDS.piece} values={piece} onchange={set} />
    {/if}
  </p>
  {#if walk && walk.points.length > 1}
    <p class="leading-8">
      Walks through {walk.points.length} points{#if walk.points.length <= MOST_TIMES}, there at
        {#each walk.points as point, i (i)}{i > 0 ? ', ' : ' '}<Hole
            fact={FIELDS.walkPoint.tS}
            value={point.tS}
            label="Time of point {i + 1}"
            onchange={(v: number) => setTime(i, v)}
          />{/each}{/if}.
    </p>
  {/if}
  {#if problem}<Trouble class="text-sm">{problem}</Trouble>{/if}
  <div class="mt-1 flex flex-wrap gap-1 text-sm">
    {#if !isSubject}<button
        class="quiet-button font-semibold"
        onclick={() => session.changeShot((row) => ({ ...row, subjectId: piece.id }))}>Make it the subject</button
      >{/if}
    <button class="quiet-button" aria-pressed={drawingWalk} onclick={ondrawwalk}
      >{drawingWalk ? 'Walk is done' : 'Draw a walk'}</button
    >
    <FilePicker
      class="quiet-button"
      label="Walk file"
      accept=".csv,.gpx,text/csv,application/gpx+xml"
      title="CSV with the header t,x,y,z, or GPX 1.1, up to {MOST_MB.walk} MB"
      onfile={open}>Walk from a file…</FilePicker
    >
    {#if walk}<button class="quiet-button" onclick={() => setWalk([], null)}>Stand still</button>{/if}
    <button class="quiet-button" onclick={duplicate}>Duplicate</button>
    <button class="quiet-button" onclick={remove}>Delete</button>
  </div>
  {#if drawingWalk}<p class="mt-1 text-sm text-soft" role="status">
      Press on the plan where {piece.name} goes next; each point is reached at walking pace ({saySpeed(
        1.2,
        preferences.units,
      )}), then drag points or type their times.
    </p>{/if}
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
