import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLAIN_LOOK, shotDurationS, type Leg } from '../model';
import { anyMove, num } from '../testing/any-move';
import { filmed, usual } from '../testing/filmed';
import { MOVE_KINDS } from './moves';
import { AROUND } from '../testing/shoots';

const TIMING = {
  durationS: 4,
  holdStartS: 0,
  featherInS: 1,
  featherOutS: 1,
  holdEndS: 0,
  featherShape: 'minimumJerk' as const,
};
const leg = (move: Leg['move'], more: Partial<Leg> = {}): Leg => ({
  move,
  timing: TIMING,
  backwards: false,
  goes: 'stays',
  look: PLAIN_LOOK,
  overlapS: 0,
  ...more,
});
const PUSH = { kind: 'push' as const, ...AROUND, fromDistanceM: 6, toDistanceM: 3, bearingDeg: 180 };
/** Any kind in its usual shape. (A drawn path that doubles back on itself cannot keep its pace at the turn.) */
const kind = fc.constantFrom(...MOVE_KINDS);
const FAST = { captureRateHz: 240, frameRateHz: 240 };

/** The largest change of place, and of speed, from one row to the next: metres, and metres a second. */
function steps({ samples: { count, captureRateHz, xM, yM, zM } }: ReturnType<typeof filmed>): {
  placeM: number;
  speedMps: number;
} {
  let placeM = 0;
  let speedMps = 0;
  const step = (i: number) => [xM[i] - xM[i - 1], yM[i] - yM[i - 1], zM[i] - zM[i - 1]];
  for (let i = 1; i < count; i += 1) {
    placeM = Math.max(placeM, Math.hypot(...step(i)));
    if (i > 1) {
      const [a, b] = [step(i - 1), step(i)];
      speedMps = Math.max(speedMps, Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2]) * captureRateHz);
    }
  }
  return { placeM, speedMps };
}

describe('a chain of moves', () => {
  it('takes its legs one after the other, less what overlaps', () => {
    const film = filmed(PUSH, { timing: TIMING, then: [leg(usual('arc')), leg(usual('rise'), { overlapS: 1.5 })] });
    expect(film.motion.durationS).toBeCloseTo(10.5, 9);
    expect(shotDurationS(film.shoot.shots[0])).toBeCloseTo(10.5, 9);
  });
  it('begins each move where the one before ended: a push, then an arc at the distance the push reached', () => {
    const film = filmed(PUSH, {
      timing: TIMING,
      then: [leg({ kind: 'arc', ...AROUND, radiusM: 20, startBearingDeg: 0, sweepDeg: 90 })],
    });
    const { samples, toPivotM, last } = film;
    const join = Math.round(4 * samples.captureRateHz);
    for (const row of [join, join + 20, join + 60, last]) expect(toPivotM(row)).toBeCloseTo(3, 9);
    expect(samples.xM[last]).toBeCloseTo(-3, 9);
  });
  it.each(['rests between', 'flows on'])('is continuous in place and speed for any three moves: %s', (how) => {
    fc.assert(
      fc.property(kind, kind, kind, fc.boolean(), fc.boolean(), (first, second, third, walking, backwards) => {
        const [a, b, c] = [usual(first), usual(second), usual(third)];
        const more = how === 'flows on' ? { overlapS: 1 } : {};
        const film = filmed(
          a,
          { timing: TIMING, then: [leg(b, { ...more, backwards }), leg(c, more)], ...FAST },
          walking,
        );
        const coarse = filmed(
          a,
          { timing: TIMING, then: [leg(b, { ...more, backwards }), leg(c, more)], captureRateHz: 60, frameRateHz: 60 },
          walking,
        );
        // A step in place or speed stays as large however finely it is sampled; a smooth motion's changes shrink with
        // the step (by 4 here).
        const [fine, rough] = [steps(film), steps(coarse)];
        expect(fine.placeM).toBeLessThan(rough.placeM * 0.3 + 1e-6);
        expect(fine.speedMps).toBeLessThan(rough.speedMps * 0.5 + 2e-3);
        for (const axis of ['panDeg', 'tiltDeg', 'rollDeg'] as const)
          expect(film.samples[axis].every(Number.isFinite)).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
  it('passes the look on without a jump', () => {
    const film = filmed(usual('pan'), { timing: TIMING, then: [leg(PUSH), leg(usual('skyEnd'))], ...FAST });
    const most = (column: Float64Array) =>
      Math.max(...Array.from(column.slice(1), (deg, i) => Math.abs(deg - column[i])));
    expect(most(film.samples.panDeg)).toBeLessThan(0.5);
    expect(most(film.samples.tiltDeg)).toBeLessThan(0.5);
  });
  it('goes by the subject where it is when the leg starts: it walks, stops, and the camera comes after', () => {
    const film = filmed(
      usual('still'),
      { timing: { ...TIMING, durationS: 11 }, then: [leg({ ...PUSH, toDistanceM: 1.5 })] },
      true,
    );
    const { samples, last } = film;
    expect(
      Math.hypot(samples.xM[last] - samples.subjectXM[last], samples.yM[last] - samples.subjectYM[last]),
    ).toBeCloseTo(1.5, 6);
  });
  it('zooms on from where the zoom had come to', () => {
    const film = filmed(usual('zoom'), {
      timing: TIMING,
      then: [leg(usual('pan')), leg(usual('dollyZoom'))],
      lensId: 'lens-fern-2470',
    });
    const { focalLengthMm, captureRateHz, count } = film.samples;
    expect(focalLengthMm[Math.round(4.5 * captureRateHz)]).toBeCloseTo(70, 9);
    for (let i = 1; i < count; i += 1)
      expect(Math.abs(Math.log(focalLengthMm[i] / focalLengthMm[i - 1]))).toBeLessThan(0.05);
  });
});

describe('running backwards', () => {
  it('is the same way in the other direction, for any move and a still subject', () => {
    fc.assert(
      fc.property(anyMove, num(0, 1), (move, at) => {
        const forth = filmed(move, { timing: TIMING });
        // Straight over or through the subject a head turns at its limit, and that takes time in both directions.
        fc.pre(forth.rows((i) => forth.toSubjectM(i) > 0.7));
        // From one look to its opposite either way round is as far: which it takes is not the same backwards.
        const { panDeg } = forth.samples;
        fc.pre(forth.rows((i) => i === 0 || Math.abs(panDeg[i] - panDeg[i - 1]) < 5));
        const back = filmed(move, { timing: TIMING, backwards: true });
        const row = Math.round(at * forth.last);
        const other = forth.last - row;
        for (const axis of ['xM', 'yM', 'zM', 'tiltDeg', 'rollDeg'] as const)
          expect(back.samples[axis][row]).toBeCloseTo(forth.samples[axis][other], 6);
        const turn = back.samples.panDeg[row] - forth.samples.panDeg[other];
        expect(Math.abs(turn - 360 * Math.round(turn / 360))).toBeLessThan(1e-6);
        expect(back.samples.focusDistanceM[row]).toBeCloseTo(forth.samples.focusDistanceM[other], 5);
      }),
      { numRuns: 150 },
    );
  });
});
