import { cm, onSite, onWalk, upSite, groundAt } from './on-site';
import { toLocal, toSite } from '../site';
import { stagePiece } from './staging';
import { changeWalk } from './walks';
import {
  type Focus,
  type FocusTarget,
  type ModelPiece,
  type Move,
  newPiece,
  type Piece,
  PIECE_KINDS,
  type PieceKind,
  type Shoot,
  stagedIn,
  type Way,
  WHOLE,
} from '../model';

/** Pieces of the site put, moved, copied and taken away. */

/** The shoot with other pieces. */
export const withPieces = (shoot: Shoot, pieces: Piece[]): Shoot => ({ ...shoot, site: { ...shoot.site, pieces } });
export function changePiece(shoot: Shoot, id: string, edit: (piece: Piece) => Piece): Shoot {
  return withPieces(
    shoot,
    shoot.site.pieces.map((piece) => (piece.id === id ? edit(piece) : piece)),
  );
}

/** A piece changed, and whatever stands on it gone along with it. */
export function withRiders(shoot: Shoot, before: Piece, after: Piece): Shoot {
  let next = changePiece(shoot, before.id, () => after);
  for (const rider of shoot.site.pieces.filter(({ on }) => on === before.id)) {
    const { along, across } = toLocal(before, rider.xM, rider.yM);
    const { xM, yM } = toSite(after, along, across);
    next = withRiders(next, rider, {
      ...rider,
      xM: onSite(xM),
      yM: onSite(yM),
      zM: upSite(rider.zM + after.zM - before.zM),
      headingDeg: (rider.headingDeg + after.headingDeg - before.headingDeg) % 360,
    });
  }
  return next;
}

/** Turns a piece, in every shot or in this one; what stands on it turns along. */
export function turnPiece(shoot: Shoot, shotId: string, id: string, headingDeg: number, onlyHere = false): Shoot {
  const piece = shoot.site.pieces.find((row) => row.id === id);
  const shot = shoot.shots.find((row) => row.id === shotId);
  if (!piece || !shot) return shoot;
  if (onlyHere || stagedIn(shot, id).headingDeg !== null) return stagePiece(shoot, shotId, id, { headingDeg });
  return withRiders(shoot, piece, { ...piece, headingDeg });
}

/**
 * Moves a piece to a place, in every shot or in this one. It keeps its height above the ground that it stood on; what
 * stands on it goes along. In a shot in which it walks, the walk goes with it.
 */
export function movePiece(shoot: Shoot, shotId: string, id: string, xM: number, yM: number, onlyHere = false): Shoot {
  const { pieces } = shoot.site;
  const piece = pieces.find((row) => row.id === id);
  if (!piece) return shoot;
  const walk = shoot.shots.find((shot) => shot.id === shotId)?.walks.find((row) => row.pieceId === id);
  const rise = (fromX: number, fromY: number, toX: number, toY: number) =>
    groundAt(pieces, toX, toY, id) - groundAt(pieces, fromX, fromY, id);
  const shot = shoot.shots.find((row) => row.id === shotId);
  const staged = shot && stagedIn(shot, id).place;
  if (!walk) {
    const from = staged ?? piece;
    const place = { xM: onSite(xM), yM: onSite(yM), zM: upSite(from.zM + rise(from.xM, from.yM, xM, yM)) };
    return staged || onlyHere
      ? stagePiece(shoot, shotId, id, { place })
      : withRiders(shoot, piece, { ...piece, ...place });
  }
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

/** A piece that was offered, put down under a new id and a name of its own; `instead`: of one that was put before. */
export function putOffered(shoot: Shoot, offered: Piece, id: string, instead: string | null): Shoot {
  const from = instead === null ? shoot : removePiece(shoot, instead);
  const alike = from.site.pieces.filter(({ kind }) => kind === offered.kind).length;
  const name = alike ? `${offered.name} ${alike + 1}` : offered.name;
  return withPieces(from, [...from.site.pieces, { ...offered, id, name }]);
}

/**
 * Something of a known height put on the ground as far before a camera as it was measured in a photograph, in the
 * direction that the camera looks; it is a post until somebody says what it is.
 */
export function putMeasured(
  shoot: Shoot,
  id: string,
  camera: { xM: number; yM: number; panDeg: number },
  { awayM, heightM }: { awayM: number; heightM: number },
): Shoot {
  const pan = (camera.panDeg * Math.PI) / 180;
  const next = addPiece(shoot, 'post', id, camera.xM + awayM * Math.sin(pan), camera.yM + awayM * Math.cos(pan));
  return changePiece(next, id, (piece) => ({ ...piece, name: `Measured, ${cm(awayM)} m`, heightM }));
}

/** A piece of a person's own with the surface, the name and the size of a model. */
export const asModel = (
  piece: Piece,
  model: Pick<ModelPiece, 'name' | 'mesh' | 'lengthM' | 'depthM' | 'heightM'>,
): Piece => (piece.kind === 'model' ? { ...piece, ...model } : piece);

/** A copy of a piece beside it, on the ground there. */
export function duplicatePiece(shoot: Shoot, id: string, copyId: string): Shoot {
  const { pieces } = shoot.site;
  const piece = pieces.find((row) => row.id === id);
  if (!piece) return shoot;
  const aside = piece.depthM + 0.5;
  // At the edge of the site there is only one side left.
  const xM = onSite(piece.xM + aside) === cm(piece.xM + aside) ? cm(piece.xM + aside) : onSite(piece.xM - aside);
  const rise = PIECE_KINDS[piece.kind].ground
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
  dog: 1.15,
  car: 1.3,
  lorry: 1.6,
  motorbike: 1.2,
  bicycle: 1.2,
  scooter: 1.2,
  board: 1.1,
  boat: 1.5,
  bottle: 1,
  tin: 1,
  watch: 1,
  turntable: 1,
  table: 1,
  chair: 1.1,
  plinth: 1,
  lamp: 1.2,
  model: 1,
  post: 0.45,
  hedge: 1.4,
  wall: 1.9,
  box: 1.7,
  slab: 2.2,
  tree: 2.6,
  ridge: 8,
  stair: 1.8,
  platform: 1.6,
  road: 1.5,
  water: 1.6,
  terrain: 1,
  fence: 1.7,
  rock: 1.5,
  bush: 0.6,
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

/** Takes a piece away, with its walks; shots about it have no subject any more. */
export function removePiece(shoot: Shoot, id: string): Shoot {
  const without = <T extends Way>(plan: T): T => ({
    ...plan,
    ...(plan.subjectId === id ? { subjectId: null, subjectPart: WHOLE } : {}),
    walks: plan.walks.filter((walk) => walk.pieceId !== id),
    staging: plan.staging.filter((row) => row.pieceId !== id),
    move: withoutPiece(plan.move, id),
    then: plan.then.map((leg) => ({ ...leg, move: withoutPiece(leg.move, id) })),
    focus: focusWithoutPiece(plan.focus, id),
  });
  // A shot that has nothing to do with it stays the same object: it is not sent, saved or read again.
  const names = (plan: Way | null) => plan !== null && JSON.stringify(plan).includes(JSON.stringify(id));
  const shots = shoot.shots.map((shot) =>
    names(shot) ? without({ ...shot, other: shot.other && without(shot.other) }) : shot,
  );
  const pieces = shoot.site.pieces
    .filter((piece) => piece.id !== id)
    .map((piece) => (piece.on === id ? { ...piece, on: null } : piece));
  return { ...withPieces(shoot, pieces), shots };
}
