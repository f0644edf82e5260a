import { evenly } from '../../rehearse';
import { anglesOf, writeAttitude } from './attitude';

/** How a camera is turned, row by row. */
export interface Turned {
  panDeg: Float64Array;
  tiltDeg: Float64Array;
  rollDeg: Float64Array;
}

/**
 * A camera’s turning at even times from 0 on. It is what lies between two attitudes that is taken, not between their
 * angles: looking straight down bearing and roll leap from row to row while the camera hardly stirs.
 */
export function turnedEvenly(tS: Float64Array, turned: Turned, rateHz: number, count: number): Turned {
  const own = turned.panDeg.length;
  const rows = new Float64Array(9 * own);
  for (let i = 0; i < own; i += 1) writeAttitude(rows, i, turned.panDeg[i], turned.tiltDeg[i], turned.rollDeg[i]);
  const out = new Float64Array(9 * count);
  for (let k = 0; k < 9; k += 1)
    evenly(
      tS,
      Float64Array.from({ length: own }, (_, i) => rows[9 * i + k]),
      rateHz,
      count,
    ).forEach((v, i) => (out[9 * i + k] = v));
  for (let at = 0; at < out.length; at += 9) square(out, at);
  const [panDeg, tiltDeg, rollDeg] = anglesOf(out);
  // Whole turns that were counted before go on being counted.
  for (const [column, before] of [
    [panDeg, turned.panDeg],
    [rollDeg, turned.rollDeg],
  ]) {
    const whole = 360 * Math.round((before[0] - column[0]) / 360);
    for (let i = 0; i < count; i += 1) column[i] += whole;
  }
  return { panDeg, tiltDeg, rollDeg };
}

/** Makes the axes of an attitude as long as one again, and square to each other: backwards first, then right. */
function square(rows: Float64Array, at: number): void {
  const [right, up, back] = [at, at + 3, at + 6];
  const dot = (a: number, b: number) => rows[a] * rows[b] + rows[a + 1] * rows[b + 1] + rows[a + 2] * rows[b + 2];
  const scale = (a: number) => {
    const size = Math.sqrt(dot(a, a)) || 1;
    for (let k = 0; k < 3; k += 1) rows[a + k] /= size;
  };
  scale(back);
  const along = dot(right, back);
  for (let k = 0; k < 3; k += 1) rows[right + k] -= along * rows[back + k];
  scale(right);
  for (let k = 0; k < 3; k += 1) {
    const [a, b] = [(k + 1) % 3, (k + 2) % 3];
    rows[up + k] = rows[back + a] * rows[right + b] - rows[back + b] * rows[right + a];
  }
}
