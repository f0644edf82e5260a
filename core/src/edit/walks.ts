import { onWalk, groundAt } from './on-site';
import { withShot } from './shots';
import type { Piece, Shoot, WalkPoint } from '../model';

/** Where pieces go during a shot. */

/** Usual walking pace, m/s: common practice, no published source. */
const WALKING_MPS = 1.2;

/** Sets a piece's walk in a shot; no points take the walk away. */
export function changeWalk(shoot: Shoot, shotId: string, pieceId: string, points: WalkPoint[]): Shoot {
  return withShot(shoot, shotId, (shot) => {
    const walks = shot.walks.filter((walk) => walk.pieceId !== pieceId);
    return { ...shot, walks: points.length ? [...walks, { pieceId, points }] : walks };
  });
}

/** Adds a point to the end of a walk, reached at walking pace; the walk starts where the piece stands. */
export function addWalkPoint(shoot: Shoot, shotId: string, piece: Piece, xM: number, yM: number): Shoot {
  const walk = shoot.shots.find((shot) => shot.id === shotId)?.walks.find((row) => row.pieceId === piece.id);
  const points = walk?.points ?? [{ tS: 0, xM: piece.xM, yM: piece.yM, zM: piece.zM }];
  const last = points[points.length - 1];
  const distanceM = Math.hypot(xM - last.xM, yM - last.yM);
  const tS = Math.round((last.tS + Math.max(0.1, distanceM / WALKING_MPS)) * 10) / 10;
  return changeWalk(shoot, shotId, piece.id, [
    ...points,
    {
      tS: Math.max(tS, last.tS + 0.1),
      xM: onWalk(xM),
      yM: onWalk(yM),
      zM: groundAt(shoot.site.pieces, xM, yM, piece.id),
    },
  ]);
}

export function moveWalkPoint(
  shoot: Shoot,
  shotId: string,
  pieceId: string,
  index: number,
  xM: number,
  yM: number,
): Shoot {
  const walk = shoot.shots.find((shot) => shot.id === shotId)?.walks.find((row) => row.pieceId === pieceId);
  if (!walk) return shoot;
  return changeWalk(
    shoot,
    shotId,
    pieceId,
    walk.points.map((point, i) =>
      i === index
        ? { ...point, xM: onWalk(xM), yM: onWalk(yM), zM: groundAt(shoot.site.pieces, xM, yM, pieceId) }
        : point,
    ),
  );
}
