import type { WalkPoint } from '../model';
import { bearingDeg, nearestTurn } from '../site';

/** A person takes about a step to change pace or turn: common practice, no published source. */
export const WALK_STEP_S = 0.5;

/** Where a walker is at time t (s), written as x, y, z metres into `out`. */
export type WalkAt = (tS: number, out: Float64Array, offset?: number) => void;

/**
 * A walk through timed points at even pace between them, standing still before the first and after the last. Pace and
 * direction change over half a second each side of a point (the path is averaged with a triangular window), so corners
 * are rounded as a person rounds them. One point means standing there.
 */
export function walkAt(points: readonly WalkPoint[]): WalkAt {
  const first = points[0];
  if (points.length === 1)
    return (_t, out, offset = 0) => {
      out[offset] = first.xM;
      out[offset + 1] = first.yM;
      out[offset + 2] = first.zM;
    };
  const times = points.map((point) => point.tS);
  const columns = (['xM', 'yM', 'zM'] as const).map((axis) =>
    secondIntegral(
      times,
      points.map((point) => point[axis]),
    ),
  );
  // Several ask for the same moment one after the other.
  const at = new Float64Array(3);
  let atS = NaN;
  return (tS, out, offset = 0) => {
    if (tS !== atS) {
      atS = tS;
      for (let axis = 0; axis < 3; axis += 1) {
        const integral = columns[axis];
        at[axis] =
          (integral(tS + WALK_STEP_S) - 2 * integral(tS) + integral(tS - WALK_STEP_S)) / (WALK_STEP_S * WALK_STEP_S);
      }
    }
    out[offset] = at[0];
    out[offset + 1] = at[1];
    out[offset + 2] = at[2];
  };
}

/** Twice the integral over time of the piecewise straight path through values at times, held level at both ends. */
export function secondIntegral(times: readonly number[], values: readonly number[]): (tS: number) => number {
  const last = times.length - 1;
  const once = new Float64Array(times.length);
  const twice = new Float64Array(times.length);
  for (let i = 1; i <= last; i += 1) {
    const dt = times[i] - times[i - 1];
    const a = values[i - 1];
    const b = values[i];
    once[i] = once[i - 1] + ((a + b) / 2) * dt;
    twice[i] = twice[i - 1] + once[i - 1] * dt + (a / 3 + b / 6) * dt * dt;
  }
  let from = 0;
  return (tS) => {
    if (tS <= times[0]) {
      const dt = tS - times[0];
      return (values[0] * dt * dt) / 2;
    }
    if (tS >= times[last]) {
      const dt = tS - times[last];
      return twice[last] + once[last] * dt + (values[last] * dt * dt) / 2;
    }
    if (times[from] > tS) from = 0;
    while (times[from + 1] < tS) from += 1;
    const dt = tS - times[from];
    const slope = (values[from + 1] - values[from]) / (times[from + 1] - times[from]);
    return twice[from] + once[from] * dt + (values[from] * dt * dt) / 2 + (slope * dt * dt * dt) / 6;
  };
}

/** Which way a walker goes at time t, degrees clockwise from north, without jumps at full turns. */
export type HeadingAt = (tS: number) => number;

/**
 * Whoever goes with a walker takes this long on each side of a corner to swing round: common practice, no published
 * source.
 */
const SWING_S = 1;
const CORNER_S = 1e-3;
const LEAST_STEP_M = 0.05;

/**
 * The heading of a walk: that of each straight piece, turned over a second each side of a corner; a pause keeps the
 * heading it came with. Standing all the while: `facingDeg`.
 */
export function headingOf(points: readonly WalkPoint[], facingDeg: number): HeadingAt {
  const times: number[] = [];
  const values: number[] = [];
  for (let i = 1; i < points.length; i += 1) {
    const [dx, dy] = [points[i].xM - points[i - 1].xM, points[i].yM - points[i - 1].yM];
    if (Math.hypot(dx, dy) < LEAST_STEP_M) continue;
    const raw = bearingDeg(0, 0, dx, dy);
    const heading = values.length > 0 ? nearestTurn(raw, values[values.length - 1]) : raw;
    const half = Math.min(CORNER_S, (points[i].tS - points[i - 1].tS) / 4);
    times.push(points[i - 1].tS + half, points[i].tS - half);
    values.push(heading, heading);
  }
  if (values.length === 0) return () => facingDeg;
  const integral = secondIntegral(times, values);
  return (tS) => (integral(tS + SWING_S) - 2 * integral(tS) + integral(tS - SWING_S)) / (SWING_S * SWING_S);
}
