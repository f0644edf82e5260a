import { describe, expect, it } from 'vitest';
import { newPiece, PIECE_KINDS, posedSize, type Figure, type PieceKind } from '../model';
import { partOf, partsOf, seatFor } from './parts';

const KINDS = Object.keys(PIECE_KINDS) as PieceKind[];
const figure = (pose: Figure['pose']): Figure => {
  const stands = { ...(newPiece('figure', 'f', 'F', 0, 0, 0) as Figure), pose };
  const { lengthM, depthM, heightM } = stands;
  return pose === 'stand' ? stands : { ...stands, ...posedSize(stands), standing: { lengthM, depthM, heightM } };
};

describe('parts of things', () => {
  it.each(KINDS)('%s has named parts, each once, inside it or just on it', (kind) => {
    const piece = newPiece(kind, 'p', 'P', 0, 0, 0);
    const parts = partsOf(piece);
    expect(parts[0].id).toBe('whole');
    expect(parts.length).toBeGreaterThan(1);
    expect(new Set(parts.map(({ id }) => id)).size).toBe(parts.length);
    for (const { acrossM, alongM, upM, heightM, halfM } of parts) {
      expect(Math.abs(acrossM)).toBeLessThanOrEqual(piece.depthM / 2 + 0.01);
      expect(Math.abs(alongM)).toBeLessThanOrEqual(piece.lengthM / 2 + 0.01);
      expect(upM).toBeGreaterThanOrEqual(0);
      expect(upM).toBeLessThanOrEqual(piece.heightM * 1.6);
      expect(Math.min(heightM, halfM)).toBeGreaterThan(0);
    }
  });
  it('a face is in the middle of chin and crown: 0.935 of a grown-up who stands', () => {
    const { upM, heightM } = partOf(figure('stand'), 'face');
    expect(upM / 1.7).toBeCloseTo(0.935, 2);
    expect(heightM / 1.7).toBeCloseTo(0.13, 6);
  });
  it('the face goes where the pose puts it', () => {
    const up = (pose: Figure['pose']) => partOf(figure(pose), 'face').upM;
    expect(up('sit')).toBeLessThan(up('stand'));
    expect(up('crouch')).toBeLessThan(up('sit'));
    expect(up('lie')).toBeLessThan(0.3);
    for (const pose of ['sit', 'crouch', 'ride'] as const)
      expect(up(pose) + (0.13 * 1.7) / 2).toBeCloseTo(figure(pose).heightM, 1);
  });
  it('a part that is not there is all of it', () => {
    expect(partOf(figure('stand'), 'wheel').id).toBe('whole');
  });
  it('own parts are parts', () => {
    const car = { ...newPiece('car', 'c', 'Car', 0, 0, 0) };
    car.ownParts = [{ id: 'a', name: 'door handle', alongM: -0.2, acrossM: 0.9, upM: 0.9, sizeM: 0.2 }];
    expect(partOf(car, 'own:a')).toMatchObject({ name: 'door handle', upM: 0.9, heightM: 0.2 });
  });
  it('who sits on a chair has the seat under them, and their feet near the floor', () => {
    const { upM, pose } = seatFor(newPiece('chair', 'c', 'C', 0, 0, 0), figure('stand'));
    expect(pose).toBe('sit');
    expect(upM).toBeCloseTo(0.45 - 0.245 * 1.7, 2);
  });
});
