import type { Piece, Shoot, Shot } from '../model';
import { withShot } from './shots';

/** The shoot with a change that a search proposes: the whole shot after it, and the pieces where one is moved. */
export function takeCure(shoot: Shoot, cure: { shot: Shot; pieces: Piece[] | null }): Shoot {
  const next = withShot(shoot, cure.shot.id, () => cure.shot);
  return cure.pieces ? { ...next, site: { ...next.site, pieces: cure.pieces } } : next;
}
