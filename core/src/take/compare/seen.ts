import type { Film } from '../../motion';
import { flownFilm, type FlownPath } from '../../rehearse';
import type { Alignment } from '../recorded/align';
import { hold } from './held';
import type { Taken } from '../recorded/taken';

/**
 * What the camera did in a take, as a way: what was recorded where it was, the plan’s elsewhere, with the recorded bob and
 * sway about it. Seconds of action from the plan’s start on, at the take’s own pace.
 */
export function takenWay(film: Film, taken: Taken, aligned: Alignment): FlownPath {
  const held = hold(film, taken, aligned);
  const { plan, take, first, last } = held;
  const part = (column: Float64Array | null) => (column ?? new Float64Array(held.count)).slice(first, last + 1);
  const way: FlownPath = {
    tS: Float64Array.from({ length: last - first + 1 }, (_, i) => (i / held.rateHz) * aligned.stretch),
    xM: part(take.xM ?? plan.xM),
    yM: part(take.yM ?? plan.yM),
    zM: part(take.zM ?? plan.zM),
    panDeg: part(take.panDeg ?? plan.panDeg),
    tiltDeg: part(take.tiltDeg ?? plan.tiltDeg),
    rollDeg: part(take.rollDeg ?? plan.rollDeg),
    focalLengthMm: part(take.focalLengthMm ?? plan.focalLengthMm),
    focusM: part(take.focusM ?? plan.focusM),
  };
  if (take.xM === null && take.bobM) {
    const bob = part(take.bobM);
    const sway = take.swayM ? part(take.swayM) : new Float64Array(bob.length);
    for (let i = 0; i < bob.length; i += 1) {
      const heading = (way.panDeg[i] * Math.PI) / 180;
      way.zM[i] += bob[i];
      way.xM[i] += sway[i] * Math.cos(heading);
      way.yM[i] -= sway[i] * Math.sin(heading);
    }
  }
  return way;
}

/** A take as a film that is read as any other: what the audience would get. */
export const takenFilm = (film: Film, taken: Taken, aligned: Alignment): Film =>
  flownFilm(film, takenWay(film, taken, aligned));
