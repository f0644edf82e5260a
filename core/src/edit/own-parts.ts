import type { OwnPart, Piece } from '../model';
import { cm } from './on-site';

/** A piece with a new part at a point of it, a tenth as large as the piece is high. */
export const addPartAt = (
  piece: Piece,
  partId: string,
  { alongM, acrossM, upM }: Pick<OwnPart, 'acrossM' | 'alongM' | 'upM'>,
): Piece => ({
  ...piece,
  ownParts: [
    ...piece.ownParts,
    {
      id: partId,
      name: `Part ${piece.ownParts.length + 1}`,
      alongM: cm(alongM),
      acrossM: cm(acrossM),
      upM: cm(upM),
      sizeM: Math.max(0.01, cm(piece.heightM / 10)),
    },
  ],
});
