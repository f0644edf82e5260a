import { cm, onWalk, groundAt } from './on-site';
import { withShot } from './shots';
import type { Piece, Shoot, Walk, WalkPoint } from '../model';

/** Where pieces go during a shot. */

/** Usual walking pace, m/s: common practice, no published source. */
const WALKING_MPS = 1.2;

/** Sets a piece's walk in a shot; no points take the walk away. */
export function changeWalk(shoot: Shoot, shotId: string, pieceId: string, points: WalkPoint[]): Shoot {
  return withShot(shoot, shotId, (shot) => {
    const before = shot.walks.find((walk) => walk.pieceId === pieceId);
    const walks = shot.walks.filter((walk) => walk !== before);
    const walk: Walk = { ...(before ?? { pieceId, footing: 'ground', jumps: [] }), points };
    return { ...shot, walks: points.length ? [...walks, walk] : walks };
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

/** Changes how a walk goes: its heights, its jumps. */
export function changeWalkWay(
  shoot: Shoot,
  shotId: string,
  pieceId: string,
  change: Partial<Pick<Walk, 'footing' | 'jumps'>>,
): Shoot {
  return withShot(shoot, shotId, (shot) => ({
    ...shot,
    walks: shot.walks.map((walk) => (walk.pieceId === pieceId ? { ...walk, ...change } : walk)),
  }));
}

/** One stretch of a walk, from a point to the next. */
export interface WalkStretch {
  lengthM: number;
  durationS: number;
  /** On the ground, m/s. */
  speedMps: number;
}

/** The stretches of a walk in order: how far, how long and how fast from each point to the next. */
export function walkStretches({ points }: Pick<Walk, 'points'>): WalkStretch[] {
  return points.slice(1).map((point, i) => {
    const from = points[i];
    const lengthM = Math.hypot(point.xM - from.xM, point.yM - from.yM);
    const durationS = point.tS - from.tS;
    return { lengthM, durationS, speedMps: lengthM / durationS };
  });
}

/** Points are a tenth of a second apart at least. */
const LEAST_APART_S = 0.1;

/** The points of a walk with one stretch as fast as asked: what comes after it comes sooner or later by as much. */
export function atSpeed(points: readonly WalkPoint[], stretch: number, speedMps: number): WalkPoint[] {
  const { lengthM, durationS } = walkStretches({ points: [...points] })[stretch];
  if (!(speedMps > 0) || lengthM === 0) return [...points];
  const takesS = Math.max(LEAST_APART_S, Math.round((lengthM / speedMps) * 100) / 100);
  return points.map((point, i) =>
    i > stretch ? { ...point, tS: Math.round((point.tS + takesS - durationS) * 1000) / 1000 } : point,
  );
}

/** The points of a walk with one of them so high. */
export const atHeight = (points: readonly WalkPoint[], index: number, zM: number): WalkPoint[] =>
  points.map((point, i) => (i === index ? { ...point, zM: cm(zM) } : point));

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
