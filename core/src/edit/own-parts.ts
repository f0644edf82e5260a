import type { OwnPart, Shoot } from '../model';
import { cm } from './on-site';
import { changePiece } from './pieces';

/** A new part of a piece where a finger was, a tenth as large as the piece is high. */
export const addPartAt = (
  shoot: Shoot,
  pieceId: string,
  partId: string,
  point: Pick<OwnPart, 'acrossM' | 'alongM' | 'upM'>,
): Shoot =>
  changePiece(shoot, pieceId, (piece) => ({
    ...piece,
    ownParts: [
      ...piece.ownParts,
      {
        id: partId,
        name: `Part ${piece.ownParts.length + 1}`,
        alongM: cm(point.alongM),
        acrossM: cm(point.acrossM),
        upM: cm(point.upM),
        sizeM: Math.max(0.01, Math.round(piece.heightM * 10) / 100),
      },
    ],
  }));
