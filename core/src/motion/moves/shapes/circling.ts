import { type Move, sayLength } from '../../../model';
import { ring } from '../../track';
import { nearestTurn } from '../../../site';
import { clamp, polar, settableDistance, type MoveShape } from '../recipe';

/** What a run round the pivot has: it may change its radius and height, and its centre may slip sideways. */
type Circling = Move & {
  radiusM: number;
  toRadiusM?: number;
  startBearingDeg: number;
  sweepDeg: number;
  heightM: number;
  toHeightM?: number;
  driftM?: number;
};

const RAD = Math.PI / 180;
const MOST_SWEEP_DEG = 720;

/** The camera's right as it looks at the pivot halfway, times the drift. */
function slipOf({ startBearingDeg, sweepDeg, driftM = 0 }: Circling): { xM: number; yM: number } {
  const right = (startBearingDeg + sweepDeg / 2 - 90) * RAD;
  return { xM: driftM * Math.sin(right), yM: driftM * Math.cos(right) };
}

/** A run round the pivot: bearing, radius and height go evenly with the move. */
export function circling<M extends Circling>(): MoveShape<M> {
  return {
    ends: 'both',
    stand: ({ radiusM, startBearingDeg, sweepDeg, heightM }) => ({
      distanceM: radiusM,
      bearingDeg: startBearingDeg + sweepDeg / 2,
      heightM,
    }),
    track: (move, { pivot }) =>
      ring(pivot, {
        startBearingDeg: move.startBearingDeg,
        sweepDeg: move.sweepDeg,
        fromRadiusM: move.radiusM,
        toRadiusM: move.toRadiusM ?? move.radiusM,
        fromHeightM: move.heightM,
        toHeightM: move.toHeightM ?? move.heightM,
        slip: slipOf(move),
      }),
    /**
     * Either end sets the radius. Moving the start keeps the end's bearing, so the sweep gives or takes; moving the end
     * sets the sweep.
     */
    drag: (move, handleId, xM, yM, { pivot }) => {
      if (handleId !== 'start' && handleId !== 'end') return move;
      const slip = handleId === 'end' ? slipOf(move) : { xM: 0, yM: 0 };
      const endBearing = move.startBearingDeg + move.sweepDeg;
      const near = handleId === 'start' ? move.startBearingDeg : endBearing;
      const at = polar(pivot, xM - slip.xM, yM - slip.yM, near);
      const radiusM = at.distanceM;
      const bearing = nearestTurn(at.bearingDeg, near);
      const startBearingDeg = handleId === 'start' ? bearing : move.startBearingDeg;
      const sweepDeg = clamp(
        handleId === 'start' ? endBearing - startBearingDeg : bearing - startBearingDeg,
        -MOST_SWEEP_DEG,
        MOST_SWEEP_DEG,
      );
      const own = handleId === 'end' && move.toRadiusM !== undefined ? { toRadiusM: radiusM } : { radiusM };
      return { ...move, ...own, startBearingDeg, sweepDeg };
    },
    continueFrom: (move, from, { pivot }) => {
      const { distanceM, bearingDeg } = polar(pivot, from.xM, from.yM, move.startBearingDeg);
      return { ...move, radiusM: distanceM, startBearingDeg: bearingDeg, heightM: clamp(from.zM - pivot.zM, -50, 500) };
    },
    scaleTravel: (move, share) => ({
      ...move,
      sweepDeg: clamp(Math.round(move.sweepDeg * share), -MOST_SWEEP_DEG, MOST_SWEEP_DEG),
    }),
    scaleDistance: (move, share) => ({
      ...move,
      radiusM: settableDistance(move.radiusM * share),
      ...(move.toRadiusM === undefined ? {} : { toRadiusM: settableDistance(move.toRadiusM * share) }),
    }),
    travelWords: (move) => `sweep ${Math.abs(Math.round(move.sweepDeg))}°`,
    distanceWords: (move, units) => `circle at ${sayLength(move.radiusM, units)}`,
  };
}
