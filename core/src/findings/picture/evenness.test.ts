import { describe, expect, it } from 'vitest';
import type { Move, Shot } from '../../model';
import { readShot } from '../../reading';
import { filmed, usual } from '../../testing/filmed';
import { AROUND } from '../../testing/shoots';

const STROKE = {
  durationS: 8,
  holdStartS: 0,
  featherInS: 4,
  featherOutS: 4,
  holdEndS: 0,
  featherShape: 'minimumJerk' as const,
};
function found(id: string, move: Move, more: Partial<Shot> = {}, walking = false) {
  const { shoot } = filmed(move, { timing: STROKE, ...more }, walking);
  return readShot(shoot, shoot.shots[0]).findings.find((finding) => finding.id === id);
}

describe('evenness', () => {
  // SPARC of a minimum-jerk stroke, Balasubramanian et al. 2015.
  it('of a straight move that is all feather is that of one plain stroke, in the rig', () => {
    const rig = found('even.rig', usual('slide'));
    expect(rig?.grade).toBe('calm');
    expect(rig?.value).toBeCloseTo(1.4058, 1);
    expect(rig?.reason).toMatch(/Log dimensionless jerk −5\.\d;/);
  });
  it('in the picture of a plain pan likewise', () => {
    expect(found('even.picture', { ...usual('pan'), fromDeg: -15, toDeg: 15 })?.value).toBeLessThan(1.5);
  });
  it('a drawn path that turns back again and again is not even', () => {
    const points = [0, 1, 0, 1, 0, 1, 0].map((x, i) => ({
      eastM: 3 * x,
      northM: -5 + i * 0.02,
      heightM: 1.2,
      look: null,
    }));
    const zigzag = found('even.picture', { kind: 'free', pivotEastM: 0, pivotNorthM: 0, points });
    expect(zigzag?.value ?? 0).toBeGreaterThan(found('even.picture', usual('slide'))?.value ?? 9);
  });
  it('is nothing to speak of where nothing moves', () => {
    expect(found('even.picture', { kind: 'still', ...AROUND, distanceM: 5, bearingDeg: 180 })).toBeUndefined();
    expect(found('even.rig', { kind: 'still', ...AROUND, distanceM: 5, bearingDeg: 180 })).toBeUndefined();
  });
});

describe('going round', () => {
  const timing = { ...STROKE, durationS: 12, featherInS: 2, featherOutS: 2 };
  it('an orbit turns evenly about its centre, once round', () => {
    const orbit = usual('orbit');
    expect(found('turn.even', orbit, { timing })).toMatchObject({
      grade: 'calm',
      sentence: expect.stringMatching(/^It turns 360°, once round or more, at [\d.]+° a second on screen, evenly\.$/),
    });
    expect(found('turn.centre', orbit, { timing })?.grade).toBe('calm');
  });
  it('an orbit about a place beside the subject is told of twice, and cured by moving the centre back', () => {
    const off: Move = { ...usual('orbit'), pivotEastM: 2 };
    expect(found('turn.even', off, { timing })?.grade).not.toBe('calm');
    expect(found('turn.centre', off, { timing })?.grade).not.toBe('calm');
    expect(found('turn.centre', { ...off, pivotEastM: 0 }, { timing })?.grade).toBe('calm');
  });
  it('a helix draws away steadily: its centre is kept', () => {
    expect(found('turn.centre', usual('helix'), { timing })?.grade).toBe('calm');
  });
  it('straight down and spinning turns evenly too; a slide turns about nothing', () => {
    expect(found('turn.even', usual('overheadSpin'), { timing })?.grade).toBe('calm');
    expect(found('turn.even', usual('slide'), { timing })).toBeUndefined();
    expect(found('turn.even', usual('driftingOrbit'), { timing })).toBeUndefined();
  });
});
