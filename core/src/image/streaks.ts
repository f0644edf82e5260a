import type { Scene } from '../scene';
import { motionOf, type Samples } from '../motion';
import { CAMERA_SIZE, project, type InPicture } from '../optics';
import { depthRasterOf, seenDepthM } from './depth-raster';
import { FAR_SHARE, NEAR_SHARE, type LayerName } from './layer-speed';
import { RASTER_CELLS } from './seen-surface';
import { stillPoints } from './still-points';

/**
 * Where a still point of the site was in the picture a moment ago and where it will be: u in frame widths and v in
 * frame heights from the centre.
 */
export interface Streak {
  fromU: number;
  fromV: number;
  toU: number;
  toV: number;
}

/** How far before and after its row a streak reaches, s on screen. */
const REACH_S = 0.2;
const MOST = 60;
/** Points nearer than this to one another, frame widths, would only draw the same streak twice. */
const APART = 0.035;

/**
 * Draws what the eye sees moving: streaks of the visible still points of one layer at a row. Call it with the row;
 * points are collected once.
 */
export function streaker(scene: Scene, samples: Samples): (row: number, layer: LayerName) => Streak[] {
  const still = stillPoints(scene, motionOf(scene));
  const raster = depthRasterOf(scene, samples, RASTER_CELLS);
  const aspect = samples.frameWidthMm / samples.frameHeightMm;
  const now: InPicture = { u: 0, w: 0, depthM: 0 };
  const [before, after]: InPicture[] = [0, 1].map(() => ({ u: 0, w: 0, depthM: 0 }));
  return (row, layer) => {
    const last = samples.count - 1;
    const reach = Math.max(1, Math.round(REACH_S * samples.frameRateHz));
    const [was, will] = [Math.max(0, row - reach), Math.min(last, row + reach)];
    const seen = raster(row);
    const hiddenM = seenDepthM(seen);
    const depthM = samples.subjectDistanceM[row];
    const streaks: Streak[] = [];
    const taken: { u: number; v: number }[] = [];
    const add = (xyzM: Float64Array, leastM: number, mostM: number) => {
      for (let i = 0; i < xyzM.length && streaks.length < MOST; i += 3) {
        project(samples.cameras, row * CAMERA_SIZE, xyzM[i], xyzM[i + 1], xyzM[i + 2], now);
        if (now.depthM < leastM || now.depthM > mostM || Math.abs(now.u) > 0.49) continue;
        const v = now.w * aspect;
        if (Math.abs(v) > 0.49 || taken.some((spot) => Math.hypot(spot.u - now.u, (spot.v - v) / aspect) < APART))
          continue;
        if (
          now.depthM >
          hiddenM[
            Math.floor((0.5 - v) * seen.heightCells) * seen.widthCells + Math.floor((now.u + 0.5) * seen.widthCells)
          ]
        )
          continue;
        project(samples.cameras, was * CAMERA_SIZE, xyzM[i], xyzM[i + 1], xyzM[i + 2], before);
        project(samples.cameras, will * CAMERA_SIZE, xyzM[i], xyzM[i + 1], xyzM[i + 2], after);
        if (!(before.depthM > 0.05 && after.depthM > 0.05)) continue;
        taken.push({ u: now.u, v });
        streaks.push({ fromU: before.u, fromV: before.w * aspect, toU: after.u, toV: after.w * aspect });
      }
    };
    const near = layer === 'near';
    add(still[layer].xyzM, 0.05, Infinity);
    add(still.auto.xyzM, near ? 0.05 : depthM * FAR_SHARE, near ? depthM * NEAR_SHARE : Infinity);
    return streaks;
  };
}
