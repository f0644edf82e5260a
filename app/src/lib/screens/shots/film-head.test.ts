import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { FilmStretch } from '@gentle-arc/core/sequence';
import { FilmHead } from './film-head.svelte';

/** Two shots of two seconds with half a second of black between. */
const FILM: FilmStretch[] = [
  { index: 0, fromS: 0, toS: 2, first: 0, rateHz: 24 },
  { index: null, fromS: 2, toS: 2.5, first: 0, rateHz: 24 },
  { index: 1, fromS: 2.5, toS: 4.5, first: 12, rateHz: 24 },
];

let nowMs = 0;
let frames: ((ms: number) => void)[] = [];
/** Lets so much time pass, a frame at a time. */
function pass(ms: number): void {
  for (let left = ms; left > 0; left -= 20) {
    nowMs += Math.min(20, left);
    const due = frames;
    frames = [];
    for (const frame of due) frame(nowMs);
  }
}
beforeEach(() => {
  nowMs = 1000;
  frames = [];
  vi.spyOn(performance, 'now').mockImplementation(() => nowMs);
  vi.stubGlobal('requestAnimationFrame', (frame: (ms: number) => void) => frames.push(frame));
  vi.stubGlobal('cancelAnimationFrame', () => (frames = []));
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});
function headOf(film = FILM): FilmHead {
  const head = new FilmHead();
  head.fit(film);
  return head;
}

describe('the head of the film', () => {
  it('plays in real time to the end, stops there, and begins anew', () => {
    const head = headOf();
    head.play();
    pass(1000);
    expect(head.filmS).toBeCloseTo(1, 2);
    pass(5000);
    expect([head.playing, head.filmS]).toEqual([false, 4.5]);
    head.toggle();
    pass(500);
    expect(head.filmS).toBeCloseTo(0.5, 2);
    head.toggle();
    pass(500);
    expect(head.filmS).toBeCloseTo(0.5, 2);
  });
  it('goes on from where it was put while it plays', () => {
    const head = headOf();
    head.play();
    pass(200);
    head.to(3);
    pass(200);
    expect(head.filmS).toBeCloseTo(3.2, 2);
  });
  it('plays one join over and over, and from its beginning when it stood elsewhere', () => {
    const head = headOf();
    head.loop = { fromS: 1.5, toS: 3 };
    head.play();
    expect(head.filmS).toBe(1.5);
    pass(1400);
    expect(head.filmS).toBeCloseTo(2.9, 1);
    pass(400);
    expect(head.playing).toBe(true);
    expect(head.filmS).toBeGreaterThanOrEqual(1.5);
    expect(head.filmS).toBeLessThan(2.1);
  });
  it('steps a frame, over cuts as well, and jumps from cut to cut', () => {
    const head = headOf();
    head.to(2);
    head.step(-1);
    expect(head.filmS).toBeCloseTo(2 - 1 / 24, 9);
    head.step(1);
    expect(head.filmS).toBeCloseTo(2, 9);
    head.to(0.5);
    head.toCut(1);
    expect(head.filmS).toBe(2);
    head.toCut(1);
    expect(head.filmS).toBe(2.5);
    head.toCut(-1);
    expect(head.filmS).toBe(2);
    head.to(0);
    head.toCut(-1);
    expect(head.filmS).toBe(0);
  });
  it('behind the last cut stays there when the next is asked for', () => {
    const head = headOf();
    head.to(4);
    head.toCut(1);
    expect(head.filmS).toBe(4.5);
  });
  it('stays within a film that becomes shorter, and within none', () => {
    const head = headOf();
    head.to(99);
    expect(head.filmS).toBe(4.5);
    head.fit(FILM.slice(0, 1));
    expect(head.filmS).toBe(2);
    head.fit([]);
    expect([head.filmS, head.lengthS]).toEqual([0, 0]);
    head.play();
    pass(100);
    expect(head.playing).toBe(false);
  });
});
