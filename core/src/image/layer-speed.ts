import { CAMERA_SIZE } from '../optics';
import type { Samples } from '../motion';
import { CLUSTER_SIZE, type SitePoints } from '../site';
import type { PointsAt, StillPoints } from './seen-surface';

/**
 * Motion of one layer on screen as columns, one row per sample, in frame widths a second. Row 0 repeats row 1. NaN
 * where nothing of the layer is in the picture.
 */
export interface LayerMotion {
  /** Root mean square speed of the layer's points. */
  speed: Float64Array;
  /** Mean velocity to the right and up. */
  rightwards: Float64Array;
  upwards: Float64Array;
  /** Root mean square speed against the subject. */
  againstSubject: Float64Array;
  /** Points of the layer in the picture: as many cells of a raster as it fills. */
  points: Int32Array;
  /** How deep it lies: one over the mean nearness of its points, m. */
  depthM: Float64Array;
}

export type LayerName = 'near' | 'far';

/**
 * A layer's borders as a share of the subject's depth: nearer than the first is near, farther than the second is far.
 * The rest goes with the subject.
 */
export const NEAR_SHARE = 0.75;
export const FAR_SHARE = 1.5;
const NEAR_PLANE_M = 0.05;

/** What the still site does on screen while the camera moves. */
export interface SiteMotion {
  near: LayerMotion;
  far: LayerMotion;
}

const SUMS = 10;
const NO_POINTS: SitePoints = { count: 0, xyzM: new Float64Array(0), spheresM: new Float64Array(0) };

/** All points in every row, sorted by depth alone. */
export function everywhere(auto: SitePoints): PointsAt {
  const points: StillPoints = { auto, near: NO_POINTS, far: NO_POINTS };
  return () => points;
}

/**
 * Screen motion of the site's points, layer by layer. `pointsAt` gives the points that can be seen in a row, those
 * pinned to a layer apart. A point counts in row i when it is in the picture then; its velocity is its displacement
 * from row i−1 times the frame rate. `subjectDepthM` sorts the layers; `subjectRightwards` and `subjectUpwards` (frame
 * widths a second, NaN for none) are what the points are compared with. With a `stride` only every so many rows are
 * measured, each over one frame as ever, and those between are bridged evenly. A layer of fewer points than
 * `leastPoints` is not seen.
 */
export function siteMotion(
  samples: Samples,
  pointsAt: PointsAt,
  subjectDepthM: Float64Array,
  subjectRightwards: Float64Array,
  subjectUpwards: Float64Array,
  stride = 1,
  leastPoints = 1,
): SiteMotion {
  const near = emptyLayer(samples.count);
  const far = emptyLayer(samples.count);
  const sums = new Float64Array(SUMS);
  const halfHeight = samples.frameHeightMm / samples.frameWidthMm / 2;
  for (const row of rowsOf(samples.count, stride)) {
    const { auto, near: pinnedNear, far: pinnedFar } = pointsAt(row);
    const camera = row * CAMERA_SIZE;
    sums.fill(0);
    sumRow(samples.cameras, camera, auto.xyzM, auto.spheresM, halfHeight, subjectDepthM[row], sums);
    if (pinnedNear.count > 0)
      sumRow(samples.cameras, camera, pinnedNear.xyzM, pinnedNear.spheresM, halfHeight, Infinity, sums);
    if (pinnedFar.count > 0) sumRow(samples.cameras, camera, pinnedFar.xyzM, pinnedFar.spheresM, halfHeight, 0, sums);
    settle(near, row, sums, 0, samples.frameRateHz, subjectRightwards[row], subjectUpwards[row], leastPoints);
    settle(far, row, sums, 5, samples.frameRateHz, subjectRightwards[row], subjectUpwards[row], leastPoints);
  }
  if (stride > 1) for (const layer of [near, far]) bridge(layer, samples.count, stride);
  for (const layer of [near, far])
    for (const column of [
      layer.speed,
      layer.rightwards,
      layer.upwards,
      layer.againstSubject,
      layer.depthM,
      layer.points,
    ])
      if (samples.count > 1) column[0] = column[1];
  return { near, far };
}

/** Row 1, every `stride` rows after it, and the last. */
function rowsOf(count: number, stride: number): number[] {
  const rows: number[] = [];
  for (let row = 1; row < count; row += stride) rows.push(row);
  if (rows.length > 0 && rows[rows.length - 1] !== count - 1) rows.push(count - 1);
  return rows;
}

/** Fills the rows between measured ones; beside a gap the nearer measured row stands for them. */
function bridge(layer: LayerMotion, count: number, stride: number): void {
  const rows = rowsOf(count, stride);
  for (let k = 1; k < rows.length; k += 1) {
    const [from, to] = [rows[k - 1], rows[k]];
    for (let row = from + 1; row < to; row += 1) {
      const share = (row - from) / (to - from);
      const nearer = share < 0.5 ? from : to;
      layer.points[row] = layer.points[nearer];
      for (const column of [layer.speed, layer.rightwards, layer.upwards, layer.againstSubject, layer.depthM]) {
        const between = column[from] + share * (column[to] - column[from]);
        column[row] = Number.isNaN(between) ? column[nearer] : between;
      }
    }
  }
}

function emptyLayer(count: number): LayerMotion {
  const gap = () => new Float64Array(count).fill(NaN);
  return {
    speed: gap(),
    rightwards: gap(),
    upwards: gap(),
    againstSubject: gap(),
    depthM: gap(),
    points: new Int32Array(count),
  };
}

/**
 * One row of the hot loop: passes over clusters outside the picture, then adds to the sums points, squared
 * displacement, and displacement right and up, in frame widths a frame, and nearness, of the near layer (sums 0 to 4)
 * and the far layer (5 to 9).
 *
 * What makes it quick: across and up are scaled so that the picture's edge lies at the depth itself (one comparison a
 * side); a cluster wholly inside the picture and one layer needs no tests at all; only points in the picture pay for
 * the second projection; sums live in locals; and every array is read through one argument, because the compiler
 * reloads an array's address in each round.
 */
function sumRow(
  cameras: Float64Array,
  now: number,
  xyzM: Float64Array,
  spheresM: Float64Array,
  halfHeight: number,
  subjectDepthM: number,
  sums: Float64Array,
): void {
  const before = now - CAMERA_SIZE;
  const wide = 2;
  const tall = 1 / halfHeight;
  const a0 = wide * cameras[now],
    a1 = wide * cameras[now + 1],
    a2 = wide * cameras[now + 2],
    a3 = wide * cameras[now + 3];
  const b0 = tall * cameras[now + 4],
    b1 = tall * cameras[now + 5],
    b2 = tall * cameras[now + 6],
    b3 = tall * cameras[now + 7];
  const c0 = cameras[now + 8],
    c1 = cameras[now + 9],
    c2 = cameras[now + 10],
    c3 = cameras[now + 11];
  const p0 = wide * cameras[before],
    p1 = wide * cameras[before + 1],
    p2 = wide * cameras[before + 2],
    p3 = wide * cameras[before + 3];
  const q0 = tall * cameras[before + 4],
    q1 = tall * cameras[before + 5],
    q2 = tall * cameras[before + 6],
    q3 = tall * cameras[before + 7];
  const r0 = cameras[before + 8],
    r1 = cameras[before + 9],
    r2 = cameras[before + 10],
    r3 = cameras[before + 11];
  const nearM = subjectDepthM * NEAR_SHARE;
  const farM = subjectDepthM * FAR_SHARE;
  const sideReach = Math.sqrt((a0 - c0) ** 2 + (a1 - c1) ** 2 + (a2 - c2) ** 2);
  const upReach = Math.sqrt((b0 - c0) ** 2 + (b1 - c1) ** 2 + (b2 - c2) ** 2);
  const size = xyzM.length;
  const clusterSize = CLUSTER_SIZE * 3;
  let nearCount = 0,
    nearAcross2 = 0,
    nearUp2 = 0,
    nearAcross = 0,
    nearUp = 0,
    nearNearness = 0;
  let farCount = 0,
    farAcross2 = 0,
    farUp2 = 0,
    farAcross = 0,
    farUp = 0,
    farNearness = 0;
  for (let sphere = 0, from = 0; from < size; sphere += 4, from += clusterSize) {
    const cx = spheresM[sphere];
    const cy = spheresM[sphere + 1];
    const cz = spheresM[sphere + 2];
    const radius = spheresM[sphere + 3];
    const ahead = c0 * cx + c1 * cy + c2 * cz + c3;
    if (ahead < NEAR_PLANE_M - radius || (ahead - radius >= nearM && ahead + radius <= farM)) continue;
    const outAcross = Math.abs(a0 * cx + a1 * cy + a2 * cz + a3) - ahead;
    if (outAcross > radius * sideReach) continue;
    const outUp = Math.abs(b0 * cx + b1 * cy + b2 * cz + b3) - ahead;
    if (outUp > radius * upReach) continue;
    const to = Math.min(size, from + clusterSize);
    const whole =
      outAcross < -radius * sideReach &&
      outUp < -radius * upReach &&
      (ahead + radius < nearM || ahead - radius > farM) &&
      ahead - radius > 2 * NEAR_PLANE_M;
    if (whole && r0 * cx + r1 * cy + r2 * cz + r3 - radius > NEAR_PLANE_M) {
      let across2 = 0,
        up2 = 0,
        acrossSum = 0,
        upSum = 0,
        nearness = 0;
      for (let i = from; i < to; i += 3) {
        const x = xyzM[i];
        const y = xyzM[i + 1];
        const z = xyzM[i + 2];
        const depth = c0 * x + c1 * y + c2 * z + c3;
        const was = r0 * x + r1 * y + r2 * z + r3;
        const share = 1 / (depth * was);
        const across = ((a0 * x + a1 * y + a2 * z + a3) * was - (p0 * x + p1 * y + p2 * z + p3) * depth) * share;
        const up = ((b0 * x + b1 * y + b2 * z + b3) * was - (q0 * x + q1 * y + q2 * z + q3) * depth) * share;
        across2 += across * across;
        up2 += up * up;
        acrossSum += across;
        upSum += up;
        nearness += share * was;
      }
      const held = (to - from) / 3;
      if (ahead < nearM) {
        nearCount += held;
        nearAcross2 += across2;
        nearUp2 += up2;
        nearAcross += acrossSum;
        nearUp += upSum;
        nearNearness += nearness;
      } else {
        farCount += held;
        farAcross2 += across2;
        farUp2 += up2;
        farAcross += acrossSum;
        farUp += upSum;
        farNearness += nearness;
      }
      continue;
    }
    for (let i = from; i < to; i += 3) {
      const x = xyzM[i];
      const y = xyzM[i + 1];
      const z = xyzM[i + 2];
      const depth = c0 * x + c1 * y + c2 * z + c3;
      if (depth < NEAR_PLANE_M || (depth >= nearM && depth <= farM)) continue;
      const acrossNow = a0 * x + a1 * y + a2 * z + a3;
      if (Math.abs(acrossNow) > depth) continue;
      const upNow = b0 * x + b1 * y + b2 * z + b3;
      if (Math.abs(upNow) > depth) continue;
      const was = r0 * x + r1 * y + r2 * z + r3;
      if (was < NEAR_PLANE_M) continue;
      const share = 1 / (depth * was);
      const across = (acrossNow * was - (p0 * x + p1 * y + p2 * z + p3) * depth) * share;
      const up = (upNow * was - (q0 * x + q1 * y + q2 * z + q3) * depth) * share;
      if (depth < nearM) {
        nearCount += 1;
        nearAcross2 += across * across;
        nearUp2 += up * up;
        nearAcross += across;
        nearUp += up;
        nearNearness += share * was;
      } else {
        farCount += 1;
        farAcross2 += across * across;
        farUp2 += up * up;
        farAcross += across;
        farUp += up;
        farNearness += share * was;
      }
    }
  }
  const back = halfHeight;
  sums[0] += nearCount;
  sums[1] += nearAcross2 / 4 + nearUp2 * back * back;
  sums[2] += nearAcross / 2;
  sums[3] += nearUp * back;
  sums[4] += nearNearness;
  sums[5] += farCount;
  sums[6] += farAcross2 / 4 + farUp2 * back * back;
  sums[7] += farAcross / 2;
  sums[8] += farUp * back;
  sums[9] += farNearness;
}

/**
 * Turns a row's sums into speeds. The speed against the subject follows from the same sums: mean |v − s|² = mean |v|² −
 * 2 s·mean v + |s|².
 */
function settle(
  layer: LayerMotion,
  row: number,
  sums: Float64Array,
  from: number,
  rateHz: number,
  subjectRight: number,
  subjectUp: number,
  leastPoints: number,
): void {
  const count = sums[from];
  layer.points[row] = count;
  if (count < leastPoints) return;
  layer.depthM[row] = count / sums[from + 4];
  const square = (sums[from + 1] / count) * rateHz * rateHz;
  const right = (sums[from + 2] / count) * rateHz;
  const up = (sums[from + 3] / count) * rateHz;
  layer.speed[row] = Math.sqrt(square);
  layer.rightwards[row] = right;
  layer.upwards[row] = up;
  layer.againstSubject[row] = Math.sqrt(
    Math.max(
      0,
      square - 2 * (subjectRight * right + subjectUp * up) + subjectRight * subjectRight + subjectUp * subjectUp,
    ),
  );
}
