import { CAMERA_SIZE, project, type InPicture } from '../optics';
import { type Samples, withBody } from '../motion';

/** Where the body moves a point at a depth in the picture, frame widths across and up, one value a row. */
export function bodyInFrame(samples: Samples, depthM: Float64Array): { across: Float64Array; up: Float64Array } {
  const { count, cameras } = samples;
  const shaken = withBody(samples).cameras;
  const across = new Float64Array(count).fill(NaN);
  const up = new Float64Array(count).fill(NaN);
  const point: InPicture = { u: 0, w: 0, depthM: 0 };
  for (let i = 0; i < count; i += 1) {
    const depth = depthM[i];
    if (!(depth > 0)) continue;
    const c = i * CAMERA_SIZE;
    project(
      shaken,
      c,
      samples.xM[i] + cameras[c + 8] * depth,
      samples.yM[i] + cameras[c + 9] * depth,
      samples.zM[i] + cameras[c + 10] * depth,
      point,
    );
    if (!(point.depthM > 0)) continue;
    across[i] = point.u;
    up[i] = point.w;
  }
  return { across, up };
}
