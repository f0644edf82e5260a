import type { Piece } from '../model';
import { toLocal } from './ground';
import { panesOf, wallParts } from './wall-parts';

/** Where a piece's middle of the base is; a walker's changes. */
export interface Spot {
  xM: number;
  yM: number;
  zM: number;
  /** Which way it is turned, where that is not how it was put. */
  headingDeg?: number;
}

/**
 * Distance in metres from an upright line (x, y, from z0 up to z1; a point when they are equal) to a piece standing at
 * `at`; 0 or less inside. Boxes, walls with their openings and the glass in them, posts and tree crowns are exact outside; the slopes of a
 * ridge are measured square to their planes, which is never more than the true distance. A wall that is all opening is
 * nowhere: Infinity.
 */
export function distanceToPieceM(piece: Piece, at: Spot, xM: number, yM: number, z0M: number, z1M: number): number {
  const { along, across } = toLocal({ xM: at.xM, yM: at.yM, headingDeg: at.headingDeg ?? piece.headingDeg }, xM, yM);
  const [low, high] = [z0M - at.zM, z1M - at.zM];
  const [y, x, h] = [piece.lengthM / 2, piece.depthM / 2, piece.heightM];
  switch (piece.kind) {
    case 'post':
    case 'bottle':
    case 'tin':
    case 'watch':
    case 'turntable':
    case 'bush':
      return disc(along, across, Math.max(x, y), 0, h, low, high);
    case 'figure':
      // Who lies is a box: the head is far from the feet.
      if (piece.pose === 'lie') return box(along, across, -y, y, x, 0, h, low, high);
      return disc(along, across, Math.max(x, y), 0, h, low, high);
    case 'tree':
      return Math.min(
        disc(along, across, x * 0.09, 0, h * 0.5, low, high),
        disc(along, across, x, h * 0.34, h, low, high),
      );
    case 'wall': {
      let nearest = Infinity;
      for (const { from, to, bottom, top } of wallParts(piece))
        nearest = Math.min(nearest, box(along, across, from, to, x, bottom, top, low, high));
      for (const { from, to, bottom, top } of panesOf(piece))
        nearest = Math.min(nearest, box(along, across, from, to, GLASS_HALF_M, bottom, top, low, high));
      return nearest;
    }
    case 'ridge': {
      const slope = Math.hypot(h, x);
      const roof = (h * Math.abs(across) + x * low - h * x) / slope;
      return Math.max(roof, Math.abs(along) - y, Math.abs(across) - x, -high);
    }
    default:
      return box(along, across, -y, y, x, 0, h, low, high);
  }
}

/** A sheet of glass is about so thick: common practice, no published source. */
const GLASS_HALF_M = 0.005;

const gapBetween = (low: number, high: number, from: number, to: number): number => Math.max(from - high, low - to);

function combine(aside: number, upright: number): number {
  return aside > 0 && upright > 0 ? Math.hypot(aside, upright) : Math.max(aside, upright);
}

function box(
  along: number,
  across: number,
  from: number,
  to: number,
  halfDepth: number,
  bottom: number,
  top: number,
  low: number,
  high: number,
): number {
  const a = Math.max(from - along, along - to);
  const b = Math.abs(across) - halfDepth;
  return combine(a > 0 && b > 0 ? Math.hypot(a, b) : Math.max(a, b), gapBetween(low, high, bottom, top));
}

function disc(
  along: number,
  across: number,
  radius: number,
  bottom: number,
  top: number,
  low: number,
  high: number,
): number {
  return combine(Math.hypot(along, across) - radius, gapBetween(low, high, bottom, top));
}
