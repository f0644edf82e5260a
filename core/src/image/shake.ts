import type { At, Samples } from '../motion';
import { bodyInFrame } from './body-in-frame';

/**
 * Wobble is looked for in windows this long on screen: slower than that it is drift. Common practice, no published
 * source.
 */
const WINDOW_S = 1;

/**
 * How far the body moves a point at the subject's depth up and down or from side to side within a second, peak to peak,
 * in frame widths: the largest of all seconds of the shot and the row where its window begins. Null where nothing has a
 * depth.
 */
export function shakeInFrame(samples: Samples, depthM: Float64Array): At | null {
  const { across, up } = bodyInFrame(samples, depthM);
  return widestIn([across, up], samples.frameRateHz);
}

/** The widest that any of several courses swings within a second, and the row where that second begins. */
export function widestIn(courses: readonly Float64Array[], rateHz: number): At | null {
  const rows = Math.max(2, Math.round(WINDOW_S * rateHz));
  const [{ length: count }] = courses;
  let worst: At | null = null;
  for (let from = 0; from < count; from += Math.max(1, rows >> 2)) {
    const to = Math.min(count, from + rows);
    const value = Math.max(...courses.map((course) => spread(course, from, to)));
    if (Number.isFinite(value) && (worst === null || value > worst.value)) worst = { value, row: from };
  }
  return worst;
}

function spread(column: Float64Array, from: number, to: number): number {
  let least = Infinity;
  let most = -Infinity;
  for (let i = from; i < to; i += 1) {
    if (Number.isNaN(column[i])) continue;
    least = Math.min(least, column[i]);
    most = Math.max(most, column[i]);
  }
  return most - least;
}
