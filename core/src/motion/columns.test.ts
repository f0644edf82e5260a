import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { largest, longestRun, smoothed } from './columns';

const column = (...values: number[]) => Float64Array.from(values);

describe('columns', () => {
  it('smooth to the mean over a window, passing over gaps', () => {
    expect([...smoothed(column(0, 3, 6, 9, 12), 3)]).toEqual([1.5, 3, 6, 9, 10.5]);
    expect([...smoothed(column(NaN, 2, NaN), 3)]).toEqual([2, 2, 2]);
    expect([...smoothed(column(NaN, NaN), 3)]).toEqual([NaN, NaN]);
  });
  it('smoothing stays between the least and the most', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -9, max: 9, noNaN: true }), { minLength: 1 }),
        fc.integer({ min: 1, max: 20 }),
        (values, window) => {
          for (const value of smoothed(Float64Array.from(values), window)) {
            expect(value).toBeGreaterThanOrEqual(Math.min(...values) - 1e-9);
            expect(value).toBeLessThanOrEqual(Math.max(...values) + 1e-9);
          }
        },
      ),
    );
  });
  it('find the largest and where something holds', () => {
    expect(largest(column(1, NaN, 4, 2))).toEqual({ value: 4, row: 2 });
    expect(largest(column(NaN))).toBeNull();
    expect(longestRun(5, (row) => row > 2)).toEqual({ row: 3, rows: 2, stretches: 1 });
    // A fence passes three times, longest the second time.
    expect(longestRun(12, (row) => [1, 4, 5, 6, 9].includes(row))).toEqual({ row: 4, rows: 3, stretches: 3 });
    expect(longestRun(5, () => false)).toBeNull();
  });
});
