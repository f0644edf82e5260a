<script lang="ts">
  import type { Drag } from '$lib/ui/drag';
  import { editing } from '$lib/ui/editing';
  import { extent } from 'd3-array';
  import { onMount, type Snippet, untrack } from 'svelte';
  import { type Piece, PIECE_KINDS } from '@gentle-arc/core/model';
  import type { Scene } from '@gentle-arc/core/scene';
  import type { Finding, Pass, Sweep } from '@gentle-arc/core/findings';
  import type { Samples, ShotMotion } from '@gentle-arc/core/motion';
  import { toSite } from '@gentle-arc/core/site';
  import HotSpots from '../picture/HotSpots.svelte';
  import PathHandles from './PathHandles.svelte';
  import PathTrack from './PathTrack.svelte';
  import PathWedge from './PathWedge.svelte';
  import PieceGrips from './PieceGrips.svelte';
  import PlanNames from './PlanNames.svelte';
  import PlanPieces from './PlanPieces.svelte';
  import { type Place, type Placed, placedAt, placeOf } from './placed';
  import { PlanView } from './plan-view.svelte';
  import PlanZoom from './PlanZoom.svelte';
  import ScaleBar from './ScaleBar.svelte';
  import Shadows from './Shadows.svelte';
  import SunMarks from './SunMarks.svelte';
  import SweepMarks from './SweepMarks.svelte';
  import Underlays from './Underlays.svelte';
  import WalkMarks from './WalkMarks.svelte';

  /**
   * The plan from above: pieces, path with its feathers as spacing, angle of view at the playhead, walks. Anything on
   * it can be dragged.
   */
  interface Props {
    scene: Scene;
    motion: ShotMotion;
    samples: Samples;
    row: number;
    /** Which move of the shot is being shaped. */
    active: number;
    /** Where something goes wrong is marked on the path. */
    findings: readonly Finding[];
    /** What is swept, and who passes whom. */
    sweeps: readonly Sweep[];
    passes: readonly Pass[];
    selectedId: string | null;
    /** What is chosen with it. */
    chosenIds?: readonly string[];
    over?: Snippet<[PlanView]>;
    /** It fills the screen: it shows the place about the move, and what things are called. */
    roomy?: boolean;
    /** A press puts a point where it is, whatever lies there. */
    drawing: boolean;
    /** A press is only asked where it is: nothing can be taken hold of. */
    spotting?: boolean;
    onselect: (id: string | null, also?: boolean) => void;
    onseek: (tS: number) => void;
    /** Two fingers turn what is chosen, or the move, by so many degrees. */
    ontwist: (byDeg: number) => void;
    onplace: (xM: number, yM: number) => void;
    onmovehandle: (id: string, xM: number, yM: number) => void;
    onmovepivot: (xM: number, yM: number) => void;
    onmovepiece: (id: string, xM: number, yM: number) => void;
    onturnpiece: (id: string, headingDeg: number) => void;
    onresizepiece: (id: string, lengthM: number, depthM: number) => void;
    onmovewalkpoint: (pieceId: string, index: number, xM: number, yM: number) => void;
  }
  let props: Props = $props();
  const { settle } = editing();
  const {
    scene,
    motion,
    samples,
    row,
    active,
    findings,
    sweeps,
    passes,
    selectedId,
    chosenIds = [],
    roomy = false,
    drawing,
    spotting = false,
    over,
  } = $derived(props);

  const view = new PlanView();
  let svg: SVGSVGElement;
  let width = $state(480);
  let height = $state(320);

  onMount(() => {
    const detach = view.attach(svg, { ontwist: (byDeg) => props.ontwist(byDeg), onsettle: settle });
    fit();
    return detach;
  });

  const MOST_SHOWN_M = 30;

  /** What stands this near the move belongs to the place of it. */
  const PLACE_M = 14;
  const MOST_PLACE_M = 60;

  /** Of a roomy plan: things about the move, but no hills. */
  function about(): { xM: number; yM: number }[] {
    const { xM, yM } = motion.pivot;
    return scene.pieces
      .filter((piece) => !piece.hidden && Math.max(piece.lengthM, piece.depthM) < MOST_PLACE_M)
      .filter((piece) => Math.hypot(piece.xM - xM, piece.yM - yM) < PLACE_M);
  }

  /** Shows the path, the subject, walks, and a chosen piece unless it is as large as a hill. */
  export function fit() {
    const spots = [
      ...motion.legs.map(({ moveFrame }) => moveFrame.pivot),
      ...scene.shot.walks.flatMap(({ points }) => points),
      ...(roomy ? about() : []),
      ...(selected && Math.max(selected.lengthM, selected.depthM) < MOST_SHOWN_M
        ? [-0.5, 0.5].map((half) => toSite(selected, half * selected.lengthM, 0))
        : []),
    ];
    const [x0, x1] = extent([...extent(samples.xM), ...extent(spots, ({ xM }) => xM)].map(Number)).map(Number);
    const [y0, y1] = extent([...extent(samples.yM), ...extent(spots, ({ yM }) => yM)].map(Number)).map(Number);
    const margin = Math.max(1.2, 0.16 * Math.max(x1 - x0, y1 - y0));
    view.show(x0 - margin, y0 - margin, x1 + margin, y1 + margin, width, height);
  }

  const leg = $derived(motion.legs[Math.min(active, motion.legs.length - 1)]);
  const selected = $derived(scene.pieces.find((piece) => piece.id === selectedId) ?? null);
  const last = $derived(Math.min(row, samples.count - 1));

  const tS = $derived(samples.tS[last]);
  const sun = $derived(scene.sunAt?.(tS) ?? null);

  let before: readonly Placed[] = [];
  const pieces = $derived((before = placedAt(scene, tS, before)));
  /** A chosen piece, where it is at the playhead. */
  const selectedThere = $derived.by(() => {
    const { xM, yM } = pieces.find(({ piece }) => piece === selected)?.at ?? selected ?? { xM: 0, yM: 0 };
    return selected && { ...selected, xM, yM };
  });

  function placeAt(pieceId: string, screenS: number) {
    const thing = scene.things.find((row) => row.piece.id === pieceId);
    const at = Math.min(samples.count - 1, Math.max(0, Math.round(screenS * samples.frameRateHz)));
    return thing ? placeOf(thing, samples.tS[at]) : null;
  }

  type Grab = (xM: number, yM: number) => void;
  /** What is held, and where the plan lies on the page meanwhile: looking that up costs a layout. */
  let held: { move: Grab; dx: number; dy: number; box: DOMRect } | null = null;

  const under = (event: PointerEvent | MouseEvent, { left, top } = svg.getBoundingClientRect()) =>
    view.toSite(event.clientX - left, event.clientY - top);

  /**
   * Takes hold of something at a site point; it keeps its distance from the finger. A grip that is only pressed lets
   * what lies under it be chosen.
   */
  const grab = (at: { xM: number; yM: number }, move: Grab, over = true): Drag => ({
    take: (event) => {
      const box = svg.getBoundingClientRect();
      const { xM, yM } = under(event, box);
      held = { move, dx: at.xM - xM, dy: at.yM - yM, box };
    },
    move: (event) => {
      if (!held) return;
      const { xM, yM } = under(event, held.box);
      held.move(xM + held.dx, yM + held.dy);
    },
    drop: (event, moved) => {
      held = null;
      if (moved) settle();
      else if (over) chooseUnder(event);
    },
  });

  /** Large ground is only dragged once it is chosen: most presses on it mean what stands there. */
  const grabbable = (piece: Piece) =>
    !piece.locked &&
    piece.kind !== 'ridge' &&
    (!PIECE_KINDS[piece.kind].ground || piece.id === selectedId || chosenIds.includes(piece.id));
  const startOf = (piece: Piece) => scene.shot.walks.find(({ pieceId }) => pieceId === piece.id)?.points[0] ?? piece;
  /** A walker is taken hold of where it is, and its walk goes along from where it starts. */
  function grabPiece(piece: Piece, at: Place): Drag {
    let from: { xM: number; yM: number } = piece;
    const move: Grab = (xM, yM) => props.onmovepiece(piece.id, from.xM + xM - at.xM, from.yM + yM - at.yM);
    const drag = grab(at, move, false);
    return {
      ...drag,
      take: (event) => {
        from = startOf(piece);
        return drag.take?.(event);
      },
    };
  }

  /** Chooses the piece that lies under a pointer, whatever grips lie over it. */
  function chooseUnder(event: PointerEvent) {
    const under = document
      .elementsFromPoint(event.clientX, event.clientY)
      .find((element) => element.hasAttribute('data-piece'));
    if (under) props.onselect(under.getAttribute('data-piece'), isMore(event));
  }

  /** With Shift or Ctrl something is chosen beside what is chosen already. */
  const isMore = (event: MouseEvent | KeyboardEvent) => event.shiftKey || event.ctrlKey || event.metaKey;

  /** Arrow keys nudge what has the focus: a decimetre, with Shift a metre. */
  function nudge(event: KeyboardEvent, at: { xM: number; yM: number }, move: Grab) {
    const step = event.shiftKey ? 1 : 0.1;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }[event.key];
    if (!by) return;
    event.preventDefault();
    event.stopPropagation();
    move(at.xM + by[0], at.yM + by[1]);
  }

  function press(event: MouseEvent) {
    const held = (event.target as Element).closest('[data-grab]');
    if (held && !(drawing && held.classList.contains('piece'))) return;
    const { xM, yM } = under(event);
    if (drawing) props.onplace(xM, yM);
    else props.onselect(null);
  }

  $effect(() => {
    if (width && height) untrack(fit);
  });
</script>

<svelte:window
  onscrollcapture={() => {
    if (held) held.box = svg.getBoundingClientRect();
  }}
/>
<div class="plan on-plan" class:drawing class:spotting bind:clientWidth={width} bind:clientHeight={height}>
  <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
  <svg bind:this={svg} {width} {height} role="application" aria-label="Plan from above" onclick={press}>
    <Underlays underlays={scene.underlays} {view} />
    {#if sun}<Shadows {sun} {pieces} {view} />{/if}
    <SweepMarks {sweeps} {passes} {placeAt} {view} />
    <PlanPieces
      {pieces}
      {view}
      {selectedId}
      {chosenIds}
      {drawing}
      grab={(piece, at) => (drawing || !grabbable(piece) ? null : grabPiece(piece, at))}
      {grabbable}
      onnudge={(event, piece) => nudge(event, startOf(piece), (xM, yM) => props.onmovepiece(piece.id, xM, yM))}
      onselect={(id, event) => props.onselect(id, isMore(event))}
    />
    <PathWedge {samples} row={last} {view} />
    <WalkMarks
      walks={scene.shot.walks}
      things={scene.things}
      {view}
      {selectedId}
      grab={(at, pieceId, index) => grab(at, (xM, yM) => props.onmovewalkpoint(pieceId, index, xM, yM))}
      onnudge={(event, at, pieceId, index) =>
        nudge(event, at, (xM, yM) => props.onmovewalkpoint(pieceId, index, xM, yM))}
    />

    <PathTrack {samples} {view} />

    {#if scene.subject}
      {@const { id, name } = scene.subject}
      <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
      <text
        class="name"
        x={view.x(samples.subjectXM[last])}
        y={view.y(samples.subjectYM[last]) - 14}
        text-anchor="middle"
        onclick={(event) => {
          if (drawing) return;
          event.stopPropagation();
          props.onselect(id);
        }}>{name}</text
      >
    {/if}
    <PathHandles
      {leg}
      isFirst={leg === motion.legs[0]}
      {view}
      {grab}
      {nudge}
      onmovehandle={props.onmovehandle}
      onmovepivot={props.onmovepivot}
    />
    <HotSpots {findings} {samples} {view} onseek={props.onseek} />
    <g
      class="camera"
      transform="translate({view.x(samples.xM[last])} {view.y(samples.yM[last])}) rotate({samples.panDeg[last]})"
    >
      <path d="M-5 6H5V-3H-5ZM-3.4 -3L-5.6 -9H5.6L3.4 -3Z" />
    </g>

    {#if roomy}<PlanNames {pieces} {view} />{/if}
    {@render over?.(view)}
    {#if selectedThere && !selectedThere.locked && !drawing}
      <PieceGrips
        piece={selectedThere}
        {view}
        {grab}
        {nudge}
        onturn={props.onturnpiece}
        onresize={chosenIds.length > 1 ? null : props.onresizepiece}
      />
    {/if}

    {#if sun}<SunMarks {sun} {width} {height} />{/if}
    <ScaleBar {view} {width} {height} />
  </svg>
  <PlanZoom {view} onfit={fit} />
</div>

<style>
  .plan {
    position: relative;
    height: 100%;
    min-height: 12rem;
    overflow: hidden;
    background: var(--sun);
    /* Painted by itself, for it changes with every frame of a drag; round corners are laid over it: cut off they cost. */
    will-change: transform;
  }
  .plan::after {
    content: '';
    position: absolute;
    inset: 0;
    border-radius: 10px;
    box-shadow: 0 0 0 10px var(--paper);
    pointer-events: none;
  }
  svg {
    display: block;
    touch-action: none;
    user-select: none;
  }
  .drawing svg {
    cursor: crosshair;
  }
  .spotting :global([data-grab]) {
    pointer-events: none;
  }
  .name {
    font-weight: 650;
    fill: var(--subject);
    pointer-events: auto;
    cursor: pointer;
  }
  .camera path {
    fill: var(--ink);
    stroke: var(--raised);
    stroke-width: 1.2;
  }
  .camera {
    pointer-events: none;
  }
</style>
