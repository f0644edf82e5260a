import { describe, expect, it } from 'vitest';
import { seeded } from '../../motion';
import type { GreyFrame } from './grey';
import { likeTheRest, openCvTracker } from './open-cv';
import type { Went } from './tracker';

const [WIDTH, HEIGHT] = [320, 180];

/** Soft grains that are the same wherever they are looked at. */
function grains(seed: number) {
  const next = seeded(seed);
  const waves = Array.from({ length: 24 }, () => {
    const [turn, size] = [2 * Math.PI * next(), 6 + 30 * next()];
    return { x: Math.cos(turn) / size, y: Math.sin(turn) / size, from: 2 * Math.PI * next() };
  });
  return (x: number, y: number) =>
    128 + 12 * waves.reduce((sum, wave) => sum + Math.sin(2 * Math.PI * (wave.x * x + wave.y * y) + wave.from), 0);
}
const [behind, before] = [grains(3), grains(11)];

/** A pane of something near that goes right across what rests behind it, with noise in every pixel. */
function picture(rightPx: number, seed: number): GreyFrame {
  const noise = seeded(seed);
  const pixels = Uint8Array.from({ length: WIDTH * HEIGHT }, (_, k) => {
    const [x, y] = [k % WIDTH, Math.floor(k / WIDTH)];
    const at = x - rightPx;
    const near = at > 120 && at < 200;
    return Math.max(0, Math.min(255, (near ? before(at, y) : behind(x, y)) + 4 * (noise() - 0.5)));
  });
  return { widthPx: WIDTH, heightPx: HEIGHT, fullWidthPx: WIDTH, pixels };
}

const rightwards = (went: readonly Went[]) => went.map(({ from, to }) => to[0] - from[0]);

describe('places that are followed', () => {
  it('are few at an edge between two motions, and go with the one or the other elsewhere', async () => {
    const tracker = await openCvTracker();
    const { fromLast } = tracker.follow(picture(0, 1), picture(3, 2));
    tracker.close();
    expect(fromLast.length).toBeGreaterThan(60);
    const between = rightwards(fromLast).filter((went) => Math.min(Math.abs(went), Math.abs(went - 3)) > 0.3);
    // Of all places that come back to where they were it is 4%.
    expect(between.length / fromLast.length).toBeLessThan(0.015);
  });
  it('are hardly any in a sky that holds nothing but noise', async () => {
    const tracker = await openCvTracker();
    // As soft as what compressing leaves of it: half of it stays for a picture, half is another one.
    const sky = (number: number): GreyFrame => {
      const [some, other] = [grains(100 + number), grains(101 + number)];
      const pixels = Uint8Array.from({ length: WIDTH * HEIGHT }, (_, k) => {
        const [x, y] = [k % WIDTH, Math.floor(k / WIDTH)];
        return 190 + (some(x, y) + other(x, y) - 256) / 30;
      });
      return { widthPx: WIDTH, heightPx: HEIGHT, fullWidthPx: WIDTH, pixels };
    };
    let count = 0;
    const skies = Array.from({ length: 9 }, (_, number) => sky(number + 1));
    for (let i = 0; i < 8; i += 1) {
      const { fromLast, fromLastButOne } = tracker.follow(skies[i], skies[i + 1]);
      count += fromLast.length + fromLastButOne.length;
    }
    tracker.close();
    // Of those that come back to where they were: 144.
    expect(count).toBeLessThan(40);
  });
  it('go over two pictures where they go slowly, from the one before where they go fast', async () => {
    const tracker = await openCvTracker();
    // The pane goes 3 px a picture, what is behind it rests.
    const pictures = [0, 3, 6, 9].map((right, i) => picture(right, i + 1));
    const first = tracker.follow(pictures[0], pictures[1]);
    const second = tracker.follow(pictures[1], pictures[2]);
    // Not the picture that was followed into: nothing is known from before.
    const anew = tracker.follow(pictures[3], picture(6, 9));
    tracker.close();
    const near = (went: readonly Went[]) => rightwards(went).filter((px) => Math.abs(px) > 2).length;
    expect([first.fromLastButOne, anew.fromLastButOne]).toEqual([[], []]);
    for (const { fromLast } of [first, anew]) expect(near(fromLast) / fromLast.length).toBeLessThan(0.4);
    expect(near(second.fromLast) / second.fromLast.length).toBeGreaterThan(0.97);
    expect(second.fromLastButOne.length).toBeGreaterThan(40);
    const rests = rightwards(second.fromLastButOne).filter((px) => Math.abs(px) < 0.1).length;
    expect(rests / second.fromLastButOne.length).toBeGreaterThan(0.95);
  });
  it('leave out those whose windows differ by more than the rest', () => {
    const at = (x: number, differs: number) => ({ from: [x, 0] as const, to: [x + 1, 0] as const, differs });
    const points = [at(1, 2), at(2, 2.1), at(3, 2.3), at(4, 9), at(5, 1)];
    expect(likeTheRest(points).map(({ from: [x] }) => x)).toEqual([1, 2, 3, 5]);
    expect(likeTheRest([])).toEqual([]);
    // Pictures without noise: all alike.
    expect(likeTheRest(points.map((point) => ({ ...point, differs: 0 })))).toHaveLength(5);
  });
});
