import { type Piece, type Shot, stagedIn, WHOLE } from '../model';
import { partsOf } from '../site';

/**
 * What a shot is about. A part that the new subject has as well stays the one that the shot is after; a subject that
 * was not in this shot comes into it.
 */
export function takeSubject(shot: Shot, piece: Piece | null): Shot {
  const kept = piece !== null && partsOf(piece).some(({ id }) => id === shot.subjectPart);
  const there = piece === null || stagedIn(shot, piece.id).there;
  return {
    ...shot,
    subjectId: piece?.id ?? null,
    subjectPart: kept ? shot.subjectPart : WHOLE,
    staging: there
      ? shot.staging
      : shot.staging.map((row) => (row.pieceId === piece.id ? { ...row, there: true } : row)),
  };
}
