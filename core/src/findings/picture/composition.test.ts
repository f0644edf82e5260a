import { describe, expect, it } from 'vitest';
import { DEFAULT_AIM, type Delivery, type Move, type Piece, type Shot } from '../../model';
import { readShot } from '../../reading';
import { filmed, usual, WALK } from '../../testing/filmed';
import { AROUND, plainPieces } from '../../testing/shoots';
import { placeWords } from './composition';
import { innerArea } from './also-shape';
import { figureShare, shotSize } from '../../image';

const FULL: Move = { kind: 'slide', ...AROUND, heightM: 0.85, distanceM: 5, bearingDeg: 180, travelM: 0.6, skewDeg: 0 };
const aim = (u: number, v: number) => ({ aim: { ...DEFAULT_AIM, place: { u, v } } });
function found(
  id: string,
  move: Move,
  more: Partial<Shot> = {},
  pieces: Piece[] = plainPieces(),
  delivery: Partial<Delivery> = {},
) {
  const { shoot } = filmed(
    move,
    {
      timing: {
        durationS: 8,
        holdStartS: 0.5,
        featherInS: 1.5,
        featherOutS: 1.5,
        holdEndS: 0.5,
        featherShape: 'minimumJerk',
      },
      ...more,
    },
    false,
    pieces,
  );
  const given = { ...shoot, delivery: { ...shoot.delivery, ...delivery } };
  return readShot(given, given.shots[0]).findings.find((finding) => finding.id === id);
}
/** A figure that faces a bearing. */
const facing = (headingDeg: number): Piece[] =>
  plainPieces().map((piece) => (piece.kind === 'figure' ? { ...piece, headingDeg } : piece));

describe('sizes and places, in words (common practice, no published source)', () => {
  it('go from a figure lost in its surroundings to a part of a face', () => {
    expect([0.05, 0.3, 0.8, 1.2, 1.8, 3, 5, 12].map(shotSize)).toEqual([
      'extreme wide',
      'wide',
      'full figure',
      'from the knees up',
      'from the waist up',
      'from the chest up',
      'close-up',
      'extreme close-up',
    ]);
    // 35 mm at 5 m, 20.25 mm high frame: 2.893 m high there.
    expect(figureShare(1.7, 5, 35, 20.25)).toBeCloseTo(1.7 / 2.893, 3);
  });
  it('a third is a sixth of the width beside the middle', () => {
    expect(placeWords(0)).toBe('in the middle');
    expect(placeWords(-1 / 6)).toBe('on the left third');
    expect(placeWords(1 / 6)).toBe('on the right third');
    expect(placeWords(0.3)).toBe('near the right edge');
  });
  it('say start and end of a push in one sentence', () => {
    expect(
      found('composition', {
        kind: 'push',
        ...AROUND,
        heightM: 1.5,
        fromDistanceM: 5,
        toDistanceM: 1.6,
        bearingDeg: 180,
      })?.sentence,
    ).toBe('Ansa: full figure, in the middle at first; at last from the waist up, in the middle.');
  });
});

describe('head room', () => {
  it('too little and too much ripple, and lower or higher framing cures both', () => {
    expect(found('headRoom', FULL)).toMatchObject({ grade: 'calm' });
    expect(found('headRoom', FULL, aim(0, 0.185))).toMatchObject({
      grade: 'ripple',
      sentence: expect.stringMatching(/nearly touches the upper edge/),
    });
    const close: Move = { ...FULL, distanceM: 2, heightM: 1.4 };
    expect(found('headRoom', close, aim(0, -0.48))?.grade).toBe('ripple');
    expect(found('headRoom', close, aim(0, -0.48))?.sentence).toMatch(/much air above/);
  });
  it('is not asked of a figure that is part of the view', () => {
    expect(found('headRoom', { ...FULL, distanceM: 14 })).toBeUndefined();
  });
});

describe('looking room', () => {
  it('a figure that looks at the near edge ripples; turned about, or moved over, it does not', () => {
    expect(found('lookRoom', FULL, aim(0.2, 0), facing(90))).toMatchObject({ grade: 'ripple' });
    expect(found('lookRoom', FULL, aim(0.2, 0), facing(-90))?.grade).toBe('calm');
    expect(found('lookRoom', FULL, aim(-0.2, 0), facing(90))?.grade).toBe('calm');
    expect(found('lookRoom', FULL, aim(0.2, 0), facing(180))).toBeUndefined();
  });
  it('goes by the walk where there is one', () => {
    const beside = { ...usual('alongside') };
    const left = found('lookRoom', beside, { walks: [WALK], ...aim(-0.2, 0) })?.grade;
    const right = found('lookRoom', beside, { walks: [WALK], ...aim(0.2, 0) })?.grade;
    expect(new Set([left, right])).toEqual(new Set(['calm', 'ripple']));
  });
});

describe('joints', () => {
  /** The lower edge cuts the figure at a share of its height: level from the height that puts it there. */
  const cutAt = (share: number) => {
    const frameM = (3 * 20.25) / 35;
    const heightM = share * 1.7 + frameM / 2;
    const level: Move = { kind: 'still', ...AROUND, heightM, distanceM: 3, bearingDeg: 180 };
    return found('joints', level, aim(0, (0.85 - heightM) / frameM));
  };
  it('a cut through ankles, knees, hips or neck ripples, one between them does not', () => {
    for (const [share, name] of [
      [0.04, 'ankles'],
      [0.285, 'knees'],
      [0.53, 'hips'],
    ] as const)
      expect(cutAt(share)).toMatchObject({
        grade: 'ripple',
        sentence: `The lower edge cuts Ansa at the ${name} for 8.0 s; up to 1.5 s it only passes.`,
      });
    for (const share of [0.15, 0.4, 0.65]) expect(cutAt(share)?.grade ?? 'calm').toBe('calm');
  });
});

describe('a second shape', () => {
  it('is cut from the middle: upright from wide, wide from upright', () => {
    expect(innerArea('upright', 16 / 9)).toEqual({ halfWidth: 81 / 512, halfHeight: 0.5 });
    expect(innerArea('wide', 9 / 16)?.halfHeight).toBeCloseTo(81 / 512, 12);
    expect(innerArea('none', 16 / 9)).toBeNull();
  });
  it('is kept by a subject in the middle and left by one at the side', () => {
    expect(found('alsoShape', FULL, aim(0, 0), plainPieces(), { alsoShape: 'upright' })?.grade).toBe('calm');
    expect(found('alsoShape', FULL, aim(0.25, 0), plainPieces(), { alsoShape: 'upright' })).toMatchObject({
      grade: 'ripple',
      sentence: 'Ansa is not whole in the upright cut for 8.0 s, from 0.0 s on.',
    });
    expect(found('alsoShape', FULL)).toBeUndefined();
  });
});

describe('the horizon', () => {
  it('stays level, rolls where that is meant, and sways where a free head passes on the body’s lean', () => {
    expect(found('horizon', FULL)?.sentence).toBe('The horizon stays level.');
    expect(found('horizon', usual('roll'))).toMatchObject({
      grade: 'calm',
      sentence: expect.stringMatching(/^The horizon rolls to \d+°, which is meant\.$/),
    });
    const run: Move = { kind: 'push', ...AROUND, fromDistanceM: 9, toDistanceM: 3, bearingDeg: 180 };
    const free = found('horizon', run, {
      rigId: 'rig-hand',
      gaitId: 'gait-run',
      aim: { ...DEFAULT_AIM, mode: 'allFollow' },
    });
    expect(free?.grade).not.toBe('calm');
    expect(found('horizon', run, { rigId: 'rig-gimbal', gaitId: 'gait-knees' })?.grade).toBe('calm');
  });
});
