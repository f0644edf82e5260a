import { describe, expect, it } from 'vitest';
import { filmed, usual } from '../testing/filmed';
import { focusPlaneM, momentAt, openingRadiusM, openRows } from './sub-frames';

describe('a frame as many short looks', () => {
  it('the shutter is open for half a row at 180°, for more where it plays slower', () => {
    const open = (more: object) => {
      const { scene, samples } = filmed(usual('slide'), { shutterDeg: 180, ...more });
      return openRows(scene, samples, samples.count >> 1);
    };
    expect(open({ captureRateHz: 24, frameRateHz: 24 })).toBeCloseTo(0.5, 12);
    expect(open({ captureRateHz: 120, frameRateHz: 24 })).toBeCloseTo(0.5, 12);
    // 6 frames a second at life's pace: open for a twelfth of a second, two shown frames.
    expect(
      open({ captureRateHz: 6, frameRateHz: 24, playback: { reversed: false, ramp: [{ atS: 0, speed: 1 }] } }),
    ).toBeCloseTo(2, 9);
  });
  it('moments run from row to row, and stand at the ends', () => {
    const { samples, last } = filmed(usual('push'));
    expect(momentAt(samples, 10).xM).toBe(samples.xM[10]);
    expect(momentAt(samples, 10.5).yM).toBeCloseTo((samples.yM[10] + samples.yM[11]) / 2, 12);
    expect(momentAt(samples, last + 3).yM).toBe(samples.yM[last]);
    expect(momentAt(samples, -2).yM).toBe(samples.yM[0]);
  });
  it('the plane of sharpness lies square to the axis: nearer down the axis than a subject at the side', () => {
    const middle = filmed(usual('still'));
    const side = filmed(usual('still'), { aim: { ...middle.scene.shot.aim, place: { u: 0.4, v: 0 } } });
    const plane = ({ samples, scene }: typeof middle) => focusPlaneM(samples, 0, (scene.subject?.heightM ?? 0) / 2);
    expect(plane(middle)).toBeCloseTo(middle.samples.focusDistanceM[0], 6);
    const across = (0.4 * side.samples.frameWidthMm) / side.samples.focalLengthMm[0];
    expect(plane(side)).toBeCloseTo(side.samples.focusDistanceM[0] / Math.hypot(1, across), 6);
    const alone = filmed(usual('still'), { subjectId: null });
    expect(focusPlaneM(alone.samples, 0, 0)).toBe(alone.samples.focusDistanceM[0]);
  });
  it('the opening is the pupil, and a little wider for what is near', () => {
    expect(openingRadiusM(50, 2, 1e6)).toBeCloseTo(0.0125, 8);
    expect(openingRadiusM(50, 2, 0.5)).toBeCloseTo((0.0125 * 0.5) / 0.45, 12);
  });
});
