import { CAMERA_SIZE, project, type InPicture } from '../optics';
import type { Samples } from '../motion';
import type { SiteMotion } from './layer-speed';

/**
 * Where in the picture the probes sit, frame widths right of the centre and frame heights up: one to each side, as near
 * things and far ones seldom fill the middle.
 */
const PROBES = [
  { u: 0.25, v: 0.15 },
  { u: -0.25, v: 0.15 },
] as const;

/**
 * A change of speed is felt over this long, s on screen, whatever the frame rate. Common practice, no published source.
 */
export const FELT_S = 1 / 12;
/** Evenness is judged as deep as the subject and so many times as far. */
const FAR_TIMES = 4;

/** How still things move on screen as columns, one row per sample; the ends repeat their neighbours. */
export interface ScreenMotion {
  /** Frame widths a second. */
  speed: Float64Array;
  /** How hard they speed up and slow down, frame widths per second squared. */
  acceleration: Float64Array;
}

/**
 * Speed and change of speed of still things on screen. For each row, still points that the picture holds at that
 * moment, at the depth of the subject and of each layer that can be seen, are followed through the rows about it: the
 * root mean square of their speeds, and the largest of their changes of speed.
 *
 * The change is that from the mean velocity in a window that ends with the row to the one in a window that begins with
 * the row after, over the time between their middles, which is `FELT_S`. What comes to a stop between two frames has
 * the same change of speed wherever between them it stops, and at every frame rate; a steady change has its own.
 */
export function screenMotion(samples: Samples, depthM: Float64Array, site: SiteMotion): ScreenMotion {
  const { count, cameras, frameWidthMm, frameHeightMm, frameRateHz } = samples;
  const speed = new Float64Array(count);
  const acceleration = new Float64Array(count);
  const aspect = frameWidthMm / frameHeightMm;
  const window = Math.max(0.2, FELT_S * frameRateHz - 1);
  const [before, now, next, after]: InPicture[] = [0, 1, 2, 3].map(() => ({ u: 0, w: 0, depthM: 0 }));
  const other: InPicture = { u: 0, w: 0, depthM: 0 };
  /** Where a point is between two rows, the picture going on evenly there. */
  const between = (row: number, x: number, y: number, z: number, out: InPicture) => {
    const low = Math.floor(row);
    project(cameras, low * CAMERA_SIZE, x, y, z, out);
    const share = row - low;
    if (share < 1e-9) return;
    project(cameras, (low + 1) * CAMERA_SIZE, x, y, z, other);
    out.u += share * (other.u - out.u);
    out.w += share * (other.w - out.w);
    out.depthM = Math.min(out.depthM, other.depthM);
  };
  for (let i = 1; i + 1 < count; i += 1) {
    const c = i * CAMERA_SIZE;
    const scale = frameWidthMm / samples.focalLengthMm[i];
    const [backRows, onRows] = [Math.min(window, i), Math.min(window, count - 2 - i)];
    let most = 0;
    let square = 0;
    let probes = 0;
    const depths = [depthM[i], depthM[i] * FAR_TIMES, site.near.depthM[i], site.far.depthM[i]];
    for (let k = 0; k < depths.length; k += 1) {
      const depth = depths[k];
      if (!(depth > 0)) continue;
      const probe = PROBES[k % 2];
      const right = probe.u * depth * scale * scale;
      const up = (probe.v / aspect) * depth * scale * scale;
      const x = samples.xM[i] + cameras[c] * right + cameras[c + 4] * up + cameras[c + 8] * depth;
      const y = samples.yM[i] + cameras[c + 1] * right + cameras[c + 5] * up + cameras[c + 9] * depth;
      const z = samples.zM[i] + cameras[c + 2] * right + cameras[c + 6] * up + cameras[c + 10] * depth;
      project(cameras, c, x, y, z, now);
      project(cameras, c + CAMERA_SIZE, x, y, z, next);
      if (!(now.depthM > 0 && next.depthM > 0)) continue;
      if (onRows > 0) {
        between(i - backRows, x, y, z, before);
        between(i + 1 + onRows, x, y, z, after);
        if (before.depthM > 0 && after.depthM > 0) {
          const spanS = ((backRows + onRows) / 2 + 1) / frameRateHz;
          const du = ((after.u - next.u) / onRows - (now.u - before.u) / backRows) * frameRateHz;
          const dw = ((after.w - next.w) / onRows - (now.w - before.w) / backRows) * frameRateHz;
          const change = Math.hypot(du, dw) / spanS;
          if (change > most) most = change;
        }
      }
      // Evenness: layers come and go, the two fixed depths do not.
      if (k < 2) {
        square += (next.u - now.u) ** 2 + (next.w - now.w) ** 2;
        probes += 1;
      }
    }
    acceleration[i] = most;
    speed[i] = probes > 0 ? Math.sqrt(square / probes) * frameRateHz : 0;
  }
  for (const column of [speed, acceleration])
    if (count > 2) {
      column[0] = column[1];
      column[count - 1] = column[count - 2];
    }
  return { speed, acceleration };
}
