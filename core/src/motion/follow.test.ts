import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DAMPING, followed } from './follow';

const LOOSE = { deadBandDeg: 0, rateMaxDegps: 1000 };
const step = (count: number, at: number, deg: number) =>
  Float64Array.from({ length: count }, (_, i) => (i >= at ? deg : 0));

describe('a head that follows', () => {
  // Second-order step response, any control-engineering text: 1 − e^(−ζωt) (cos ω_d t + ζ/√(1−ζ²) sin ω_d t).
  it('answers a step by the closed form, at any row rate', () => {
    const smoothingS = 0.4;
    const omega = (2 * DAMPING) / smoothingS;
    const damped = omega * Math.sqrt(1 - DAMPING ** 2);
    for (const rateHz of [24, 60, 240, 4800]) {
      // Between rows the direction runs straight: the step is a ramp of one row, so the response is the mean of the two
      // steps at its ends in the limit.
      const x = followed(step(6 * rateHz, 3, 10), rateHz, { ...LOOSE, smoothingS });
      const worst = Math.max(
        ...Array.from(x, (deg, i) => {
          const t = Math.max(0, (i - 2.5) / rateHz);
          const exact =
            i < 3
              ? 0
              : 10 *
                (1 -
                  Math.exp(-DAMPING * omega * t) *
                    (Math.cos(damped * t) + (DAMPING / Math.sqrt(1 - DAMPING ** 2)) * Math.sin(damped * t)));
          return i < 3 ? 0 : Math.abs(deg - exact);
        }),
      );
      expect(worst).toBeLessThan(4 / rateHz);
    }
  });
  it('overshoots a sudden stop by e^(−πζ/√(1−ζ²))', () => {
    const x = followed(step(4000, 3, 1), 1000, { ...LOOSE, smoothingS: 0.3 });
    expect(Math.max(...x) - 1).toBeCloseTo(Math.exp((-Math.PI * DAMPING) / Math.sqrt(1 - DAMPING ** 2)), 3);
  });
  it('runs behind a steady turn by its smoothing time', () => {
    const turn = Float64Array.from({ length: 600 }, (_, i) => (20 * i) / 60);
    const x = followed(turn, 60, { ...LOOSE, smoothingS: 0.5 });
    expect(turn[599] - x[599]).toBeCloseTo(20 * 0.5, 6);
  });
  it('does not stir within the dead band, and stays that far behind outside it', () => {
    expect(Math.max(...followed(step(100, 5, 2), 60, { ...LOOSE, smoothingS: 0, deadBandDeg: 2 }))).toBe(0);
    expect(followed(step(100, 5, 9), 60, { ...LOOSE, smoothingS: 0, deadBandDeg: 2 })[99]).toBeCloseTo(7, 9);
  });
  it('turns no faster than its limit, and gets there all the same', () => {
    for (const smoothingS of [0, 0.3]) {
      const x = followed(step(200, 1, 60), 50, { smoothingS, deadBandDeg: 0, rateMaxDegps: 40 });
      expect(Math.max(...Array.from(x.slice(1), (deg, i) => (deg - x[i]) * 50))).toBeLessThanOrEqual(40 + 1e-9);
      expect(x[199]).toBeCloseTo(60, 1);
    }
  });
  it('without smoothing is the direction itself', () => {
    const turn = Float64Array.from({ length: 50 }, (_, i) => Math.sin(i / 9) * 20);
    followed(turn, 60, { ...LOOSE, smoothingS: 0 }).forEach((deg, i) => expect(deg).toBeCloseTo(turn[i], 12));
  });
  it('is at the rows of a lapse where it is at those of a film that goes the same way', () => {
    const degrees = fc.array(fc.double({ min: -40, max: 40, noNaN: true }), { minLength: 3, maxLength: 12 });
    const following = fc.record({
      smoothingS: fc.double({ min: 0, max: 1.5, noNaN: true }),
      deadBandDeg: fc.double({ min: 0, max: 5, noNaN: true }),
      rateMaxDegps: fc.double({ min: 5, max: 120, noNaN: true }),
    });
    fc.assert(
      fc.property(degrees, fc.integer({ min: 1, max: 10 }), following, (rows, apartS, of) => {
        const fine = 24 * apartS;
        const film = Float64Array.from({ length: (rows.length - 1) * fine + 1 }, (_, k) => {
          const [i, share] = [Math.floor(k / fine), (k % fine) / fine];
          return share === 0 ? rows[i] : rows[i] + (rows[i + 1] - rows[i]) * share;
        });
        const [coarse, all] = [followed(Float64Array.from(rows), 1 / apartS, of), followed(film, 24, of)];
        const off = Array.from(coarse, (deg, i) => Math.abs(deg - all[i * fine]));
        expect(Math.max(...off)).toBeLessThan(0.05);
      }),
    );
  });
});
