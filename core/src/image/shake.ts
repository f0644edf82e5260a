import { CAMERA_SIZE, project, type InPicture } from '../optics';
import { type At, type Samples, withBody } from '../motion';

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
  const { count, cameras, frameRateHz } = samples;
  const shaken = withBody(samples).cameras;
  const across = new Float64Array(count).fill(NaN);
  const up = new Float64Array(count).fill(NaN);
  const point: InPicture = { u: 0, w: 0, depthM: 0 };
  for (let i = 0; i < count; i += 1) {
    const depth = depthM[i];
    if (!(depth > 0)) continue;
    const c = i * CAMERA_SIZE;
    const x = samples.xM[i] + cameras[c + 8] * depth;
    const y = samples.yM[i] + cameras[c + 9] * depth;
    const z = samples.zM[i] + cameras[c + 10] * depth;
    project(shaken, c, x, y, z, point);
    if (!(point.depthM > 0)) continue;
    across[i] = point.u;
    up[i] = point.w;
  }
  const rows = Math.max(2, Math.round(WINDOW_S * frameRateHz));
  let worst: At | null = null;
  for (let from = 0; from < count; from += Math.max(1, rows >> 2)) {
    const to = Math.min(count, from + rows);
    const value = Math.max(spread(across, from, to), spread(up, from, to));
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
