import { newPiece, PIECE_KINDS, WallSchema, type Piece, type PieceKind } from '@gentle-arc/core/model/piece';
import type { Shoot } from '@gentle-arc/core/model/shoot';
import type { Move } from '@gentle-arc/core/model/move';
import { LEAST_APART_M, MOST_PATH_POINTS } from '@gentle-arc/core/model/moves/free';
import {
  legsOf,
  WalkPointSchema,
  type Focus,
  type FocusTarget,
  type Way,
  type Shot,
  type WalkPoint,
} from '@gentle-arc/core/model/shot';
import { asKind } from '@gentle-arc/core/motion/moves/index';
import { groundHeightM, groundPieces } from '@gentle-arc/core/site/ground';

/** Changes a person makes on the Move screen, as functions from one shoot to the next. */

/** Usual walking pace, m/s: common practice, no published source. */
const WALKING_MPS = 1.2;

const cm = (m: number) => Math.round(m * 100) / 100;
const within = (m: number, { minValue, maxValue }: { minValue: number | null; maxValue: number | null }) =>
  Math.min(maxValue ?? Infinity, Math.max(minValue ?? -Infinity, cm(m)));
/** A place on the site or of a walk as far out as there is any. */
const onSite = (m: number) => within(m, PLACE.xM);
const upSite = (m: number) => within(m, PLACE.zM);
const onWalk = (m: number) => within(m, WalkPointSchema.shape.xM);
const PLACE = WallSchema.shape;

/** Height of the ground at a place, not counting the piece that is being put there. */
export function groundAt(pieces: readonly Piece[], xM: number, yM: number, without?: string): number {
  return cm(groundHeightM(groundPieces(pieces.filter((piece) => piece.id !== without)), xM, yM));
}

/** Seconds between one move and the next when a move is added: a subject stops and starts. */
const PAUSE_S = 1;

/** Adds a move to the end of a shot, from where the last one ends. */
export function addLeg(shot: Shot): Shot {
  const legs = legsOf(shot);
  const last = legs[legs.length - 1];
  const timing = {
    durationS: 5,
    holdStartS: PAUSE_S,
    featherInS: 1.2,
    featherOutS: 1.5,
    holdEndS: 0.5,
    featherShape: last.timing.featherShape,
  };
  return {
    ...shot,
    then: [
      ...shot.then,
      { move: asKind(last.move, last.move.kind === 'push' ? 'arc' : 'push'), timing, backwards: false, overlapS: 0 },
    ],
  };
}

/** Takes a move out of a shot; the first can go when another can take its place. */
export function removeLeg(shot: Shot, index: number): Shot {
  if (index > 0) return { ...shot, then: shot.then.filter((_, i) => i !== index - 1) };
  const [next, ...then] = shot.then;
  return next ? { ...shot, move: next.move, timing: next.timing, backwards: next.backwards, then } : shot;
}

/**
 * A drawn path with one more point at its end, from the pivot, as high as the last; where the last one is already,
 * nothing is added.
 */
export function addPathPoint(move: Move, eastM: number, northM: number): Move {
  if (move.kind !== 'free' || move.points.length >= MOST_PATH_POINTS) return move;
  const last = move.points[move.points.length - 1];
  if (Math.hypot(eastM - last.eastM, northM - last.northM) < LEAST_APART_M) return move;
  return { ...move, points: [...move.points, { eastM, northM, heightM: last.heightM, look: null }] };
}

/** A move that no longer names a piece that has gone. */
function withoutPiece(move: Move, id: string): Move {
  return move.kind === 'rackFocus'
    ? {
        ...move,
        fromPieceId: move.fromPieceId === id ? null : move.fromPieceId,
        toPieceId: move.toPieceId === id ? null : move.toPieceId,
      }
    : move;
}

/** A focus that rested on a piece stays at the subject. */
function focusWithoutPiece(focus: Focus, id: string): Focus {
  if (focus.mode !== 'racks') return focus;
  const kept = (target: FocusTarget): FocusTarget =>
    target.on === 'piece' && target.pieceId === id ? { on: 'subject' } : target;
  return { ...focus, from: kept(focus.from), racks: focus.racks.map((rack) => ({ ...rack, to: kept(rack.to) })) };
}

const withPieces = (shoot: Shoot, pieces: Piece[]): Shoot => ({ ...shoot, site: { ...shoot.site, pieces } });
const withShot = (shoot: Shoot, shotId: string, edit: (shot: Shot) => Shot): Shoot => ({
  ...shoot,
  shots: shoot.shots.map((shot) => (shot.id === shotId ? edit(shot) : shot)),
});

export function changePiece(shoot: Shoot, id: string, edit: (piece: Piece) => Piece): Shoot {
  return withPieces(
    shoot,
    shoot.site.pieces.map((piece) => (piece.id === id ? edit(piece) : piece)),
  );
}

/**
 * Moves a piece to a place. It keeps its height above the ground that it stood on. In a shot in which it walks, the
 * walk goes with it.
 */
export function movePiece(shoot: Shoot, shotId: string, id: string, xM: number, yM: number): Shoot {
  const { pieces } = shoot.site;
  const piece = pieces.find((row) => row.id === id);
  if (!piece) return shoot;
  const walk = shoot.shots.find((shot) => shot.id === shotId)?.walks.find((row) => row.pieceId === id);
  const rise = (fromX: number, fromY: number, toX: number, toY: number) =>
    groundAt(pieces, toX, toY, id) - groundAt(pieces, fromX, fromY, id);
  if (!walk)
    return changePiece(shoot, id, (row) => ({
      ...row,
      xM: onSite(xM),
      yM: onSite(yM),
      zM: upSite(row.zM + rise(row.xM, row.yM, xM, yM)),
    }));
  const [first] = walk.points;
  const [dx, dy] = [xM - first.xM, yM - first.yM];
  return changeWalk(
    shoot,
    shotId,
    id,
    walk.points.map((point) => ({
      ...point,
      xM: onWalk(point.xM + dx),
      yM: onWalk(point.yM + dy),
      zM: cm(point.zM + rise(point.xM, point.yM, point.xM + dx, point.yM + dy)),
    })),
  );
}

export function addPiece(shoot: Shoot, kind: PieceKind, id: string, xM: number, yM: number): Shoot {
  const { label } = PIECE_KINDS[kind];
  const alike = shoot.site.pieces.filter((piece) => piece.kind === kind).length;
  const piece = newPiece(
    kind,
    id,
    alike ? `${label} ${alike + 1}` : label,
    onSite(xM),
    onSite(yM),
    upSite(groundAt(shoot.site.pieces, xM, yM)),
  );
  return withPieces(shoot, [...shoot.site.pieces, piece]);
}

/** A copy of a piece beside it, on the ground there. */
export function duplicatePiece(shoot: Shoot, id: string, copyId: string): Shoot {
  const { pieces } = shoot.site;
  const piece = pieces.find((row) => row.id === id);
  if (!piece) return shoot;
  const aside = piece.depthM + 0.5;
  // At the edge of the site there is only one side left.
  const xM = onSite(piece.xM + aside) === cm(piece.xM + aside) ? cm(piece.xM + aside) : onSite(piece.xM - aside);
  const rise =
    piece.kind === 'slab' || piece.kind === 'ridge'
      ? 0
      : groundAt(pieces, xM, piece.yM) - groundAt(pieces, piece.xM, piece.yM, id);
  return withPieces(shoot, [
    ...pieces,
    { ...piece, id: copyId, name: `${piece.name} again`.slice(0, 80), xM, zM: upSite(piece.zM + rise) },
  ]);
}

/**
 * Where a new piece helps, as a share of the way from the camera (0) to the pivot (1) and beyond: a post near the lens,
 * a figure at the pivot, the rest behind it.
 */
const WAY: Record<PieceKind, number> = {
  figure: 1,
  post: 0.45,
  hedge: 1.4,
  wall: 1.9,
  box: 1.7,
  slab: 2.2,
  tree: 2.6,
  ridge: 8,
};
const ASIDE_M = 1.2;
const CLEAR_M = 0.6;

/** A place for a new piece, seen from the camera; a little aside for each piece whose middle is there already. */
export function spotFor(
  kind: PieceKind,
  camera: { xM: number; yM: number },
  pivot: { xM: number; yM: number },
  pieces: readonly Piece[],
): { xM: number; yM: number } {
  const [dx, dy] = [pivot.xM - camera.xM, pivot.yM - camera.yM];
  const wayM = Math.hypot(dx, dy) || 1;
  const [right, up] = [dy / wayM, -dx / wayM];
  const share = WAY[kind];
  for (let k = kind === 'post' ? 1 : 0; ; k += 1) {
    const asideM = Math.ceil(k / 2) * ASIDE_M * (k % 2 === 0 ? 1 : -1) * (kind === 'post' ? 0.5 : 1);
    const spot = { xM: camera.xM + dx * share + right * asideM, yM: camera.yM + dy * share + up * asideM };
    if (!pieces.some((piece) => Math.hypot(piece.xM - spot.xM, piece.yM - spot.yM) < CLEAR_M)) return spot;
  }
}

/** Takes a piece away, with its walks; shots about it have no subject any more. */
export function removePiece(shoot: Shoot, id: string): Shoot {
  const without = <T extends Way>(plan: T): T => ({
    ...plan,
    subjectId: plan.subjectId === id ? null : plan.subjectId,
    walks: plan.walks.filter((walk) => walk.pieceId !== id),
    move: withoutPiece(plan.move, id),
    then: plan.then.map((leg) => ({ ...leg, move: withoutPiece(leg.move, id) })),
    focus: focusWithoutPiece(plan.focus, id),
  });
  const shots = shoot.shots.map((shot) => without({ ...shot, other: shot.other && without(shot.other) }));
  return {
    ...withPieces(
      shoot,
      shoot.site.pieces.filter((piece) => piece.id !== id),
    ),
    shots,
  };
}

/** Sets a piece's walk in a shot; no points take the walk away. */
export function changeWalk(shoot: Shoot, shotId: string, pieceId: string, points: WalkPoint[]): Shoot {
  return withShot(shoot, shotId, (shot) => {
    const walks = shot.walks.filter((walk) => walk.pieceId !== pieceId);
    return { ...shot, walks: points.length ? [...walks, { pieceId, points }] : walks };
  });
}

/** Adds a point to the end of a walk, reached at walking pace; the walk starts where the piece stands. */
export function addWalkPoint(shoot: Shoot, shotId: string, piece: Piece, xM: number, yM: number): Shoot {
  const walk = shoot.shots.find((shot) => shot.id === shotId)?.walks.find((row) => row.pieceId === piece.id);
  const points = walk?.points ?? [{ tS: 0, xM: piece.xM, yM: piece.yM, zM: piece.zM }];
  const last = points[points.length - 1];
  const distanceM = Math.hypot(xM - last.xM, yM - last.yM);
  const tS = Math.round((last.tS + Math.max(0.1, distanceM / WALKING_MPS)) * 10) / 10;
  return changeWalk(shoot, shotId, piece.id, [
    ...points,
    {
      tS: Math.max(tS, last.tS + 0.1),
      xM: onWalk(xM),
      yM: onWalk(yM),
      zM: groundAt(shoot.site.pieces, xM, yM, piece.id),
    },
  ]);
}

export function moveWalkPoint(
  shoot: Shoot,
  shotId: string,
  pieceId: string,
  index: number,
  xM: number,
  yM: number,
): Shoot {
  const walk = shoot.shots.find((shot) => shot.id === shotId)?.walks.find((row) => row.pieceId === pieceId);
  if (!walk) return shoot;
  return changeWalk(
    shoot,
    shotId,
    pieceId,
    walk.points.map((point, i) =>
      i === index
        ? { ...point, xM: onWalk(xM), yM: onWalk(yM), zM: groundAt(shoot.site.pieces, xM, yM, pieceId) }
        : point,
    ),
  );
}
