import { describe, expect, it } from 'vitest';
import { DEFAULT_AIM, newPiece, type Piece } from '../../model';
import { readShot } from '../../reading';
import { filmed } from '../../testing/filmed';
import { AROUND } from '../../testing/shoots';

const FIGURE = newPiece('figure', 'figure', 'Ansa', 0, 0, 0);
/** A wall across the line to the figure. */
const screen = (heightM: number): Piece =>
  ({ ...newPiece('box', 'screen', 'Screen', 0, -2, 0), lengthM: 1, depthM: 0.1, heightM, headingDeg: 90 }) as Piece;
const TIMING = {
  durationS: 6,
  holdStartS: 0,
  featherInS: 1,
  featherOutS: 1,
  holdEndS: 0,
  featherShape: 'minimumJerk' as const,
};

interface Given {
  fromM?: number;
  toM: number;
  heightM?: number;
  pieces?: Piece[];
  reversed?: boolean;
  /** Where the middle of the figure is kept, in frame heights above the middle of the picture. */
  v?: number;
}
/** A push towards the figure with a 50 mm lens before 36 mm. */
function ends({
  fromM = 6,
  toM,
  heightM = 0.9,
  pieces = [FIGURE],
  reversed = false,
  v = 0,
}: Given): Record<string, { grade: string; sentence: string }> {
  const { shoot } = filmed(
    { kind: 'push', ...AROUND, heightM, fromDistanceM: fromM, toDistanceM: toM, bearingDeg: 180 },
    {
      timing: TIMING,
      lensId: 'lens-fern-2470',
      focalLengthMm: 50,
      subjectId: 'figure',
      aim: { ...DEFAULT_AIM, mode: 'subject', place: { u: 0, v } },
      playback: { reversed, ramp: [] },
    },
    false,
    pieces,
  );
  const { findings } = readShot(shoot, shoot.shots[0]);
  return Object.fromEntries(
    findings
      .filter(({ id }) => /^(opening|closing)\./.test(id))
      .map(({ id, grade, sentence }) => [id, { grade, sentence }]),
  );
}

describe('what a viewer sees first and last', () => {
  it('a push at the height of the hips that lands on them says that the face is outside', () => {
    const found = ends({ toM: 1.2 });
    expect(found['closing.face']).toMatchObject({
      grade: 'jolt',
      sentence: 'The last frame is of Ansa’s hips: the face is outside it.',
    });
    expect(found['opening.face']?.grade).toBe('calm');
  });
  it('with the figure kept lower in the frame it is inside', () => {
    expect(ends({ toM: 2.5, v: -0.4 })['closing.face']).toMatchObject({
      grade: 'calm',
      sentence: 'Ansa’s face is in the last frame.',
    });
  });
  it('backwards, the end is the beginning', () => {
    expect(ends({ toM: 1.2, reversed: true })['opening.face']?.grade).toBe('jolt');
  });
  it('what stands before head and chest where the shot opens is named with how much it covers', () => {
    const found = ends({ toM: 3, heightM: 1.4, pieces: [FIGURE, screen(2.5)] });
    expect(found['opening.covered']).toMatchObject({ grade: 'jolt' });
    expect(found['opening.covered']?.sentence).toContain(
      'Screen covers 100% of Ansa’s head and chest in the first frame',
    );
  });
  it('a hedge before the legs is a view, not in the way', () => {
    expect(ends({ toM: 3, heightM: 1.4, pieces: [FIGURE, screen(0.6)] })['opening.covered']).toBeUndefined();
  });
});
