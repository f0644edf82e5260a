import { describe, expect, it } from 'vitest';
import type { Move, Shot } from '../../model';
import { depthOfField } from '../../optics';
import { readShot } from '../../reading';
import { filmed, usual } from '../../testing/filmed';
import { AROUND } from '../../testing/shoots';

const push: Move = { kind: 'push', ...AROUND, heightM: 0.85, fromDistanceM: 6, toDistanceM: 2, bearingDeg: 180 };
const LENS = { lensId: 'lens-fern-2470', focalLengthMm: 50 };
function sharp(move: Move, more: Partial<Shot> = {}) {
  const { shoot } = filmed(move, { ...LENS, ...more });
  return readShot(shoot, shoot.shots[0]).findings.find(({ id }) => id === 'focus.sharp');
}
const fixed = (distanceM: number) => ({ focus: { mode: 'fixed' as const, distanceM } });

describe('sharp at the start, on the way, at the end', () => {
  it('with a focus that follows, throughout', () => {
    expect(sharp(push)).toMatchObject({
      grade: 'calm',
      value: 0,
      sentence: 'Ansa is sharp at the start, on the way and at the end (focus follows).',
    });
  });
  it('with the focus left where the move ends, sharp only there', () => {
    expect(sharp(push, { fNumber: 2.8, ...fixed(2) })).toMatchObject({
      grade: 'jolt',
      sentence: expect.stringMatching(
        /^Ansa is out of focus at the start, out of focus on the way and sharp at the end: focus stays at 2 m/,
      ),
    });
  });
  it('cured by a deep stop, a constant distance, or a focus that follows', () => {
    const near: Move = { ...push, fromDistanceM: 4, toDistanceM: 3 };
    expect(sharp(near, { fNumber: 2.8, ...fixed(3.4) })?.grade).not.toBe('calm');
    expect(sharp(near, { fNumber: 11, ...fixed(3.4) })?.grade).toBe('calm');
    expect(sharp({ ...usual('arc'), radiusM: 4 }, { fNumber: 2.8, ...fixed(4) })?.grade).toBe('calm');
  });
  it('begins to be soft just where depth of field ends', () => {
    const [f, n, focusM] = [50, 4, 3];
    const { farM } = depthOfField(f, n, 0.00083 * 36, focusM);
    const at = (distanceM: number) =>
      sharp({ kind: 'still', ...AROUND, heightM: 0.85, distanceM, bearingDeg: 180 }, { fNumber: n, ...fixed(focusM) });
    expect(at(farM * 0.99)?.grade).toBe('calm');
    expect(at(farM * 1.01)?.grade).toBe('ripple');
  });
  it('is not asked of a shot that racks, nor without a subject', () => {
    expect(sharp(usual('rackFocus'))).toBeUndefined();
    expect(sharp(push, { subjectId: null })).toBeUndefined();
  });
});
