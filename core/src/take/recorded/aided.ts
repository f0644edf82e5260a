import type { Film } from '../../motion';
import type { Alignment } from './align';
import { writeAttitude } from './attitude';
import type { Columns3 } from './record';

/** A plan that pushes the camera less than this leaves what is felt as it is, m/s²: a fifth of a degree. */
export const LEAST_PUSH_MPS2 = 0.03;

/** How hard a plan pushes the camera at most, over half a second and more, m/s². */
export function plansPush({ filmed }: Film): number {
  const { xM, yM, zM, count, captureRateHz } = filmed;
  const half = Math.max(1, Math.round(captureRateHz / 4));
  let most = 0;
  for (let i = half; i < count - half; i += 1)
    most = Math.max(
      most,
      Math.hypot(...[xM, yM, zM].map((column) => column[i + half] - 2 * column[i] + column[i - half])),
    );
  return most * (captureRateHz / half) ** 2;
}

/**
 * What sensors feel without what the plan itself does to the camera: on a round way what pushes it inwards lasts as long
 * as gravity does, and would be taken for a part of it. What is left points upwards more nearly. `tS`: of each row, s;
 * accelerations in m/s² along the camera’s right, up and backward axes.
 */
export function withoutPlansPush(
  tS: Float64Array,
  accelMps2: Columns3,
  { filmed }: Film,
  { delayS, stretch }: Alignment,
): Columns3 {
  const { xM, yM, zM, panDeg, tiltDeg, rollDeg, count, captureRateHz } = filmed;
  const out = accelMps2.map((column) => column.slice()) as Columns3;
  const axes = new Float64Array(9);
  const times = (captureRateHz / stretch) ** 2;
  for (let i = 0; i < tS.length; i += 1) {
    const row = Math.round(((tS[i] - tS[0] - delayS) / stretch) * captureRateHz);
    if (row < 1 || row > count - 2) continue;
    writeAttitude(axes, 0, panDeg[row], tiltDeg[row], rollDeg[row]);
    const push = [xM, yM, zM].map((column) => (column[row + 1] - 2 * column[row] + column[row - 1]) * times);
    for (let k = 0; k < 3; k += 1)
      out[k][i] -= axes[3 * k] * push[0] + axes[3 * k + 1] * push[1] + axes[3 * k + 2] * push[2];
  }
  return out;
}
