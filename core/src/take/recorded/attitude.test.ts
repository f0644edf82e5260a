import { describe, expect, it } from 'vitest';
import { seeded } from '../../motion';
import { anglesOf, attitudesOf, GRAVITY_MPS2, writeAttitude } from './attitude';
import type { Columns3 } from './record';

const RATE = 100;
const RAD = Math.PI / 180;

/** A closed-form way of turning, degrees, and what ideal sensors fixed to it would read; noise and bias on top. */
function sensed(
  anglesAt: (tS: number) => [number, number, number],
  seconds: number,
  { noiseDegps = 0, biasDegps = [0, 0, 0], noiseMps2 = 0 } = {},
) {
  const count = Math.round(seconds * RATE) + 1;
  const tS = Float64Array.from({ length: count }, (_, i) => i / RATE);
  const next = seeded(3);
  const noise = (size: number) => size * (next() + next() + next() - 1.5) * 2;
  const three = (): Columns3 => [new Float64Array(count), new Float64Array(count), new Float64Array(count)];
  const [gyroRadps, accelMps2] = [three(), three()];
  const rows = new Float64Array(27);
  for (let i = 0; i < count; i += 1) {
    const h = 1e-4;
    for (const [k, s] of [tS[i] - h, tS[i], tS[i] + h].entries()) writeAttitude(rows, k, ...anglesAt(s));
    // Rᵀ·dR/dt of the closed form.
    const column = (k: number, axis: number) => [0, 1, 2].map((n) => rows[k * 9 + axis * 3 + n]);
    const change = (axis: number) => column(2, axis).map((v, n) => (v - column(0, axis)[n]) / (2 * h));
    const dot = (a: number[], b: number[]) => a.reduce((sum, v, n) => sum + v * b[n], 0);
    const [x, y, z] = [0, 1, 2].map((axis) => column(1, axis));
    const turning = [dot(z, change(1)), dot(x, change(2)), dot(y, change(0))];
    for (let k = 0; k < 3; k += 1) {
      gyroRadps[k][i] = turning[k] + (biasDegps[k] + noise(noiseDegps)) * RAD;
      accelMps2[k][i] = column(1, k)[2] * GRAVITY_MPS2 + noise(noiseMps2);
    }
  }
  return { tS, gyroRadps, accelMps2 };
}

const worst = (found: Float64Array, wanted: (i: number) => number) =>
  found.reduce((most, v, i) => Math.max(most, Math.abs(v - wanted(i))), 0);

describe('attitude', () => {
  it.each([
    [0, 0, 0],
    [73, -20, 5],
    [-160, 35, -12],
  ])('of a matrix at %d°, %d°, %d° reads those angles', (pan, tilt, roll) => {
    const rows = new Float64Array(9);
    writeAttitude(rows, 0, pan, tilt, roll);
    expect(anglesOf(rows).map(([v]) => v)).toEqual([pan, tilt, roll].map((v) => expect.closeTo(v, 9) as number));
  });

  // Closed-form rotations: begun at rest for two and a half seconds, then waves about all three axes.
  const wave = (s: number): [number, number, number] => {
    const go = Math.min(1, Math.max(0, s - 2.5)) ** 2;
    return [go * 40 * Math.sin(0.9 * s), go * 15 * Math.sin(1.3 * s) - 5, go * 4 * Math.sin(2.1 * s) + 1];
  };

  it('follows a closed-form rotation exactly where sensors are ideal', () => {
    const given = sensed(wave, 20);
    const [pan, tilt, roll] = anglesOf(attitudesOf(given).rows);
    expect(worst(pan, (i) => wave(given.tS[i])[0])).toBeLessThan(0.25);
    expect(worst(tilt, (i) => wave(given.tS[i])[1])).toBeLessThan(0.1);
    expect(worst(roll, (i) => wave(given.tS[i])[2])).toBeLessThan(0.1);
  });

  it('stays within 0.6° of tilt and roll, and 3.5° of bearing over a minute, with a phone’s noise and bias', () => {
    const given = sensed(wave, 60, { noiseDegps: 0.4, biasDegps: [0.8, -1.1, 0.6], noiseMps2: 0.08 });
    const { rows, biasRadps } = attitudesOf(given);
    const [pan, tilt, roll] = anglesOf(rows);
    expect(worst(tilt, (i) => wave(given.tS[i])[1])).toBeLessThan(0.6);
    expect(worst(roll, (i) => wave(given.tS[i])[2])).toBeLessThan(0.6);
    expect(worst(pan, (i) => wave(given.tS[i])[0])).toBeLessThan(3.5);
    expect(biasRadps[0] / RAD).toBeCloseTo(0.8, 0);
    expect(biasRadps[1] / RAD).toBeCloseTo(-1.1, 0);
  });

  it('goes on past north instead of jumping', () => {
    const given = sensed((s) => [40 * s, 0, 0], 20);
    const [pan] = anglesOf(attitudesOf(given).rows);
    expect(pan[pan.length - 1]).toBeCloseTo(800, -1);
  });

  it('without an accelerometer counts from level', () => {
    const { tS, gyroRadps } = sensed(wave, 10);
    const [, tilt] = anglesOf(attitudesOf({ tS, gyroRadps, accelMps2: null }).rows);
    // It began 5° down and leaning by 1°, which nothing told it.
    expect(worst(tilt, (i) => wave(tS[i])[1] + 5)).toBeLessThan(2.5);
  });
});
