import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { stripOf } from './ring-strip';

describe('the strip round a focus ring', () => {
  it('marks at one place are one line with all their numbers', () => {
    expect(stripOf([10, 40, 10.5], 1).places).toEqual([
      { atMm: 12, text: '1 3', row: 0 },
      { atMm: 42, text: '2', row: 0 },
    ]);
  });
  it('no two words lie on each other, and every mark is on it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 300, noNaN: true }), { minLength: 1, maxLength: 12 }),
        fc.double({ min: 0.2, max: 2, noNaN: true }),
        (degs, mmPerDeg) => {
          const { places, rows, lengthMm } = stripOf(degs, mmPerDeg);
          expect(places.flatMap(({ text }) => text.split(' ').map(Number)).sort((a, b) => a - b)).toEqual(
            degs.map((_, i) => i + 1),
          );
          for (const [i, a] of places.entries()) {
            expect(a.row).toBeLessThan(rows);
            expect(a.atMm).toBeLessThan(lengthMm);
            for (const b of places.slice(i + 1))
              if (a.row === b.row)
                expect(Math.abs(a.atMm - b.atMm)).toBeGreaterThan(((a.text.length + b.text.length) * 2.6) / 2);
          }
        },
      ),
    );
  });
});
