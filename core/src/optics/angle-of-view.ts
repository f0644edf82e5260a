import type { Camera, Raster } from '../model';

/** The part of the sensor that the delivered picture uses, in millimetres. */
export interface FrameSize {
  widthMm: number;
  heightMm: number;
}

const DEG = 180 / Math.PI;

/** Angle of view in degrees of a rectilinear lens across a sensor side, both in mm: `2 atan(w / 2f)`. */
export function angleOfViewDeg(sideMm: number, focalLengthMm: number): number {
  return 2 * Math.atan(sideMm / (2 * focalLengthMm)) * DEG;
}

/**
 * The largest area of the sensor with the delivered shape: first the recorded shape is cut from the sensor, then the
 * delivered shape from that, full width where it fits and full height where it does not.
 */
export function frameSizeMm(camera: Camera, delivery: Raster): FrameSize {
  const recorded = recordedFrameMm(camera);
  return cut(recorded.widthMm, recorded.heightMm, delivery.widthPx / delivery.heightPx);
}

/** The part of the sensor that is recorded, in millimetres. */
export function recordedFrameMm(camera: Camera): FrameSize {
  return cut(camera.sensorWidthMm, camera.sensorHeightMm, camera.pictureWidthPx / camera.pictureHeightPx);
}

/** How many recorded pixels lie across the delivered width before any digital enlargement. */
export function recordedWidthPx(camera: Camera, delivery: Raster): number {
  const recorded = recordedFrameMm(camera);
  return (camera.pictureWidthPx * frameSizeMm(camera, delivery).widthMm) / recorded.widthMm;
}

function cut(widthMm: number, heightMm: number, aspect: number): FrameSize {
  return widthMm / heightMm > aspect
    ? { widthMm: heightMm * aspect, heightMm }
    : { widthMm, heightMm: widthMm / aspect };
}
