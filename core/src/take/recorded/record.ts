import type { RecordedBy } from '../../model';

export type Columns3 = [Float64Array, Float64Array, Float64Array];

/**
 * What somebody or something wrote down of a camera’s motion, as it came: one row a moment, in order of time. Sensors
 * are in the camera’s own axes: to its right, up, and backwards. Null: not recorded.
 */
export interface MotionRecord {
  by: RecordedBy;
  name: string;
  tS: Float64Array;
  /** Turning about the camera’s axes, radians a second, right-handed. */
  gyroRadps: Columns3 | null;
  /** What an accelerometer feels, m/s²: at rest the push of the ground, 9.81 upwards. */
  accelMps2: Columns3 | null;
  /** Bearing, tilt and roll, degrees. */
  anglesDeg: Columns3 | null;
  /** The bearing counts from true north. */
  northKnown: boolean;
  /** East, north, up of the site, m. */
  placeM: Columns3 | null;
  /** How far a carriage is along its way, m. */
  alongM: Float64Array | null;
  focalLengthMm: Float64Array | null;
  focusM: Float64Array | null;
}

/** A record of nothing yet, for who fills in what there is. */
export const emptyRecord = (by: RecordedBy, name: string, tS: Float64Array): MotionRecord => ({
  by,
  name,
  tS,
  gyroRadps: null,
  accelMps2: null,
  anglesDeg: null,
  northKnown: false,
  placeM: null,
  alongM: null,
  focalLengthMm: null,
  focusM: null,
});

/** How a phone is fixed to a camera; common practice, no published source. */
export const MOUNTS = {
  upright: 'upright behind the camera, screen towards the operator',
  sideways: 'on its left side behind the camera, screen towards the operator',
  flat: 'flat on top, screen up, its top forward',
  asCamera: 'its axes are the camera’s: right, up, backwards',
} as const;
export type Mount = keyof typeof MOUNTS;

/** What a device’s axes (right of its screen, up its screen, out of its screen) are in the camera’s axes. */
export function inCameraAxes([x, y, z]: Columns3, mount: Mount): Columns3 {
  const minus = (column: Float64Array) => column.map((v) => -v);
  // On its left side: its top points left, its right edge up.
  if (mount === 'sideways') return [minus(y), x, z];
  if (mount === 'flat') return [x, z, minus(y)];
  return [x, y, z];
}
