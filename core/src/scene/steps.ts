import type { Step } from '../site';

/**
 * How far somebody steps at a speed, metres. Walking: step length grows with cadence at about 0.0064 m for each step a
 * minute (walk ratio, Sekiya & Nagasaki 1998, from memory), scaled by stature. Running, from about 2.1 m/s on (the usual
 * speed at which people begin to run, from memory): cadence grows slowly, so that the steps do.
 */
export function stepLengthM(speedMps: number, statureM: number): number {
  const tall = statureM / USUAL_STATURE_M;
  if (speedMps < RUNS_FROM_MPS * Math.sqrt(tall)) return Math.sqrt(60 * WALK_RATIO_M * speedMps * tall);
  const perMinute = (150 + 7 * speedMps) / Math.sqrt(tall);
  return (60 * speedMps) / perMinute;
}

const WALK_RATIO_M = 0.0064;
const USUAL_STATURE_M = 1.7;
export const RUNS_FROM_MPS = 2.1;
const TABLE_HZ = 24;

/** Where somebody is in a double step at a moment, from the way they go. */
export type StepAt = (tS: number) => Step;

/**
 * The steps of somebody whose place is known, worked out once from `fromS` to `toS`: how far through a double step
 * follows from the metres gone. `speedAt`: metres a second over the ground.
 */
export function stepsOf(speedAt: (tS: number) => number, statureM: number, fromS: number, toS: number): StepAt {
  const count = Math.max(2, Math.min(200_000, Math.ceil((toS - fromS) * TABLE_HZ) + 1));
  const through = new Float64Array(count);
  const stride = new Float64Array(count);
  const runs = new Uint8Array(count);
  for (let i = 0; i < count; i += 1) {
    const mps = speedAt(fromS + i / TABLE_HZ);
    const lengthM = stepLengthM(mps, statureM);
    stride[i] = lengthM / statureM;
    runs[i] = mps >= RUNS_FROM_MPS ? 1 : 0;
    if (i > 0 && lengthM > 0) through[i] = through[i - 1] + mps / TABLE_HZ / (2 * lengthM);
    else if (i > 0) through[i] = through[i - 1];
  }
  return (tS) => {
    const at = Math.min(count - 1, Math.max(0, (tS - fromS) * TABLE_HZ));
    const row = Math.min(count - 2, Math.floor(at));
    const share = at - row;
    const between = (column: Float64Array) => column[row] + (column[row + 1] - column[row]) * share;
    const turns = between(through);
    return { through: turns - Math.floor(turns), stride: between(stride), running: runs[row] === 1 };
  };
}
