import type { Piece } from '../model/piece';
import { groundHeightM, groundPieces, toLocal, toSite } from './ground';

/** Points on the solids and the ground, as columns; metres. Neighbours stand together in clusters, so that a camera can pass over a whole cluster it does not see. */
export interface SitePoints {
  count: number;
  xM: Float64Array;
  yM: Float64Array;
  zM: Float64Array;
  clusters: Clusters;
}

/** Runs of `CLUSTER_SIZE` points (the last may be shorter), each with the sphere that holds it, as columns; metres. */
export interface Clusters {
  count: number;
  xM: Float64Array;
  yM: Float64Array;
  zM: Float64Array;
  radiusM: Float64Array;
}

export const CLUSTER_SIZE = 16;

/** A lattice of ground points: `perSide` by `perSide`, `spacingM` apart, centred on a site point. */
export interface Lattice {
  xM: number;
  yM: number;
  spacingM: number;
  perSide: number;
}

const MOST_ALONG = 24;
const BLOCK = 4;

/** What the points are for: densest about a place, at a spacing that grows with distance from it. Metres. */
export interface Focus {
  xM: number;
  yM: number;
  spacingM: number;
}

/** Spacing of points on a piece, metres: the focus's own close by, an eighth of the distance farther off. A scaled site keeps its points. */
function spacingOn(piece: Piece, focus: Focus): number {
  const { along, across } = toLocal(piece, focus.xM, focus.yM);
  const away = Math.hypot(Math.max(0, Math.abs(along) - piece.lengthM / 2), Math.max(0, Math.abs(across) - piece.depthM / 2));
  return Math.max(focus.spacingM, away / 8);
}

const stepsAlong = (sideM: number, spacingM: number) => Math.min(MOST_ALONG, Math.max(2, Math.round(sideM / spacingM) + 1));

/**
 * Points that stand for what can be seen moving: on the outline of every piece at its base, middle and top, densest
 * about the focus, and on the ground lattices, lifted onto slabs and ridges. Pieces listed in `without` (those that move) are left out.
 */
export function sitePoints(pieces: readonly Piece[], focus: Focus, lattices: readonly Lattice[], without: ReadonlySet<string> = new Set()): SitePoints {
  const xs: number[] = [];
  const ys: number[] = [];
  const zs: number[] = [];
  for (const piece of pieces) if (!without.has(piece.id)) addPiece(piece, spacingOn(piece, focus), xs, ys, zs);
  const ground = groundPieces(pieces);
  for (const lattice of lattices) {
    for (let i = 0; i < lattice.perSide; i += BLOCK) for (let k = 0; k < lattice.perSide; k += BLOCK) addBlock(lattice, i, k, ground, xs, ys, zs);
  }
  return columnsOf(xs, ys, zs);
}

/** A square block of a lattice: points that stand together come together. */
function addBlock({ xM, yM, spacingM, perSide }: Lattice, fromI: number, fromK: number, ground: readonly Piece[], xs: number[], ys: number[], zs: number[]): void {
  const half = (perSide - 1) / 2;
  for (let i = fromI; i < Math.min(perSide, fromI + BLOCK); i += 1)
    for (let k = fromK; k < Math.min(perSide, fromK + BLOCK); k += 1) {
      const x = xM + (i - half) * spacingM;
      const y = yM + (k - half) * spacingM;
      xs.push(x);
      ys.push(y);
      zs.push(groundHeightM(ground, x, y));
    }
}

/** Lists of coordinates as columns with their clusters. */
export function columnsOf(xs: ArrayLike<number>, ys: ArrayLike<number>, zs: ArrayLike<number>): SitePoints {
  const xM = Float64Array.from(xs);
  const yM = Float64Array.from(ys);
  const zM = Float64Array.from(zs);
  const count = Math.ceil(xM.length / CLUSTER_SIZE);
  const column = () => new Float64Array(count);
  const clusters: Clusters = { count, xM: column(), yM: column(), zM: column(), radiusM: column() };
  for (let c = 0; c < count; c += 1) {
    const from = c * CLUSTER_SIZE;
    const to = Math.min(xM.length, from + CLUSTER_SIZE);
    for (const [axis, out] of [
      [xM, clusters.xM],
      [yM, clusters.yM],
      [zM, clusters.zM],
    ]) {
      let least = Infinity;
      let most = -Infinity;
      for (let i = from; i < to; i += 1) {
        least = Math.min(least, axis[i]);
        most = Math.max(most, axis[i]);
      }
      out[c] = (least + most) / 2;
    }
    for (let i = from; i < to; i += 1) clusters.radiusM[c] = Math.max(clusters.radiusM[c], Math.hypot(xM[i] - clusters.xM[c], yM[i] - clusters.yM[c], zM[i] - clusters.zM[c]));
  }
  return { count: xM.length, xM, yM, zM, clusters };
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
  const levels = piece.kind === 'slab' ? [1] : piece.kind === 'ridge' ? [0] : piece.kind === 'hedge' ? [0.1, 1] : [0, 0.5, 1];
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
