import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Move } from '../model/move';
import { newPiece, type Piece } from '../model/piece';
import type { Shot } from '../model/shot';
import { filmed, usual } from '../testing/filmed';
import { AROUND } from '../testing/shoots';
import { compareLenses, lensFor, verdictOnLenses, withFocalLength } from './compare-lenses';

const pieces: Piece[] = [
  newPiece('figure', 'figure', 'Ansa', 0, 0, 0),
  newPiece('post', 'post', 'Post', -0.6, -1.4, 0),
  ...[-60, -20, 20, 60].map((x, i) => newPiece('tree', `t${i}`, 'Tree', x, 120, 0)),
];
const TIMING = { durationS: 8, holdStartS: 0, featherInS: 2, featherOutS: 2, holdEndS: 0, featherShape: 'minimumJerk' as const };
const slide: Move = { kind: 'slide', ...AROUND, heightM: 0.85, distanceM: 4, bearingDeg: 180, travelM: 1, skewDeg: 0 };
const arc: Move = { kind: 'arc', ...AROUND, heightM: 0.85, radiusM: 6, startBearingDeg: 150, sweepDeg: 60 };
const compared = (move: Move, by: 'spot' | 'framing', focals = [24, 35, 50, 70], more: Partial<Shot> = {}) => {
  const { shoot } = filmed(move, { timing: TIMING, lensId: 'lens-fern-2470', focalLengthMm: 35, rigId: 'rig-gimbal', ...more }, false, pieces);
  return compareLenses(shoot, shoot.shots[0], focals, by);
};

describe('comparing focal lengths', () => {
  it('same framing keeps the subject’s height at every focal length, to what distances are set to', () => {
    fc.assert(
      fc.property(fc.constantFrom(slide, arc, usual('push')), fc.double({ min: 24, max: 70, noNaN: true }), (move, focal) => {
        const [own, other] = compared(move, 'framing', [35, focal]);
        expect(other.subjectHeight / own.subjectHeight).toBeGreaterThan(0.96);
        expect(other.subjectHeight / own.subjectHeight).toBeLessThan(1.04);
      }),
      { numRuns: 12 },
    );
  });
  it('same spot leaves the camera where it is: the subject’s height goes with the focal length', () => {
    const columns = compared(slide, 'spot');
    for (const column of columns) {
      expect(column.distanceM).toBeCloseTo(columns[0].distanceM, 6);
      expect(column.subjectHeight / columns[0].subjectHeight).toBeCloseTo(column.focalLengthMm / 24, 1);
    }
  });
  it('per degree of orbit a far background sweeps the frame in proportion to focal length', () => {
    const columns = compared(arc, 'spot', [35, 70]);
    expect((columns[1].slidePerDeg ?? 0) / (columns[0].slidePerDeg ?? 1)).toBeGreaterThan(1.7);
    expect((columns[1].slidePerDeg ?? 0) / (columns[0].slidePerDeg ?? 1)).toBeLessThan(2.3);
  });
  // Facts of the trade (common practice, no published source): per metre at equal subject size wide wins; per degree of orbit long wins.
  it('says wide for a metre of slide with the same framing, and long for an arc from the same spot', () => {
    const metres = compared(slide, 'framing');
    expect(metres[0].slidePerM ?? 0).toBeGreaterThan(metres[3].slidePerM ?? 1);
    expect(verdictOnLenses(metres, 'framing')).toMatch(/^Here wide wins: 24 mm shows depth [\d.]+ times as strongly as 70 mm/);
    expect(verdictOnLenses(compared(arc, 'spot'), 'spot')).toMatch(/^Here long wins: 70 mm/);
  });
  it('takes a lens of the kit that reaches, and says so when the rig or the lens cannot', () => {
    const { shoot } = filmed(slide, { lensId: 'lens-moss-35', focalLengthMm: 35 });
    const [shot] = shoot.shots;
    expect(lensFor(shoot, shot, 85).id).toBe('lens-moss-85');
    expect(lensFor(shoot, shot, 500).id).toBe('lens-moss-35');
    expect(withFocalLength(shoot, shot, 200, 'spot')).toMatchObject({ lensId: 'lens-fern-70200', focalLengthMm: 200 });
    const [too] = compareLenses(shoot, shot, [500], 'spot');
    expect(too.grade).toBe('cannot');
    expect(too.why.join(' ')).toMatch(/Moss 35/);
  });
  it('a longer lens wobbles more and holds less in focus from the same spot', () => {
    const columns = compared(slide, 'spot', [24, 70], { rigId: 'rig-hand', gaitId: 'gait-walk' });
    expect(columns[1].wobble).toBeGreaterThan(2 * columns[0].wobble);
    expect(columns[1].sharpToM - columns[1].sharpFromM).toBeLessThan(columns[0].sharpToM - columns[0].sharpFromM);
  });
  it('says that nothing slides where nothing does', () => {
    expect(verdictOnLenses(compared({ kind: 'still', ...AROUND, distanceM: 5, bearingDeg: 180 }, 'spot'), 'spot')).toMatch(/^Nothing slides past anything here/);
  });
});
