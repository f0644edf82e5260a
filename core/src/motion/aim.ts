/** Where the camera looks: bearing clockwise from north, tilt up positive, degrees. */
export interface PanTilt {
  panDeg: number;
  tiltDeg: number;
}

const DEG = 180 / Math.PI;

/**
 * The pan and tilt that put a direction at a place in the frame, camera level (no roll). `dx, dy, dz` point from the
 * camera to the thing (any length above zero); `acrossTan` and `upTan` are the tangents of the place: `u · frame width
 * / focal length` and `v · frame height / focal length`. A direction too steep to reach that place gets the nearest
 * tilt.
 */
export function aimAt(dx: number, dy: number, dz: number, acrossTan: number, upTan: number, out: PanTilt): void {
  // Math.hypot is several times as slow, and these never over- or underflow.
  const size = Math.sqrt(dx * dx + dy * dy + dz * dz) || 1;
  const norm = Math.sqrt(1 + acrossTan * acrossTan + upTan * upTan);
  const right = acrossTan / norm;
  const up = upTan / norm;
  const forward = 1 / norm;
  const sine = dz / size / Math.sqrt(up * up + forward * forward);
  const tilt = Math.asin(Math.min(1, Math.max(-1, sine))) - Math.atan2(up, forward);
  const level = forward * Math.cos(tilt) - up * Math.sin(tilt);
  out.panDeg = (Math.atan2(dx, dy) - Math.atan2(right, level)) * DEG;
  out.tiltDeg = tilt * DEG;
}
