import { describe, expect, it } from 'vitest';
import { PLAIN_LOOK, legAt, withLeg, type Leg } from '../model';
import { filmed, usual } from '../testing/filmed';
import { AROUND } from '../testing/shoots';
import { gripsOf, motionOf } from './legs';
import { givenByTheLegBefore } from './moves';

const TIMING = {
  durationS: 4,
  holdStartS: 0.5,
  featherInS: 1,
  featherOutS: 1,
  holdEndS: 0.5,
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
const chain = (...legs: Leg[]) =>
  filmed(legs[0].move, { timing: legs[0].timing, backwards: legs[0].backwards, then: legs.slice(1) });
const place = (film: ReturnType<typeof filmed>, tS: number) => {
  const out = new Float64Array(3);
  film.motion.placeAt(tS, out);
  return [...out];
};

describe('the legs of a shot', () => {
  it('follow each other in time, and the shot starts and stops with the first and the last', () => {
    const { motion } = chain(leg(usual('slide')), leg(usual('push')), leg(usual('rise'), { overlapS: 1 }));
    expect(motion.legs.map(({ fromS, toS }) => [fromS, toS])).toEqual([
      [0, 4],
      [4, 8],
      [7, 11],
    ]);
    expect(motion.startS).toBe(0.5);
    expect(motion.endS).toBe(10.5);
    expect(motion.durationS).toBe(11);
  });
  it('are found by time, and changed one at a time', () => {
    const { shoot } = chain(leg(usual('slide')), leg(usual('push')), leg(usual('rise'), { overlapS: 1 }));
    const [shot] = shoot.shots;
    expect([0, 3.9, 4, 6.9, 7, 30].map((tS) => legAt(shot, tS))).toEqual([0, 0, 1, 1, 2, 2]);
    const changed = withLeg(shot, 1, (row) => ({ ...row, overlapS: 2 }));
    expect(changed.then.map(({ overlapS }) => overlapS)).toEqual([2, 1]);
    expect(changed.move).toBe(shot.move);
    expect(withLeg(shot, 0, (row) => ({ ...row, backwards: true })).backwards).toBe(true);
  });
  it('a push after a slide begins on the slide’s end and takes its bearing from there', () => {
    const film = chain(
      leg({ ...usual('slide'), bearingDeg: 180, travelM: 4 }),
      leg({ kind: 'push', ...AROUND, fromDistanceM: 50, toDistanceM: 2, bearingDeg: 10 }),
    );
    const [, push] = film.motion.legs;
    expect(push.move).toMatchObject({ kind: 'push', toDistanceM: 2 });
    const end = place(film, 4);
    expect(place(film, 4.4)).toEqual(end);
    const distanceM = Math.hypot(end[0], end[1]);
    expect(push.move).toHaveProperty('fromDistanceM', expect.closeTo(distanceM, 9));
    const last = place(film, 8);
    expect(Math.hypot(last[0], last[1])).toBeCloseTo(2, 9);
    // It stays on its line to the subject.
    expect(last[0] / last[1]).toBeCloseTo(end[0] / end[1], 9);
  });
  it('a leg that runs backwards ends where its move begins, moved on by what came before', () => {
    const forth = chain(leg(usual('still')), leg(usual('rise')));
    const back = chain(leg(usual('still')), leg(usual('rise'), { backwards: true }));
    expect(place(forth, 8)[2] - place(forth, 0)[2]).toBeCloseTo(1, 9);
    expect(place(back, 8)[2] - place(back, 0)[2]).toBeCloseTo(-1, 9);
  });
  it('what begins a move in a chain is given: distance, bearing and height, never where it goes', () => {
    expect([...givenByTheLegBefore(usual('push'))].sort()).toEqual(['bearingDeg', 'fromDistanceM', 'heightM']);
    expect([...givenByTheLegBefore(usual('arc'))].sort()).toEqual(['heightM', 'radiusM', 'startBearingDeg']);
    expect(givenByTheLegBefore(usual('rise')).has('toHeightM')).toBe(false);
    expect(givenByTheLegBefore(usual('follow')).size).toBe(0);
  });
});

describe('handles', () => {
  const handles = (kind: Parameters<typeof usual>[0], backwards = false) => {
    const { motion } = filmed(usual(kind), { backwards });
    return gripsOf(motion.legs[0], true).map(({ label }) => label);
  };
  it('are both ends, or the one place, or every point of a drawn path', () => {
    expect(handles('slide')).toEqual(['start', 'end']);
    expect(handles('pan')).toEqual(['camera']);
    expect(handles('free')).toEqual(['start', '2', 'end']);
    expect(handles('arc', true)).toEqual(['end', 'start']);
  });
  it('of a leg that goes on from another: only its end', () => {
    const { motion } = chain(leg(usual('slide')), leg(usual('push')));
    expect(gripsOf(motion.legs[1], false).map(({ label }) => label)).toEqual(['end']);
  });
  it('lie on the path, where it starts and ends', () => {
    const film = filmed(usual('overtake'), {}, true);
    const [start, end] = gripsOf(film.motion.legs[0], true);
    const at = (tS: number) => place(film, tS);
    expect([start.xM, start.yM]).toEqual(at(film.motion.startS).slice(0, 2));
    expect([end.xM, end.yM]).toEqual(at(film.motion.endS).slice(0, 2));
  });
});

describe('when the subject ought to be in the frame', () => {
  it('is what the move says, turned round when it runs backwards', () => {
    expect(filmed(usual('push')).motion.intent.subjectIn).toBe('always');
    expect(filmed(usual('groundStart')).motion.intent.subjectIn).toBe('end');
    expect(filmed(usual('groundStart'), { backwards: true }).motion.intent.subjectIn).toBe('start');
    expect(filmed(usual('enterLeave')).motion.intent.subjectIn).toBe('passes');
  });
  it('of a chain: at the end when its last move ends on it', () => {
    expect(chain(leg(usual('skyEnd')), leg(usual('groundStart'))).motion.intent.subjectIn).toBe('end');
    expect(chain(leg(usual('push')), leg(usual('skyEnd'))).motion.intent.subjectIn).toBe('sometime');
    expect(chain(leg(usual('push')), leg(usual('arc'))).motion.intent.subjectIn).toBe('always');
  });
});

describe('a companion that joins and leaves', () => {
  it('falls in with the walker softly, and stays when its leg is over', () => {
    const film = filmed(
      usual('still'),
      { timing: { ...TIMING, durationS: 2 }, then: [leg(usual('alongside')), leg(usual('still'))] },
      true,
    );
    const speed = (tS: number) => {
      const [a, b] = [place(film, tS - 0.02), place(film, tS + 0.02)];
      return Math.hypot(b[0] - a[0], b[1] - a[1]) / 0.04;
    };
    expect(speed(1)).toBe(0);
    expect(speed(2.55)).toBeLessThan(0.3);
    expect(speed(4)).toBeGreaterThan(0.8);
    expect(speed(9)).toBe(0);
  });
  it('of a shot of its own goes with the walker from the first frame to the last', () => {
    const film = filmed(usual('follow'), { timing: TIMING }, true);
    expect(film.rows((row) => Math.abs(film.toSubjectM(row) - 5) < 1e-6)).toBe(true);
    expect(motionOf(film.scene).legs[0].momentAt(-3)).toBe(-3);
  });
});
