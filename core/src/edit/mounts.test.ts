import { describe, expect, it } from 'vitest';
import { type MoveOf, MoveSchema, newPiece, type Piece, type PieceKind } from '../model';
import { distanceToPieceM } from '../site';
import { usual } from '../testing/filmed';
import { mountedAt, mountOf, mountsOn } from './mounts';

const KINDS: PieceKind[] = ['figure', 'dog', 'car', 'lorry', 'motorbike', 'bicycle', 'scooter', 'board', 'boat'];

describe('where a camera is usually fixed', () => {
  it.each(KINDS)('%s: places that the model allows, each known again, within an arm and a half of it', (kind) => {
    const piece: Piece = { ...newPiece(kind, 'p', 'P', 0, 0, 0), headingDeg: 0 };
    const mounts = mountsOn(piece);
    expect(mounts.length).toBeGreaterThan(1);
    for (const mount of mounts) {
      const move = mountedAt(usual('carried') as MoveOf<'carried'>, mount);
      expect(MoveSchema.safeParse(move).success).toBe(true);
      expect(mountOf(move, piece)?.id).toBe(mount.id);
      const { alongM, sideM, heightM } = mount;
      expect(distanceToPieceM(piece, piece, sideM, alongM, heightM, heightM)).toBeLessThan(0.8);
    }
  });
  it('a helmet camera is at the brow of a grown-up, in front of the face', () => {
    const [helmet] = mountsOn({ ...newPiece('figure', 'p', 'P', 0, 0, 0), headingDeg: 0 });
    expect(helmet.heightM).toBeCloseTo(1.7, 1);
    expect(helmet.alongM).toBeGreaterThan(0.1);
  });
});
