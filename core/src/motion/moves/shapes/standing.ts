import { type Move, sayLength } from '../../../model';
import { spot, type Track } from '../../track';
import { fromPivot } from '../../../site';
import type { MoveFrame } from '../../move-frame';
import { clamp, polar, settable, settableDistance, type MoveShape } from '../recipe';

/** What a move on one spot of the ground has; one that lifts also has a height it goes to. */
type Standing = Move & { distanceM: number; bearingDeg: number; heightM: number; toHeightM?: number };

/** A move from one place on the ground. `track` draws what it does there; without it the camera does not travel. */
export function standing<M extends Standing>(track?: (move: M, moveFrame: MoveFrame) => Track): MoveShape<M> {
  return {
    ends: 'start',
    stand: ({ distanceM, bearingDeg, heightM }) => ({ distanceM, bearingDeg, heightM }),
    track: track ?? ((move, { pivot }) => spot(fromPivot(pivot, move.distanceM, move.bearingDeg, move.heightM))),
    drag: (move, handleId, xM, yM, { pivot }) =>
      handleId === 'start' ? { ...move, ...polar(pivot, xM, yM, move.bearingDeg) } : move,
    continueFrom: (move, from, { pivot }) => ({
      ...move,
      ...polar(pivot, from.xM, from.yM, move.bearingDeg),
      heightM: clamp(from.zM - pivot.zM, -50, 500),
    }),
    scaleTravel: (move, share) =>
      move.toHeightM === undefined
        ? move
        : { ...move, toHeightM: clamp(settable(move.heightM + (move.toHeightM - move.heightM) * share), -50, 500) },
    scaleDistance: (move, share) => ({ ...move, distanceM: settableDistance(move.distanceM * share) }),
    travelWords: (move, units) =>
      move.toHeightM === undefined
        ? 'stay'
        : `go from ${sayLength(move.heightM, units)} to ${sayLength(move.toHeightM, units)} high`,
    distanceWords: (move, units) => `stand ${sayLength(move.distanceM, units)} away`,
  };
}
