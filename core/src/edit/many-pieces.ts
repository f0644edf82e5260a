import type { Piece, Shoot } from '../model';
import { groundAt, onSite, upSite } from './on-site';
import { changePiece, movePiece, removePiece, withPieces } from './pieces';
import { turnedPiece } from './turned-piece';

/** Several pieces at a time: chosen, grouped, moved, turned, lined up, repeated. */

const piecesOf = (shoot: Shoot, ids: readonly string[]): Piece[] => {
  const chosen = new Set(ids);
  return shoot.site.pieces.filter(({ id }) => chosen.has(id));
};

/** The ids with everything that is in a group with one of them, in the order of the site. */
export function withGroups(shoot: Shoot, ids: readonly string[]): string[] {
  const chosen = new Set(ids);
  const groups = new Set(piecesOf(shoot, ids).flatMap(({ group }) => (group === null ? [] : [group])));
  return shoot.site.pieces
    .filter(({ id, group }) => chosen.has(id) || (group !== null && groups.has(group)))
    .map(({ id }) => id);
}

const change = (shoot: Shoot, ids: readonly string[], with_: (piece: Piece) => Piece): Shoot => {
  const chosen = new Set(ids);
  return withPieces(
    shoot,
    shoot.site.pieces.map((piece) => (chosen.has(piece.id) ? with_(piece) : piece)),
  );
};

/** Puts pieces into one group of this name; null takes them out of theirs. */
export const groupPieces = (shoot: Shoot, ids: readonly string[], group: string | null): Shoot =>
  change(shoot, ids, (piece) => ({ ...piece, group }));

export const lockPieces = (shoot: Shoot, ids: readonly string[], locked: boolean): Shoot =>
  change(shoot, ids, (piece) => ({ ...piece, locked }));

export const hidePieces = (shoot: Shoot, ids: readonly string[], hidden: boolean): Shoot =>
  change(shoot, ids, (piece) => ({ ...piece, hidden }));

/** What of them a hand can move: not what is locked, and not what goes along with what it stands on. */
const movable = (shoot: Shoot, ids: readonly string[]): Piece[] => {
  const chosen = new Set(ids);
  return piecesOf(shoot, ids).filter(({ locked, on }) => !locked && (on === null || !chosen.has(on)));
};

/** Moves pieces together by so far east and north; each keeps its height above the ground. What is locked stays. */
export function movePieces(shoot: Shoot, shotId: string, ids: readonly string[], eastM: number, northM: number): Shoot {
  return movable(shoot, ids).reduce((next, { id, xM, yM }) => {
    const walk = next.shots.find((shot) => shot.id === shotId)?.walks.find(({ pieceId }) => pieceId === id);
    const from = walk?.points[0] ?? { xM, yM };
    return movePiece(next, shotId, id, from.xM + eastM, from.yM + northM);
  }, shoot);
}

/** The middle of the box about their base points. */
function middleOf(pieces: readonly Piece[]): { xM: number; yM: number } {
  const xs = pieces.map(({ xM }) => xM);
  const ys = pieces.map(({ yM }) => yM);
  return { xM: (Math.min(...xs) + Math.max(...xs)) / 2, yM: (Math.min(...ys) + Math.max(...ys)) / 2 };
}

/** Turns pieces together about their middle, degrees clockwise. What is locked stays. */
export function turnPieces(shoot: Shoot, ids: readonly string[], byDeg: number): Shoot {
  const pieces = movable(shoot, ids);
  if (pieces.length === 0) return shoot;
  const middle = middleOf(pieces);
  return pieces.reduce((next, { id }) => turnedPiece(next, id, middle, byDeg), shoot);
}

/** How pieces are lined up. */
export const ALIGNMENTS = {
  line: 'In one line, evenly apart',
  northSouth: 'One above the other (same east)',
  eastWest: 'Beside each other (same north)',
  heading: 'All turned alike',
  base: 'All at one height',
} as const;
export type Alignment = keyof typeof ALIGNMENTS;

/**
 * Lines pieces up. `line`: on the straight way between the two that are farthest apart, in their order along it; the
 * rest as the first of them is. What is locked stays where it is.
 */
export function alignPieces(shoot: Shoot, shotId: string, ids: readonly string[], how: Alignment): Shoot {
  const pieces = movable(shoot, ids);
  const [first] = pieces;
  if (pieces.length < 2) return shoot;
  const to = (next: Shoot, piece: Piece, xM: number, yM: number) => movePiece(next, shotId, piece.id, xM, yM);
  switch (how) {
    case 'northSouth':
      return pieces.reduce((next, piece) => to(next, piece, first.xM, piece.yM), shoot);
    case 'eastWest':
      return pieces.reduce((next, piece) => to(next, piece, piece.xM, first.yM), shoot);
    case 'heading':
      return pieces.reduce(
        (next, piece) => turnedPiece(next, piece.id, piece, first.headingDeg - piece.headingDeg),
        shoot,
      );
    case 'base':
      return pieces.reduce((next, { id }) => changePiece(next, id, (piece) => ({ ...piece, zM: first.zM })), shoot);
    case 'line': {
      let [a, b, farM] = [pieces[0], pieces[1], -1];
      for (const one of pieces)
        for (const other of pieces) {
          const apartM = Math.hypot(one.xM - other.xM, one.yM - other.yM);
          if (apartM > farM + 1e-9) [a, b, farM] = [one, other, apartM];
        }
      const along = (piece: Piece) => (piece.xM - a.xM) * (b.xM - a.xM) + (piece.yM - a.yM) * (b.yM - a.yM);
      const row = [...pieces].sort((one, other) => along(one) - along(other));
      return row.reduce((next, piece, k) => {
        const share = k / (row.length - 1);
        return to(next, piece, a.xM + (b.xM - a.xM) * share, a.yM + (b.yM - a.yM) * share);
      }, shoot);
    }
  }
}

/** Most copies of one row. */
export const MOST_REPEATS = 100;

/**
 * Copies of pieces in a row, each so far from the one before, in a direction (degrees from north); each stands on the
 * ground as its original does. `idOf`: a new id for each copy.
 */
export function repeatPieces(
  shoot: Shoot,
  ids: readonly string[],
  row: { times: number; apartM: number; bearingDeg: number },
  idOf: () => string,
): Shoot {
  const { pieces } = shoot.site;
  const bearing = (row.bearingDeg * Math.PI) / 180;
  const copies: Piece[] = [];
  for (let k = 1; k <= Math.min(MOST_REPEATS, row.times); k += 1) {
    const [east, north] = [Math.sin(bearing) * row.apartM * k, Math.cos(bearing) * row.apartM * k];
    copies.push(...copied(pieces, piecesOf(shoot, ids), east, north, idOf, ` ${k + 1}`));
  }
  return withPieces(shoot, [...pieces, ...copies]);
}

/** Copies of pieces so far east and north, on the ground there; what stood on one of them stands on its copy. */
export function copied(
  site: readonly Piece[],
  pieces: readonly Piece[],
  eastM: number,
  northM: number,
  idOf: () => string,
  suffix = '',
): Piece[] {
  const ids = new Map(pieces.map(({ id }) => [id, idOf()]));
  const groups = new Map<string, string>();
  const groupOf = (group: string | null) => {
    if (group === null) return null;
    const known = groups.get(group) ?? idOf();
    groups.set(group, known);
    return known;
  };
  return pieces.map((piece) => {
    const [xM, yM] = [onSite(piece.xM + eastM), onSite(piece.yM + northM)];
    const riseM = groundAt(site, xM, yM, piece.id) - groundAt(site, piece.xM, piece.yM, piece.id);
    return {
      ...piece,
      id: ids.get(piece.id) ?? idOf(),
      name: `${piece.name.slice(0, 76)}${suffix}`,
      xM,
      yM,
      zM: upSite(piece.zM + riseM),
      on: piece.on === null ? null : (ids.get(piece.on) ?? null),
      group: groupOf(piece.group),
    };
  });
}

/** Takes pieces away; what is locked stays. */
export const removePieces = (shoot: Shoot, ids: readonly string[]): Shoot =>
  piecesOf(shoot, ids)
    .filter(({ locked }) => !locked)
    .reduce((next, { id }) => removePiece(next, id), shoot);
