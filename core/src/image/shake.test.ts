import { describe, expect, it } from 'vitest';
import { DEFAULT_KIT, type Move, type Shot } from '../model';
import { sceneOf } from '../scene';
import { sampleShot } from '../motion';
import { readShot } from '../reading';
import { filmed, usual } from '../testing/filmed';
import { AROUND } from '../testing/shoots';
import { shakeInFrame } from './shake';

const follow: Move = {
  kind: 'slide',
  ...AROUND,
  heightM: 0.85,
  distanceM: 4,
  bearingDeg: 180,
  travelM: 11.2,
  skewDeg: 0,
};
const timing = {
  durationS: 8,
  holdStartS: 0,
  featherInS: 0,
  featherOutS: 0,
  holdEndS: 0,
  featherShape: 'minimumJerk' as const,
};
const found = (more: Partial<Shot>, move = follow) => {
  const { shoot } = filmed(move, {
    timing,
    rigId: 'rig-hand',
    gaitId: 'gait-walk',
    aim: { mode: 'locked', place: { u: 0, v: 0 }, smoothingS: 0, deadBandDeg: 0, rateMaxDegps: 360 },
    ...more,
  });
  return readShot(shoot, shoot.shots[0]).findings.find(({ id }) => id === 'shake');
};

describe('wobble in the picture', () => {
  it('of a bob alone is focal length times bob over width times distance', () => {
    const gait = { ...DEFAULT_KIT.gaits[3], shakeDeg: 0, swayMm: 0, leanDeg: 0 };
    const { shoot } = filmed(follow, {
      timing,
      rigId: 'rig-hand',
      gaitId: gait.id,
      captureRateHz: 60,
      frameRateHz: 60,
    });
    const kit = { ...shoot.kit, gaits: [gait] };
    const scene = sceneOf({ ...shoot, kit }, { ...shoot.shots[0], aim: { ...shoot.shots[0].aim, mode: 'locked' } });
    const samples = sampleShot(scene);
    const depthM = new Float64Array(samples.count).fill(4);
    // 45 mm at 1.4 m/s, 35 mm on 36 mm at 4 m; steps differ by a few per cent.
    const expected = (35 / 36) * (0.045 / 4);
    const worst = shakeInFrame(samples, depthM)?.value ?? NaN;
    expect(worst).toBeGreaterThan(expected * 0.95);
    expect(worst).toBeLessThan(expected * 1.15);
  });
  it('is less through a gimbal, with bent knees, farther away, on a wider lens, and on a sled', () => {
    const plain = found({})?.value ?? NaN;
    expect(found({ rigId: 'rig-gimbal' })?.value).toBeLessThan(plain);
    expect(found({ rigId: 'rig-sled' })?.value).toBeLessThan(found({ rigId: 'rig-gimbal' })?.value ?? NaN);
    expect(found({ rigId: 'rig-gimbal', gaitId: 'gait-knees' })?.value).toBeLessThan(
      (found({ rigId: 'rig-gimbal' })?.value ?? NaN) / 2,
    );
    expect(found({}, { ...follow, distanceM: 12 })?.value).toBeLessThan(plain);
    expect(found({ lensId: 'lens-fern-1635', focalLengthMm: 16 })?.value).toBeLessThan(plain);
  });
  it('is slower in slow motion, and so less within a second', () => {
    expect(found({ captureRateHz: 120 })?.value).toBeLessThan((found({})?.value ?? NaN) * 0.95);
  });
  it('is not spoken of where nothing shakes the camera', () => {
    expect(found({ rigId: 'rig-tripod', gaitId: 'gait-stand' })).toBeUndefined();
    expect(shakeInFrame(filmed(usual('still')).samples, new Float64Array(1))).toBeNull();
  });
  it('grades a run by hand a jolt, and names gait and rig', () => {
    const run = found({ gaitId: 'gait-run', lensId: 'lens-moss-85', focalLengthMm: 85 });
    expect(run?.grade).toBe('jolt');
    expect(run?.sentence).toMatch(/with a run on Hand-held/);
  });
});
