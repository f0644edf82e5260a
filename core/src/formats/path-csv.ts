import Papa from 'papaparse';
import type { Scene } from '../scene';
import { filmShot } from '../motion';

export const PATH_COLUMNS = [
  'frame',
  't_s',
  'x_m',
  'y_m',
  'z_m',
  'pan_deg',
  'tilt_deg',
  'roll_deg',
  'focal_length_mm',
  'focus_distance_m',
] as const;

/**
 * A shot's camera path as CSV (RFC 4180): a header with units, then one row per recorded frame. How it is played
 * afterwards is the cut's.
 */
export function writePathCsv(scene: Scene): string {
  const samples = filmShot(scene);
  const rows = Array.from({ length: samples.count }, (_, i) => [
    i,
    samples.tS[i],
    samples.xM[i],
    samples.yM[i],
    samples.zM[i],
    samples.panDeg[i],
    samples.tiltDeg[i],
    samples.rollDeg[i],
    samples.focalLengthMm[i],
    samples.focusDistanceM[i],
  ]);
  return (
    Papa.unparse(
      { fields: [...PATH_COLUMNS], data: rows.map((row) => row.map((value) => Number(value.toFixed(6)))) },
      { newline: '\r\n' },
    ) + '\r\n'
  );
}
