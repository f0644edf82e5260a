import { distanceToPieceM } from '../site';
import type { Stance, Thing } from './thing';

const base = new Float64Array(3);
const stance: Stance = { headingDeg: 0, leanDeg: 0, pitchDeg: 0 };

/**
 * Distance in metres from an upright line (x, y, from z0 up to z1) to a thing where it is at a moment, turned as it is
 * then; 0 or less inside. Lean and climb are not counted.
 */
export function distanceToThingM(
  { piece, at, stanceAt, walks }: Thing,
  tS: number,
  xM: number,
  yM: number,
  z0M: number,
  z1M: number,
): number {
  if (!walks) return distanceToPieceM(piece, piece, xM, yM, z0M, z1M);
  at(tS, base);
  stanceAt(tS, stance);
  return distanceToPieceM(
    piece,
    { xM: base[0], yM: base[1], zM: base[2], headingDeg: stance.headingDeg },
    xM,
    yM,
    z0M,
    z1M,
  );
}
