import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { newShoot, ShootSchema } from '../model';
import { addUnderlay, changeUnderlay, fittedUnderlay, removeUnderlay } from './underlays';
import { patchBetween, patched } from './patch';

const PIXEL = 'data:image/png;base64,iVBORw0KGgo=';
const laid = addUnderlay(
  newShoot('s', 'S', 'one'),
  { id: 'u', name: 'Survey', image: PIXEL, widthPx: 800, heightPx: 600 },
  3,
  -2,
);
const [underlay] = laid.site.underlays;
const metres = fc.integer({ min: -300, max: 300 }).map((n) => n / 10);

/** Where a pixel of a picture lies on the site. */
function pixelAt({ xM, yM, mPerPx, turnDeg, widthPx, heightPx }: typeof underlay, px: number, py: number) {
  const [right, up] = [(px - widthPx / 2) * mPerPx, (heightPx / 2 - py) * mPerPx];
  const [sin, cos] = [Math.sin((turnDeg * Math.PI) / 180), Math.cos((turnDeg * Math.PI) / 180)];
  return { xM: xM + right * cos + up * sin, yM: yM + up * cos - right * sin };
}

describe('a picture under the plan', () => {
  it('set by two of its pixels, they lie as far apart and in the direction that was said, the first where it was', () => {
    const pixel = fc.tuple(fc.integer({ min: 0, max: 800 }), fc.integer({ min: 0, max: 600 }));
    fc.assert(
      fc.property(
        pixel,
        pixel,
        metres,
        fc.integer({ min: 0, max: 359 }),
        metres,
        (a, b, length, bearingDeg, turnDeg) => {
          fc.pre(Math.hypot(a[0] - b[0], a[1] - b[1]) > 20);
          const lengthM = Math.abs(length) + 1;
          const start = { ...underlay, turnDeg };
          const [from, to] = [pixelAt(start, ...a), pixelAt(start, ...b)];
          const fitted = { ...start, ...fittedUnderlay(start, from, to, { lengthM, bearingDeg }) };
          const [newFrom, newTo] = [pixelAt(fitted, ...a), pixelAt(fitted, ...b)];
          // The middle is kept to a centimetre.
          expect(Math.hypot(newFrom.xM - from.xM, newFrom.yM - from.yM)).toBeLessThan(0.05);
          const [dx, dy] = [newTo.xM - newFrom.xM, newTo.yM - newFrom.yM];
          expect(Math.hypot(dx, dy)).toBeCloseTo(lengthM, 3);
          expect(dx).toBeCloseTo(lengthM * Math.sin((bearingDeg * Math.PI) / 180), 1);
          expect(dy).toBeCloseTo(lengthM * Math.cos((bearingDeg * Math.PI) / 180), 1);
        },
      ),
    );
  });
  it('one point is no line', () => {
    expect(fittedUnderlay(underlay, { xM: 1, yM: 1 }, { xM: 1, yM: 1 }, { lengthM: 5, bearingDeg: 0 })).toBeNull();
  });
  it('is part of the file, and goes to a worker only when it changes', () => {
    expect(ShootSchema.safeParse(laid).success).toBe(true);
    const moved = { ...laid, name: 'T' };
    expect(JSON.stringify(patchBetween(laid, moved))).not.toContain('base64');
    const stronger = changeUnderlay(laid, 'u', { opacity: 1 });
    const patch = patchBetween(laid, stronger);
    expect(patch && patched(laid, patch)).toEqual(stronger);
    expect(removeUnderlay(laid, 'u').site.underlays).toEqual([]);
  });
  it('nothing but a small picture is taken', () => {
    for (const image of [
      'https://example.org/x.png',
      'data:text/html;base64,AAAA',
      `data:image/png;base64,${'A'.repeat(400_000)}`,
    ])
      expect(ShootSchema.safeParse(changeUnderlay(laid, 'u', { image })).success).toBe(false);
  });
});
