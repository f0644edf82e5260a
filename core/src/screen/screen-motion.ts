import { CAMERA_SIZE, project, type InPicture } from '../optics/projection';
import type { Samples } from '../motion/sample';

/** Where in the picture the probes sit, frame widths right of the centre and frame heights up, and how deep, as a share of the subject's depth. */
const PROBES = [
  { u: 0.25, v: 0.15, share: 1 },
  { u: -0.25, v: 0.15, share: 4 },
] as const;

/** How still things move on screen as columns, one row per sample; the ends repeat their neighbours. */
export interface ScreenMotion {
  /** Frame widths a second. */
  speed: Float64Array;
  /** How hard they speed up and slow down, frame widths per second squared. */
  acceleration: Float64Array;
}

/**
 * Speed and change of speed of still things on screen. For each row, still points that the picture holds at that moment at
 * the subject's depth and four times as far are followed through the rows before and after: the root mean square of their
 * speeds, and the larger of their second differences.
 */
export function screenMotion(samples: Samples, depthM: Float64Array): ScreenMotion {
  const { count, cameras, frameWidthMm, frameHeightMm, frameRateHz } = samples;
  const speed = new Float64Array(count);
  const acceleration = new Float64Array(count);
  const aspect = frameWidthMm / frameHeightMm;
  const [before, now, after]: InPicture[] = [0, 1, 2].map(() => ({ u: 0, w: 0, depthM: 0 }));
  for (let i = 1; i + 1 < count; i += 1) {
    const c = i * CAMERA_SIZE;
    let most = 0;
    let square = 0;
    let probes = 0;
    for (const probe of PROBES) {
      const depth = depthM[i] * probe.share;
      if (!(depth > 0)) continue;
      const scale = frameWidthMm / samples.focalLengthMm[i];
      const right = probe.u * depth * scale * scale;
      const up = (probe.v / aspect) * depth * scale * scale;
      const x = samples.xM[i] + cameras[c] * right + cameras[c + 4] * up + cameras[c + 8] * depth;
      const y = samples.yM[i] + cameras[c + 1] * right + cameras[c + 5] * up + cameras[c + 9] * depth;
      const z = samples.zM[i] + cameras[c + 2] * right + cameras[c + 6] * up + cameras[c + 10] * depth;
      project(cameras, c - CAMERA_SIZE, x, y, z, before);
      project(cameras, c, x, y, z, now);
      project(cameras, c + CAMERA_SIZE, x, y, z, after);
      if (!(before.depthM > 0 && now.depthM > 0 && after.depthM > 0)) continue;
      const bend = Math.hypot(after.u - 2 * now.u + before.u, after.w - 2 * now.w + before.w);
      if (bend > most) most = bend;
      square += ((after.u - before.u) ** 2 + (after.w - before.w) ** 2) / 4;
      probes += 1;
    }
    acceleration[i] = most * frameRateHz * frameRateHz;
    speed[i] = probes > 0 ? Math.sqrt(square / probes) * frameRateHz : 0;
  }
  for (const column of [speed, acceleration])
    if (count > 2) {
      column[0] = column[1];
      column[count - 1] = column[count - 2];
    }
  return { speed, acceleration };
}
