import type { Piece } from '../model';
import { bearingDeg } from './directions';
import { groundHeightM } from './ground';

/** What a tape between two spots of the ground tells. */
export interface Tape {
  /** Level, from above. */
  lengthM: number;
  /** Straight through the air. */
  airM: number;
  /** How much higher the second lies; negative: lower. */
  riseM: number;
  slopePercent: number;
  /** From the first to the second, clockwise from north, 0 up to 360. */
  bearingDeg: number;
}

/** A tape laid from one spot of the ground to another, metres; `ground` comes from `groundPieces`. */
export function tapeBetween(
  ground: readonly Piece[],
  from: { xM: number; yM: number },
  to: { xM: number; yM: number },
): Tape {
  const lengthM = Math.hypot(to.xM - from.xM, to.yM - from.yM);
  const riseM = groundHeightM(ground, to.xM, to.yM) - groundHeightM(ground, from.xM, from.yM);
  return {
    lengthM,
    airM: Math.hypot(lengthM, riseM),
    riseM,
    slopePercent: lengthM > 0 ? (100 * riseM) / lengthM : 0,
    bearingDeg: (bearingDeg(from.xM, from.yM, to.xM, to.yM) + 360) % 360,
  };
}
