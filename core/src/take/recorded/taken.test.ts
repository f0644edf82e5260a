import { describe, expect, it } from 'vitest';
import { RecordedSchema } from '../../model';
import { GRAVITY_MPS2 } from './attitude';
import { recordNotes } from './notes';
import { emptyRecord, inCameraAxes } from './record';
import { bandRms, inBand, powerSpectrum, strongest } from './spectrum';
import { fromKeptTaken, takenFrom, toKeepTaken } from './taken';

const times = (seconds: number, rateHz: number) =>
  Float64Array.from({ length: Math.round(seconds * rateHz) + 1 }, (_, i) => i / rateHz);
const zeros = (tS: Float64Array) => new Float64Array(tS.length);
const sine = (tS: Float64Array, hz: number, size: number) => tS.map((s) => size * Math.sin(2 * Math.PI * hz * s));

describe('spectra', () => {
  const tS = times(20, 100);
  it('have the root mean square of a wave in its band and none beside it', () => {
    const spectrum = powerSpectrum(sine(tS, 7.3, 2), 100);
    if (!spectrum) throw new Error('no spectrum');
    expect(bandRms(spectrum, 5, 10)).toBeCloseTo(Math.SQRT2, 1);
    expect(bandRms(spectrum, 12, 30)).toBeLessThan(0.01);
    expect(strongest(spectrum, 3, 12)?.hz).toBeCloseTo(7.3, 1);
  });
  it('integrate an acceleration twice to its displacement', () => {
    const [hz, sizeM] = [1.9, 0.022];
    const up = inBand(sine(tS, hz, -sizeM * (2 * Math.PI * hz) ** 2), 100, 0.8, 4, 2);
    const wanted = sine(tS, hz, sizeM);
    for (let i = 200; i < up.length - 200; i += 50) expect(up[i]).toBeCloseTo(wanted[i], 3);
  });
  it('keep a ramp out of a band above it, to its ends', () => {
    const band = inBand(
      tS.map((s) => 3 * s),
      100,
      4,
      12,
    );
    expect(band.every((v) => Math.abs(v) < 1e-6)).toBe(true);
  });
});

describe('a recording of sensors', () => {
  /** A level walk: steps at 1.8 a second, 30 mm peak to peak, hands that tremble at 8 Hz. */
  const tS = times(12, 100);
  const record = emptyRecord('file', 'walk', tS);
  record.accelMps2 = [
    zeros(tS),
    sine(tS, 1.8, -0.015 * (2 * Math.PI * 1.8) ** 2).map((v) => v + GRAVITY_MPS2),
    zeros(tS),
  ];
  record.gyroRadps = [sine(tS, 8, 0.1), zeros(tS), zeros(tS)];

  it('tells bob, steps and trembling', () => {
    const taken = takenFrom(record);
    const spectrum = powerSpectrum(taken.bobM ?? zeros(tS), taken.rateHz, 6);
    expect(spectrum && strongest(spectrum, 0.8, 4)?.hz).toBeCloseTo(1.8, 1);
    expect(spectrum && bandRms(spectrum, 0.8, 4) * 2 * Math.SQRT2).toBeCloseTo(0.03, 2);
    // Rates of 0.1 rad/s at 8 Hz are angles of 0.1/(2π·8) rad.
    expect(taken.tremor?.deg).toBeCloseTo(((0.1 / (2 * Math.PI * 8)) * (180 / Math.PI)) / Math.SQRT2, 2);
    expect(taken.tremor?.hz).toBeCloseTo(8, 0);
    expect(taken.tiltDeg?.every((v) => Math.abs(v) < 1)).toBe(true);
  });
  it('comes back as it was kept, to what is kept of it', () => {
    const taken = takenFrom(record);
    const kept = RecordedSchema.parse(JSON.parse(JSON.stringify(toKeepTaken(taken, 2, 8))));
    const back = fromKeptTaken(kept);
    expect(back.count / back.rateHz).toBeCloseTo(6, 1);
    expect(back.bobM?.[50]).toBeCloseTo(taken.bobM?.[Math.round((2 + 50 / back.rateHz) * taken.rateHz)] ?? NaN, 3);
    expect(back.tremor).toEqual(taken.tremor);
    expect(back.xM).toBeNull();
  });
  it('has up where up is, however the phone is fixed', () => {
    const flat = inCameraAxes([zeros(tS), zeros(tS), zeros(tS).fill(9.8)], 'flat');
    expect(flat.map(([v]) => Math.round(v * 10) / 10 + 0)).toEqual([0, 9.8, 0]);
    const sideways = inCameraAxes([zeros(tS).fill(9.8), zeros(tS), zeros(tS)], 'sideways');
    expect(sideways.map(([v]) => Math.round(v * 10) / 10 + 0)).toEqual([0, 9.8, 0]);
  });
  it('says what it cannot be trusted in', () => {
    expect(recordNotes(record)).toEqual([]);
    const gap = { ...record, tS: tS.map((s) => (s > 4 ? s + 2 : s)) };
    expect(recordNotes(gap)[0]).toMatch(/^2\.01 s are missing from 4 s on/);
    const clipped = sine(tS, 1, 8).map((v) => Math.min(4, Math.max(-4, v)));
    expect(recordNotes({ ...record, gyroRadps: [clipped, zeros(tS), zeros(tS)] })[0]).toMatch(/gyroscope.* at its end/);
    expect(recordNotes({ ...record, accelMps2: [zeros(tS), zeros(tS), zeros(tS)] })[0]).toMatch(/^Gravity is missing/);
  });
  it('of one row, or of nothing, is refused with a sentence', () => {
    expect(() => takenFrom(emptyRecord('file', 'x', Float64Array.of(0)))).toThrow('at least two rows');
    expect(() => takenFrom(emptyRecord('file', 'x', tS))).toThrow('nothing that tells of motion');
  });
});
