import { plannedFilm } from '../motion';
import { sceneOf } from '../scene';
import { describe, expect, it } from 'vitest';
import type { Shot } from '../model';
import { filmed, usual } from '../testing/filmed';
import { readShot } from './read-shot';
import { timePlan } from './time-plan';

const SIX = {
  timing: {
    durationS: 6,
    holdStartS: 0,
    featherInS: 1,
    featherOutS: 1,
    holdEndS: 0,
    featherShape: 'minimumJerk' as const,
  },
};
function plan(more: Partial<Shot>, walking = false) {
  const { shoot } = filmed(usual('slide'), { ...SIX, ...more }, walking);
  return timePlan(plannedFilm(sceneOf(shoot, shoot.shots[0])));
}
function finding(id: string, more: Partial<Shot>) {
  const { shoot } = filmed(usual('slide'), { ...SIX, ...more });
  return readShot(shoot, shoot.shots[0]).findings.find((row) => row.id === id);
}
const lifelike = (speed = 1) => ({ playback: { reversed: false, ramp: [{ atS: 0, speed }] } });

describe('the times of a shot', () => {
  it('60 on 30 is half speed (common practice): 6 s of action are 12 on screen', () => {
    expect(plan({ captureRateHz: 60, frameRateHz: 30 })).toMatchObject({
      actionS: 6,
      screenS: 12,
      recordedFrames: 360,
      repeats: 1,
    });
  });
  it(
    '6 frames a second at a half-interval shutter are open for 1/12 s, shown four times each, and smear ' +
      'half of every step',
    () => {
      const look = plan({ captureRateHz: 6, frameRateHz: 24, shutterDeg: 180, ...lifelike() });
      expect(look.exposureS).toBeCloseTo(1 / 12, 12);
      expect(look.repeats).toBeCloseTo(4, 9);
      expect(look.smearShare).toBe(0.5);
      expect(look.screenS).toBeCloseTo(6, 9);
    },
  );
  it('1000 frames a second shown at 24 stretch 6 s of action to more than four minutes', () => {
    const hyper = plan({ captureRateHz: 1000, frameRateHz: 24, cameraId: 'cam-heron' });
    expect(hyper.screenS).toBeCloseTo(250, 6);
    expect(hyper.slowest).toBeCloseTo(0.024, 9);
  });
  it('fills the card by data rate, frames and seconds', () => {
    // 200 megabits a second at 24 frames, 120 frames for 6 s: 200 · 5 · 6 / 8 megabytes.
    expect(plan({ captureRateHz: 120, frameRateHz: 24 }).cardGB).toBeCloseTo(0.75, 9);
  });
  it('tells how far the subject has to go', () => {
    // Along the walk of the tests: 4 of 5 m in the first 4 s, then 2 m in 2 s, the corner rounded.
    const { subjectM, cameraM } = plan({}, true);
    expect(subjectM).toBeGreaterThan(5.6);
    expect(subjectM).toBeLessThanOrEqual(6);
    expect(cameraM).toBeCloseTo(2, 1);
  });
  it('its curve runs from the first to the last second, both ways alike', () => {
    const { curve, screenS } = plan({
      captureRateHz: 120,
      frameRateHz: 24,
      playback: {
        reversed: false,
        ramp: [
          { atS: 1, speed: 1 },
          { atS: 3, speed: 0.2 },
        ],
      },
    });
    expect(curve[0].screenS).toBe(0);
    expect(curve[curve.length - 1].screenS).toBeCloseTo(screenS, 9);
    for (let i = 1; i < curve.length; i += 1) expect(curve[i].screenS).toBeGreaterThan(curve[i - 1].screenS);
  });
});

describe('what the camera records', () => {
  it('a rate that it has not: cannot', () => {
    expect(finding('rig.frames', { captureRateHz: 240, frameRateHz: 24 })).toMatchObject({
      grade: 'cannot',
      limit: 120,
    });
    expect(finding('rig.frames', { captureRateHz: 120, frameRateHz: 24 })).toBeUndefined();
  });
  it('longer than its buffer lasts: cannot; nearly as long: tight; below the rate it does not matter', () => {
    const buffered = (bufferS: number, captureRateHz = 120) => {
      const { shoot } = filmed(usual('slide'), { ...SIX, captureRateHz, frameRateHz: 24 });
      const cameras = shoot.kit.cameras.map((camera) => ({ ...camera, bufferAboveHz: 60, bufferS }));
      return readShot({ ...shoot, kit: { ...shoot.kit, cameras } }, shoot.shots[0]).findings.find(
        ({ id }) => id === 'rig.buffer',
      )?.grade;
    };
    expect([buffered(4), buffered(6.2), buffered(20), buffered(4, 60)]).toEqual(['cannot', 'tight', 'fits', undefined]);
  });
  it('frames that are shown again and again stagger', () => {
    expect(finding('stagger', { captureRateHz: 24, frameRateHz: 24, ...lifelike(0.5) })).toMatchObject({
      grade: 'ripple',
      said: '2 times',
    });
    expect(finding('stagger', { captureRateHz: 6, frameRateHz: 24, ...lifelike() })?.grade).toBe('jolt');
    expect(finding('stagger', { captureRateHz: 120, frameRateHz: 24, ...lifelike(0.2) })).toBeUndefined();
  });
});
