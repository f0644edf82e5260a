import { MOST_RECORDED_ROWS, type Recorded, type RecordedBy } from '../../model';
import type { Film } from '../../motion';
import { evenly } from '../../rehearse';
import { LEAST_PUSH_MPS2, plansPush, withoutPlansPush } from './aided';
import { align } from './align';
import { anglesOf, attitudesOf, GRAVITY_MPS2, unwrapped } from './attitude';
import type { Columns3, MotionRecord } from './record';
import { turnedEvenly } from './turned';
import { bandRms, inBand, powerSpectrum, strongest } from './spectrum';

/** Names of what a recording may have, as columns. */
export const TAKEN_COLUMNS = [
  'xM',
  'yM',
  'zM',
  'panDeg',
  'tiltDeg',
  'rollDeg',
  'bobM',
  'swayM',
  'focalLengthMm',
  'focusM',
] as const;
export type TakenColumn = (typeof TAKEN_COLUMNS)[number];

/** A camera’s motion as it was recorded, at even rows from 0 on; null: not recorded. Units as in the names. */
export interface Taken extends Record<TakenColumn, Float64Array | null> {
  by: RecordedBy;
  name: string;
  rateHz: number;
  count: number;
  northKnown: boolean;
  tremor: { deg: number; hz: number } | null;
}

/** Walking: its bob, and with half as many its sway. Common practice, no published source. */
export const BOB_BAND_HZ = [0.8, 4] as const;
export const SWAY_BAND_HZ = [0.4, 4] as const;
/** Trembling of hands; physiological tremor is at 6 to 12 Hz (textbooks of neurology, from memory). */
export const TREMOR_BAND_HZ = [4, 15] as const;
const MOST_RATE_HZ = 100;
/** So much less alike is as good, where it speaks for the plan’s own pace. */
const AS_ALIKE = 0.001;
const SAME_PACE = 0.01;
/** What is longer is no single take, and would be read for seconds. */
const MOST_AIDED_ROWS = 24_000;
const DEG = 180 / Math.PI;

/**
 * What a record says of the camera: attitudes from sensors, bob and sway by integrating what is felt twice within the
 * band of steps, a carriage’s way laid on the plan’s track. With a plan that it moves like, what the plan itself does is
 * taken out of what is felt before down is looked for. Throws a RangeError with fewer than two rows, or where it has
 * nothing that tells of motion.
 */
export function takenFrom(record: MotionRecord, plan: Film | null = null): Taken {
  const plain = toldBy(record, plan, record.accelMps2);
  const { accelMps2, anglesDeg } = record;
  if (!plan || !accelMps2 || anglesDeg || record.tS.length > MOST_AIDED_ROWS) return plain;
  if (plansPush(plan) < LEAST_PUSH_MPS2) return plain;
  const aligned = align(plan, plain);
  if (aligned.by !== 'motion') return plain;
  // A push that was taken for down may have told a wrong pace: the plan’s own is tried as well.
  const lastS = plan.filmed.tS[plan.filmed.count - 1];
  const atPlansPace = { ...aligned, stretch: 1, delayS: aligned.delayS + ((aligned.stretch - 1) * lastS) / 2 };
  let best = { taken: plain, alike: aligned.alike ?? -1 };
  for (const by of Math.abs(aligned.stretch - 1) < SAME_PACE ? [aligned] : [aligned, atPlansPace]) {
    const taken = toldBy(record, plan, withoutPlansPush(record.tS, accelMps2, plan, by));
    const alike = align(plan, taken).alike ?? -1;
    if (alike >= best.alike - AS_ALIKE) best = { taken, alike };
  }
  return best.taken;
}

/** `feltMps2`: what tells where down is. */
function toldBy(record: MotionRecord, plan: Film | null, feltMps2: Columns3 | null): Taken {
  const { tS } = record;
  if (tS.length < 2) throw new RangeError('A recording needs at least two rows.');
  const lengthS = tS[tS.length - 1] - tS[0];
  const rateHz = Math.min(MOST_RATE_HZ, (tS.length - 1) / Math.max(1e-3, lengthS));
  const count = Math.max(2, Math.floor(lengthS * rateHz + 1e-6) + 1);
  const fromZero = tS.map((s) => s - tS[0]);
  const even = (column: Float64Array) => evenly(fromZero, column, rateHz, count);
  const taken: Taken = { ...nothing(record), rateHz, count };
  if (record.placeM) [taken.xM, taken.yM, taken.zM] = record.placeM.map(even);
  if (record.alongM && plan && !record.placeM) [taken.xM, taken.yM, taken.zM] = onTrack(even(record.alongM), plan);
  if (record.focalLengthMm) taken.focalLengthMm = even(record.focalLengthMm);
  if (record.focusM) taken.focusM = even(record.focusM);
  if (record.anglesDeg) {
    const [panDeg, tiltDeg, rollDeg] = record.anglesDeg.map(unwrapped);
    Object.assign(taken, turnedEvenly(fromZero, { panDeg, tiltDeg, rollDeg }, rateHz, count));
  }
  if (record.gyroRadps || record.accelMps2) fromSensors(taken, record, feltMps2, even);
  taken.tremor ??= trembling(taken);
  if (!TAKEN_COLUMNS.some((key) => taken[key]))
    throw new RangeError('The recording has nothing that tells of motion: no angles, no places, no sensors.');
  return taken;
}

const nothing = ({ by, name, northKnown }: MotionRecord): Taken => ({
  by,
  name,
  rateHz: 1,
  count: 0,
  northKnown,
  tremor: null,
  ...(Object.fromEntries(TAKEN_COLUMNS.map((key) => [key, null])) as Record<TakenColumn, null>),
});

function fromSensors(
  taken: Taken,
  record: MotionRecord,
  feltMps2: Columns3 | null,
  even: (column: Float64Array) => Float64Array,
): void {
  const { accelMps2, gyroRadps, anglesDeg } = record;
  const { rows } = attitudesOf({ ...record, accelMps2: feltMps2 });
  if (!anglesDeg) {
    const [panDeg, tiltDeg, rollDeg] = anglesOf(rows);
    const fromZero = record.tS.map((s) => s - record.tS[0]);
    Object.assign(taken, turnedEvenly(fromZero, { panDeg, tiltDeg, rollDeg }, taken.rateHz, taken.count));
  }
  if (gyroRadps && !taken.tremor) taken.tremor = tremorOf(gyroRadps.map(even) as Columns3, taken.rateHz);
  if (!accelMps2 || !hasGravity(accelMps2)) return;
  const [x, y, z] = accelMps2;
  // Upwards and to the camera’s right, level; without gravity.
  const count = x.length;
  const [up, right] = [new Float64Array(count), new Float64Array(count)];
  for (let i = 0; i < count; i += 1) {
    const at = i * 9;
    const east = rows[at] * x[i] + rows[at + 3] * y[i] + rows[at + 6] * z[i];
    const north = rows[at + 1] * x[i] + rows[at + 4] * y[i] + rows[at + 7] * z[i];
    up[i] = rows[at + 2] * x[i] + rows[at + 5] * y[i] + rows[at + 8] * z[i] - GRAVITY_MPS2;
    const size = Math.hypot(rows[at + 6], rows[at + 7]) || 1;
    // Level and to the right of where it looks.
    right[i] = (east * -rows[at + 7] + north * rows[at + 6]) / size;
  }
  const { rateHz } = taken;
  taken.bobM = inBand(even(up), rateHz, BOB_BAND_HZ[0], Math.min(BOB_BAND_HZ[1], rateHz / 2.5), 2);
  taken.swayM = inBand(even(right), rateHz, SWAY_BAND_HZ[0], Math.min(SWAY_BAND_HZ[1], rateHz / 2.5), 2);
}

/** Whether what is felt has gravity in it: its middle is within a fifth of 9.81 m/s². */
export function hasGravity([x, y, z]: Columns3): boolean {
  const sizes = Float64Array.from(x, (_, i) => Math.hypot(x[i], y[i], z[i])).sort();
  return Math.abs(sizes[sizes.length >> 1] - GRAVITY_MPS2) < GRAVITY_MPS2 / 5;
}

/** Trembling from rates of turning: integrated within its band, all axes together. */
function tremorOf(gyro: Columns3, rateHz: number): Taken['tremor'] {
  const most = Math.min(TREMOR_BAND_HZ[1], rateHz / 2.5);
  if (most <= TREMOR_BAND_HZ[0]) return null;
  return tremorIn(
    gyro.map((column) => inBand(column, rateHz, TREMOR_BAND_HZ[0], most, 1).map((v) => v * DEG)),
    rateHz,
  );
}

/** The same from angles, where they were recorded often enough. */
function trembling({ panDeg, tiltDeg, rollDeg, rateHz }: Taken): Taken['tremor'] {
  const columns = [panDeg, tiltDeg, rollDeg].filter((column) => column !== null);
  return columns.length === 0 ? null : tremorOfAngles(columns, rateHz);
}

/** Trembling in angles at even rows, all together; null where rows are too few a second. */
export function tremorOfAngles(columns: readonly Float64Array[], rateHz: number): Taken['tremor'] {
  const most = Math.min(TREMOR_BAND_HZ[1], rateHz / 2.5);
  if (most <= TREMOR_BAND_HZ[0] || columns[0].length < 8) return null;
  return tremorIn(
    columns.map((column) => inBand(column, rateHz, TREMOR_BAND_HZ[0], most)),
    rateHz,
  );
}

function tremorIn(columns: readonly Float64Array[], rateHz: number): Taken['tremor'] {
  let [square, hz, strongestRms] = [0, 0, 0];
  for (const column of columns) {
    const spectrum = powerSpectrum(column, rateHz, 2);
    if (!spectrum) return null;
    const rms = bandRms(spectrum, ...TREMOR_BAND_HZ);
    square += rms * rms;
    const beat = strongest(spectrum, ...TREMOR_BAND_HZ);
    if (beat && rms > strongestRms) [hz, strongestRms] = [beat.hz, rms];
  }
  return { deg: Math.sqrt(square), hz };
}

/** Lengths along the plan’s track as places; before its start and past its end straight on. */
function onTrack(alongM: Float64Array, { filmed }: Film): [Float64Array, Float64Array, Float64Array] {
  const { xM, yM, zM, count } = filmed;
  const sums = new Float64Array(count);
  for (let i = 1; i < count; i += 1)
    sums[i] = sums[i - 1] + Math.hypot(xM[i] - xM[i - 1], yM[i] - yM[i - 1], zM[i] - zM[i - 1]);
  const [x, y, z] = [xM, yM, zM].map((column) =>
    alongM.map((along) => {
      let k = lastBelow(sums, along);
      while (k > 0 && sums[k + 1] - sums[k] < 1e-9) k -= 1;
      while (k + 2 < count && sums[k + 1] - sums[k] < 1e-9) k += 1;
      const span = sums[k + 1] - sums[k];
      return span > 0 ? column[k] + ((column[k + 1] - column[k]) * (along - sums[k])) / span : column[k];
    }),
  );
  return [x, y, z];
}

/** The last row but one that is not beyond a value, in a column that never falls. */
function lastBelow(sums: Float64Array, value: number): number {
  let [low, high] = [0, sums.length - 2];
  while (low < high) {
    const half = (low + high + 1) >> 1;
    if (sums[half] <= value) low = half;
    else high = half - 1;
  }
  return Math.max(0, low);
}

const DIGITS: Record<TakenColumn, number> = {
  xM: 4,
  yM: 4,
  zM: 4,
  panDeg: 3,
  tiltDeg: 3,
  rollDeg: 3,
  bobM: 4,
  swayM: 4,
  focalLengthMm: 2,
  focusM: 3,
};

/** A stretch of a recording as it is kept with a take: at most `MOST_RECORDED_ROWS` rows, at most 50 a second. */
export function toKeepTaken(taken: Taken, fromS: number, toS: number): Recorded {
  const lastS = (taken.count - 1) / taken.rateHz;
  const [from, to] = [Math.max(0, Math.min(fromS, lastS - 0.1)), Math.min(lastS, Math.max(toS, fromS + 0.1))];
  const rateHz = Math.min(50, taken.rateHz, (MOST_RECORDED_ROWS - 1) / Math.max(0.05, to - from));
  const count = Math.max(2, Math.floor((to - from) * rateHz + 1e-6) + 1);
  const tS = Float64Array.from({ length: taken.count }, (_, i) => i / taken.rateHz - from);
  const columns = Object.fromEntries(
    TAKEN_COLUMNS.map((key) => {
      const column = taken[key];
      const kept = column && [...evenly(tS, column, rateHz, count)].map((v) => Number(v.toFixed(DIGITS[key])));
      return [key, kept];
    }),
  ) as Record<TakenColumn, number[] | null>;
  const { by, name, northKnown, tremor } = taken;
  return { by, name: name.slice(0, 120), rateHz, northKnown, tremor, ...columns };
}

/** A recording that was kept with a take. */
export function fromKeptTaken(kept: Recorded): Taken {
  const columns = Object.fromEntries(
    TAKEN_COLUMNS.map((key) => [key, kept[key] && Float64Array.from(kept[key])]),
  ) as Record<TakenColumn, Float64Array | null>;
  const count = TAKEN_COLUMNS.reduce((most, key) => Math.max(most, columns[key]?.length ?? 0), 0);
  return {
    by: kept.by,
    name: kept.name,
    rateHz: kept.rateHz,
    northKnown: kept.northKnown,
    tremor: kept.tremor,
    count,
    ...columns,
  };
}
