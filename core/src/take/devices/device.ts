import type { RecordedBy } from '../../model';
import type { Film } from '../../motion';
import { emptyRecord, type MotionRecord } from '../recorded/record';

/** Recorders, gimbals, drones, sliders and focus motors of our own that only pretend: to be practised and tested with. */

/** What a simulated device does wrong, each as far as it applies to it. */
export interface Faults {
  seed: number;
  /** Recording runs so long before it begins, s. */
  startLateS: number;
  /** Share of the planned pace: 0.8 takes a quarter longer. */
  pace: number;
  /** How long it runs behind what it is told, s. */
  lagS: number;
  /** Share of the way that it goes past its end, and comes back. */
  overshootShare: number;
  levelOffDeg: number;
  tremorDeg: number;
  tremorHz: number;
  bobMm: number;
  stepRateHz: number;
  /** Noise of its sensors, times what is usual for them. */
  noise: number;
  /** Battery when it starts, 1 for full. */
  batteryShare: number;
  /** The connection is lost after so many seconds; null: never. */
  losesAtS: number | null;
}

export const NO_FAULTS: Faults = {
  seed: 1,
  startLateS: 0.5,
  pace: 1,
  lagS: 0,
  overshootShare: 0,
  levelOffDeg: 0,
  tremorDeg: 0,
  tremorHz: 7,
  bobMm: 0,
  stepRateHz: 1.8,
  noise: 0,
  batteryShare: 1,
  losesAtS: null,
};

/** What a device writes at one moment; what it does not know is missing. Units as in `MotionRecord`. */
export interface DeviceRow {
  tS: number;
  gyroRadps?: [number, number, number];
  accelMps2?: [number, number, number];
  anglesDeg?: [number, number, number];
  placeM?: [number, number, number];
  alongM?: number;
  focusM?: number;
}

export type DeviceReport =
  | { is: 'row'; row: DeviceRow; batteryShare: number }
  | { is: 'refused'; why: string }
  | { is: 'lost'; why: string }
  | { is: 'done' };

/** A device that takes a plan, carries it out, and streams what it did. */
export interface Device {
  kind: RecordedBy;
  name: string;
  /** What it records and drives, in words. */
  does: string;
  rateHz: number;
  /** Bearings count from north. */
  northKnown: boolean;
  /** A full battery lasts, s. */
  batteryS: number;
  /** Why it will not do this plan; null: it will. */
  refuses(film: Film): string | null;
  /** What it says of one moment of its own clock, given what it is told for it. */
  rows(film: Film, faults: Faults): (tS: number) => DeviceRow;
}

/** Less than this is too little to start with. */
const LEAST_BATTERY = 0.1;
/** It goes on recording after the end, s. */
const AFTER_S = 1;

/** A device carries out a plan: first whether it will, then a row each `1 / rateHz` seconds, then why it ended. */
export function* carryOut(device: Device, film: Film, faults: Faults): Generator<DeviceReport> {
  if (faults.batteryShare < LEAST_BATTERY) {
    yield {
      is: 'refused',
      why: `${device.name}: its battery is at ${Math.round(faults.batteryShare * 100)}%; charge it first.`,
    };
    return;
  }
  const why = device.refuses(film);
  if (why !== null) {
    yield { is: 'refused', why: `${device.name}: ${why}` };
    return;
  }
  const rowAt = device.rows(film, faults);
  const { filmed } = film;
  const endS = faults.startLateS + filmed.tS[filmed.count - 1] / faults.pace + AFTER_S + 3 * faults.lagS;
  for (let i = 0; i / device.rateHz <= endS; i += 1) {
    const tS = i / device.rateHz;
    const batteryShare = faults.batteryShare - tS / device.batteryS;
    if (faults.losesAtS !== null && tS >= faults.losesAtS) {
      yield {
        is: 'lost',
        why: `${device.name}: the connection was lost after ${tS.toFixed(1)} s; what came until then is kept.`,
      };
      return;
    }
    if (batteryShare <= 0) {
      yield {
        is: 'lost',
        why: `${device.name}: its battery is empty after ${tS.toFixed(1)} s; what came until then is kept.`,
      };
      return;
    }
    yield { is: 'row', row: rowAt(tS), batteryShare };
  }
  yield { is: 'done' };
}

/** Rows of a device as a record. Throws a RangeError with fewer than two. */
export function recordOf(
  device: Pick<Device, 'kind' | 'name' | 'northKnown'>,
  rows: readonly DeviceRow[],
): MotionRecord {
  if (rows.length < 2) throw new RangeError('The device recorded nothing.');
  const record = emptyRecord(
    device.kind,
    device.name,
    Float64Array.from(rows, ({ tS }) => tS),
  );
  const one = (key: 'alongM' | 'focusM') =>
    rows[0][key] === undefined ? null : Float64Array.from(rows, (row) => row[key] ?? 0);
  const three = (key: 'gyroRadps' | 'accelMps2' | 'anglesDeg' | 'placeM') =>
    rows[0][key] === undefined
      ? null
      : ([0, 1, 2].map((k) => Float64Array.from(rows, (row) => row[key]?.[k] ?? 0)) as MotionRecord['placeM']);
  return {
    ...record,
    northKnown: device.northKnown,
    gyroRadps: three('gyroRadps'),
    accelMps2: three('accelMps2'),
    anglesDeg: three('anglesDeg'),
    placeM: three('placeM'),
    alongM: one('alongM'),
    focusM: one('focusM'),
  };
}

/** A whole run at once: what a device recorded, and why it ended early; for those who need not wait. */
export function ranThrough(
  device: Device,
  film: Film,
  faults: Faults,
): { record: MotionRecord | null; why: string | null } {
  const rows: DeviceRow[] = [];
  let why: string | null = null;
  for (const report of carryOut(device, film, faults)) {
    if (report.is === 'row') rows.push(report.row);
    else if (report.is !== 'done') ({ why } = report);
  }
  return { record: rows.length < 2 ? null : recordOf(device, rows), why };
}
