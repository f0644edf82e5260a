import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded } from '../../motion';
import { type GreyFrame, WINDOW_PX } from './grey';
import { openCvTracker } from './open-cv';
import { Refiner, splineOf } from './refined';

const [WIDTH, HEIGHT] = [200, 120];

/** Waves in all directions, none shorter than so many pixels: known between the pixels as well. */
function waves(shortestPx: number, seed: number): (x: number, y: number) => number {
  const next = seeded(seed);
  const rows = Array.from({ length: 30 }, () => {
    const [turn, size] = [2 * Math.PI * next(), shortestPx * (1 + next())];
    return { x: Math.cos(turn) / size, y: Math.sin(turn) / size, from: 2 * Math.PI * next() };
  });
  return (x, y) =>
    128 + 12 * rows.reduce((sum, row) => sum + Math.sin(2 * Math.PI * (row.x * x + row.y * y) + row.from), 0);
}
const frame = (at: (x: number, y: number) => number): GreyFrame => ({
  widthPx: WIDTH,
  heightPx: HEIGHT,
  fullWidthPx: WIDTH,
  pixels: Uint8ClampedArray.from({ length: WIDTH * HEIGHT }, (_, k) => at(k % WIDTH, Math.floor(k / WIDTH))) as never,
});

describe('a spline through a picture', () => {
  it('goes through its pixels: at each the coefficients give (1, 4, 1)/6 of themselves (Unser 1999)', () => {
    const picture = frame(waves(5, 4));
    const of = splineOf(picture);
    const share = [1 / 6, 4 / 6, 1 / 6];
    let off = 0;
    for (let y = 1; y < HEIGHT - 1; y += 1)
      for (let x = 1; x < WIDTH - 1; x += 1) {
        let sum = 0;
        for (let dy = -1; dy <= 1; dy += 1)
          for (let dx = -1; dx <= 1; dx += 1) sum += share[dy + 1] * share[dx + 1] * of[(y + dy) * WIDTH + x + dx];
        off = Math.max(off, Math.abs(sum - picture.pixels[y * WIDTH + x]));
      }
    expect(off).toBeLessThan(0.01);
  });
});

describe('a point that was followed', () => {
  it('is found to 0.01 px, whatever part of a pixel it went, where it was put 0.1 px off', () => {
    const part = fc.double({ min: -2, max: 2, noNaN: true });
    fc.assert(
      fc.property(part, part, fc.integer({ min: 1, max: 1000 }), (right, down, seed) => {
        const at = waves(5, seed);
        const refiner = new Refiner(frame(at), splineOf(frame((x, y) => at(x - right, y - down))));
        const found = refiner.refine([80, 60], [80 + right + 0.07, 60 + down - 0.07]);
        const [x, y] = found.at;
        expect(found).toMatchObject({ isFound: true, isSure: true });
        expect(found.offPx).toBeLessThan(0.01);
        expect(Math.hypot(x - 80 - right, y - 60 - down)).toBeLessThan(0.01);
      }),
      { numRuns: 40 },
    );
  });
  it('stays where it was put at the edge of the picture, on what is bare, and where it would go far', () => {
    const at = waves(5, 7);
    const refiner = new Refiner(frame(at), splineOf(frame(at)));
    expect(refiner.refine([3, 60], [3.1, 60])).toEqual({
      at: [3.1, 60],
      offPx: NaN,
      isFound: false,
      isSure: true,
    });
    expect(refiner.refine([80, 60], [196, 60])).toMatchObject({ at: [196, 60], isFound: false });
    expect(refiner.refine([80, 60], [80.6, 60])).toMatchObject({ at: [80.6, 60], isFound: false });
    const bare = new Refiner(
      frame(() => 90),
      splineOf(frame(() => 90)),
    );
    expect(bare.refine([80, 60], [80.1, 60])).toEqual({
      at: [80.1, 60],
      offPx: Infinity,
      isFound: false,
      isSure: false,
    });
  });
  it('may be off by as much as it is, the noise in its pixels being what it may', () => {
    const offs: { told: number; off: number }[] = [];
    for (let seed = 1; seed <= 60; seed += 1) {
      const [at, noise] = [waves(8, seed), seeded(seed)];
      const noisy = (x: number, y: number) => at(x, y) + 40 * (noise() - 0.5);
      const refiner = new Refiner(frame(noisy), splineOf(frame(noisy)));
      const { at: found, offPx } = refiner.refine([80, 60], [80, 60]);
      offs.push({ told: offPx, off: Math.hypot(found[0] - 80, found[1] - 60) });
    }
    const rms = (of: (row: (typeof offs)[number]) => number) =>
      Math.sqrt(offs.reduce((sum, row) => sum + of(row) ** 2, 0) / offs.length);
    // Told along the worst direction, gone in both; and noise in what is followed counts as something to follow.
    expect(rms(({ off }) => off) / rms(({ told }) => told)).toBeGreaterThan(0.8);
    expect(rms(({ off }) => off) / rms(({ told }) => told)).toBeLessThan(1.6);
  });
  it.each([2, 20, 120])('may be off by 2 / 13 px in noise alone of %i grey steps', (steps) => {
    const noise = seeded(steps);
    const bare = () => frame(() => 128 + steps * (noise() - 0.5));
    const rows = Array.from({ length: 40 }, () => new Refiner(bare(), splineOf(bare())).refine([80, 60], [80, 60]));
    expect(rows.filter(({ isSure }) => isSure)).toHaveLength(0);
    const told = rows.map(({ offPx }) => offPx);
    told.sort((a, b) => a - b);
    // Sampling narrows it: the worst of two directions, over 169 pixels.
    expect((told[20] * WINDOW_PX) / 2).toBeGreaterThan(0.9);
    expect((told[20] * WINDOW_PX) / 2).toBeLessThan(1.3);
  });
  it('goes as many parts of a pixel as it went, with the tracker as a whole', async () => {
    const at = waves(5, 11);
    for (const wentPx of [0.125, 0.25, 0.5, 0.75, 1.25]) {
      const tracker = await openCvTracker();
      const { fromLast } = tracker.follow(
        frame(at),
        frame((x, y) => at(x - wentPx, y)),
      );
      tracker.close();
      const went = fromLast.map(({ from, to }) => to[0] - from[0]).sort((a, b) => a - b);
      // Interpolated straight they went 10 and 5% too far, as far, and 2% short: waves of 5 to 10 px.
      expect(Math.abs(went[went.length >> 1] / wentPx - 1), `${wentPx} px`).toBeLessThan(0.015);
    }
  });
});
