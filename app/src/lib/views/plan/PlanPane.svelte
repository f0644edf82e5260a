<script lang="ts">
  import { type Snippet, tick } from 'svelte';
  import { ExpandOutline, PlusOutline } from 'flowbite-svelte-icons';
  import {
    MoveSchema,
    type Piece,
    PIECE_GROUPS,
    PIECE_KINDS,
    type PieceKind,
    type Shot,
    stagedIn,
  } from '@gentle-arc/core/model';
  import { draggedMove } from '@gentle-arc/core/motion';
  import {
    addPathPoint,
    addPiece,
    addWalkPoint,
    asModel,
    changePiece,
    movePiece,
    moveWalkPoint,
    addPlace,
    movePieces,
    PLACES,
    type PlaceKind,
    removePieces,
    turnPieces,
    spotFor,
    bringOrLeave,
    takeSubject,
    turnPiece,
    turned,
  } from '@gentle-arc/core/edit';
  import { takeDropped } from '$lib/session/files/takers.svelte';
  import type { OwnModel } from '@gentle-arc/core/formats';
  import Trouble from '$lib/ui/Trouble.svelte';
  import { readFile } from '$lib/workers/read-file';
  import FilePicker from '$lib/ui/FilePicker.svelte';
  import Menu from '$lib/ui/Menu.svelte';
  import { newId } from '$lib/session/store/new-id';
  import { shotSession } from '$lib/session/shot-session.svelte';
  import { shortcuts } from '$lib/ui/shortcuts.svelte';
  import Plan from './Plan.svelte';
  import type { PlanView } from './plan-view.svelte';

  /** The plan, and what a hand does on it: dragging, turning and adding, as changes of the shoot. */
  interface Props {
    selected: Piece | null;
    /** Pieces that are chosen with it. */
    chosenIds?: readonly string[];
    /** What a press adds a point to; `spot`: it is only told. */
    drawing: 'walk' | 'path' | 'spot' | null;
    /** Grows until it fills what it lies in. */
    tall?: boolean;
    /** `also`: it is chosen beside what is chosen already. */
    onselect: (id: string | null, also?: boolean) => void;
    onspot?: (xM: number, yM: number) => void;
    /** Changes places with the picture. */
    onswap?: () => void;
    /** Something else that lies over the plan, in its own pixels. */
    over?: Snippet<[PlanView]>;
  }
  let { selected, chosenIds = [], drawing, tall = false, onselect, onspot, onswap, over }: Props = $props();

  const session = shotSession();
  const { shoot, scene, motion, samples, row, active } = $derived(session);
  const { change: onchange, changeLeg: onleg, seek: onseek } = session;
  const findings = $derived(session.live.reading?.findings ?? []);
  const sweeps = $derived(session.live.reading?.sweeps ?? []);
  const passes = $derived(session.live.reading?.passes ?? []);

  let plan: ReturnType<typeof Plan> | undefined = $state();
  let host: HTMLElement | undefined = $state();

  const shot = $derived(scene.shot);
  const cm = (m: number) => Math.round(m * 100) / 100;
  const rounded = (value: unknown) => (typeof value === 'number' ? cm(value) : value);

  /** The handles are those of the move as it is made, begun where the one before it ended. */
  function moveHandle(id: string, xM: number, yM: number) {
    const made = motion.legs[active];
    const move = draggedMove(made, id, xM, yM);
    const tidy = (
      move.kind === 'free'
        ? {
            ...move,
            points: move.points.map((point) => ({ ...point, eastM: cm(point.eastM), northM: cm(point.northM) })),
          }
        : Object.fromEntries(Object.entries(move).map(([key, value]) => [key, rounded(value)]))
    ) as Shot['move'];
    if (MoveSchema.safeParse(tidy).success) onleg((leg) => ({ ...leg, move: tidy }), `handle.${id}`);
  }

  function movePivot(xM: number, yM: number) {
    const { pivot } = motion.legs[active].moveFrame;
    const limited = (m: number) => Math.min(2000, Math.max(-2000, cm(m)));
    onleg((leg) => {
      const { pivotEastM, pivotNorthM } = leg.move;
      return {
        ...leg,
        move: {
          ...leg.move,
          pivotEastM: limited(pivotEastM + xM - pivot.xM),
          pivotNorthM: limited(pivotNorthM + yM - pivot.yM),
        },
      };
    }, 'pivot');
  }

  function place(xM: number, yM: number) {
    if (drawing === 'walk' && selected)
      onchange(addWalkPoint(shoot, shot.id, scenePiece(selected.id) ?? selected, xM, yM), null);
    else if (drawing === 'spot') onspot?.(xM, yM);
    else if (drawing === 'path') {
      const { pivot } = motion.legs[active].moveFrame;
      onleg((leg) => ({ ...leg, move: addPathPoint(leg.move, cm(xM - pivot.xM), cm(yM - pivot.yM)) }), null);
    }
  }

  const edit = (id: string, change: (piece: Piece) => Piece, join: string) =>
    onchange(changePiece(shoot, id, change), `${join}.${id}`);

  /** Two fingers turn the chosen piece, or the whole move about its pivot. */
  function twist(byDeg: number) {
    if (selected) turn(selected.id, (scenePiece(selected.id)?.headingDeg ?? selected.headingDeg) + byDeg);
    else onleg((leg) => ({ ...leg, move: turned(leg.move, byDeg) }), 'twist');
  }

  const many = $derived(chosenIds.length > 1);
  /** Dragged, what is chosen goes together. */
  function moveTo(id: string, xM: number, yM: number) {
    if (!many || !chosenIds.includes(id)) {
      onchange(movePiece(shoot, shot.id, id, xM, yM, session.onlyHere), `piece.${id}`);
      return;
    }
    const from = shot.walks.find(({ pieceId }) => pieceId === id)?.points[0] ?? scenePiece(id);
    if (from) onchange(movePieces(shoot, shot.id, chosenIds, cm(xM - from.xM), cm(yM - from.yM)), `pieces.${id}`);
  }

  const scenePiece = (id: string) => scene.pieces.find((piece) => piece.id === id);
  function turn(id: string, headingDeg: number) {
    const now = scenePiece(id);
    if (many && now) onchange(turnPieces(shoot, chosenIds, headingDeg - now.headingDeg), `turn.${id}`);
    else turnOne(id, headingDeg);
  }
  const turnOne = (id: string, headingDeg: number) =>
    onchange(turnPiece(shoot, shot.id, id, ((headingDeg % 360) + 360) % 360, session.onlyHere), `turn.${id}`);
  /** Pieces that this shot leaves out. */
  const away = $derived(shoot.site.pieces.filter(({ id }) => !stagedIn(shot, id).there));

  /** Where a new piece helps, seen from the middle of the move. */
  function spotOf(kind: PieceKind) {
    const middle = Math.floor(samples.count / 2);
    return spotFor(kind, { xM: samples.xM[middle], yM: samples.yM[middle] }, motion.pivot, shoot.site.pieces);
  }

  /** A place that is put together of several pieces. */
  async function addRoom(place: PlaceKind) {
    const { xM, yM } = spotOf('slab');
    const before = shoot.site.pieces.length;
    const next = addPlace(shoot, place, cm(xM), cm(yM), () => newId('piece'));
    if (!onchange(next, null)) return;
    onselect(next.site.pieces[before].id);
    await tick();
    plan?.fit();
  }

  async function add(kind: PieceKind, from?: OwnModel) {
    const id = newId('piece');
    const { xM, yM } = spotOf(kind);
    const plain = addPiece(shoot, kind, id, xM, yM);
    const next = from ? changePiece(plain, id, (piece) => asModel(piece, from)) : plain;
    const firstSubject = kind === 'figure' && shot.subjectId === null;
    const added = onchange(
      firstSubject
        ? {
            ...next,
            shots: next.shots.map((other) =>
              other.id === shot.id ? takeSubject(other, next.site.pieces.at(-1) ?? null) : other,
            ),
          }
        : next,
      null,
    );
    if (!added) return;
    onselect(id);
    await tick();
    plan?.fit();
    // Whoever adds by key goes on with what was added.
    host?.querySelector<SVGElement>(`[data-piece="${CSS.escape(id)}"]`)?.focus();
  }

  let models: ReturnType<typeof FilePicker> | undefined = $state();
  let problem: string | null = $state(null);
  /** Takes a person's own model in: it becomes a piece. */
  async function takeModel(file: File) {
    const contents = await readFile(file, 'model');
    problem = typeof contents === 'string' ? contents : null;
    if (typeof contents !== 'string' && contents.kind === 'model') await add('model', contents.model);
  }
  takeDropped(() => ({ model: (model: OwnModel) => void add('model', model) }));

  function remove() {
    if (!selected) return;
    const ids = many ? chosenIds : [selected.id];
    // What is locked stays, and stays chosen.
    const next = removePieces(shoot, ids);
    if (next !== shoot && onchange(next, null)) onselect(null);
  }
  // For whoever is on the plan, not for a button that happens to have the focus.
  const onPlan = ({ target }: KeyboardEvent) =>
    target === document.body || (target instanceof Element && target.closest('[role=application]') !== null);
  shortcuts(() =>
    ['Delete', 'Backspace'].map((key) => ({
      key,
      does: 'Take the chosen piece away',
      when: (event: KeyboardEvent) => selected !== null && onPlan(event),
      press: remove,
    })),
  );
</script>

<div class="plan" class:tall bind:this={host}>
  <Plan
    bind:this={plan}
    {scene}
    {motion}
    {samples}
    {row}
    {active}
    {findings}
    {sweeps}
    {passes}
    selectedId={selected?.id ?? null}
    {chosenIds}
    roomy={tall}
    {over}
    drawing={drawing !== null}
    spotting={drawing === 'spot'}
    {onselect}
    {onseek}
    ontwist={twist}
    onplace={place}
    onmovehandle={moveHandle}
    onmovepivot={movePivot}
    onmovepiece={moveTo}
    onturnpiece={turn}
    onresizepiece={(id, lengthM, depthM) =>
      edit(
        id,
        (piece) =>
          PIECE_KINDS[piece.kind].round ? { ...piece, lengthM: depthM, depthM } : { ...piece, lengthM, depthM },
        'size',
      )}
    onmovewalkpoint={(pieceId, index, xM, yM) =>
      onchange(moveWalkPoint(shoot, shot.id, pieceId, index, xM, yM), `walkpoint.${pieceId}.${index}`)}
  />
  <div class="add">
    <Menu
      id="add-piece"
      label="Add a piece"
      width="w-56"
      items={[
        ...Object.entries(PIECE_KINDS)
          .filter(([kind]) => kind !== 'model' && kind !== 'terrain')
          .map(([kind, facts]) => ({
            name: facts.label,
            group: PIECE_GROUPS[facts.group],
            onpress: () => void add(kind as PieceKind),
          })),
        ...Object.entries(PLACES).map(([place, name]) => ({
          name,
          group: PIECE_GROUPS.place,
          onpress: () => void addRoom(place as PlaceKind),
        })),
        {
          name: 'Own model: a GLB file of up to 20,000 triangles',
          group: 'Your own',
          onpress: () => models?.open(),
        },
        ...away.map(({ id, name }) => ({
          name,
          group: 'Not in this shot: bring back',
          onpress: () => void onchange(bringOrLeave(shoot, shot.id, id, true), null),
        })),
      ]}><PlusOutline class="h-4 w-4" />Add a piece</Menu
    >
    {#if onswap}<button
        class="quiet-button"
        onclick={onswap}
        aria-label="Plan and picture change places"
        title="Plan and picture change places"><ExpandOutline class="h-4 w-4" /></button
      >{/if}
    <FilePicker bind:this={models} label="Model file" accept=".glb,model/gltf-binary" onfile={takeModel} />
  </div>
  {#if problem}<Trouble onclose={() => (problem = null)}>{problem}</Trouble>{/if}
</div>

<style>
  .plan {
    position: relative;
    height: 35%;
    min-height: 12rem;
  }
  .plan.tall {
    flex: 1;
    height: auto;
  }
  .add {
    display: flex;
    position: absolute;
    top: 6px;
    left: 6px;
    border-radius: 999px;
    background: color-mix(in srgb, var(--raised) 86%, transparent);
    font-size: 0.9rem;
  }
  @media (max-width: 799px) {
    .plan,
    .plan.tall {
      flex: none;
      height: 19rem;
    }
    .plan.tall {
      height: 60dvh;
    }
  }
</style>
