import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { newPiece, PIECE_KINDS, type PieceKind } from '../model';
import { groundHeightM, groundPieces, toLocal, toSite } from './ground';
import { pointsOf, CLUSTER_SIZE, sitePoints } from './site-points';
import { solidOf } from './solids';

const KINDS = Object.keys(PIECE_KINDS) as PieceKind[];

describe('solids', () => {
  it.each(KINDS)('%s fills its bounding size and stands on its base', (kind) => {
    const piece = newPiece(kind, 'p', 'P', 4, 5, 6);
    const { positions } = solidOf(piece);
    const span = (axis: number) => {
      const values = positions.filter((_, i) => i % 3 === axis);
      return [Math.min(...values), Math.max(...values)];
    };
    expect(span(2)[0]).toBeCloseTo(0, 5);
    expect(span(2)[1]).toBeCloseTo(piece.heightM, 4);
    expect(span(1)[1] - span(1)[0]).toBeGreaterThan(piece.lengthM * 0.9);
    expect(span(0)[1] - span(0)[0]).toBeLessThan(piece.depthM * 1.01);
  });
  it.each(KINDS)(
    '%s is closed and faces outwards: its signed volume is positive and its faces sum to nothing',
    (kind) => {
      const { positions, normals } = solidOf(newPiece(kind, 'p', 'P', 0, 0, 0));
      let volume = 0;
      const area = [0, 0, 0];
      for (let i = 0; i < positions.length; i += 9) {
        const [ax, ay, az, bx, by, bz, cx, cy, cz] = positions.subarray(i, i + 9);
        volume += (ax * (by * cz - bz * cy) + ay * (bz * cx - bx * cz) + az * (bx * cy - by * cx)) / 6;
        const n = [
          (by - ay) * (cz - az) - (bz - az) * (cy - ay),
          (bz - az) * (cx - ax) - (bx - ax) * (cz - az),
          (bx - ax) * (cy - ay) - (by - ay) * (cx - ax),
        ];
        n.forEach((value, axis) => (area[axis] += value));
        expect(n[0] * normals[i] + n[1] * normals[i + 1] + n[2] * normals[i + 2]).toBeGreaterThan(0);
      }
      expect(volume).toBeGreaterThan(0);
      area.forEach((value) => expect(Math.abs(value)).toBeLessThan(1e-3));
    },
  );
  it.each(KINDS)('%s seen from afar has no more faces, and about the size that it is', (kind) => {
    const piece = newPiece(kind, 'p', 'P', 0, 0, 0);
    const sizes = (coarse: boolean) => {
      const { positions } = solidOf(piece, undefined, coarse);
      const span = (axis: number) => {
        const values = positions.filter((_, i) => i % 3 === axis);
        return Math.max(...values) - Math.min(...values);
      };
      return { faces: positions.length / 9, spans: [span(0), span(1), span(2)] };
    };
    const [fine, coarse] = [sizes(false), sizes(true)];
    expect(coarse.faces).toBeLessThanOrEqual(fine.faces);
    coarse.spans.forEach((span, axis) => {
      expect(span / fine.spans[axis]).toBeGreaterThan(0.85);
      expect(span / fine.spans[axis]).toBeLessThan(1.1);
    });
  });
  it('somebody seen from afar has less than half of the faces', () => {
    const person = newPiece('figure', 'p', 'P', 0, 0, 0);
    expect(solidOf(person, undefined, true).positions.length).toBeLessThan(0.5 * solidOf(person).positions.length);
  });
  it('a wall’s opening takes its volume out', () => {
    const wall = newPiece('wall', 'w', 'W', 0, 0, 0);
    const volume = (piece: typeof wall) => {
      const { positions: p } = solidOf(piece);
      let sum = 0;
      for (let i = 0; i < p.length; i += 9)
        sum +=
          (p[i] * (p[i + 4] * p[i + 8] - p[i + 5] * p[i + 7]) +
            p[i + 1] * (p[i + 5] * p[i + 6] - p[i + 3] * p[i + 8]) +
            p[i + 2] * (p[i + 3] * p[i + 7] - p[i + 4] * p[i + 6])) /
          6;
      return sum;
    };
    expect(volume(wall)).toBeCloseTo(wall.depthM * (wall.lengthM * wall.heightM - 1.4 * 2.2), 3);
  });
});

describe('ground', () => {
  const low = { ...newPiece('slab', 'a', 'A', 0, 0, 0), heightM: 1, lengthM: 10, depthM: 10 };
  const high = { ...newPiece('slab', 'b', 'B', 0, 0, 1), heightM: 1, lengthM: 4, depthM: 4 };
  const roof = { ...newPiece('slab', 'c', 'C', 0, 0, 5), heightM: 0.2, lengthM: 30, depthM: 30 };
  it('is the top of what is stacked, not of what floats', () => {
    const ground = groundPieces([roof, high, low]);
    expect(groundHeightM(ground, 0, 0)).toBe(2);
    expect(groundHeightM(ground, 4, 0)).toBe(1);
    expect(groundHeightM(ground, 12, 0)).toBe(0);
  });
  it('rises to the crest of a ridge', () => {
    const ground = groundPieces([{ ...newPiece('ridge', 'r', 'R', 0, 0, 0), headingDeg: 0, depthM: 10, heightM: 4 }]);
    expect(groundHeightM(ground, 0, 0)).toBeCloseTo(4, 9);
    expect(groundHeightM(ground, 2.5, 0)).toBeCloseTo(2, 9);
  });
  it('goes into a piece’s frame and back', () => {
    const n = fc.double({ min: -50, max: 50, noNaN: true });
    fc.assert(
      fc.property(n, n, fc.double({ min: -360, max: 360, noNaN: true }), (x, y, headingDeg) => {
        const piece = { ...newPiece('box', 'p', 'P', 3, -4, 0), headingDeg };
        const local = toLocal(piece, x, y);
        const back = toSite(piece, local.along, local.across);
        expect(back.xM).toBeCloseTo(x, 9);
        expect(back.yM).toBeCloseTo(y, 9);
      }),
    );
  });
});

describe('site points', () => {
  it('leave out what moves, and lift the ground onto slabs', () => {
    const slab = { ...newPiece('slab', 's', 'S', 0, 0, 0), heightM: 0.7, lengthM: 100, depthM: 100 };
    const figure = newPiece('figure', 'f', 'F', 0, 0, 0);
    const focus = { xM: 0, yM: 0, spacingM: 1 };
    const points = sitePoints([slab, figure], focus, [{ xM: 0, yM: 0, spacingM: 1, perSide: 5 }], new Set(['f']));
    const heights = points.xyzM.filter((_, i) => i % 3 === 2).slice(-25);
    expect([...heights].every((z) => z === 0.7)).toBe(true);
    expect(points.count).toBe(sitePoints([slab], focus, [{ xM: 0, yM: 0, spacingM: 1, perSide: 5 }]).count);
  });
  it('lie inside their clusters’ spheres', () => {
    const coordinates = fc.array(fc.double({ min: -100, max: 100, noNaN: true }), { minLength: 1, maxLength: 60 });
    fc.assert(
      fc.property(coordinates, (xs) => {
        const points = pointsOf(
          xs,
          xs.map((x) => x / 2),
          xs.map((x) => -x),
        );
        for (let i = 0; i < points.count; i += 1) {
          const [x, y, z, radiusM] = points.spheresM.subarray(4 * Math.floor(i / CLUSTER_SIZE));
          const [px, py, pz] = points.xyzM.subarray(3 * i);
          expect(Math.hypot(px - x, py - y, pz - z)).toBeLessThanOrEqual(radiusM + 1e-9);
        }
      }),
    );
  });
});
