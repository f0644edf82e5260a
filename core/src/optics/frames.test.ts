import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_KIT } from '../model';
import { angleOfViewDeg } from './angle-of-view';
import { cropFactor, fromFullFrame, onFullFrame } from './formats';
import { aspectAfterBars, pixelChain } from './pixels';
import { distanceFromShareM, photographHeightMm, shareAtDistance, stacked, stackRatio } from './sizes';

const some = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('sensor formats', () => {
  const third = { widthMm: 17.3, heightMm: 13 };
  it('crop factor goes by the diagonal: 2.0 for 17.3 by 13 mm, 1 for full frame', () => {
    expect(cropFactor(third)).toBeCloseTo(2.0, 2);
    expect(cropFactor({ widthMm: 36, heightMm: 24 })).toBe(1);
  });
  it('an equivalent has the same angle of view over the diagonal, and goes there and back', () => {
    fc.assert(
      fc.property(some(8, 200), some(1.4, 16), some(5, 40), some(5, 30), (f, n, widthMm, heightMm) => {
        const frame = { widthMm, heightMm };
        const full = onFullFrame(frame, f, n);
        expect(angleOfViewDeg(Math.hypot(36, 24), full.focalLengthMm)).toBeCloseTo(
          angleOfViewDeg(Math.hypot(widthMm, heightMm), f),
          9,
        );
        const back = fromFullFrame(frame, full.focalLengthMm, full.fNumber);
        expect(back.focalLengthMm).toBeCloseTo(f, 9);
        expect(back.fNumber).toBeCloseTo(n, 9);
      }),
    );
  });
});

describe('pixels', () => {
  const [heron] = DEFAULT_KIT.cameras;
  const delivery = { widthPx: 3840, heightPx: 2160, alsoShape: 'none' as const };
  // 16:9 with 7% off top and bottom leaves about 2.07:1.
  it('16:9 with 7% off top and bottom is 2.067:1', () => {
    expect(aspectAfterBars(16 / 9, 0.07)).toBeCloseTo(2.067, 3);
  });
  it('each step leaves part of the one before, and none is larger', () => {
    fc.assert(
      fc.property(
        some(0, 0.3),
        some(1, 4),
        fc.constantFrom('none' as const, 'upright' as const, 'square' as const),
        (stabilisingShare, enlargement, alsoShape) => {
          const { steps, perDelivered } = pixelChain(
            heron,
            { ...delivery, alsoShape },
            { stabilisingShare, enlargement },
          );
          for (let i = 1; i < steps.length; i += 1) {
            expect(steps[i].widthPx).toBeLessThanOrEqual(steps[i - 1].widthPx + 1e-9);
            expect(steps[i].heightPx).toBeLessThanOrEqual(steps[i - 1].heightPx + 1e-9);
          }
          expect(perDelivered).toBeCloseTo(((6000 / 3840) * (1 - stabilisingShare)) / enlargement, 2);
        },
      ),
    );
  });
  it('an upright cut out of a wide picture keeps its height: 9/16 of it across', () => {
    const { steps, alsoPerDelivered } = pixelChain(
      heron,
      { ...delivery, alsoShape: 'upright' },
      { stabilisingShare: 0, enlargement: 1 },
    );
    const also = steps[steps.length - 1];
    expect(also.widthPx / also.heightPx).toBeCloseTo(9 / 16, 9);
    expect(also.heightPx).toBeCloseTo(6000 / (16 / 9), 0);
    expect(alsoPerDelivered).toBeCloseTo(3375 / 3840, 2);
  });
});

describe('sizes and distances', () => {
  it('a 1.7 m figure that fills half of a 20.25 mm high frame at 35 mm stands 5.88 m away, and the reverse', () => {
    expect(distanceFromShareM(1.7, 0.5, 35, 20.25)).toBeCloseTo(5.877, 3);
    fc.assert(
      fc.property(some(0.1, 20), some(0.01, 2), some(8, 300), (heightM, share, f) => {
        expect(shareAtDistance(heightM, distanceFromShareM(heightM, share, f, 20), f, 20)).toBeCloseTo(share, 9);
      }),
    );
  });
  it('of a photograph the side that was cut counts, level and upright', () => {
    const sensor = { widthMm: 36, heightMm: 24 };
    expect(photographHeightMm(sensor, 3 / 2)).toBeCloseTo(24, 9);
    // 16:9 from 3:2 loses top and bottom: 36 · 9/16 high.
    expect(photographHeightMm(sensor, 16 / 9)).toBeCloseTo(20.25, 9);
    expect(photographHeightMm(sensor, 2 / 3)).toBeCloseTo(36, 9);
    // Upright 4:5 keeps the whole 24 across: 30 high; 9:16 keeps the whole 36.
    expect(photographHeightMm(sensor, 4 / 5)).toBeCloseTo(30, 9);
    expect(photographHeightMm(sensor, 9 / 16)).toBeCloseTo(36, 9);
  });
  it('two things look the more alike the farther off one goes', () => {
    expect(stackRatio(5, 5)).toBe(2);
    expect(stackRatio(50, 5)).toBeCloseTo(1.1, 9);
    fc.assert(
      fc.property(some(0.5, 50), some(1.02, 3), some(0.5, 10), some(0.1, 1), (betweenM, ratio, heightM, share) => {
        const { toNearerM, focalLengthMm } = stacked(betweenM, ratio, heightM, share, 20.25);
        expect(stackRatio(toNearerM, betweenM)).toBeCloseTo(ratio, 9);
        expect(shareAtDistance(heightM, toNearerM, focalLengthMm, 20.25)).toBeCloseTo(share, 9);
      }),
    );
  });
});
