import { describe, expect, it } from 'vitest';
import { type Move, newPiece, type Piece, type Shot } from '../../model';
import { severity } from '../finding';
import { readShot } from '../../reading';
import { filmed, usual, WALK } from '../../testing/filmed';
import { AROUND, plainPieces } from '../../testing/shoots';

const TIMING = {
  durationS: 9,
  holdStartS: 0.6,
  featherInS: 2,
  featherOutS: 2.5,
  holdEndS: 0.8,
  featherShape: 'minimumJerk' as const,
};
function read(move: Move, more: Partial<Shot> = {}, pieces: Piece[] = plainPieces()) {
  const { shoot } = filmed(move, { timing: TIMING, ...more }, false, pieces);
  return readShot(shoot, shoot.shots[0]);
}
const found = (id: string, ...given: Parameters<typeof read>) =>
  read(...given).findings.find((finding) => finding.id === id);

describe('what a move is meant to do is no fault', () => {
  it('a whip smears', () => {
    const timing = {
      durationS: 4,
      holdStartS: 1.8,
      holdEndS: 1.8,
      featherInS: 0.15,
      featherOutS: 0.2,
      featherShape: 'minimumJerk' as const,
    };
    const { findings } = read(usual('whipPan'), { timing });
    expect(findings.find(({ id }) => id === 'speed.far')).toMatchObject({ grade: 'calm' });
    expect(findings.find(({ id }) => id === 'speed.far')?.sentence).toMatch(/they smear, which is meant here/);
    expect(findings.find(({ id }) => id === 'stop')?.grade).toBe('calm');
    // The same turn as a plain pan is one.
    expect(severity(found('speed.far', { ...usual('pan'), fromDeg: -60 }, { timing }) ?? { grade: 'calm' })).toBe(2);
  });
  it('a subject that is to be found at the end, left at the start, or passed, is asked for only then', () => {
    for (const kind of ['groundStart', 'skyEnd', 'pan', 'backAwayReveal', 'tiltToHorizon', 'approachTiltDown'] as const)
      expect(found('cutoff', usual(kind))?.grade, kind).toBe('calm');
    expect(found('cutoff', usual('enterLeave'), { walks: [WALK] })?.grade).toBe('calm');
  });
  it('but one that never comes is missed all the same', () => {
    expect(found('cutoff', { ...usual('pan'), fromDeg: -120, toDeg: -60 })?.sentence).toBe(
      'Ansa is never in the picture.',
    );
    expect(
      severity(
        found(
          'cutoff',
          { ...usual('skyEnd'), toTiltDeg: 60 },
          {
            aim: { mode: 'subject', place: { u: 0, v: 0 }, smoothingS: 0, deadBandDeg: 0, rateMaxDegps: 360 },
            backwards: true,
          },
        ) ?? { grade: 'jolt' },
      ),
    ).toBe(0);
  });
  it('a place is only promised where the move keeps the subject', () => {
    expect(found('place', usual('arc'))?.grade).toBe('calm');
    expect(found('place', usual('pan'))).toBeUndefined();
    expect(
      found('place', usual('arc'), {
        aim: { mode: 'panFollow', place: { u: 0, v: 0 }, smoothingS: 1.5, deadBandDeg: 3, rateMaxDegps: 360 },
        timing: { ...TIMING, durationS: 5, featherInS: 1, featherOutS: 1 },
      })?.grade,
    ).not.toBe('calm');
  });
});

describe('seen from above', () => {
  it('a person is short, not small: a spiral to overhead does not rush', () => {
    expect(found('size', usual('spiralOverhead'), { timing: { ...TIMING, durationS: 16 } })?.grade).toBe('calm');
  });
  it('a slide over flat ground shows, though near and far do not part', () => {
    const map: Move = {
      kind: 'overheadSlide',
      ...AROUND,
      heightM: 8,
      distanceM: 0.1,
      bearingDeg: 180,
      travelM: 5,
      skewDeg: 0,
    };
    expect(found('parallax', map, {}, [newPiece('figure', 'figure', 'Ansa', 0, 0, 0)])).toMatchObject({
      grade: 'calm',
      sentence: expect.stringMatching(/The picture as a whole moves/),
    });
  });
});

describe('out of sight', () => {
  it('what the subject does is not seen: flying past it is no jolt', () => {
    const { findings } = read(usual('backAwayReveal'), { timing: { ...TIMING, durationS: 14 } });
    for (const id of ['speed.subject', 'blur.subject', 'start'])
      expect(severity(findings.find((finding) => finding.id === id) ?? { grade: 'calm' }), id).toBeLessThan(2);
  });
});

describe('a rack', () => {
  it('too quick for a hand, and cured by taking longer', () => {
    const rack: Move = { ...usual('rackFocus'), distanceM: 2, bearingDeg: 180, fromPieceId: 'post', toPieceId: 'back' };
    const timing = { ...TIMING, durationS: 2, holdStartS: 0.7, holdEndS: 0.7, featherInS: 0.2, featherOutS: 0.2 };
    const quick = found('focus.rack', rack, { timing });
    expect(severity(quick ?? { grade: 'calm' })).toBeGreaterThan(0);
    expect(quick?.sentence).toMatch(/dioptres a second/);
    expect(found('focus.rack', rack)?.value).toBeLessThan(quick?.value ?? 0);
  });
});
