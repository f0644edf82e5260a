import type { Piece, Shoot, SitePlace } from '../model';
import { groundAt, upSite } from './on-site';
import { withPieces } from './pieces';

/**
 * Pieces of elsewhere put into a site under new ids, with the place on earth where the site had none. What stands at
 * level 0 comes to stand on the ground that is there.
 */
export function takeInPieces(
  shoot: Shoot,
  from: { pieces: readonly Piece[]; place?: SitePlace | null },
  idOf: () => string,
): Shoot {
  const known = shoot.site.pieces;
  const ids = new Map(from.pieces.map(({ id }) => [id, idOf()]));
  const groups = new Map<string, string>();
  const pieces = from.pieces.map((piece): Piece => {
    const { group } = piece;
    if (group !== null && !groups.has(group)) groups.set(group, idOf());
    return {
      ...piece,
      id: ids.get(piece.id) ?? idOf(),
      zM: piece.zM === 0 && piece.on === null ? upSite(groundAt(known, piece.xM, piece.yM)) : piece.zM,
      on: piece.on === null ? null : (ids.get(piece.on) ?? null),
      group: group === null ? null : (groups.get(group) ?? null),
    };
  });
  const next = withPieces(shoot, [...known, ...pieces]);
  return from.place ? { ...next, site: { ...next.site, place: from.place } } : next;
}
