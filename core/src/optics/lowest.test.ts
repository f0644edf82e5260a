import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lowestBetween } from './lowest';

describe('the lowest point of a function that falls and rises once', () => {
  it('is found wherever it lies, the ends included', () => {
    const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(num(0, 10), num(0.1, 5), (at, steepness) => {
        expect(lowestBetween(0, 10, 1e-7, (x) => steepness * (x - at) ** 2 + 3)).toBeCloseTo(at, 5);
        expect(lowestBetween(0, 10, 1e-9, (x) => steepness * Math.abs(x - at))).toBeCloseTo(at, 7);
      }),
    );
  });
  it('is an end where the function only falls', () => {
    expect(lowestBetween(2, 5, 1e-9, (x) => -x)).toBeCloseTo(5, 7);
  });
});
