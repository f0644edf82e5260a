import { describe, expect, it } from 'vitest';
import { ShotSchema, type Shot } from '../model';
import { asFilmed, asTimeLapse } from '../edit';
import { plannedFilm } from '../motion';
import { sceneOf } from '../scene';
import { checkShoot } from '../formats';
import { filmed, usual } from '../testing/filmed';
import { refusal } from '../testing/refusal';
import { readShot } from './read-shot';
import { timeLapseOf } from './time-lapse';

const lapse = (intervalS: number, hours: number, more: Partial<Shot> = {}) => {
  const { shoot } = filmed({ ...usual('slide'), travelM: 1.8 } as Shot['move'], {
    frameRateHz: 25,
    captureRateHz: 25,
    shutterDeg: 180,
    rigId: 'rig-tripod',
    ...more,
  });
  const shot = asTimeLapse(shoot.shots[0], intervalS, hours);
  const changed = { ...shoot, shots: [shot] };
  return { shoot: changed, shot, told: timeLapseOf(plannedFilm(sceneOf(changed, shot))) };
};

describe('time-lapse, by hand', () => {
  it('a picture each 5 s for 2 hours is 1,440 and one: 57.6 s at 25, 125 times faster than life', () => {
    const { told } = lapse(5, 2);
    expect(told).toMatchObject({ intervalS: 5, frames: 1441, faster: 125 });
    expect(told?.filmS).toBeCloseTo(57.64, 2);
    // 25 MB a picture: 36 GB; 700 pictures a battery: three of them.
    expect(told?.cardGB).toBeCloseTo(36.025, 3);
    expect(told?.batteries).toBe(3);
  });
  it('the shutter stays as it was, and what is left of the interval is for storing, moving and settling', () => {
    const { told } = lapse(5, 2);
    expect(told?.exposureS).toBeCloseTo(1 / 50, 6);
    expect(told?.restS).toBeCloseTo(5 - 1 / 50, 6);
  });
  it('steps add up to the way: a slide of 1.8 m in 1,440 steps, fastest in the middle', () => {
    const { told } = lapse(5, 2, {
      timing: { durationS: 8, holdStartS: 0, featherInS: 0, featherOutS: 0, holdEndS: 0, featherShape: 'cosine' },
    });
    expect(told?.stepM).toBeCloseTo(1.8 / 1440, 6);
  });
  it('is a shot in order, reads in whole numbers, and can be filmed again', () => {
    const { shoot, shot } = lapse(10, 6);
    expect(ShotSchema.safeParse(shot).success).toBe(true);
    const { findings } = readShot(shoot, shot);
    expect(findings.every(({ value, sentence }) => !Number.isNaN(value) && !sentence.includes('NaN'))).toBe(true);
    const again = asFilmed(shot);
    expect(again).toMatchObject({ captureRateHz: 25, shutterDeg: 180 });
    expect(again.timing.durationS).toBeCloseTo(8, 1);
    expect(ShotSchema.safeParse(again).success).toBe(true);
  });
  it('more frames than a shot may have are refused with the mend', () => {
    const { shoot, shot } = lapse(5, 2);
    const long = { ...shoot, shots: [{ ...shot, captureRateHz: 500 }] };
    expect(refusal(() => checkShoot(long))).toMatch(
      /captureRateHz comes to 3600000 frames; a shot has at most 600000: film fewer a second, or less long\./,
    );
  });
  it('what is filmed is none', () => {
    const { shoot } = filmed(usual('slide'));
    expect(timeLapseOf(plannedFilm(sceneOf(shoot, shoot.shots[0])))).toBeNull();
  });
});
