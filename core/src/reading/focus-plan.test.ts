import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Move } from '../model/move';
import type { Shot } from '../model/shot';
import { depthOfField } from '../optics/depth-of-field';
import { filmed, usual } from '../testing/filmed';
import { AROUND } from '../testing/shoots';
import { blurDiscMm } from '../optics/depth-of-field';
import { fNumberForBand, focusPlan, softFocusM } from './focus-plan';

const push: Move = { kind: 'push', ...AROUND, heightM: 0.85, fromDistanceM: 6, toDistanceM: 2, bearingDeg: 180 };
function plan(move: Move, more: Partial<Shot> = {}) {
  const { shoot } = filmed(move, more);
  return focusPlan(shoot, shoot.shots[0]);
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
    expect(marks.length).toBeGreaterThan(2);
  });
  it('needs no pull and two marks where it stays', () => {
    const { pull, marks } = plan(push, { focus: { mode: 'fixed', distanceM: 3 } });
    expect(pull).toBeNull();
    expect(marks.map(({ distanceM }) => distanceM)).toEqual([3, 3]);
  });
  it('straight pulls between the marks keep within 0.02 dioptres of the plan', () => {
    const { marks, focusM, screenS } = plan({ ...usual('rackFocus'), distanceM: 2, fromPieceId: 'post', toPieceId: 'back' });
    for (let row = 0; row < focusM.length; row += 1) {
      const k = Math.max(
        1,
        marks.findIndex(({ atS }) => atS >= screenS[row]),
      );
      const [a, b] = [marks[k - 1], marks[k]];
      const share = (screenS[row] - a.atS) / (b.atS - a.atS);
      expect(Math.abs(1 / focusM[row] - (1 / a.distanceM + share * (1 / b.distanceM - 1 / a.distanceM)))).toBeLessThan(0.0201);
    }
  });
  it('the stop that a band needs makes just that band sharp', () => {
    const m = fc.double({ min: 0.8, max: 6, noNaN: true });
    fc.assert(
      fc.property(m, m, fc.constantFrom(24, 35, 50, 85), (a, b, f) => {
        fc.pre(Math.abs(a - b) > 0.2);
        const [nearM, farM] = [Math.min(a, b), Math.max(a, b)];
        const { fNumber, focusM } = fNumberForBand(f, 0.03, nearM, farM);
        const sharp = depthOfField(f, fNumber, 0.03, focusM);
        expect(sharp.nearM).toBeCloseTo(nearM, 6);
        expect(sharp.farM / farM).toBeGreaterThan(0.9);
        expect(sharp.farM / farM).toBeLessThan(1.1);
      }),
    );
  });
  it('starts soft where the blur disc is eight times what looks sharp', () => {
    const softM = softFocusM(50, 2.8, 0.03, 4, 0.4);
    expect(softM).toBeLessThan(4);
    expect(blurDiscMm(50, 2.8, softM, 4)).toBeCloseTo(0.24, 9);
    expect(softFocusM(50, 2.8, 0.03, 4, 3.2), 'no nearer than the lens focuses').toBe(3.2);
  });
  it('holds the pull against a hand, a motor and autofocus, and counts marks in the time of the action', () => {
    const { pull, pullers, marks } = plan(push, { timing: { durationS: 2, holdStartS: 0, featherInS: 0.4, featherOutS: 0.4, holdEndS: 0, featherShape: 'minimumJerk' }, captureRateHz: 120, frameRateHz: 24 }); // prettier-ignore
    const [hand, motor, autofocus] = pullers;
    expect(hand.value).toBe(motor.value);
    expect(autofocus.value).toBe(pull?.dioptresPerS);
    expect(hand.limit).toBeLessThan(motor.limit);
    expect(marks[marks.length - 1]).toMatchObject({ actionS: 2, atS: 10 });
    expect(marks[0].ringDeg).toBeLessThan(marks[marks.length - 1].ringDeg);
  });
});
