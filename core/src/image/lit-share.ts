import { towardsSun, type Sun } from '../light';
import type { Scene } from '../scene';
import type { Samples } from '../motion';
import { visibleShare } from './visible-share';

/** Far enough that the sun's rays are as good as parallel, m, and near enough for whatever stands on a site. */
const FAR_M = 3000;

/**
 * How much of the subject's part the sun reaches, 0 to 1, one value a row: what walls, trees and ridges leave of it,
 * seen from the sun. 0 while it is down; NaN without a subject.
 */
export function litShare(scene: Scene, samples: Samples, sunAt: (tS: number) => Sun): Float64Array {
  const [xM, yM, zM] = [samples.xM.slice(), samples.yM.slice(), samples.zM.slice()];
  const up = new Uint8Array(samples.count);
  for (let row = 0; row < samples.count; row += 1) {
    const sun = sunAt(samples.tS[row]);
    const [east, north, above] = towardsSun(sun);
    up[row] = sun.altitudeDeg > 0 ? 1 : 0;
    xM[row] = samples.subjectXM[row] + east * FAR_M;
    yM[row] = samples.subjectYM[row] + north * FAR_M;
    zM[row] = samples.subjectZM[row] + above * FAR_M;
  }
  return visibleShare(scene, { ...samples, xM, yM, zM }).map((share, row) => (up[row] ? share : share * 0));
}
