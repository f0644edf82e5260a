import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blurDiscMm, depthOfField, hyperfocalM } from './depth-of-field';

describe('depth of field', () => {
  // S. F. Ray, Applied Photographic Optics (from memory): the table in docs/checks.md.
  it('agrees with the handbook: 50 mm at f/2.8 on 3 m, 35 mm at f/5.6 on 3 m, circle 0.030 mm', () => {
    expect(hyperfocalM(50, 2.8, 0.03)).toBeCloseTo(29.81, 2);
    const fifty = depthOfField(50, 2.8, 0.03, 3);
    expect(fifty.nearM).toBeCloseTo(2.729, 3);
    expect(fifty.farM).toBeCloseTo(3.33, 3);
    const wide = depthOfField(35, 5.6, 0.03, 3);
    expect(wide.nearM).toBeCloseTo(2.133, 3);
    expect(wide.farM).toBeCloseTo(5.056, 3);
  });
  it('ends where the blur disc reaches the circle of confusion', () => {
    const mm = fc.double({ min: 14, max: 200, noNaN: true });
    fc.assert(
      fc.property(
        mm,
        fc.double({ min: 1.4, max: 16, noNaN: true }),
        fc.double({ min: 0.5, max: 30, noNaN: true }),
        (f, n, focusM) => {
          const { nearM, farM } = depthOfField(f, n, 0.03, focusM);
          expect(blurDiscMm(f, n, focusM, nearM)).toBeCloseTo(0.03, 9);
          if (Number.isFinite(farM)) expect(blurDiscMm(f, n, focusM, farM)).toBeCloseTo(0.03, 9);
          expect(blurDiscMm(f, n, focusM, focusM)).toBe(0);
        },
      ),
    );
  });
  it('never ends from the hyperfocal distance on, and nothing is sharp inside the focal length', () => {
    expect(depthOfField(24, 8, 0.03, 10).farM).toBe(Infinity);
    expect(blurDiscMm(50, 2.8, 0.04, 3)).toBe(Infinity);
  });
});
