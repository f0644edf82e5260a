import { describe, expect, it } from 'vitest';
import type { Move, Shot } from '../model';
import { filmed, usual } from '../testing/filmed';
import { AROUND } from '../testing/shoots';
import { sceneOf } from '../scene';
import { filmShot, plannedFilm } from '../motion';
import { blurDiscMm, hyperfocalM } from '../optics';
import { focusPlan, softFocusM } from './focus-plan';

const push: Move = { kind: 'push', ...AROUND, heightM: 0.85, fromDistanceM: 6, toDistanceM: 2, bearingDeg: 180 };
function plan(move: Move, more: Partial<Shot> = {}) {
  const { shoot } = filmed(move, more);
  return focusPlan(plannedFilm(sceneOf(shoot, shoot.shots[0])));
}

describe('the focus of a shot', () => {
  it('follows the subject within its band, and marks both ends with the distances there', () => {
    const { focusM, subjectM, nearM, farM, marks } = plan(push);
    for (let row = 0; row < focusM.length; row += 1) {
      expect(focusM[row]).toBeCloseTo(subjectM[row], 9);
      expect(nearM[row]).toBeLessThan(subjectM[row]);
      expect(farM[row]).toBeGreaterThan(subjectM[row]);
    }
    expect(marks[0]).toMatchObject({ atS: 0, actionS: 0, distanceM: focusM[0] });
    expect(marks[marks.length - 1].distanceM).toBeCloseTo(2, 2);
    expect(marks.length).toBeGreaterThanOrEqual(2);
  });
  it('needs no pull and two marks where it stays', () => {
    const { pull, marks } = plan(push, { focus: { mode: 'fixed', distanceM: 3 } });
    expect(pull).toBeNull();
    expect(marks.map(({ distanceM }) => distanceM)).toEqual([3, 3]);
  });
  const STOPPED = { lensId: 'lens-fern-2470', focalLengthMm: 50, fNumber: 2.8 };
  const zigzag: Move = {
    kind: 'free',
    pivotEastM: 0,
    pivotNorthM: 0,
    points: [0, 1, 0, 1, 0, 1, 0].map((near, i) => ({
      eastM: 0.2 * i,
      northM: -6 + 3 * near,
      heightM: 0.9,
      look: null,
    })),
  };
  it('straight pulls between the marks keep what is planned sharp, as few as do, over the whole of a long zigzag', () => {
    const long = {
      timing: {
        durationS: 40,
        holdStartS: 0,
        featherInS: 2,
        featherOutS: 2,
        holdEndS: 0,
        featherShape: 'minimumJerk' as const,
      },
    };
    for (const [move, more] of [
      [{ ...usual('rackFocus'), distanceM: 2, fromPieceId: 'post', toPieceId: 'back' } as Move, STOPPED],
      [push, STOPPED],
      [zigzag, { ...STOPPED, ...long }],
    ] as const) {
      const { marks, marksSharpShare, focusM, nearM, farM, screenS } = plan(move, more);
      let sharp = 0;
      for (let row = 0; row < focusM.length; row += 1) {
        const k = Math.max(
          1,
          marks.findIndex(({ atS }) => atS >= screenS[row] - 1e-9),
        );
        const [a, b] = [marks[k - 1], marks[k]];
        const pulled =
          1 / (1 / a.distanceM + ((screenS[row] - a.atS) / (b.atS - a.atS)) * (1 / b.distanceM - 1 / a.distanceM));
        if (pulled >= nearM[row] - 1e-6 && pulled <= farM[row] + 1e-6) sharp += 1;
      }
      expect(sharp / focusM.length).toBeCloseTo(marksSharpShare, 2);
      expect(marksSharpShare).toBeGreaterThan(0.9);
      expect(marks.length).toBeLessThanOrEqual(12);
    }
    const { marks } = plan(zigzag, { ...STOPPED, ...long });
    // No stretch is left out.
    for (let k = 1; k < marks.length; k += 1) expect(marks[k].actionS - marks[k - 1].actionS).toBeLessThan(12);
    // A shallower stop wants no fewer.
    expect(plan(push, { ...STOPPED, fNumber: 11 }).marks.length).toBeLessThanOrEqual(plan(push, STOPPED).marks.length);
  });
  it('one focus for a whole dolly zoom takes the stop of its hardest moment, and enlargement counts', () => {
    const zoom: Move = { ...usual('dollyZoom'), fromDistanceM: 2.5, toDistanceM: 5, zoomBy: 'both' };
    const { shoot } = filmed(zoom, { lensId: 'lens-fern-2470', focalLengthMm: 30 });
    const { one, hyperfocalM: hyperM, confusionMm } = focusPlan(plannedFilm(sceneOf(shoot, shoot.shots[0])));
    if (!one) throw new Error('no focus');
    const samples = filmShot(sceneOf(shoot, shoot.shots[0]));
    const blurs = Array.from(
      { length: samples.count },
      (_, row) =>
        (blurDiscMm(
          samples.focalLengthMm[row] / samples.crop[row],
          one.fNumber,
          one.focusM,
          samples.subjectDistanceM[row],
        ) *
          samples.crop[row]) /
        confusionMm,
    );
    expect(Math.max(...blurs)).toBeCloseTo(1, 3);
    // Nothing more open does, wherever it is focused.
    for (let focusM = 2; focusM < 6; focusM += 0.05) {
      const most = Math.max(
        ...Array.from(
          { length: samples.count },
          (_, row) =>
            (blurDiscMm(
              samples.focalLengthMm[row] / samples.crop[row],
              one.fNumber * 0.98,
              focusM,
              samples.subjectDistanceM[row],
            ) *
              samples.crop[row]) /
            confusionMm,
        ),
      );
      expect(most).toBeGreaterThan(1);
    }
    const longest = Math.max(...samples.focalLengthMm);
    expect(hyperM).toBeCloseTo(hyperfocalM(longest, shoot.shots[0].fNumber, confusionMm), 1);
  });
  it('starts soft where the blur disc is eight times what looks sharp', () => {
    const softM = softFocusM(50, 2.8, 0.03, 4, 0.4);
    expect(softM).toBeLessThan(4);
    expect(blurDiscMm(50, 2.8, softM, 4)).toBeCloseTo(0.24, 9);
    expect(softFocusM(50, 2.8, 0.03, 4, 3.2), 'no nearer than the lens focuses').toBe(3.2);
  });
  it('holds the pull against a hand, a motor and autofocus, and counts marks in the time of the action', () => {
    const { pull, pullers, marks } = plan(push, {
      timing: {
        durationS: 2,
        holdStartS: 0,
        featherInS: 0.4,
        featherOutS: 0.4,
        holdEndS: 0,
        featherShape: 'minimumJerk',
      },
      captureRateHz: 120,
      frameRateHz: 24,
    });
    const [hand, motor, autofocus] = pullers;
    expect(hand.value).toBe(motor.value);
    expect(autofocus.value).toBe(pull?.dioptresPerS);
    expect(hand.limit).toBeLessThan(motor.limit);
    expect(marks[marks.length - 1]).toMatchObject({ actionS: 2, atS: 10 });
    expect(marks[0].ringDeg).toBeLessThan(marks[marks.length - 1].ringDeg);
  });
});
