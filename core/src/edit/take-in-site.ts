import { type Piece, PIECE_KINDS, type Shoot, type SitePlace, type Way } from '../model';
import { groundAt, upSite } from './on-site';
import { withPieces } from './pieces';

/**
 * Pieces of elsewhere put into a site under new ids, with the place on earth where the site had none. What comes in at
 * level 0 stands on the ground that is there; what stood on level 0 stands on ground that comes in.
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
  const lifted = pieces.some(({ kind }) => kind === 'terrain') ? liftedOnto(shoot, pieces) : shoot;
  const next = withPieces(lifted, [...lifted.site.pieces, ...pieces]);
  return from.place ? { ...next, site: { ...next.site, place: from.place } } : next;
}

/** All that stands or walks keeps its height above the ground when ground comes in under it. */
function liftedOnto(shoot: Shoot, incoming: readonly Piece[]): Shoot {
  const { pieces } = shoot.site;
  const onNew = (piece: Piece): Piece => ({
    ...piece,
    zM: upSite(piece.zM + groundAt(incoming, piece.xM, piece.yM)),
  });
  const ground = [...incoming, ...pieces.filter(({ kind, on }) => PIECE_KINDS[kind].ground && on === null).map(onNew)];
  const raised = <At extends { xM: number; yM: number; zM: number }>(at: At): At => ({
    ...at,
    zM: upSite(at.zM + groundAt(ground, at.xM, at.yM) - groundAt(pieces, at.xM, at.yM)),
  });
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  /** What stands on another thing rises as that does. */
  const riseOf = (piece: Piece): number => {
    const under = piece.on === null ? undefined : byId.get(piece.on);
    if (under) return riseOf(under);
    return (PIECE_KINDS[piece.kind].ground ? onNew(piece) : raised(piece)).zM - piece.zM;
  };
  const raisedWay = <W extends Way>(way: W): W => ({
    ...way,
    walks: way.walks.map((walk) => ({ ...walk, points: walk.points.map(raised) })),
    staging: way.staging.map((staged) => ({ ...staged, place: staged.place && raised(staged.place) })),
  });
  return {
    ...withPieces(
      shoot,
      pieces.map((piece) => ({ ...piece, zM: upSite(piece.zM + riseOf(piece)) })),
    ),
    shots: shoot.shots.map((shot) => ({ ...raisedWay(shot), other: shot.other && raisedWay(shot.other) })),
  };
}
