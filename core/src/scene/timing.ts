import type { Timing } from '../model';
import { FEATHERS } from './feather';

/** How far along its track the camera is, as a share of the whole, with the moments where the pace changes. */
export interface Pace {
  /** Share of the track covered at time t (s): 0 before the move starts, 1 after it ends, never falling. */
  at(tS: number): number;
  /** The move starts, reaches cruising speed, leaves it, and ends, in seconds from the start of the shot. */
  startS: number;
  cruiseFromS: number;
  cruiseToS: number;
  endS: number;
}

/**
 * The pace of a shot: hold, feather in, cruise, feather out, hold. When the holds leave no time to move, the camera
 * jumps at the end of the first hold. `fromS` is when it begins in the shot.
 */
export function paceOf(timing: Timing, fromS = 0): Pace {
  const { durationS, holdStartS, featherInS, featherOutS, holdEndS, featherShape } = timing;
  const feather = FEATHERS[featherShape];
  const startS = fromS + holdStartS;
  const endS = Math.max(startS, fromS + durationS - holdEndS);
  const cruiseFromS = Math.min(endS, startS + featherInS);
  const cruiseToS = Math.max(cruiseFromS, endS - featherOutS);
  const inS = cruiseFromS - startS;
  const outS = endS - cruiseToS;
  const total = feather.area * (inS + outS) + (cruiseToS - cruiseFromS);
  const at = (tS: number): number => {
    if (tS <= startS) return total > 0 || tS < startS ? 0 : 1;
    if (tS >= endS) return 1;
    if (tS < cruiseFromS) return (inS * feather.distance((tS - startS) / inS)) / total;
    if (tS <= cruiseToS) return (feather.area * inS + (tS - cruiseFromS)) / total;
    return 1 - (outS * feather.distance((endS - tS) / outS)) / total;
  };
  return { at, startS, cruiseFromS, cruiseToS, endS };
}
