import type { Samples } from '../motion';
import { stepLengthM } from '../scene';

/** A foot that comes down. */
export interface FootFall {
  atS: number;
  foot: 'left' | 'right';
  /** Metres gone over the ground since the start. */
  goneM: number;
}

/** Of whoever carries the camera, m: as long as nobody says otherwise. Common practice, no published source. */
const STATURE_M = 1.7;
/** Slower than this nobody steps: weight is only shifted. Common practice, no published source. */
const STEPS_FROM_MPS = 0.08;
const MOST_STEPS = 5000;

/**
 * Where and when feet come down along a camera's way over the ground, beginning on the right: steps as long as people
 * take them at that speed (`stepLengthM`: walk ratio of Sekiya & Nagasaki 1998). Empty where it hardly goes anywhere.
 */
export function footFalls({ count, xM, yM, tS }: Samples): FootFall[] {
  const falls: FootFall[] = [];
  let goneM = 0;
  let part = 0.5;
  for (let row = 1; row < count && falls.length < MOST_STEPS; row += 1) {
    const stepM = Math.hypot(xM[row] - xM[row - 1], yM[row] - yM[row - 1]);
    const mps = stepM / (tS[row] - tS[row - 1]);
    goneM += stepM;
    if (mps < STEPS_FROM_MPS) continue;
    part += stepM / stepLengthM(mps, STATURE_M);
    if (part < 1) continue;
    part -= Math.floor(part);
    falls.push({ atS: tS[row], foot: falls.length % 2 === 0 ? 'right' : 'left', goneM });
  }
  return falls;
}

/** Steps a minute in the middle of a way; null where there are fewer than three. */
export function cadencePerMin(falls: readonly FootFall[]): number | null {
  if (falls.length < 3) return null;
  const apart = falls
    .slice(1)
    .map(({ atS }, i) => atS - falls[i].atS)
    .sort((a, b) => a - b);
  return 60 / apart[Math.floor(apart.length / 2)];
}
