import { describe, expect, it } from 'vitest';
import { PLAIN_LOOK, FocusSchema, type Leg } from '../model';
import { fastestPull } from '../image';
import { filmed, usual } from '../testing/filmed';

const timing = {
  durationS: 4,
  holdStartS: 1,
  featherInS: 1,
  featherOutS: 1,
  holdEndS: 1,
  featherShape: 'minimumJerk' as const,
};
const rack = { ...usual('rackFocus'), fromPieceId: 'post', toPieceId: 'back' };

describe('focus', () => {
  it('follows the subject when nothing racks', () => {
    const { samples } = filmed(usual('push'));
    expect([...samples.focusDistanceM]).toEqual([...samples.subjectDistanceM]);
  });
  it('goes from one piece to the other, evenly in dioptres', () => {
    const { samples, last, shoot } = filmed(rack, { timing });
    const to = (id: string) => {
      const piece = shoot.site.pieces.find((row) => row.id === id);
      return piece
        ? Math.hypot(piece.xM - samples.xM[0], piece.yM - samples.yM[0], piece.zM + piece.heightM / 2 - samples.zM[0])
        : NaN;
    };
    expect(samples.focusDistanceM[0]).toBeCloseTo(to('post'), 9);
    expect(samples.focusDistanceM[last]).toBeCloseTo(to('back'), 9);
    const middle = samples.focusDistanceM[last / 2];
    expect(1 / middle).toBeCloseTo((1 / to('post') + 1 / to('back')) / 2, 9);
  });
  it('goes the other way when run backwards', () => {
    const [forth, back] = [filmed(rack, { timing }), filmed(rack, { timing, backwards: true })];
    expect(back.samples.focusDistanceM[0]).toBeCloseTo(forth.samples.focusDistanceM[forth.last], 9);
  });
  it('passes softly to the subject when the next move follows it', () => {
    const then: Leg = { move: usual('push'), timing, backwards: false, goes: 'stays', look: PLAIN_LOOK, overlapS: 0 };
    const { samples, last } = filmed(rack, { timing, then: [then], captureRateHz: 60, frameRateHz: 60 });
    const steps = Array.from(samples.focusDistanceM.slice(1), (m, i) =>
      Math.abs(1 / m - 1 / samples.focusDistanceM[i]),
    );
    expect(Math.max(...steps)).toBeLessThan(0.01);
    expect(samples.focusDistanceM[last]).toBeCloseTo(samples.subjectDistanceM[last], 9);
  });
});

describe('a focus that goes from one thing to another', () => {
  const racks = {
    mode: 'racks' as const,
    from: { on: 'distance' as const, distanceM: 1 },
    racks: [
      { atS: 1, overS: 1, to: { on: 'subject' as const } },
      { atS: 3, overS: 0.5, to: { on: 'piece' as const, pieceId: 'back', part: 'whole' } },
    ],
  };
  const film = filmed(usual('still'), { timing: { ...timing, durationS: 6 }, focus: racks });
  const at = (tS: number) => film.samples.focusDistanceM[Math.round(tS * 24)];
  it('rests on each between the racks', () => {
    expect([at(0), at(1)]).toEqual([1, 1]);
    expect(at(2)).toBeCloseTo(film.samples.subjectDistanceM[48], 9);
    expect(at(3)).toBeCloseTo(at(2), 9);
    expect(at(4)).toBeGreaterThan(at(3));
    expect(at(6)).toBeCloseTo(at(4), 9);
  });
  it('is halfway in dioptres at half time, and as quick as a minimum-jerk stroke there: 1.875 times the mean', () => {
    expect(1 / at(1.5)).toBeCloseTo((1 / at(1) + 1 / at(2)) / 2, 9);
    const pull = fastestPull(film.samples, film.scene.lens);
    const longer = Math.max(Math.abs(1 / at(2) - 1), Math.abs(1 / at(4) - 1 / at(3)) / 0.5);
    expect(pull?.dioptresPerS).toBeCloseTo(1.875 * longer, 1);
    expect(pull?.ringDegps).toBeCloseTo(
      (pull?.dioptresPerS ?? 0) * film.scene.lens.ringDeg * film.scene.lens.closestFocusM,
      9,
    );
  });
  it('may not begin before the last one has ended', () => {
    const { success, error } = FocusSchema.safeParse({ ...racks, racks: [racks.racks[1], racks.racks[0]] });
    expect(success).toBe(false);
    expect(error?.issues[0].message).toMatch(/must not be before the rack before it has ended/);
  });
});

describe('zoom', () => {
  it('changes by the same share each moment', () => {
    const { samples } = filmed(usual('zoom'), {
      lensId: 'lens-fern-2470',
      timing: { ...timing, holdStartS: 0, holdEndS: 0, featherInS: 0, featherOutS: 0 },
    });
    const shares = Array.from(samples.focalLengthMm.slice(1), (mm, i) => mm / samples.focalLengthMm[i]);
    expect(Math.max(...shares) - Math.min(...shares)).toBeLessThan(1e-9);
    expect(shares[0]).toBeGreaterThan(1);
  });
  it('past the end of the lens is enlarged, and says what it costs', () => {
    const { samples, last } = filmed({ ...usual('zoom'), toFocalLengthMm: 140 }, { lensId: 'lens-fern-2470' });
    expect(samples.crop[last]).toBeCloseTo(2, 9);
    expect(samples.focalLengthMm[last]).toBeCloseTo(140, 9);
  });
});
