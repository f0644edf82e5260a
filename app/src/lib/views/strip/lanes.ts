import { sayLength, saySpeed, trim, type Units } from '@gentle-arc/core/model';
import type { ShownReading } from '$lib/workers/messages';

/** One quantity over time: a curve of a lane. */
export interface Curve {
  column: Float64Array;
  colour: string;
  dash?: string;
}
export interface Lane {
  label: string;
  /** px */
  height: number;
  curves: Curve[];
  most: number;
  least: number;
  /** What it shows at a row, with its unit. */
  say: (row: number) => string;
}

const peak = (...columns: Float64Array[]) =>
  columns.reduce((most, column) => column.reduce((m, v) => (v > m ? v : m), most), 0);
const least = (column: Float64Array) => column.reduce((m, v) => (v < m ? v : m), Infinity);
const varies = (column: Float64Array, share: number) => peak(column) > least(column) * (1 + share);

/** What a column has at a row; NaN where it has nothing, or is still that of a shorter shot. */
const valueAt = (column: Float64Array, row: number): number => (row < column.length ? column[row] : NaN);
const saidAt = (column: Float64Array, row: number, say: (value: number) => string): string => {
  const value = valueAt(column, row);
  return Number.isNaN(value) ? '–' : say(value);
};

/** A value of a column in words; a dash where there is none. */
export const sayAt = (column: Float64Array, row: number, scale: number, unit: string): string =>
  saidAt(column, row, (value) => `${trim(value * scale, Math.abs(value * scale) < 10 ? 1 : 0)}${unit}`);

const LOW = 24;
const HIGH = 62;

/** The lanes of a shot, from the top: speeds and size always, the rest only where it changes on the way. */
export function lanesOf(reading: ShownReading, units: Units): Lane[] {
  const {
    nearSpeed,
    subjectSpeed,
    farSpeed,
    subjectHeight,
    visible,
    cameraSpeedMps,
    cameraHeightM,
    focalLengthMm,
    focusDistanceM,
  } = reading.columns;
  const single = (
    label: string,
    column: Float64Array,
    least: number,
    most: number,
    say: Lane['say'],
    colour = 'var(--ink)',
  ): Lane => ({ label, height: LOW, least, most, curves: [{ column, colour }], say });

  const lanes = [
    {
      label: 'Speed on screen',
      height: HIGH,
      least: 0,
      most: Math.max(0.02, peak(nearSpeed, subjectSpeed, farSpeed)),
      curves: [
        { column: nearSpeed, colour: 'var(--near)' },
        { column: farSpeed, colour: 'var(--far)', dash: '7 3' },
        { column: subjectSpeed, colour: 'var(--subject)' },
      ],
      say: () => '',
    },
    single(
      'Subject size',
      subjectHeight,
      0,
      Math.max(0.05, peak(subjectHeight)),
      (row) => sayAt(subjectHeight, row, 100, '%'),
      'var(--subject)',
    ),
  ];
  if (varies(visible, 0.02))
    lanes.push(single('In sight', visible, 0, 1, (row) => sayAt(visible, row, 100, '%'), 'var(--subject)'));
  lanes.push(
    single('Camera speed', cameraSpeedMps, 0, Math.max(0.05, peak(cameraSpeedMps)), (row) =>
      saidAt(cameraSpeedMps, row, (mps) => saySpeed(mps, units)),
    ),
  );
  if (varies(cameraHeightM, 0.02))
    lanes.push(
      single(
        'Lens height',
        cameraHeightM,
        Math.min(0, least(cameraHeightM)),
        Math.max(0.5, peak(cameraHeightM)),
        (row) => saidAt(cameraHeightM, row, (m) => sayLength(m, units)),
      ),
    );
  if (reading.racks)
    lanes.push(
      single('Focus at', focusDistanceM, 0, peak(focusDistanceM) * 1.1, (row) =>
        saidAt(focusDistanceM, row, (m) => sayLength(m, units)),
      ),
    );
  if (varies(focalLengthMm, 0.001))
    lanes.push(
      single('Focal length', focalLengthMm, 0, peak(focalLengthMm) * 1.1, (row) => sayAt(focalLengthMm, row, 1, ' mm')),
    );
  return lanes;
}
