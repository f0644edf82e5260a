import fc from 'fast-check';
import { Triangle, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { newPiece, type Piece, type PieceKind } from '../model';
import { num } from '../testing/any-move';
import { distanceToPieceM } from './distance';
import { toLocal } from './ground';
import { solidOf } from './solids';

/** Nearest point of a piece's drawn surface, by three.js, triangle by triangle; metres. */
function toSurfaceM(piece: Piece, x: number, y: number, z: number): number {
  const { positions } = solidOf(piece);
  const { along, across } = toLocal(piece, x, y);
  const point = new Vector3(across, along, z - piece.zM);
  const nearest = new Vector3();
  let least = Infinity;
  for (let i = 0; i < positions.length; i += 9) {
    const corner = (k: number) => new Vector3(positions[i + k], positions[i + k + 1], positions[i + k + 2]);
    new Triangle(corner(0), corner(3), corner(6)).closestPointToPoint(point, nearest);
    least = Math.min(least, nearest.distanceTo(point));
  }
  return least;
}

const placed = (kind: PieceKind): fc.Arbitrary<Piece> =>
  fc
    .record({
      xM: num(-3, 3),
      yM: num(-3, 3),
      zM: num(0, 2),
      headingDeg: num(0, 360),
      lengthM: num(0.3, 6),
      depthM: num(0.3, 4),
      heightM: num(0.4, 4),
    })
    .map((at) => ({ ...newPiece(kind, 'p', 'P', 0, 0, 0), ...at }));
const point = fc.tuple(num(-8, 8), num(-8, 8), num(0, 7));
const distance = (piece: Piece, [x, y, z]: readonly [number, number, number]) =>
  distanceToPieceM(piece, piece, x, y, z, z);

describe('distance to a piece, against its drawn surface measured by three.js', () => {
  it.each(['box', 'slab', 'wall'] as const)('a %s is exact from outside', (kind) => {
    fc.assert(
      fc.property(placed(kind), point, (piece, at) => {
        const ours = distance(piece, at);
        fc.pre(ours > 1e-6 && Number.isFinite(ours));
        // Drawn corners are 32-bit numbers.
        expect(ours).toBeCloseTo(toSurfaceM(piece, ...at), 4);
      }),
      { numRuns: 150 },
    );
  });
  it('glass in an opening of a wall is as much in the way as the wall', () => {
    const wall = newPiece('wall', 'w', 'W', 0, 0, 0);
    if (wall.kind !== 'wall') throw new Error('no wall');
    const through = (pane: 'open' | 'glass') =>
      distance({ ...wall, openings: wall.openings.map((opening) => ({ ...opening, pane })) }, [0, 0, 1.1]);
    expect(through('open')).toBeCloseTo(0.7, 2);
    expect(through('glass')).toBeLessThan(0);
  });
  it('a post is exact to the facets it is drawn with', () => {
    fc.assert(
      fc.property(placed('post'), point, (given, at) => {
        const piece = { ...given, lengthM: given.depthM };
        const ours = distance(piece, at);
        fc.pre(ours > 1e-6);
        const drawn = toSurfaceM(piece, ...at);
        expect(drawn).toBeGreaterThanOrEqual(ours - 1e-4);
        expect(drawn).toBeLessThan(ours + 0.06 * piece.depthM);
      }),
      { numRuns: 150 },
    );
  });
  it('a ridge is never said to be farther than it is, and rightly from above and beside', () => {
    fc.assert(
      fc.property(placed('ridge'), point, (piece, at) => {
        const ours = distance(piece, at);
        fc.pre(ours > 1e-6);
        expect(ours).toBeLessThanOrEqual(toSurfaceM(piece, ...at) + 1e-4);
      }),
      { numRuns: 150 },
    );
    const ridge = { ...newPiece('ridge', 'r', 'R', 0, 0, 0), headingDeg: 0, lengthM: 10, depthM: 6, heightM: 4 };
    // Over the middle of one slope, square to it: a 3-4-5 triangle.
    expect(distanceToPieceM(ridge, ridge, 1.5 + 0.8, 0, 2 + 0.6, 2 + 0.6)).toBeCloseTo(1, 9);
  });
  it.each(['box', 'post', 'hedge', 'figure', 'tree', 'ridge'] as const)('is not positive inside a %s', (kind) => {
    const piece = { ...newPiece(kind, 'p', 'P', 1, 2, 0.5), headingDeg: 30 };
    const inside = kind === 'tree' ? 0.6 : 0.3;
    expect(
      distanceToPieceM(piece, piece, 1, 2, 0.5 + piece.heightM * inside, 0.5 + piece.heightM * inside),
    ).toBeLessThanOrEqual(0);
  });
  it('goes with a walker: the spot counts, not where the piece was put', () => {
    const figure = newPiece('figure', 'f', 'F', 0, 0, 0);
    expect(distanceToPieceM(figure, { xM: 10, yM: 0, zM: 0 }, 8, 0, 1, 1)).toBeCloseTo(2 - 0.25, 9);
  });
  it('an upright line is as near as its nearest point', () => {
    fc.assert(
      fc.property(placed('box'), point, num(0, 3), (piece, [x, y, z], tall) => {
        const whole = distanceToPieceM(piece, piece, x, y, z, z + tall);
        const least = Math.min(...Array.from({ length: 61 }, (_, k) => distance(piece, [x, y, z + (tall * k) / 60])));
        fc.pre(whole > 0);
        expect(whole).toBeLessThanOrEqual(least + 1e-9);
        expect(whole).toBeGreaterThan(least - tall / 50 - 1e-9);
      }),
      { numRuns: 100 },
    );
  });
});
