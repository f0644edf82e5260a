import { WHOLE } from '../model';
import type { ThingPart } from '../site';
import { turnedInto, type Stance, type Thing } from './thing';
import type { WalkAt } from './walk';

/** Where the foot of a part is at any moment: upright under its middle, however the thing stands; metres. */
export function partFootOf({ at, stanceAt, walks, piece }: Thing, part: ThingPart): WalkAt {
  const { acrossM, alongM, upM, heightM } = part;
  // The whole stands on the base itself, so that nothing is lost to rounding.
  if (part.id === WHOLE) return at;
  const stance: Stance = { headingDeg: piece.headingDeg, leanDeg: 0, pitchDeg: 0 };
  const from = new Float64Array(3);
  return (tS, out, offset = 0) => {
    at(tS, from);
    if (walks) stanceAt(tS, stance);
    turnedInto(stance, acrossM, alongM, upM, out, offset);
    for (let axis = 0; axis < 3; axis += 1) out[offset + axis] += from[axis];
    out[offset + 2] -= heightM / 2;
  };
}
