import { type Move, sayLength } from '../../../model';
import { line } from '../../track';
import { bearingDeg, fromPivot, nearestTurn, type Point3 } from '../../../site';
import { clamp, polar, settable, settableDistance, type MoveShape } from '../recipe';

/** What a straight run past the pivot has. Moves without a skew or a slope run square-on and level. */
type Sideways = Move & {
  distanceM: number;
  bearingDeg: number;
  travelM: number;
  heightM: number;
  skewDeg?: number;
  slopeDeg?: number;
};

const RAD = Math.PI / 180;

/**
 * Both ends. `anchor` is the share of the travel at which the camera is at its distance and bearing: 0.5 for the
 * middle, 1 for the end.
 */
function ends(move: Sideways, pivot: Point3, anchor: number): [Point3, Point3] {
  const at = fromPivot(pivot, move.distanceM, move.bearingDeg, move.heightM);
  const towards = move.bearingDeg - 90 + (move.skewDeg ?? 0);
  const slope = (move.slopeDeg ?? 0) * RAD;
  const end = (share: number) => {
    const runM = (share - anchor) * move.travelM;
    // A rail that slopes up climbs along its travel, whichever way that goes.
    return fromPivot(at, runM * Math.cos(slope), towards, Math.abs(move.travelM) * (share - anchor) * Math.sin(slope));
  };
  return [end(0), end(1)];
}

/** A straight run past the pivot. */
export function sideways<M extends Sideways>(anchor = 0.5): MoveShape<M> {
  return {
    ends: 'both',
    stand: ({ distanceM, bearingDeg: bearing, heightM }) => ({ distanceM, bearingDeg: bearing, heightM }),
    track: (move, { pivot }) => line(...ends(move, pivot, anchor)),
    /**
     * The dragged end goes to the finger and the other one stays. A run without a skew keeps square-on to what it is
     * nearest to.
     */
    drag: (move, handleId, xM, yM, { pivot }) => {
      if (handleId !== 'start' && handleId !== 'end') return move;
      const [start, end] = ends(move, pivot, anchor);
      const a = handleId === 'start' ? { xM, yM } : start;
      const b = handleId === 'end' ? { xM, yM } : end;
      return between(move, a, b, pivot, anchor);
    },
    continueFrom: (move, from, { pivot }) => {
      const [start, end] = ends(move, pivot, anchor);
      const b = { xM: from.xM + end.xM - start.xM, yM: from.yM + end.yM - start.yM };
      const climbM = (end.zM - start.zM) * anchor;
      return { ...between(move, from, b, pivot, anchor), heightM: clamp(from.zM - pivot.zM + climbM, -50, 500) };
    },
    scaleTravel: (move, share) => ({ ...move, travelM: clamp(settable(move.travelM * share), -2000, 2000) }),
    scaleDistance: (move, share) => ({ ...move, distanceM: settableDistance(move.distanceM * share) }),
    travelWords: (move, units) => `travel ${sayLength(Math.abs(move.travelM), units)}`,
    distanceWords: (move, units) => `stand ${sayLength(move.distanceM, units)} away`,
  };
}

/**
 * The move whose ends on the ground are a and b. Without a skew of its own it keeps its direction as well as it can.
 */
function between<M extends Sideways>(
  move: M,
  a: { xM: number; yM: number },
  b: { xM: number; yM: number },
  pivot: Point3,
  anchor: number,
): M {
  const at = { xM: a.xM + (b.xM - a.xM) * anchor, yM: a.yM + (b.yM - a.yM) * anchor };
  const { distanceM, bearingDeg: bearing } = polar(pivot, at.xM, at.yM, move.bearingDeg);
  const groundM = Math.hypot(b.xM - a.xM, b.yM - a.yM);
  const placed = { ...move, distanceM, bearingDeg: bearing };
  if (groundM < 1e-6) return { ...placed, travelM: 0 };
  const lengthM = groundM / Math.cos((move.slopeDeg ?? 0) * RAD);
  const skew = nearestTurn(bearingDeg(a.xM, a.yM, b.xM, b.yM) - (bearing - 90), 0);
  const backwards = Math.abs(skew) > 90;
  return {
    ...placed,
    travelM: backwards ? -lengthM : lengthM,
    ...(move.skewDeg === undefined ? {} : { skewDeg: backwards ? nearestTurn(skew + 180, 0) : skew }),
  };
}
