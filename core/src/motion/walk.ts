import type { Walk, WalkPoint } from '../model/shot';
import type { Point3 } from './track';

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
  const columns = (['xM', 'yM', 'zM'] as const).map((axis) => secondIntegral(points, axis));
  return (tS, out, offset = 0) => {
    for (let axis = 0; axis < 3; axis += 1) {
      const integral = columns[axis];
      out[offset + axis] = (integral(tS + WALK_STEP_S) - 2 * integral(tS) + integral(tS - WALK_STEP_S)) / (WALK_STEP_S * WALK_STEP_S);
    }
  };
}

/** Twice the integral over time of the piecewise straight path through the points, held level at both ends. */
function secondIntegral(points: readonly WalkPoint[], axis: 'xM' | 'yM' | 'zM'): (tS: number) => number {
  const last = points.length - 1;
  const once = new Float64Array(points.length);
  const twice = new Float64Array(points.length);
  for (let i = 1; i <= last; i += 1) {
    const dt = points[i].tS - points[i - 1].tS;
    const a = points[i - 1][axis];
    const b = points[i][axis];
    once[i] = once[i - 1] + ((a + b) / 2) * dt;
    twice[i] = twice[i - 1] + once[i - 1] * dt + (a / 3 + b / 6) * dt * dt;
  }
  let from = 0;
  return (tS) => {
    if (tS <= points[0].tS) {
      const dt = tS - points[0].tS;
      return (points[0][axis] * dt * dt) / 2;
    }
    if (tS >= points[last].tS) {
      const dt = tS - points[last].tS;
      return twice[last] + once[last] * dt + (points[last][axis] * dt * dt) / 2;
    }
    if (points[from].tS > tS) from = 0;
    while (points[from + 1].tS < tS) from += 1;
    const dt = tS - points[from].tS;
    const slope = (points[from + 1][axis] - points[from][axis]) / (points[from + 1].tS - points[from].tS);
    return twice[from] + once[from] * dt + (points[from][axis] * dt * dt) / 2 + (slope * dt * dt * dt) / 6;
  };
}

/** The walk of a piece in a shot, or standing at `place` when it has none. */
export function placeOverTime(walks: readonly Walk[], pieceId: string, place: Point3): WalkAt {
  const walk = walks.find((row) => row.pieceId === pieceId);
  return walkAt(walk ? walk.points : [{ tS: 0, ...place }]);
}
