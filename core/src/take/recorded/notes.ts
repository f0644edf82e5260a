import { trim } from '../../model';
import { hasGravity } from './taken';
import type { MotionRecord } from './record';

/** Rows this many times as far apart as usual are a gap, from this many seconds on. */
const GAP = { times: 5, leastS: 0.1 } as const;
/** So many rows in a row at one extreme: the sensor could not say more. */
const STUCK_ROWS = 4;

/** What a record cannot be trusted in, a sentence each: gaps in time, sensors at their end, gravity missing. */
export function recordNotes(record: MotionRecord): string[] {
  return [...gaps(record.tS), ...saturated(record), ...gravity(record)];
}

function gaps(tS: Float64Array): string[] {
  if (tS.length < 3) return ['Only two rows were recorded: nothing is said of what lies between them.'];
  const steps = tS.slice(1).map((s, i) => s - tS[i]);
  const usual = steps.slice().sort()[steps.length >> 1];
  const found = [...steps].flatMap((step, i) => (step > GAP.times * usual && step > GAP.leastS ? [{ step, i }] : []));
  if (found.length === 0) return [];
  const worst = found.reduce((a, b) => (b.step > a.step ? b : a));
  const more = found.length > 1 ? `, and ${found.length - 1} shorter ${found.length > 2 ? 'ones' : 'one'}` : '';
  return [
    `${trim(worst.step, 2)} s are missing from ${trim(tS[worst.i] - tS[0], 2)} s on${more}: what happened there is ` +
      'bridged, not known.',
  ];
}

function saturated({ gyroRadps, accelMps2 }: MotionRecord): string[] {
  const stuck = (columns: readonly Float64Array[] | null, what: string, least: number) => {
    for (const column of columns ?? []) {
      const most = column.reduce((a, v) => Math.max(a, Math.abs(v)), 0);
      if (most < least) continue;
      let run = 0;
      for (const value of column) {
        run = Math.abs(value) >= most * 0.9999 ? run + 1 : 0;
        if (run >= STUCK_ROWS)
          return [`The ${what} was at its end (${trim(most, 1)}): it turned or shook more than was recorded.`];
      }
    }
    return [];
  };
  return [...stuck(gyroRadps, 'gyroscope, rad/s,', 2), ...stuck(accelMps2, 'accelerometer, m/s²,', 15)];
}

function gravity({ accelMps2 }: MotionRecord): string[] {
  if (!accelMps2 || hasGravity(accelMps2)) return [];
  return [
    'Gravity is missing from the accelerometer (it does not read 9.81 m/s² at rest): level and bob are not said. Record ' +
      'with gravity, or say in which unit it is.',
  ];
}
