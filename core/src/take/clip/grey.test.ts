import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drawnWidthPx, followedWidthPx, greyOf, greyOfLuma } from './grey';

describe('a picture in grey', () => {
  it('is the same of its luma as of its colours, in both ranges, wherever rows begin', () => {
    const sizes = fc.record({
      widthPx: fc.integer({ min: 1, max: 1100 }),
      heightPx: fc.integer({ min: 1, max: 9 }),
      more: fc.integer({ min: 0, max: 40 }),
      fullRange: fc.boolean(),
      seed: fc.integer({ min: 1, max: 1e6 }),
    });
    fc.assert(
      fc.property(sizes, ({ widthPx, heightPx, more, fullRange, seed }) => {
        const strideBytes = widthPx + more;
        // 16 to 235 in limited range: black to white. ITU-R BT.709 writes grey of 0 to 255 as 16 + 219 · grey / 255.
        const written = (k: number) => 16 + ((k * 7919 + seed) % 220);
        const pixels = Uint8Array.from({ length: strideBytes * heightPx }, (_, k) => written(k));
        const shown = (v: number) => (fullRange ? v : ((v - 16) * 255) / 219);
        const grey = Array.from({ length: widthPx * heightPx }, (_, k) =>
          shown(pixels[Math.floor(k / widthPx) * strideBytes + (k % widthPx)]),
        );
        const [luma, colours] = [
          greyOfLuma({ pixels, strideBytes, widthPx, heightPx, fullRange }),
          greyOf(grey, widthPx, heightPx, 1),
        ];
        expect([luma.widthPx, luma.heightPx, luma.fullWidthPx]).toEqual([colours.widthPx, colours.heightPx, widthPx]);
        const apart = Array.from(luma.pixels, (value, k) => Math.abs(value - colours.pixels[k]));
        expect(Math.max(...apart)).toBeLessThanOrEqual(1);
      }),
      { numRuns: 60 },
    );
  });
  it('is at most 480 wide, and drawn twice as wide as it is followed where that is no more than it is', () => {
    const sizes = [1, 320, 480, 481, 640, 960, 1280, 1920, 3840, 7680];
    expect(sizes.map(followedWidthPx)).toEqual([1, 320, 480, 240, 320, 480, 426, 480, 480, 480]);
    expect(sizes.map(drawnWidthPx)).toEqual([1, 320, 480, 481, 640, 960, 852, 960, 960, 960]);
    // Drawn so wide it is followed as wide as when it is read as it is.
    for (const width of sizes) expect(followedWidthPx(drawnWidthPx(width))).toBe(followedWidthPx(width));
  });
  it('beyond black and white is black and white', () => {
    const grey = greyOfLuma({
      pixels: Uint8Array.from([3, 16, 235, 255]),
      strideBytes: 4,
      widthPx: 4,
      heightPx: 1,
      fullRange: false,
    });
    expect([...grey.pixels]).toEqual([0, 0, 255, 255]);
  });
});
