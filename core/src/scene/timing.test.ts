import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FEATHER_SHAPES, type Timing } from '../model';
import { FEATHERS } from './feather';
import { paceOf } from './timing';

const timing = (more: Partial<Timing> = {}): Timing => ({
  durationS: 2,
  holdStartS: 0,
  featherInS: 1,
  featherOutS: 1,
  holdEndS: 0,
  featherShape: 'minimumJerk',
  ...more,
});
const timings = fc
  .record({
    hold: fc.double({ min: 0, max: 2, noNaN: true }),
    featherInS: fc.double({ min: 0, max: 3, noNaN: true }),
    cruise: fc.double({ min: 0.1, max: 8, noNaN: true }),
    featherOutS: fc.double({ min: 0, max: 3, noNaN: true }),
    holdEndS: fc.double({ min: 0, max: 2, noNaN: true }),
    featherShape: fc.constantFrom(...FEATHER_SHAPES),
  })
  .map(({ hold, cruise, ...rest }): Timing => ({
    ...rest,
    holdStartS: hold,
    durationS: hold + rest.featherInS + cruise + rest.featherOutS + rest.holdEndS,
  }));

describe('a move that is all feather', () => {
  const pace = paceOf(timing());
  it('is the minimum-jerk stroke 10τ³ − 15τ⁴ + 6τ⁵ (Flash & Hogan 1985, J. Neurosci. 5(7))', () => {
    for (let tau = 0; tau <= 1; tau += 0.01)
      expect(pace.at(2 * tau)).toBeCloseTo(10 * tau ** 3 - 15 * tau ** 4 + 6 * tau ** 5, 12);
  });
  it('peaks at 1.875 times the mean speed', () => {
    const step = 1e-5;
    expect(((pace.at(1 + step) - pace.at(1 - step)) / (2 * step)) * 2).toBeCloseTo(1.875, 6);
  });
  it('has a squared-jerk integral of 720 D²/T⁵', () => {
    const [h, from] = [1e-3, 2e-3];
    let sum = 0;
    for (let t = from; t <= 2 - from; t += h) {
      const jerk = (pace.at(t + 2 * h) - 2 * pace.at(t + h) + 2 * pace.at(t - h) - pace.at(t - 2 * h)) / (2 * h ** 3);
      sum += jerk * jerk * h;
    }
    expect(sum / (720 / 2 ** 5)).toBeCloseTo(1, 1);
  });
});

describe('feathers', () => {
  it.each(FEATHER_SHAPES)(
    '%s rises from rest to cruising speed, and its distance is the integral of its speed',
    (shape) => {
      const { speed, distance, area, peakSlope } = FEATHERS[shape];
      expect(speed(0)).toBeCloseTo(0, 12);
      expect(speed(1)).toBeCloseTo(1, 12);
      expect(distance(1)).toBeCloseTo(area, 12);
      let covered = 0;
      let steepest = 0;
      const n = 4000;
      for (let i = 0; i < n; i += 1) {
        covered += (speed(i / n) + speed((i + 1) / n)) / 2 / n;
        steepest = Math.max(steepest, (speed((i + 1) / n) - speed(i / n)) * n);
      }
      expect(covered).toBeCloseTo(area, 6);
      expect(steepest).toBeCloseTo(peakSlope, 3);
    },
  );
});

describe('pace', () => {
  it('never changes the end points, never runs backwards and never jumps', () => {
    fc.assert(
      fc.property(timings, (given) => {
        const pace = paceOf(given);
        expect(pace.at(0)).toBe(0);
        expect(pace.at(given.durationS)).toBeCloseTo(1, 12);
        const at = Array.from({ length: 501 }, (_, i) => pace.at((i / 500) * given.durationS));
        const steps = at.map((now, i) => now - (at[i - 1] ?? 0));
        expect(Math.min(...steps)).toBeGreaterThanOrEqual(-1e-12);
        expect(Math.max(...steps)).toBeLessThan(0.25);
      }),
    );
  });
  it('rests during the holds', () => {
    const pace = paceOf(timing({ durationS: 5, holdStartS: 1, holdEndS: 2 }));
    expect(pace.at(1)).toBe(0);
    expect(pace.at(3)).toBe(1);
    expect(pace.at(2)).toBeCloseTo(0.5, 12);
  });
});
