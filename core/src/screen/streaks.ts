import type { Setup } from '../model/shoot';
import { motionOf } from '../motion/legs';
import type { Samples } from '../motion/sample';
import { CAMERA_SIZE, project, type InPicture } from '../optics/projection';
import { stillPoints } from './picture';
import { glancer, seenDepthM } from './glance';
import { FAR_SHARE, NEAR_SHARE, type LayerName } from './layer-speed';
import { GLANCE_CELLS } from './seen-points';

/** Where a still point of the site is in the picture and where it will be: u in frame widths and v in frame heights from the centre. */
export interface Streak {
  u: number;
  v: number;
  toU: number;
  toV: number;
}

/** How far ahead a streak looks, s on screen. */
const AHEAD_S = 0.4;
const MOST = 60;
/** Points nearer than this to one another, frame widths, would only draw the same streak twice. */
const APART = 0.035;

/** Draws what the eye sees moving: streaks of the visible still points of one layer at a row. Call it with the row; points are collected once. */
export function streaker(setup: Setup, samples: Samples): (row: number, layer: LayerName) => Streak[] {
  const still = stillPoints(setup, motionOf(setup));
  const glance = glancer(setup, samples, GLANCE_CELLS);
  const aspect = samples.frameWidthMm / samples.frameHeightMm;
  const now: InPicture = { u: 0, w: 0, depthM: 0 };
  const then: InPicture = { u: 0, w: 0, depthM: 0 };
  return (row, layer) => {
    const last = samples.count - 1;
    const ahead = Math.min(last, row + Math.max(1, Math.round(AHEAD_S * samples.frameRateHz)));
    const seen = glance(row);
    const hiddenM = seenDepthM(seen);
    const depthM = samples.subjectDistanceM[row];
    const streaks: Streak[] = [];
    const add = (xyzM: Float64Array, leastM: number, mostM: number) => {
      for (let i = 0; i < xyzM.length && streaks.length < MOST; i += 3) {
        project(samples.cameras, row * CAMERA_SIZE, xyzM[i], xyzM[i + 1], xyzM[i + 2], now);
        if (now.depthM < leastM || now.depthM > mostM || Math.abs(now.u) > 0.49) continue;
        const v = now.w * aspect;
        if (Math.abs(v) > 0.49 || streaks.some((streak) => Math.hypot(streak.u - now.u, (streak.v - v) / aspect) < APART)) continue;
        if (now.depthM > hiddenM[Math.floor((0.5 - v) * seen.heightCells) * seen.widthCells + Math.floor((now.u + 0.5) * seen.widthCells)]) continue;
        project(samples.cameras, ahead * CAMERA_SIZE, xyzM[i], xyzM[i + 1], xyzM[i + 2], then);
        if (then.depthM > 0.05) streaks.push({ u: now.u, v, toU: then.u, toV: then.w * aspect });
      }
    };
    const near = layer === 'near';
    add(still[layer].xyzM, 0.05, Infinity);
    add(still.auto.xyzM, near ? 0.05 : depthM * FAR_SHARE, near ? depthM * NEAR_SHARE : Infinity);
    return streaks;
  };
}
