import type { DollyZoomMove, PushMove } from '../../model/move';
import { bearingDeg, fromPivot, line, nearestTurn } from '../track';
import { sayLength, type Units } from '../../model/units';
import { LEAST_DISTANCE_M, settableDistance, type Parameter, type Recipe } from './recipe';

/** What a push and a dolly zoom share: a straight run on the line through the pivot. */
type RadialMove = PushMove | DollyZoomMove;

const parameters: Parameter<RadialMove>[] = [
  { key: 'fromDistanceM', label: 'from', unit: 'm', min: 0.1, max: 2000, step: 0.1 },
  { key: 'toDistanceM', label: 'to', unit: 'm', min: 0.1, max: 2000, step: 0.1 },
  { key: 'bearingDeg', label: 'seen from bearing', unit: 'deg', min: -720, max: 720, step: 5 },
  { key: 'heightM', label: 'lens height', unit: 'm', min: -50, max: 500, step: 0.1 },
];

const rangeWords = (move: RadialMove, units: Units) => `go from ${sayLength(move.fromDistanceM, units)} to ${sayLength(move.toDistanceM, units)}`;

/** The part of a recipe that every straight run through the pivot shares. */
export function radial<M extends RadialMove>(): Pick<
  Recipe<M>,
  'parameters' | 'stand' | 'track' | 'handles' | 'drag' | 'scaleTravel' | 'scaleDistance' | 'travelWords' | 'distanceWords'
> {
  return {
    parameters: parameters as unknown as Parameter<M>[],
    stand: ({ fromDistanceM, bearingDeg: bearing, heightM }) => ({ distanceM: fromDistanceM, bearingDeg: bearing, heightM }),
    track: (move, pivot) => line(fromPivot(pivot, move.fromDistanceM, move.bearingDeg, move.heightM), fromPivot(pivot, move.toDistanceM, move.bearingDeg, move.heightM)),
    handles: (move, pivot) => {
      const start = fromPivot(pivot, move.fromDistanceM, move.bearingDeg, 0);
      const end = fromPivot(pivot, move.toDistanceM, move.bearingDeg, 0);
      return [
        { id: 'start', label: 'start', xM: start.xM, yM: start.yM },
        { id: 'end', label: 'end', xM: end.xM, yM: end.yM },
      ];
    },
    scaleTravel: (move, share) => ({ ...move, toDistanceM: settableDistance(move.fromDistanceM + (move.toDistanceM - move.fromDistanceM) * share) }),
    scaleDistance: (move, share) => ({ ...move, fromDistanceM: settableDistance(move.fromDistanceM * share), toDistanceM: settableDistance(move.toDistanceM * share) }),
    travelWords: rangeWords,
    distanceWords: rangeWords,
    drag: (move, handleId, xM, yM, pivot) => {
      if (handleId !== 'start' && handleId !== 'end') return move;
      const distanceM = Math.max(LEAST_DISTANCE_M, Math.hypot(xM - pivot.xM, yM - pivot.yM));
      const bearing = nearestTurn(bearingDeg(pivot.xM, pivot.yM, xM, yM), move.bearingDeg);
      return { ...move, bearingDeg: bearing, [handleId === 'start' ? 'fromDistanceM' : 'toDistanceM']: distanceM };
    },
  };
}
