import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { airyDiscMm, excessStops, exposureValue, flickerOff, neutralDensity } from './exposure';
import { exposureTimeS } from './shutter';

const stops = fc.double({ min: 0, max: 10, noNaN: true });

describe('exposure', () => {
  // APEX, ISO 2720.
  it('f/16 at 1/100 s is EV 14.64', () => {
    expect(exposureValue(16, 1 / 100)).toBeCloseTo(14.64, 2);
  });
  // Optical density 0.3 is one stop.
  it('ND 1.8 is six stops and lets 1/64 through', () => {
    const six = neutralDensity(6);
    expect(six.density).toBeCloseTo(1.8, 12);
    expect(six.factor).toBe(64);
  });
  it('noon at 24 frames, 180°, f/2.8, ISO 100 has about six stops too many (full sun EV 15)', () => {
    expect(excessStops(15, 2.8, exposureTimeS(180, 24), 100)).toBeCloseTo(15 - Math.log2(2.8 ** 2 * 48), 12);
  });
  it('ND and shutter trade one to one in stops, and so do ISO and f-number', () => {
    fc.assert(
      fc.property(stops, fc.double({ min: 1.4, max: 16, noNaN: true }), (s, n) => {
        const t = 1 / 48;
        expect(excessStops(15, n, t / 2 ** s, 100)).toBeCloseTo(excessStops(15, n, t, 100) - s, 9);
        expect(excessStops(15, n, t, 100 * 2 ** s)).toBeCloseTo(excessStops(15, n, t, 100) + s, 9);
        expect(excessStops(15, n * 2 ** (s / 2), t, 100)).toBeCloseTo(excessStops(15, n, t, 100) - s, 9);
      }),
    );
  });
  it('the Airy disc reaches 0.030 mm near f/22', () => {
    expect(airyDiscMm(22)).toBeCloseTo(0.0295, 3);
  });
  it('1/50 s holds two whole pulses of 50 Hz lamps; 1/48 s nearly; 1/60 s does not, but does at 60 Hz', () => {
    expect(flickerOff(1 / 50, 50)).toBeCloseTo(0, 12);
    expect(flickerOff(1 / 48, 50)).toBeCloseTo(0.083, 3);
    expect(flickerOff(1 / 60, 50)).toBeCloseTo(0.333, 3);
    expect(flickerOff(1 / 60, 60)).toBeCloseTo(0, 12);
    expect(flickerOff(1 / 500, 50)).toBe(0.5);
  });
});
