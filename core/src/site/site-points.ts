import type { Piece } from '../model';
import { groundHeightM, groundPieces, toLocal, toSite } from './ground';

/**
 * Points on the solids and the ground, metres, as x, y, z after each other: one array keeps the hot loop's reads
 * together. Neighbours stand in clusters, so that a camera can pass over a whole cluster it does not see.
 */
export interface SitePoints {
  count: number;
  xyzM: Float64Array;
  /** For each run of `CLUSTER_SIZE` points (the last may be shorter) the sphere that holds it: x, y, z, radius. */
  spheresM: Float64Array;
}

export const CLUSTER_SIZE = 16;

/** A lattice of ground points: `perSide` by `perSide`, `spacingM` apart, centred on a site point. */
export interface Lattice {
  xM: number;
  yM: number;
  spacingM: number;
  perSide: number;
}

const MOST_ALONG = 20;

/** What the points are for: densest about a place, at a spacing that grows with distance from it. Metres. */
export interface Focus {
  xM: number;
  yM: number;
  spacingM: number;
}

/**
 * Spacing of points on a piece, metres: the focus's own close by, an eighth of the distance farther off. A scaled site
 * keeps its points.
 */
function spacingOn(piece: Piece, focus: Focus): number {
  const { along, across } = toLocal(piece, focus.xM, focus.yM);
  const away = Math.hypot(
    Math.max(0, Math.abs(along) - piece.lengthM / 2),
    Math.max(0, Math.abs(across) - piece.depthM / 2),
  );
  return Math.max(focus.spacingM, away / 8);
}

const stepsAlong = (sideM: number, spacingM: number) =>
  Math.min(MOST_ALONG, Math.max(2, Math.round(sideM / spacingM) + 1));

/**
 * Points that stand for what can be seen moving: on the outline of every piece from base to top, densest about the
 * focus, and on the ground lattices, lifted onto slabs and ridges. Pieces listed in `without` (those that move) are
 * left out.
 */
export function sitePoints(
  pieces: readonly Piece[],
  focus: Focus,
  lattices: readonly Lattice[],
  without: ReadonlySet<string> = new Set(),
): SitePoints {
  const xs: number[] = [];
  const ys: number[] = [];
  const zs: number[] = [];
  for (const piece of pieces) if (!without.has(piece.id)) addPiece(piece, spacingOn(piece, focus), xs, ys, zs);
  const ground = groundPieces(pieces);
  for (const lattice of lattices) {
    const half = (lattice.perSide - 1) / 2;
    for (let i = 0; i < lattice.perSide; i += 1)
      for (let k = 0; k < lattice.perSide; k += 1) {
        const x = lattice.xM + (i - half) * lattice.spacingM;
        const y = lattice.yM + (k - half) * lattice.spacingM;
        xs.push(x);
        ys.push(y);
        zs.push(groundHeightM(ground, x, y));
      }
  }
  const order = neighbourOrder(xs, ys, focus);
  const inOrder = [xs, ys, zs].map((values) => {
    const column = new Float64Array(values.length);
    for (let i = 0; i < column.length; i += 1) column[i] = values[order[i]];
    return column;
  });
  return pointsOf(inOrder[0], inOrder[1], inOrder[2]);
}

const CELL_BITS = 12;
const MOST_POINTS = 2 ** 21;

/**
 * The points' indices so that neighbours stand together: along a Z-order curve (Morton 1966) over the ground, which is
 * drawn together with distance from the focus because what is far may be coarser.
 */
function neighbourOrder(xs: readonly number[], ys: readonly number[], focus: Focus): Float64Array {
  const cells = 2 ** CELL_BITS;
  const cell = (awayM: number) =>
    Math.min(cells - 1, Math.max(0, Math.floor(cells / 2 + (Math.asinh(awayM / (2 * focus.spacingM)) * cells) / 24)));
  const keys = new Float64Array(xs.length);
  for (let i = 0; i < keys.length; i += 1)
    keys[i] = (spread(cell(xs[i] - focus.xM)) + 2 * spread(cell(ys[i] - focus.yM))) * MOST_POINTS + i;
  return keys.sort().map((key) => key % MOST_POINTS);
}

/** The bits of a cell number, each followed by an empty one. */
function spread(cell: number): number {
  let bits = cell;
  bits = (bits | (bits << 8)) & 0x00ff00ff;
  bits = (bits | (bits << 4)) & 0x0f0f0f0f;
  bits = (bits | (bits << 2)) & 0x33333333;
  return (bits | (bits << 1)) & 0x55555555;
}

/** Lists of coordinates as points with their clusters. */
export function pointsOf(xs: ArrayLike<number>, ys: ArrayLike<number>, zs: ArrayLike<number>): SitePoints {
  const xyzM = new Float64Array(xs.length * 3);
  for (let i = 0; i < xs.length; i += 1) {
    xyzM[3 * i] = xs[i];
    xyzM[3 * i + 1] = ys[i];
    xyzM[3 * i + 2] = zs[i];
  }
  return clustered(xyzM);
}

/** Points given as x, y, z after each other, with their clusters. */
export function clustered(xyzM: Float64Array): SitePoints {
  const count = xyzM.length / 3;
  const spheresM = new Float64Array(Math.ceil(count / CLUSTER_SIZE) * 4);
  for (let sphere = 0; sphere < spheresM.length; sphere += 4) {
    const from = (sphere / 4) * CLUSTER_SIZE * 3;
    const to = Math.min(xyzM.length, from + CLUSTER_SIZE * 3);
    let x0 = Infinity,
      x1 = -Infinity,
      y0 = Infinity,
      y1 = -Infinity,
      z0 = Infinity,
      z1 = -Infinity;
    for (let i = from; i < to; i += 3) {
      const x = xyzM[i];
      const y = xyzM[i + 1];
      const z = xyzM[i + 2];
      if (x < x0) x0 = x;
      if (x > x1) x1 = x;
      if (y < y0) y0 = y;
      if (y > y1) y1 = y;
      if (z < z0) z0 = z;
      if (z > z1) z1 = z;
    }
    const x = (x0 + x1) / 2;
    const y = (y0 + y1) / 2;
    const z = (z0 + z1) / 2;
    let square = 0;
    for (let i = from; i < to; i += 3) {
      const away =
        (xyzM[i] - x) * (xyzM[i] - x) + (xyzM[i + 1] - y) * (xyzM[i + 1] - y) + (xyzM[i + 2] - z) * (xyzM[i + 2] - z);
      if (away > square) square = away;
    }
    spheresM[sphere] = x;
    spheresM[sphere + 1] = y;
    spheresM[sphere + 2] = z;
    spheresM[sphere + 3] = Math.sqrt(square);
  }
  return { count, xyzM, spheresM };
}

const MOST_UP = 7;

/** Heights at which a piece that stands up is looked at, as shares of its own: at least base, middle and top. */
function evenly(heightM: number, spacingM: number): number[] {
  const steps = Math.min(MOST_UP, Math.max(3, Math.round(heightM / spacingM) + 1));
  return Array.from({ length: steps }, (_, i) => i / (steps - 1));
}

function addPiece(piece: Piece, spacingM: number, xs: number[], ys: number[], zs: number[]): void {
  const lengthSteps = stepsAlong(piece.lengthM, spacingM);
  const depthSteps = stepsAlong(piece.depthM, spacingM);
  const put = (a: number, b: number, levels: readonly number[]) => {
    const { xM, yM } = toSite(piece, a * piece.lengthM, b * piece.depthM);
    for (const level of levels) {
      xs.push(xM);
      ys.push(yM);
      zs.push(piece.zM + level * piece.heightM);
    }
  };
  const levels =
    piece.kind === 'slab'
      ? [1]
      : piece.kind === 'ridge'
        ? [0]
        : piece.kind === 'hedge'
          ? [0.1, 1]
          : evenly(piece.heightM, spacingM);
  for (let i = 0; i < lengthSteps; i += 1) {
    const a = i / (lengthSteps - 1) - 0.5;
    put(a, -0.5, levels);
    put(a, 0.5, levels);
    if (piece.kind === 'ridge') put(a, 0, [1]);
  }
  for (let k = 1; k < depthSteps - 1; k += 1) {
    const b = k / (depthSteps - 1) - 0.5;
    put(-0.5, b, levels);
    put(0.5, b, levels);
  }
}
