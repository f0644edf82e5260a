import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sceneOf } from '../scene';
import { PLAIN_LOOK, type Shot } from '../model';
import { filmed, usual } from '../testing/filmed';
import { filmedBackwards } from './filmed-backwards';
import { sampleShot } from '../motion';

describe('filmed backwards and played in reverse', () => {
  const timing = {
    durationS: 6,
    holdStartS: 0.25,
    featherInS: 0.5,
    featherOutS: 2,
    holdEndS: 1.5,
    featherShape: 'minimumJerk' as const,
  };
  const shown = (shoot: Parameters<typeof sceneOf>[0], shot: Shot) => sampleShot(sceneOf(shoot, shot));
  it('is the same picture, row by row, with its holds and feathers, ramped or not', () => {
    fc.assert(
      fc.property(fc.constantFrom('slide', 'push', 'arc', 'rise', 'pan', 'crane'), fc.boolean(), (kind, ramped) => {
        const playback = {
          reversed: false,
          ramp: ramped
            ? [
                { atS: 1, speed: 1 },
                { atS: 3, speed: 0.5 },
              ]
            : [],
        };
        const { shoot } = filmed(usual(kind), { timing, playback, captureRateHz: 48 });
        const [shot] = shoot.shots;
        const other = filmedBackwards(shot);
        if (!other) throw new Error('none');
        const [there, back] = [shown(shoot, shot), shown(shoot, other)];
        expect(back.count).toBe(there.count);
        for (let row = 0; row < there.count; row += 1) {
          expect(
            Math.hypot(back.xM[row] - there.xM[row], back.yM[row] - there.yM[row], back.zM[row] - there.zM[row]),
          ).toBeLessThan(0.003);
          const turn = back.panDeg[row] - there.panDeg[row];
          expect(Math.abs(turn - 360 * Math.round(turn / 360))).toBeLessThan(0.1);
        }
      }),
      { numRuns: 40 },
    );
  });
  it('is another picture of a chain, and of somebody who walks: none', () => {
    const { shoot } = filmed(usual('slide'), {
      timing,
      then: [{ move: usual('pan'), timing, backwards: false, goes: 'stays', look: PLAIN_LOOK, overlapS: 0 }],
    });
    expect(filmedBackwards(shoot.shots[0])).toBeNull();
    expect(filmedBackwards(filmed(usual('slide'), {}, true).shoot.shots[0])).toBeNull();
  });
  it('twice is the shot itself', () => {
    const { shoot } = filmed(usual('arc'), { timing });
    const [shot] = shoot.shots;
    const once = filmedBackwards(shot);
    expect(once && filmedBackwards(once)).toEqual(shot);
  });
});
