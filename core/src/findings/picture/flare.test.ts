import { describe, expect, it } from 'vitest';
import { newPiece, type Piece } from '../../model';
import { plannedFilm } from '../../motion';
import { measurePicture } from '../../image';
import { filmed } from '../../testing/filmed';
import { HELD_STILL, plainPieces } from '../../testing/shoots';
import { usual } from '../../testing/filmed';
import { flare } from './flare';

/** A still camera 10 m south of the middle, at the height of the light, that sees 10 m across there. */
const seen = (lamp: { xM: number; yM: number }, more: Piece[] = [], headingDeg = 180) => {
  const light = { ...newPiece('lamp', 'lamp', 'Key', lamp.xM, lamp.yM, 0), heightM: 2, headingDeg } as Piece;
  const move = { ...usual('still'), heightM: 1.86, distanceM: 10, bearingDeg: 180 };
  const { scene } = filmed(move, { ...HELD_STILL, subjectId: null }, false, [
    ...plainPieces().filter(({ id }) => id === 'back'),
    light,
    ...more,
  ]);
  return flare.find(measurePicture(plannedFilm(scene), 'metric'));
};

describe('a lamp and the glass', () => {
  it('is in the picture, just outside it, or too far aside, by the angle from the edge of the frame', () => {
    expect(seen({ xM: 0, yM: 0 })[0]).toMatchObject({ grade: 'calm', value: 0 });
    // The edge is 26.57° off the axis; 6.5 m aside at 10 m is 33.02°.
    const [beside] = seen({ xM: 6.5, yM: 0 });
    expect(beside.grade).toBe('ripple');
    expect(beside.value).toBeCloseTo(33.02 - 26.57, 1);
    expect(beside.sentence).toMatch(/^Key stands 6° outside the frame/);
    expect(seen({ xM: 10, yM: 0 })).toEqual([]);
    expect(seen({ xM: 0, yM: -14 })).toEqual([]);
  });
  it('does nothing where its beam goes another way', () => {
    expect(seen({ xM: 0, yM: 0 }, [], 0)).toEqual([]);
    expect(seen({ xM: 0, yM: 0 }, [], 140)).toEqual([]);
    expect(seen({ xM: 0, yM: 0 }, [], 160)).toHaveLength(1);
  });
  it('does nothing from behind a wall', () => {
    const wall = {
      ...newPiece('box', 'wall', 'Wall', 0, -3, 0),
      lengthM: 9,
      depthM: 0.3,
      heightM: 3,
      headingDeg: 90,
    } as Piece;
    expect(seen({ xM: 0, yM: 0 }, [wall])).toEqual([]);
    expect(seen({ xM: 6.5, yM: 0 }, [{ ...wall, lengthM: 12 }])).toEqual([]);
  });
});
