import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { num } from '../testing/any-move';
import { naturalSpline } from './spline';
import { evenly } from './track';

const points = fc
  .array(fc.tuple(num(-20, 20), num(-20, 20), num(0, 5)), { minLength: 2, maxLength: 9 })
  .filter((rows) =>
    rows.every((row, i) => i === 0 || Math.hypot(row[0] - rows[i - 1][0], row[1] - rows[i - 1][1]) > 0.2),
  );
const at = (spline: ReturnType<typeof naturalSpline>, u: number) => {
  const out = new Float64Array(3);
  spline.at(u, out, 0);
  return out;
};

describe('a natural cubic spline', () => {
  it('runs through every point', () => {
    fc.assert(
      fc.property(points, (rows) => {
        const spline = naturalSpline(rows, 3);
        rows.forEach((row, i) =>
          row.forEach((value, axis) => expect(at(spline, spline.knots[i])[axis]).toBeCloseTo(value, 9)),
        );
      }),
    );
  });
  it('has no step in slope or bend at its points, and no bend at its ends', () => {
    fc.assert(
      fc.property(points, (rows) => {
        const spline = naturalSpline(rows, 3);
        const h = 1e-4;
        const bend = (u: number, axis: number) =>
          (at(spline, u + h)[axis] - 2 * at(spline, u)[axis] + at(spline, u - h)[axis]) / (h * h);
        for (let axis = 0; axis < 3; axis += 1) {
          const scale = Math.max(...spline.knots.slice(1, -1).map((u) => Math.abs(bend(u, axis))), 1);
          for (const u of spline.knots.slice(1, -1))
            expect(Math.abs(bend(u - 2 * h, axis) - bend(u + 2 * h, axis)) / scale).toBeLessThan(0.2);
          expect(Math.abs(bend(h, axis)) / scale).toBeLessThan(0.2);
        }
      }),
      { numRuns: 60 },
    );
  });
  it('through two points is a straight line; fewer are refused', () => {
    const line = naturalSpline(
      [
        [0, 0, 0],
        [4, 2, 1],
      ],
      3,
    );
    expect([...at(line, 0.25)]).toEqual([1, 0.5, 0.25]);
    expect(() => naturalSpline([[0, 0, 0]], 3)).toThrow(RangeError);
  });
  it('travelled evenly goes as far in each tenth of its time', () => {
    fc.assert(
      fc.property(points, (rows) => {
        const spline = naturalSpline(rows, 3);
        const track = evenly((u, out, offset) => spline.at(u, out, offset));
        const place = (s: number) => {
          const out = new Float64Array(3);
          track.write(s, 0, out);
          return out;
        };
        const legs = Array.from({ length: 20 }, (_, k) => {
          let lengthM = 0;
          for (let i = 0; i < 60; i += 1) {
            const [a, b] = [place((k + i / 60) / 20), place((k + (i + 1) / 60) / 20)];
            lengthM += Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2]);
          }
          return lengthM;
        });
        const mean = legs.reduce((a, b) => a + b, 0) / legs.length;
        for (const lengthM of legs) expect(Math.abs(lengthM / mean - 1)).toBeLessThan(0.03);
      }),
      { numRuns: 40 },
    );
  });
});
