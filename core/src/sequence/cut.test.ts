import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Move, type Shot } from '../model';
import { shotOf, shootOf, meeting, finding } from '../testing/joined';
import { bestCut, cutFrames, edgeOf, joinCures, joinsOf, shownAt, speedOf, tell, timelineOf } from '.';

describe('the cut', () => {
  it('is frames of the shot, one at least, and never more than there are', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.double({ min: 0.001, max: 50, noNaN: true }),
        fc.integer({ min: 1, max: 1000 }),
        fc.constantFrom(23.976, 24, 25, 29.97, 30, 60),
        (inS, forS, whole, rateHz) => {
          const { first, end, short } = cutFrames({ cut: { inS, outS: inS + forS } }, whole, rateHz);
          expect(first).toBeGreaterThanOrEqual(0);
          expect(end).toBeGreaterThan(first);
          expect(end).toBeLessThanOrEqual(whole);
          if (!short) expect(Math.abs((end - first) / rateHz - forS)).toBeLessThan(1.001 / rateHz);
        },
      ),
    );
  });
  it('that asks for more than the shot has says so, and using all of it mends it', () => {
    const shot = shotOf('a', { kind: 'still' }, { cut: { inS: 1, outS: 9 } });
    const shoot = shootOf([shot, shotOf('b', { kind: 'still', bearingDeg: 60, distanceM: 3 } as Move)]);
    expect(finding(joinsOf(shoot)[0], 'short')?.sentence).toBe('The cut asks for more of the first shot than its 2 s.');
    expect(joinCures(shoot, 0)[0]).toMatchObject({ instruction: 'Use all of “a”', removes: true });
  });
  it('every moment of the film shows a frame that is in some cut, in order', () => {
    const shots = [
      shotOf('a', { kind: 'still' }, { ...meeting('black'), cut: { inS: 0.5, outS: 1.5 } }),
      shotOf('b', { kind: 'still' }, { cut: { inS: 0.25, outS: 1 } }),
    ];
    const film = timelineOf(shots.map((shot) => tell(shootOf(shots), shot)));
    const rows = [0, 0.99, 1.2, 1.5, 2.24, 99].map((s) => shownAt(film, s));
    expect(rows.map((at) => [at?.stretch.index, at?.row])).toEqual([
      [0, 12],
      [0, 35],
      [null, 4],
      [1, 6],
      [1, 23],
      [1, 23],
    ]);
    expect(shownAt([], 1)).toBeNull();
  });
  it('is best where both motions agree', () => {
    // Both speed up and slow down: the first is left, and the second entered, at about one speed.
    const feathered = (id: string) => {
      const shot = shotOf(id, { kind: 'pan', fromDeg: 0, toDeg: 60 } as Move);
      return { ...shot, timing: { ...shot.timing, durationS: 4, featherInS: 2, featherOutS: 2 } };
    };
    const stopped = { ...feathered('b'), timing: { ...feathered('b').timing, featherInS: 0, featherOutS: 0 } };
    const shoot = shootOf([feathered('a'), stopped]);
    const [one, other] = shoot.shots.map((shot) => tell(shoot, shot));
    const { best, now } = bestCut(one, other);
    expect(best.misfit).toBeLessThan(now.misfit);
    const cut = (shot: Shot, change: Shot['cut']) => tell(shoot, { ...shot, cut: change });
    const [a, b] = [
      edgeOf(cut(shoot.shots[0], { inS: 0, outS: best.outS }), 'out'),
      edgeOf(cut(shoot.shots[1], { inS: best.inS, outS: 4 }), 'in'),
    ];
    expect(Math.abs(speedOf(a.motion) / speedOf(b.motion) - 1)).toBeLessThan(0.25);
  });
});
