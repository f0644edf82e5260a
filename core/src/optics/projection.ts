/**
 * From the site into the picture. A camera is three rows of four numbers (12 in all) that turn a site point into
 * across, up and depth: `u = across / depth` to the right and `w = up / depth` upwards, both in frame WIDTHS from the
 * centre, depth in metres along the optical axis. (The up coordinate in frame heights is `w` times the frame's aspect.)
 */
export const CAMERA_SIZE = 12;

const RAD = Math.PI / 180;

/**
 * Writes the camera of a pose into `out` at `offset`. Position in metres, pan clockwise from north, tilt up and roll
 * clockwise seen from behind in degrees, focal length and frame width in mm.
 */
export function writeCamera(
  out: Float64Array,
  offset: number,
  xM: number,
  yM: number,
  zM: number,
  panDeg: number,
  tiltDeg: number,
  rollDeg: number,
  focalLengthMm: number,
  frameWidthMm: number,
): void {
  const sp = Math.sin(panDeg * RAD);
  const cp = Math.cos(panDeg * RAD);
  const st = Math.sin(tiltDeg * RAD);
  const ct = Math.cos(tiltDeg * RAD);
  const sr = Math.sin(rollDeg * RAD);
  const cr = Math.cos(rollDeg * RAD);
  const scale = focalLengthMm / frameWidthMm;
  const ux = -sp * st;
  const uy = -cp * st;
  const rightX = scale * (cr * cp - sr * ux);
  const rightY = scale * (-cr * sp - sr * uy);
  const rightZ = scale * (-sr * ct);
  const upX = scale * (sr * cp + cr * ux);
  const upY = scale * (-sr * sp + cr * uy);
  const upZ = scale * (cr * ct);
  const ahead = sp * ct;
  const north = cp * ct;
  out[offset] = rightX;
  out[offset + 1] = rightY;
  out[offset + 2] = rightZ;
  out[offset + 3] = -(rightX * xM + rightY * yM + rightZ * zM);
  out[offset + 4] = upX;
  out[offset + 5] = upY;
  out[offset + 6] = upZ;
  out[offset + 7] = -(upX * xM + upY * yM + upZ * zM);
  out[offset + 8] = ahead;
  out[offset + 9] = north;
  out[offset + 10] = st;
  out[offset + 11] = -(ahead * xM + north * yM + st * zM);
}

/**
 * Where a site point falls: u and w in frame widths from the centre, depth in metres (not positive: behind the camera).
 */
export interface InPicture {
  u: number;
  w: number;
  depthM: number;
}

/** Projects one point. u and w mean nothing when `depthM` is not positive. */
export function project(
  camera: Float64Array,
  offset: number,
  xM: number,
  yM: number,
  zM: number,
  out: InPicture,
): InPicture {
  const depth = camera[offset + 8] * xM + camera[offset + 9] * yM + camera[offset + 10] * zM + camera[offset + 11];
  out.u = (camera[offset] * xM + camera[offset + 1] * yM + camera[offset + 2] * zM + camera[offset + 3]) / depth;
  out.w = (camera[offset + 4] * xM + camera[offset + 5] * yM + camera[offset + 6] * zM + camera[offset + 7]) / depth;
  out.depthM = depth;
  return out;
}
