import type { MoveOf } from '../model';
import { turnedInto, type Stance } from '../scene';
import type { MoveFrame } from './move-frame';
import type { Look } from './moves/recipe';
import type { Track } from './track';

/** A camera that is fixed to its subject: where it is, and how it looks, as the subject is turned, leans and climbs. */

/** The place in the subject's own frame, carried along. */
export function carriedPlace({ alongM, sideM, heightM }: MoveOf<'carried'>, moveFrame: MoveFrame): Track {
  const base = new Float64Array(3);
  const stance: Stance = { headingDeg: 0, leanDeg: 0, pitchDeg: 0 };
  return {
    write(_s, tS, out, offset = 0) {
      moveFrame.bodyAt(tS, base);
      moveFrame.stanceAt(tS, stance);
      turnedInto(stance, sideM, alongM, heightM, out, offset);
      for (let axis = 0; axis < 3; axis += 1) out[offset + axis] += base[axis];
    },
  };
}

const RAD = Math.PI / 180;
const ahead = new Float64Array(3);
const over = new Float64Array(3);

/** Pan, tilt and roll of a look that is fixed to a thing: so far right of ahead and up, as the thing stands. */
export function carriedLook(stance: Stance, panDeg: number, tiltDeg: number, out: Look): void {
  const [sinPan, cosPan] = [Math.sin(panDeg * RAD), Math.cos(panDeg * RAD)];
  const [sinTilt, cosTilt] = [Math.sin(tiltDeg * RAD), Math.cos(tiltDeg * RAD)];
  turnedInto(stance, cosTilt * sinPan, cosTilt * cosPan, sinTilt, ahead);
  turnedInto(stance, -sinTilt * sinPan, -sinTilt * cosPan, cosTilt, over);
  const level = Math.hypot(ahead[0], ahead[1]);
  // Straight up or down there is no bearing of its own: the heading stands for it.
  out.panDeg = level < 1e-9 ? stance.headingDeg + panDeg : Math.atan2(ahead[0], ahead[1]) / RAD;
  out.tiltDeg = Math.atan2(ahead[2], level) / RAD;
  const [sin, cos] = [Math.sin(out.panDeg * RAD), Math.cos(out.panDeg * RAD)];
  // How far its own up leans to the right of the upright that this pan and tilt would have.
  const right = over[0] * cos - over[1] * sin;
  const up = over[2] * Math.cos(out.tiltDeg * RAD) - (over[0] * sin + over[1] * cos) * Math.sin(out.tiltDeg * RAD);
  out.rollDeg = Math.atan2(right, up) / RAD;
}
