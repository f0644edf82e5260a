import { posedSize } from './body';
import type { Piece } from './piece';
import type { Staged, Way } from './shot';

/** What a shot says of a piece where it says nothing: it is as it is on the site. */
export const AS_ON_SITE: Omit<Staged, 'pieceId'> = {
  there: true,
  place: null,
  headingDeg: null,
  pose: null,
  alone: false,
};

/** What a shot says of a piece. */
export const stagedIn = (shot: Pick<Way, 'staging'>, pieceId: string): Staged =>
  shot.staging.find((row) => row.pieceId === pieceId) ?? { pieceId, ...AS_ON_SITE };

// Shoots are never changed in place: the same lists give the same pieces, and whoever drew them need not draw again.
const known = new WeakMap<readonly Piece[], WeakMap<readonly Staged[], readonly Piece[]>>();
const posed = new WeakMap<Piece, Map<string, Piece>>();

/** The pieces that are there in a shot, each where, turned and posed as it is in it. */
export function stagedPieces(pieces: readonly Piece[], { staging }: Pick<Way, 'staging'>): readonly Piece[] {
  const byStaging = known.get(pieces) ?? new WeakMap<readonly Staged[], readonly Piece[]>();
  known.set(pieces, byStaging);
  const before = byStaging.get(staging);
  if (before) return before;
  const rows = new Map(staging.map((row) => [row.pieceId, row]));
  const site = new Map(pieces.map((piece) => [piece.id, piece]));
  const put = new Map<string, Piece>();
  const stage = (piece: Piece): Piece => {
    const known = put.get(piece.id);
    if (known) return known;
    const row = rows.get(piece.id);
    const carrier = piece.on === null || row?.alone ? undefined : site.get(piece.on);
    const under = carrier && stage(carrier);
    const moved = carrier && under && !row?.place ? goneAlong(piece, carrier, under) : piece;
    const staged = stagedPiece(moved, row);
    put.set(piece.id, staged);
    return staged;
  };
  const staged = pieces.flatMap((piece) => (rows.get(piece.id)?.there === false ? [] : [stage(piece)]));
  // The same list where nothing differs.
  const all = staged.length === pieces.length && staged.every((piece, i) => piece === pieces[i]) ? pieces : staged;
  byStaging.set(staging, all);
  return all;
}

const RAD = Math.PI / 180;

/** A piece where it comes to when what it stands on is elsewhere in this shot, or turned. */
function goneAlong(piece: Piece, from: Piece, to: Piece): Piece {
  if (from.xM === to.xM && from.yM === to.yM && from.zM === to.zM && from.headingDeg === to.headingDeg) return piece;
  const turn = (to.headingDeg - from.headingDeg) * RAD;
  const [dx, dy] = [piece.xM - from.xM, piece.yM - from.yM];
  return {
    ...piece,
    xM: to.xM + dx * Math.cos(turn) + dy * Math.sin(turn),
    yM: to.yM + dy * Math.cos(turn) - dx * Math.sin(turn),
    zM: piece.zM + to.zM - from.zM,
    headingDeg: piece.headingDeg + to.headingDeg - from.headingDeg,
  };
}

function stagedPiece(piece: Piece, row: Staged | undefined): Piece {
  if (!row && (piece.kind !== 'figure' || piece.pose === 'stand')) return piece;
  const key = JSON.stringify(row ?? null);
  const states = posed.get(piece) ?? new Map<string, Piece>();
  posed.set(piece, states);
  const before = states.get(key);
  if (before) return before;
  const put = {
    ...piece,
    ...row?.place,
    headingDeg: row?.headingDeg ?? piece.headingDeg,
    on: row?.alone ? null : piece.on,
  };
  const staged = put.kind === 'figure' ? inPose({ ...put, pose: row?.pose ?? put.pose }) : put;
  states.set(key, staged);
  return staged;
}

/** A figure as large as its pose makes it, with what it measures standing beside. */
function inPose(figure: Extract<Piece, { kind: 'figure' }>): Piece {
  if (figure.pose === 'stand') return figure;
  const { lengthM, depthM, heightM } = figure;
  return { ...figure, ...posedSize(figure), standing: { lengthM, depthM, heightM } };
}
