import type { Columns3, MotionRecord } from './record';

export const GRAVITY_MPS2 = 9.80665;
export const DEG = 180 / Math.PI;

/** How strongly what is felt as up pulls the attitude right, and how fast the bias is learned: first to learn it … */
const LEARNING = { gain: 0.5, biasGain: 0.06 } as const;
/** … then, with what was learned, to tell the attitude: pushes of the rig hardly tip it. */
const TELLING = { gain: 0.1, biasGain: 0.002 } as const;
/** What is felt counts less the more it differs from gravity, m/s²: then somebody pushes. */
const TRUSTED_WITHIN = 1.2;
/** A row that came much later than it should: turning is not carried over more than this, s. */
const MOST_STEP_S = 0.25;

/** Attitudes as a matrix each: the camera’s right, up and backwards in east, north and up; nine numbers a row. */
export type Attitudes = Float64Array;

/**
 * Attitude from gyroscope and accelerometer: the passive complementary filter on rotations with bias (Mahony, Hamel &
 * Pflimlin 2008, IEEE Trans. Autom. Control 53(5), "Nonlinear complementary filters on the special orthogonal group"),
 * begun with the bias of the first stretch at rest. Bearings count from where it began: nothing here feels north.
 * Its error on closed-form rotations with noise and bias stands in attitude.test.ts: within 0.6° of tilt and roll.
 * Without an accelerometer it is level at the start and drifts with what is left of the bias.
 */
export function attitudesOf({ tS, gyroRadps, accelMps2 }: Pick<MotionRecord, 'tS' | 'gyroRadps' | 'accelMps2'>): {
  rows: Attitudes;
  biasRadps: Triple;
} {
  const atRest = gyroRadps ? restBias(tS, gyroRadps) : NO_BIAS;
  if (!gyroRadps || !accelMps2) return passOver({ tS, gyroRadps, accelMps2 }, atRest, TELLING);
  const learned = passOver({ tS, gyroRadps, accelMps2 }, atRest, LEARNING).meanBias;
  return passOver({ tS, gyroRadps, accelMps2 }, learned, TELLING);
}

type Triple = [number, number, number];
const NO_BIAS: Triple = [0, 0, 0];

/** One pass of the filter from a bias on; `meanBias`: what it came to, over the second half. */
function passOver(
  { tS, gyroRadps, accelMps2 }: Pick<MotionRecord, 'tS' | 'gyroRadps' | 'accelMps2'>,
  from: Triple,
  { gain, biasGain }: { gain: number; biasGain: number },
): { rows: Attitudes; biasRadps: Triple; meanBias: Triple } {
  const count = tS.length;
  const rows = new Float64Array(count * 9);
  const bias: Triple = [...from];
  const sums: Triple = [0, 0, 0];
  // Camera to world: w, x, y, z. Level and looking north, the camera’s backwards is south.
  let q = accelMps2 ? startFrom(tS, accelMps2) : LEVEL;
  for (let i = 0; i < count; i += 1) {
    const h = i === 0 ? 0 : Math.min(MOST_STEP_S, tS[i] - tS[i - 1]);
    const before = Math.max(0, i - 1);
    let [wx, wy, wz] = [0, 0, 0];
    // Between two rows it turned at the mean of both.
    if (gyroRadps) {
      wx = (gyroRadps[0][i] + gyroRadps[0][before]) / 2 - bias[0];
      wy = (gyroRadps[1][i] + gyroRadps[1][before]) / 2 - bias[1];
      wz = (gyroRadps[2][i] + gyroRadps[2][before]) / 2 - bias[2];
    }
    if (accelMps2) {
      const [ax, ay, az] = [accelMps2[0][i], accelMps2[1][i], accelMps2[2][i]];
      const size = Math.sqrt(ax * ax + ay * ay + az * az);
      const trust = gyroRadps ? Math.max(0, 1 - Math.abs(size - GRAVITY_MPS2) / TRUSTED_WITHIN) : 20;
      if (size > 1e-6 && trust > 0) {
        // What is up, in the camera’s axes; and how far what is felt is turned from it.
        const [ux, uy, uz] = [
          2 * (q[1] * q[3] - q[0] * q[2]),
          2 * (q[2] * q[3] + q[0] * q[1]),
          1 - 2 * (q[1] * q[1] + q[2] * q[2]),
        ];
        const [ex, ey, ez] = [(ay * uz - az * uy) / size, (az * ux - ax * uz) / size, (ax * uy - ay * ux) / size];
        wx += gain * trust * ex;
        wy += gain * trust * ey;
        wz += gain * trust * ez;
        if (gyroRadps) {
          const learns = biasGain * trust * h;
          bias[0] -= learns * ex;
          bias[1] -= learns * ey;
          bias[2] -= learns * ez;
        }
      }
    }
    q = turnedBy(q, wx * h, wy * h, wz * h);
    writeMatrix(rows, i * 9, q);
    if (i >= count >> 1) for (let k = 0; k < 3; k += 1) sums[k] += bias[k];
  }
  const half = count - (count >> 1);
  return { rows, biasRadps: bias, meanBias: [sums[0] / half, sums[1] / half, sums[2] / half] };
}

type Quaternion = [number, number, number, number];
/** Right is east, up is up, backwards is south. */
const LEVEL: Quaternion = [Math.SQRT1_2, Math.SQRT1_2, 0, 0];

/** Bearing, tilt and roll of every attitude, degrees; bearings go on past north instead of jumping. */
export function anglesOf(rows: Attitudes): Columns3 {
  const count = rows.length / 9;
  const [pan, tilt, roll] = [new Float64Array(count), new Float64Array(count), new Float64Array(count)];
  for (let i = 0; i < count; i += 1) {
    const at = i * 9;
    const [fx, fy, fz] = [-rows[at + 6], -rows[at + 7], -rows[at + 8]];
    tilt[i] = Math.asin(Math.min(1, Math.max(-1, fz))) * DEG;
    // Straight down or up there is no bearing but that of its right side: no roll, then.
    const plumb = Math.hypot(fx, fy) < 1e-6;
    pan[i] = (plumb ? Math.atan2(-rows[at + 1], rows[at]) : Math.atan2(fx, fy)) * DEG;
    roll[i] = plumb ? 0 : Math.atan2(-rows[at + 2], rows[at + 5]) * DEG;
  }
  unwrap(pan);
  unwrap(roll);
  return [pan, tilt, roll];
}

/** The attitude of a camera at a bearing, tilt and roll, as a matrix of nine numbers. */
export function writeAttitude(rows: Attitudes, i: number, panDeg: number, tiltDeg: number, rollDeg: number): void {
  const [p, t, r] = [panDeg / DEG, tiltDeg / DEG, rollDeg / DEG];
  const right0 = [Math.cos(p), -Math.sin(p), 0];
  const forward = [Math.sin(p) * Math.cos(t), Math.cos(p) * Math.cos(t), Math.sin(t)];
  const up0 = [-Math.sin(p) * Math.sin(t), -Math.cos(p) * Math.sin(t), Math.cos(t)];
  const [c, s] = [Math.cos(r), Math.sin(r)];
  for (let k = 0; k < 3; k += 1) {
    rows[i * 9 + k] = c * right0[k] - s * up0[k];
    rows[i * 9 + 3 + k] = s * right0[k] + c * up0[k];
    rows[i * 9 + 6 + k] = -forward[k];
  }
}

/** Angles that go on past a whole turn instead of jumping back, in place. */
export function unwrap(column: Float64Array, turn = 360): Float64Array {
  for (let i = 1; i < column.length; i += 1) column[i] -= turn * Math.round((column[i] - column[i - 1]) / turn);
  return column;
}

function turnedBy([w, x, y, z]: Quaternion, rx: number, ry: number, rz: number): Quaternion {
  const angle = Math.sqrt(rx * rx + ry * ry + rz * rz);
  const half = angle / 2;
  const k = angle > 1e-9 ? Math.sin(half) / angle : 0.5;
  const [c, a, b, d] = [Math.cos(half), rx * k, ry * k, rz * k];
  const out: Quaternion = [
    w * c - x * a - y * b - z * d,
    w * a + x * c + y * d - z * b,
    w * b - x * d + y * c + z * a,
    w * d + x * b - y * a + z * c,
  ];
  const size = Math.sqrt(out[0] * out[0] + out[1] * out[1] + out[2] * out[2] + out[3] * out[3]);
  return [out[0] / size, out[1] / size, out[2] / size, out[3] / size];
}

function writeMatrix(rows: Attitudes, at: number, [w, x, y, z]: Quaternion): void {
  rows[at] = 1 - 2 * (y * y + z * z);
  rows[at + 1] = 2 * (x * y + w * z);
  rows[at + 2] = 2 * (x * z - w * y);
  rows[at + 3] = 2 * (x * y - w * z);
  rows[at + 4] = 1 - 2 * (x * x + z * z);
  rows[at + 5] = 2 * (y * z + w * x);
  rows[at + 6] = 2 * (x * z + w * y);
  rows[at + 7] = 2 * (y * z - w * x);
  rows[at + 8] = 1 - 2 * (x * x + y * y);
}

/** Looking north, and tilted and rolled as the first moments feel it. */
function startFrom(tS: Float64Array, accel: Columns3): Quaternion {
  let rows = 0;
  while (rows < tS.length && tS[rows] - tS[0] <= REST.shortS) rows += 1;
  const [x, y, z] = accel.map((column) => column.subarray(0, rows).reduce((sum, v) => sum + v, 0));
  const size = Math.hypot(x, y, z);
  if (size < 1e-6) return LEVEL;
  // Up as the camera feels it; its backwards level with south as far as that goes.
  const tilt = Math.asin(Math.min(1, Math.max(-1, -z / size)));
  const roll = Math.atan2(-x, y);
  const matrix = new Float64Array(9);
  writeAttitude(matrix, 0, 0, tilt * DEG, roll * DEG);
  return fromMatrix(matrix);
}

function fromMatrix(m: Float64Array): Quaternion {
  const [a, b, c] = [m[0], m[4], m[8]];
  const w = Math.sqrt(Math.max(0, 1 + a + b + c)) / 2;
  const x = (Math.sqrt(Math.max(0, 1 + a - b - c)) / 2) * Math.sign(m[5] - m[7] || 1);
  const y = (Math.sqrt(Math.max(0, 1 - a + b - c)) / 2) * Math.sign(m[6] - m[2] || 1);
  const z = (Math.sqrt(Math.max(0, 1 - a - b + c)) / 2) * Math.sign(m[1] - m[3] || 1);
  return turnedBy([w, x, y, z], 0, 0, 0);
}

/**
 * What a gyroscope says while nothing turns: the mean of a calm stretch in the first or the last seconds, so weighted that
 * trembling falls out of it (Hann’s window). An even slow pan from the first row to the last would be taken for a bias:
 * who records holds still for two seconds first.
 */
function restBias(tS: Float64Array, gyro: Columns3): Triple {
  const lastS = tS[tS.length - 1];
  const windowS = lastS - tS[0] > 4 * REST.windowS ? REST.windowS : REST.shortS;
  let best: { size: number; mean: Triple } | null = null;
  const look = (fromS: number) => {
    let [from, to] = [0, 0];
    while (from < tS.length && tS[from] < fromS) from += 1;
    to = from;
    while (to < tS.length && tS[to] < fromS + windowS) to += 1;
    if (to - from < 16) return;
    const mean = (a: number, b: number, column: Float64Array) => {
      let [sum, weights] = [0, 0];
      for (let i = a; i < b; i += 1) {
        const weight = 0.5 - 0.5 * Math.cos((2 * Math.PI * (i - a + 0.5)) / (b - a));
        sum += weight * column[i];
        weights += weight;
      }
      return sum / weights;
    };
    const at = [0, 1, 2, 3, 4].map((k) => from + Math.round((k * (to - from)) / 4));
    const whole = gyro.map((column) => mean(from, to, column)) as Triple;
    const quarters = [0, 1, 2, 3].map((k) => gyro.map((column) => mean(at[k], at[k + 1], column)));
    const change = Math.max(...quarters.map((row) => Math.hypot(...row.map((v, k) => v - whole[k]))));
    const size = Math.hypot(...whole);
    if (size < REST.mostBiasRadps && change < REST.changeRadps && (best === null || size < best.size))
      best = { size, mean: whole };
  };
  for (let s = 0; s <= REST.withinS - windowS + 1e-9; s += windowS / 3) {
    look(tS[0] + s);
    look(lastS - windowS - s);
  }
  return (best as { mean: Triple } | null)?.mean ?? NO_BIAS;
}

/**
 * Small sensors of phones are off by up to some 3° a second (data sheets, from memory). At rest all quarters of a stretch
 * say the same.
 */
const REST = { shortS: 0.4, withinS: 3, windowS: 1.5, mostBiasRadps: 3 / DEG, changeRadps: 0.8 / DEG } as const;

/** Bearings that go on past north instead of jumping a whole turn, in a column of their own. */
export const unwrapped = (column: Float64Array): Float64Array => unwrap(column.slice());
