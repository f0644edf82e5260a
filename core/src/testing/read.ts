import type { Move, Piece, Shot } from '../model';
import { readShot, type Reading } from '../reading';
import { filmed } from './filmed';
import { plainPieces } from './shoots';

/** Reads moves on the plain site, all made in the same time unless a test says otherwise. */
export function reader(timing: Shot['timing']) {
  const read = (move: Move, more: Partial<Shot> = {}, pieces: Piece[] = plainPieces()): Reading => {
    const { shoot } = filmed(move, { timing, ...more }, false, pieces);
    return readShot(shoot, shoot.shots[0]);
  };
  const found = (move: Move, id: string, more: Partial<Shot> = {}, pieces?: Piece[]) =>
    read(move, more, pieces).findings.find((finding) => finding.id === id);
  return { read, found };
}
