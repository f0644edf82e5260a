import { describe, expect, it } from 'vitest';
import { FEATHERS } from '../scene';
import { type Samples, sampleShot } from '../motion';
import { drawnWalk, DEFAULT_AIM, type Shot } from '../model';
import { AROUND, moved, plainSetup } from '../testing/shoots';
import { FELT_S, screenMotion } from './screen-motion';
import { everywhere, siteMotion } from './layer-speed';
import { pointsOf } from '../site';
import { subjectInFrame } from './subject-in-frame';

const SHARP = {
  durationS: 6,
  holdStartS: 1,
  featherInS: 0,
  featherOutS: 0,
  holdEndS: 1,
  featherShape: 'minimumJerk' as const,
};
/** Layers in which nothing is seen: the probes at the subject are left. */
function nothingSeen(samples: Samples) {
  const still = new Float64Array(samples.count);
  return siteMotion(samples, everywhere(pointsOf([], [], [])), samples.subjectDistanceM, still, still);
}
const measured = (edit: (shot: Shot) => Shot) => {
  const scene = plainSetup(edit);
  const samples = sampleShot(scene);
  const subject = subjectInFrame(samples, scene);
  return {
    scene,
    samples,
    subject,
    acceleration: screenMotion(samples, subject.depthM, nothingSeen(samples)).acceleration,
  };
};
/**
 * A level slide that never turns: everything at one depth moves alike, so that its screen motion follows from similar
 * triangles.
 */
const slide = (timing: Shot['timing'], travelM = 1.2) =>
  moved(
    { kind: 'slide', ...AROUND, heightM: 0.85, distanceM: 4, bearingDeg: 180, travelM, skewDeg: 0 },
    { timing, aim: { ...DEFAULT_AIM, mode: 'locked', place: { u: 0, v: 0 } }, focalLengthMm: 35 },
  );

describe('the subject in the frame', () => {
  it('has the height f · h / (d · frame height) when the camera is level with its middle', () => {
    const { samples, subject } = measured(slide(SHARP));
    for (const i of [0, 70, samples.count - 1])
      expect(subject.height[i]).toBeCloseTo((35 * 1.7) / (4 * samples.frameHeightMm), 9);
  });
  it('moves at f / w · V / d while the camera cruises', () => {
    const { samples, subject } = measured(slide(SHARP));
    expect(subject.speed[70]).toBeCloseTo(((35 / samples.frameWidthMm) * (1.2 / 4)) / 4, 6);
    expect(subject.rightwards[70]).toBeLessThan(0);
    expect(subject.upwards[70]).toBeCloseTo(0, 9);
  });
  it('is cut in half across the frame’s edge when its middle is there', () => {
    const { samples, subject } = measured((shot) => ({
      ...slide(SHARP, 0)(shot),
      aim: { ...DEFAULT_AIM, mode: 'subject', place: { u: 0.5, v: 0 } },
    }));
    expect(subject.u[0]).toBeCloseTo(0.5, 9);
    expect(subject.halfWidth[0]).toBeGreaterThan(0);
    expect(samples.count).toBe(subject.u.length);
  });
  it('is not a number behind the camera, and its layers still have a depth', () => {
    const walked = [
      { tS: 4, xM: 0, yM: 0, zM: 0 },
      { tS: 5.4, xM: 0, yM: -30, zM: 0 },
    ];
    const { samples, subject } = measured((shot) => ({
      ...slide(SHARP, 0)(shot),
      walks: [drawnWalk('figure', walked)],
    }));
    const last = samples.count - 1;
    expect(subject.height[0]).toBeGreaterThan(0);
    for (const column of [subject.u, subject.v, subject.height, subject.speed])
      expect(Number.isNaN(column[last])).toBe(true);
    expect(subject.depthM[last]).toBeGreaterThan(20);
  });
});

describe('acceleration on screen', () => {
  it('is nothing while the camera cruises past at an even pace without turning', () => {
    const { acceleration } = measured(slide(SHARP));
    for (const row of [40, 70, 110]) expect(acceleration[row]).toBeLessThan(1e-6);
  });
  it('of a start without a feather is the whole speed over the time in which it is felt', () => {
    const { samples, acceleration } = measured(slide(SHARP));
    const speed = ((35 / samples.frameWidthMm) * (1.2 / 4)) / 4;
    const start = Math.round(SHARP.holdStartS * samples.frameRateHz);
    expect(acceleration[start]).toBeCloseTo(speed / FELT_S, 6);
  });
  it.each(['minimumJerk', 'cosine', 'constantAcceleration'] as const)(
    'of a %s feather peaks at its steepest rise times speed over duration',
    (featherShape) => {
      const timing = { durationS: 8, holdStartS: 1, featherInS: 2, featherOutS: 2, holdEndS: 1, featherShape };
      const scene = plainSetup((shot) => ({ ...slide(timing)(shot), frameRateHz: 120, captureRateHz: 120 }));
      const samples = sampleShot(scene);
      const { acceleration } = screenMotion(samples, subjectInFrame(samples, scene).depthM, nothingSeen(samples));
      const { area, peakSlope } = FEATHERS[featherShape];
      const cruisingMps = 1.2 / (2 + 4 * area);
      const expected = ((35 / samples.frameWidthMm) * (cruisingMps / 4) * peakSlope) / 2;
      expect(Math.max(...acceleration.slice(130, 350))).toBeCloseTo(expected, 3);
    },
  );
  it('is softer for minimum jerk than for constant acceleration at the ends of the feather', () => {
    const peak = (featherShape: Shot['timing']['featherShape']) =>
      Math.max(...measured(slide({ ...SHARP, featherInS: 1, featherOutS: 1, featherShape })).acceleration);
    expect(peak('constantAcceleration')).toBeLessThan(peak('minimumJerk'));
    const atStart = (featherShape: Shot['timing']['featherShape']) =>
      measured(slide({ ...SHARP, featherInS: 1, featherOutS: 1, featherShape })).acceleration[24];
    expect(atStart('minimumJerk')).toBeLessThan(atStart('constantAcceleration'));
  });
});
