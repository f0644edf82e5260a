import { PLAIN_LOOK } from '../model';
import { describe, expect, it } from 'vitest';
import { readShot } from '../reading';
import { AROUND, plainShoot } from '../testing/shoots';
import { curesFor } from './cures';

describe('cures of a chain', () => {
  const timing = (featherOutS: number) => ({
    durationS: 7,
    holdStartS: 0,
    featherInS: 2,
    featherOutS,
    holdEndS: 0.5,
    featherShape: 'minimumJerk' as const,
  });
  const chain = plainShoot((shot) => ({
    ...shot,
    move: { kind: 'slide', ...AROUND, distanceM: 5, bearingDeg: 180, travelM: 1, skewDeg: 0 },
    timing: timing(2),
    then: [
      {
        move: { kind: 'push', ...AROUND, fromDistanceM: 5, toDistanceM: 3.4, bearingDeg: 180 },
        timing: timing(0),
        backwards: false,
        goes: 'stays',
        look: PLAIN_LOOK,
        overlapS: 0,
      },
    ],
  }));
  it('change the move in which the trouble lies and leave the other', () => {
    const stop = readShot(chain, chain.shots[0]).findings.find(({ id }) => id === 'stop');
    expect(stop?.grade).not.toBe('calm');
    const [cure] = stop ? curesFor(chain, chain.shots[0], stop) : [];
    expect(cure.sentence).toMatch(/^In move 2: feather the stop/);
    expect(cure.shot.then[0].timing.featherOutS).toBeGreaterThan(0);
    expect(cure.shot.timing).toEqual(chain.shots[0].timing);
    expect(cure.shot.move).toEqual(chain.shots[0].move);
  });
  it('name a hard join and soften it', () => {
    const hard = plainShoot(() => ({
      ...chain.shots[0],
      timing: timing(2),
      then: [{ ...chain.shots[0].then[0], timing: { ...timing(2), durationS: 4.5, featherInS: 0 } }],
    }));
    const join = readShot(hard, hard.shots[0]).findings.find(({ id }) => id === 'join');
    expect(join?.grade).not.toBe('calm');
    const [cure] = join ? curesFor(hard, hard.shots[0], join) : [];
    expect(cure.shot.then[0].timing.featherInS).toBeGreaterThan(0);
  });
});
