import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoShoot } from '../testing/demo';
import { cutSeconds, filmRateHz, filmSeconds, framesAt, framesOf, shownAt, tell, timelineOf } from '.';

const demo = demoShoot();
const told = demo.shots.map((shot) => tell(demo, shot));
const film = timelineOf(told);

describe('the film of the demo', () => {
  it('has each shot once, in order, without a gap but black', () => {
    expect(film.flatMap(({ index }) => index ?? [])).toEqual(demo.shots.map((_, i) => i));
    film.slice(1).forEach((stretch, i) => expect(stretch.fromS).toBe(film[i].toS));
    const black = demo.shots.slice(0, -1).filter(({ join }) => join.kind === 'black');
    expect(film.filter(({ index }) => index === null)).toHaveLength(black.length);
    const seconds =
      told.reduce((sum, { frames }) => sum + cutSeconds(frames), 0) +
      black.reduce((sum, { join }) => sum + join.blackS, 0);
    expect(filmSeconds(film)).toBeCloseTo(seconds, 9);
  });
  it('a shot has as many frames uncompiled as compiled', () => {
    told.forEach(({ shot, frames }) => expect(framesOf(shot), shot.name).toEqual(frames));
  });
  it('shows at each moment a frame of the stretch that it is in', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: filmSeconds(film), noNaN: true }), (s) => {
        const at = shownAt(film, s);
        if (!at) throw new Error('something is shown');
        expect(s).toBeGreaterThanOrEqual(at.stretch.fromS - 1e-6);
        expect(s).toBeLessThanOrEqual(at.stretch.toS + 1e-6);
        if (at.stretch.index === null) return;
        const { frames } = told[at.stretch.index];
        expect(at.row).toBeGreaterThanOrEqual(frames.first);
        expect(at.row).toBeLessThan(frames.end);
      }),
    );
  });
});

describe('frames that are taken away', () => {
  it('are those of the cut, one after the other, where the rate is the shot’s own', () => {
    const index = demo.shots.findIndex(({ id }) => id === 'shot-cut-whip-off');
    const frames = framesAt(film, 24, index);
    const { first, end } = told[index].frames;
    expect(frames.map(({ row }) => row)).toEqual(Array.from({ length: end - first }, (_, k) => first + k));
    expect(new Set(frames.map((frame) => frame.index))).toEqual(new Set([index]));
    expect(frames[0].atS).toBe(0);
  });
  it('of the whole film never go back, and come to its length', () => {
    const rateHz = filmRateHz(demo);
    expect(rateHz).toBe(24);
    const frames = framesAt(film, rateHz);
    expect(frames).toHaveLength(Math.round(filmSeconds(film) * rateHz));
    frames.slice(1).forEach((frame, k) => {
      const before = frames[k];
      if (frame.index === before.index) expect(frame.row).toBeGreaterThanOrEqual(before.row);
      else if (frame.index !== null && before.index !== null) expect(frame.index).toBe(before.index + 1);
    });
    // Every shot and every black is in it.
    expect(new Set(frames.map(({ index }) => index)).size).toBe(demo.shots.length + 1);
  });
  it('at half the rate every other one, at twice the rate each twice', () => {
    const index = demo.shots.findIndex(({ id }) => id === 'shot-rows');
    const rows = (hz: number) => framesAt(film, hz, index).map(({ row }) => row);
    expect(rows(12)).toEqual(rows(24).filter((_, k) => k % 2 === 0));
    expect(rows(48).filter((_, k) => k % 2 === 1)).toEqual(rows(24));
  });
  it('of no film, or of a shot that is not in it, there are none', () => {
    expect(framesAt([], 24)).toEqual([]);
    expect(framesAt(film, 24, 999)).toEqual([]);
  });
});
