import { CAMERA_SIZE } from '../optics/projection';
import type { Samples } from '../motion/sample';
import { CLUSTER_SIZE, type SitePoints } from '../site/site-points';

/** Motion of one layer on screen as columns, one row per sample, in frame widths a second. Row 0 repeats row 1. NaN where nothing of the layer is in the picture. */
export interface LayerMotion {
  /** Root mean square speed of the layer's points. */
  speed: Float64Array;
  /** Mean velocity to the right and up. */
  rightwards: Float64Array;
  upwards: Float64Array;
  /** Root mean square speed against the subject. */
  againstSubject: Float64Array;
  /** Points of the layer in the picture. */
  points: Int32Array;
}

export type LayerName = 'near' | 'far';

/** A layer's borders as a share of the subject's depth: nearer than the first is near, farther than the second is far. The rest goes with the subject. */
export const NEAR_SHARE = 0.75;
export const FAR_SHARE = 1.5;
const NEAR_PLANE_M = 0.05;

/** What the still site does on screen while the camera moves. */
export interface SiteMotion {
  near: LayerMotion;
  far: LayerMotion;
}

const SUMS = 8;

/**
 * Screen motion of the site's points, layer by layer. A point counts in row i when it is in the picture then; its
 * velocity is its displacement from row i−1 times the frame rate. `subjectDepthM` sorts the layers;
 * `subjectRightwards` and `subjectUpwards` (frame widths a second, NaN for none) are what the points are compared with.
 */
export function siteMotion(samples: Samples, points: SitePoints, subjectDepthM: Float64Array, subjectRightwards: Float64Array, subjectUpwards: Float64Array): SiteMotion {
  const near = emptyLayer(samples.count);
  const far = emptyLayer(samples.count);
  const sums = new Float64Array(SUMS);
  const halfHeight = samples.frameHeightMm / samples.frameWidthMm / 2;
  for (let row = 1; row < samples.count; row += 1) {
    sumRow(samples.cameras, row * CAMERA_SIZE, points, halfHeight, subjectDepthM[row], sums);
    settle(near, row, sums, 0, samples.frameRateHz, subjectRightwards[row], subjectUpwards[row]);
    settle(far, row, sums, 4, samples.frameRateHz, subjectRightwards[row], subjectUpwards[row]);
  }
  for (const layer of [near, far])
    for (const column of [layer.speed, layer.rightwards, layer.upwards, layer.againstSubject, layer.points]) if (samples.count > 1) column[0] = column[1];
  return { near, far };
}

function emptyLayer(count: number): LayerMotion {
  const gap = () => new Float64Array(count).fill(NaN);
  return { speed: gap(), rightwards: gap(), upwards: gap(), againstSubject: gap(), points: new Int32Array(count) };
}

/**
 * One row of the hot loop: passes over clusters outside the picture, then adds up points, squared displacement, and displacement right and up of the near layer (sums
 * 0 to 3) and the far layer (4 to 7), in frame widths a frame. Only points in the picture pay for the second projection. Sums live in locals: writing them to an array each time halves the speed.
 */
function sumRow(cameras: Float64Array, now: number, points: SitePoints, halfHeight: number, subjectDepthM: number, sums: Float64Array): void {
  const { xM, yM, zM, count, clusters } = points;
  const before = now - CAMERA_SIZE;
  const a0 = cameras[now], a1 = cameras[now + 1], a2 = cameras[now + 2], a3 = cameras[now + 3]; // prettier-ignore
  const b0 = cameras[now + 4], b1 = cameras[now + 5], b2 = cameras[now + 6], b3 = cameras[now + 7]; // prettier-ignore
  const c0 = cameras[now + 8], c1 = cameras[now + 9], c2 = cameras[now + 10], c3 = cameras[now + 11]; // prettier-ignore
  const p0 = cameras[before], p1 = cameras[before + 1], p2 = cameras[before + 2], p3 = cameras[before + 3]; // prettier-ignore
  const q0 = cameras[before + 4], q1 = cameras[before + 5], q2 = cameras[before + 6], q3 = cameras[before + 7]; // prettier-ignore
  const r0 = cameras[before + 8], r1 = cameras[before + 9], r2 = cameras[before + 10], r3 = cameras[before + 11]; // prettier-ignore
  const nearM = subjectDepthM * NEAR_SHARE;
  const farM = subjectDepthM * FAR_SHARE;
  let nearCount = 0, nearSquare = 0, nearRight = 0, nearUp = 0; // prettier-ignore
  let farCount = 0, farSquare = 0, farRight = 0, farUp = 0; // prettier-ignore
  const sideReach = Math.hypot(a0 - c0 / 2, a1 - c1 / 2, a2 - c2 / 2);
  const upReach = Math.hypot(b0 - c0 * halfHeight, b1 - c1 * halfHeight, b2 - c2 * halfHeight);
  for (let cluster = 0; cluster < clusters.count; cluster += 1) {
    const cx = clusters.xM[cluster];
    const cy = clusters.yM[cluster];
    const cz = clusters.zM[cluster];
    const radius = clusters.radiusM[cluster];
    const ahead = c0 * cx + c1 * cy + c2 * cz + c3;
    if (ahead < NEAR_PLANE_M - radius) continue;
    if (ahead - radius >= nearM && ahead + radius <= farM) continue;
    if (Math.abs(a0 * cx + a1 * cy + a2 * cz + a3) - ahead / 2 > radius * sideReach) continue;
    if (Math.abs(b0 * cx + b1 * cy + b2 * cz + b3) - ahead * halfHeight > radius * upReach) continue;
    const from = cluster * CLUSTER_SIZE;
    const to = Math.min(count, from + CLUSTER_SIZE);
    for (let i = from; i < to; i += 1) {
      const x = xM[i];
      const y = yM[i];
      const z = zM[i];
      const depth = c0 * x + c1 * y + c2 * z + c3;
      if (depth < NEAR_PLANE_M || (depth >= nearM && depth <= farM)) continue;
      const across = a0 * x + a1 * y + a2 * z + a3;
      const half = depth * 0.5;
      if (across > half || across < -half) continue;
      const up = b0 * x + b1 * y + b2 * z + b3;
      const halfUp = depth * halfHeight;
      if (up > halfUp || up < -halfUp) continue;
      const depthBefore = r0 * x + r1 * y + r2 * z + r3;
      if (depthBefore < NEAR_PLANE_M) continue;
      const share = 1 / (depth * depthBefore);
      const right = (across * depthBefore - (p0 * x + p1 * y + p2 * z + p3) * depth) * share;
      const rise = (up * depthBefore - (q0 * x + q1 * y + q2 * z + q3) * depth) * share;
      if (depth < nearM) {
        nearCount += 1;
        nearSquare += right * right + rise * rise;
        nearRight += right;
        nearUp += rise;
      } else {
        farCount += 1;
        farSquare += right * right + rise * rise;
        farRight += right;
        farUp += rise;
      }
    }
  }
  sums[0] = nearCount;
  sums[1] = nearSquare;
  sums[2] = nearRight;
  sums[3] = nearUp;
  sums[4] = farCount;
  sums[5] = farSquare;
  sums[6] = farRight;
  sums[7] = farUp;
}

/** Turns a row's sums into speeds. The speed against the subject follows from the same sums: mean |v − s|² = mean |v|² − 2 s·mean v + |s|². */
function settle(layer: LayerMotion, row: number, sums: Float64Array, from: number, rateHz: number, subjectRight: number, subjectUp: number): void {
  const count = sums[from];
  layer.points[row] = count;
  if (count === 0) return;
  const square = (sums[from + 1] / count) * rateHz * rateHz;
  const right = (sums[from + 2] / count) * rateHz;
  const up = (sums[from + 3] / count) * rateHz;
  layer.speed[row] = Math.sqrt(square);
  layer.rightwards[row] = right;
  layer.upwards[row] = up;
  layer.againstSubject[row] = Math.sqrt(Math.max(0, square - 2 * (subjectRight * right + subjectUp * up) + subjectRight * subjectRight + subjectUp * subjectUp));
}
