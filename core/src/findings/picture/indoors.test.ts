import { describe, expect, it } from 'vitest';
import { newPiece, type Piece, type Shot } from '../../model';
import { readShot } from '../../reading';
import { AROUND, moved, plainShoot } from '../../testing/shoots';

const figure = newPiece('figure', 'figure', 'Ansa', 0, 0, 0);
/** A barn without a near side: roof, three walls. */
const barn: Piece[] = [
  { ...newPiece('slab', 'roof', 'Roof', 0, 9, 3), lengthM: 8, depthM: 8, heightM: 0.2 },
  ...[
    [0, 13, 90],
    [-4, 9, 0],
    [4, 9, 0],
  ].map(([x, y, headingDeg], i): Piece => {
    return { ...newPiece('box', `w${i}`, `Wall ${i}`, x, y, 0), lengthM: 8, depthM: 0.2, heightM: 3, headingDeg };
  }),
];
const into = {
  pieceId: 'figure',
  footing: 'ground' as const,
  jumps: [],
  points: [
    { tS: 0, xM: 0, yM: -4, zM: 0 },
    { tS: 8, xM: 0, yM: 10, zM: 0 },
  ],
};
const film = (more: Partial<Shot>, pieces: Piece[] = [figure, ...barn]) => {
  const still = { kind: 'still' as const, ...AROUND, distanceM: 8, bearingDeg: 180 };
  const shoot = plainShoot(moved(still, { timing: TIMING, ...more }), pieces);
  return readShot(shoot, shoot.shots[0]).findings.find(({ id }) => id === 'light.door');
};
const TIMING = {
  durationS: 8,
  holdStartS: 0.5,
  featherInS: 1,
  featherOutS: 1,
  holdEndS: 0.5,
  featherShape: 'minimumJerk' as const,
};

describe('the light of the sky under a roof', () => {
  it('falls when somebody goes in: what a locked exposure does not bear, and what an automatic one shows', () => {
    const locked = film({ walks: [into] });
    expect(locked?.grade).toBe('ripple');
    expect(locked?.sentence).toMatch(
      /^Ansa goes out of the open under a roof: the light of the sky falls by \d\.?\d? stops/,
    );
    expect(locked?.sentence).toContain('Ride the stop, light the inside, or cut at the door.');
    const { setUp } = plainShoot().shots[0];
    expect(film({ walks: [into], setUp: { ...setUp, exposure: 'auto' } })).toMatchObject({
      grade: 'calm',
      sentence: expect.stringContaining('which the camera follows by itself') as string,
    });
  });
  it('rises as much when it is walked the other way', () => {
    const back = {
      ...into,
      points: [
        { ...into.points[1], tS: 0 },
        { ...into.points[0], tS: 8 },
      ],
    };
    const [inwards, outwards] = [film({ walks: [into] }), film({ walks: [back] })];
    expect(outwards?.sentence).toMatch(/^Ansa goes out from under a roof: the light of the sky rises by/);
    expect(outwards?.value).toBeCloseTo(inwards?.value ?? 0, 1);
  });
  it('is told in lux for who stays inside, and not at all in the open', () => {
    const inside = [{ ...figure, yM: 10 }, ...barn];
    expect(film({}, inside)?.sentence).toMatch(/^Under its roof Ansa gets \d+% of the sky, .*: about \d+ lux\.$/);
    expect(film({}, [figure])).toBeUndefined();
    expect(film({}, [{ ...figure, yM: -20 }, ...barn])).toBeUndefined();
  });
});
