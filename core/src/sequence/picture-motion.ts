import type { Samples } from '../motion';
import { CAMERA_SIZE, type InPicture, project } from '../optics';

/** How the whole picture moves: frame widths a second to the right and up, turn in °/s clockwise, growth a second. */
export interface PictureMotion {
  rightwards: number;
  upwards: number;
  /** The picture turns so much clockwise as it is seen. */
  turnDegps: number;
  /** Natural logarithm of its growth a second: 0.1 is 10% larger after a second. */
  growth: number;
}

/** Where in the frame the motion is looked at, frame widths right and frame heights up. */
const PROBES = [-0.375, -0.125, 0.125, 0.375].flatMap((u) => [-0.3, 0, 0.3].map((v) => ({ u, v })));
const DEG = 180 / Math.PI;

export const speedOf = ({ rightwards, upwards }: PictureMotion): number => Math.hypot(rightwards, upwards);

/**
 * The motion of the whole picture between two rows, as the similarity that fits best (least squares) to where still
 * points of the first go in the second. `depthAt`: how deep the picture is at a place of the frame in the first row, m.
 */
export function pictureMotion(
  samples: Samples,
  from: number,
  to: number,
  depthAt: (u: number, v: number) => number,
): PictureMotion {
  const { cameras, frameWidthMm, frameHeightMm } = samples;
  const forS = samples.screenS[to] - samples.screenS[from];
  if (from === to || forS === 0) return { rightwards: 0, upwards: 0, turnDegps: 0, growth: 0 };
  const aspect = frameWidthMm / frameHeightMm;
  const scale = frameWidthMm / samples.focalLengthMm[from];
  const c = from * CAMERA_SIZE;
  const out: InPicture = { u: 0, w: 0, depthM: 0 };
  let [n, right, up, along, across, spread] = [0, 0, 0, 0, 0, 0];
  for (const { u, v } of PROBES) {
    const depth = depthAt(u, v);
    const w = v / aspect;
    const [a, b] = [u * depth * scale * scale, w * depth * scale * scale];
    const x = samples.xM[from] + cameras[c] * a + cameras[c + 4] * b + cameras[c + 8] * depth;
    const y = samples.yM[from] + cameras[c + 1] * a + cameras[c + 5] * b + cameras[c + 9] * depth;
    const z = samples.zM[from] + cameras[c + 2] * a + cameras[c + 6] * b + cameras[c + 10] * depth;
    project(cameras, to * CAMERA_SIZE, x, y, z, out);
    if (!(out.depthM > 0)) continue;
    const [du, dw] = [out.u - u, out.w - w];
    n += 1;
    right += du;
    up += dw;
    // The probes lie evenly about the centre: turn and growth are told apart from the shift.
    along += u * du + w * dw;
    across += w * du - u * dw;
    spread += u * u + w * w;
  }
  if (n === 0) return { rightwards: 0, upwards: 0, turnDegps: 0, growth: 0 };
  const [grown, turned] = [1 + along / spread, across / spread];
  return {
    rightwards: right / n / forS,
    upwards: up / n / forS,
    turnDegps: (Math.atan2(turned, grown) * DEG) / forS,
    growth: Math.log(Math.max(1e-3, Math.hypot(grown, turned))) / forS,
  };
}
