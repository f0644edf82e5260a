import { AS_ON_SITE, type Shoot, type Shot, type Staged, stagedIn } from '../model';
import { withShot } from './shots';

/** What of the site differs in one shot: who is there, where, turned how, in what pose. */

/** Says of a piece what differs in a shot; what is as on the site is not kept. */
export function stagePiece(
  shoot: Shoot,
  shotId: string,
  pieceId: string,
  change: Partial<Omit<Staged, 'pieceId'>>,
): Shoot {
  return withShot(shoot, shotId, (shot) => withStaged(shot, pieceId, change));
}

function withStaged(shot: Shot, pieceId: string, change: Partial<Omit<Staged, 'pieceId'>>): Shot {
  const row = { ...stagedIn(shot, pieceId), ...change };
  const others = shot.staging.filter((other) => other.pieceId !== pieceId);
  const plain = (Object.keys(AS_ON_SITE) as (keyof typeof AS_ON_SITE)[]).every((key) => row[key] === AS_ON_SITE[key]);
  return { ...shot, staging: plain ? others : [...others, row] };
}

/** A piece and whatever stands on it, on that, and so on: they come and go together. */
export function withRidersOf({ site }: Pick<Shoot, 'site'>, pieceId: string): string[] {
  const riders = site.pieces.filter(({ on }) => on === pieceId);
  return [pieceId, ...riders.flatMap(({ id }) => withRidersOf({ site }, id))];
}

/** Leaves a piece out of a shot, or brings it in, with whatever stands on it. */
export const bringOrLeave = (shoot: Shoot, shotId: string, pieceId: string, there: boolean): Shoot =>
  withRidersOf(shoot, pieceId).reduce((next, id) => stagePiece(next, shotId, id, { there }), shoot);

/** Everything of a piece in a shot as it is on the site again. */
export const asOnSite = (shoot: Shoot, shotId: string, pieceId: string): Shoot =>
  stagePiece(shoot, shotId, pieceId, AS_ON_SITE);
