import { type Move, sayLength, type Units } from '../../../model';
import type { MoveFrame } from '../../move-frame';
import { evenly, line } from '../../track';
import { fromPivot } from '../../../site';
import { clamp, polar, settableDistance, type MoveShape } from '../recipe';

/** What a straight run on the line through the pivot has. */
type Radial = Move & { bearingDeg: number; heightM: number; toHeightM?: number };

/** Where a run begins and ends, seen from the pivot along its bearing; metres, negative beyond it. */
export interface Reach<M> {
  /** Which end it hands over when another move is chosen; the start unless that is at or beyond the subject. */
  stands?: 'to';
  from(move: M, moveFrame: MoveFrame): number;
  to(move: M, moveFrame: MoveFrame): number;
  /** The move with its start or end so far from the pivot. */
  put(move: M, end: 'from' | 'to', distanceM: number, moveFrame: MoveFrame): M;
}

/** The usual reach: from one distance to another. */
export function fromTo<M extends Move & { fromDistanceM: number; toDistanceM: number }>(): Reach<M> {
  return {
    from: (move) => move.fromDistanceM,
    to: (move) => move.toDistanceM,
    put: (move, end, distanceM) => ({
      ...move,
      [end === 'from' ? 'fromDistanceM' : 'toDistanceM']: settleIn(distanceM),
    }),
  };
}

const settleIn = (distanceM: number): number => clamp(distanceM, 0.1, 2000);

interface Bends {
  /** The share of the way reached at share s of the move, when the pace is not even. */
  reached?: (s: number, fromM: number, toM: number) => number;
  /** On a quarter of an ellipse, low first, instead of a straight line. */
  scooped?: boolean;
}

/** A run on the line through the pivot; level, or rising evenly to `toHeightM`. */
export function radial<M extends Radial>(reach: Reach<M>, bends: (move: M) => Bends = () => ({})): MoveShape<M> {
  const words = (move: M, units: Units) => {
    const say = (m: number) => sayLength(Math.abs(m), units);
    return `go from ${say(reach.from(move, NO_STAGE))} to ${say(reach.to(move, NO_STAGE))}`;
  };
  return {
    ends: 'both',
    stand: (move) => ({
      distanceM: Math.max(0.1, reach.stands === 'to' ? reach.to(move, NO_STAGE) : reach.from(move, NO_STAGE)),
      bearingDeg: move.bearingDeg,
      heightM: move.heightM,
    }),
    track: (move, moveFrame) => {
      const [fromM, toM] = [reach.from(move, moveFrame), reach.to(move, moveFrame)];
      const toHeightM = move.toHeightM ?? move.heightM;
      const { reached, scooped } = bends(move);
      const a = fromPivot(moveFrame.pivot, fromM, move.bearingDeg, move.heightM);
      const b = fromPivot(moveFrame.pivot, toM, move.bearingDeg, toHeightM);
      if (scooped)
        return evenly((u, out, offset) => {
          const angle = (u * Math.PI) / 2;
          const way = Math.sin(angle);
          out[offset] = a.xM + (b.xM - a.xM) * way;
          out[offset + 1] = a.yM + (b.yM - a.yM) * way;
          out[offset + 2] = a.zM + (b.zM - a.zM) * (1 - Math.cos(angle));
        });
      return line(a, b, reached && ((s) => reached(s, fromM, toM)));
    },
    drag: (move, handleId, xM, yM, moveFrame) => {
      if (handleId !== 'start' && handleId !== 'end') return move;
      const end = handleId === 'start' ? 'from' : 'to';
      const behind = (end === 'from' ? reach.from(move, moveFrame) : reach.to(move, moveFrame)) < 0;
      const { distanceM, bearingDeg } = polar(
        moveFrame.pivot,
        xM,
        yM,
        behind ? move.bearingDeg + 180 : move.bearingDeg,
      );
      return reach.put(
        { ...move, bearingDeg: clamp(behind ? bearingDeg - 180 : bearingDeg, -720, 720) },
        end,
        behind ? -distanceM : distanceM,
        moveFrame,
      );
    },
    continueFrom: (move, from, moveFrame) => {
      const { distanceM, bearingDeg } = polar(moveFrame.pivot, from.xM, from.yM, move.bearingDeg);
      return reach.put(
        { ...move, bearingDeg, heightM: clamp(from.zM - moveFrame.pivot.zM, -50, 500) },
        'from',
        distanceM,
        moveFrame,
      );
    },
    scaleTravel: (move, share) => {
      const [fromM, toM] = [reach.from(move, NO_STAGE), reach.to(move, NO_STAGE)];
      return reach.put(move, 'to', settableDistance(fromM + (toM - fromM) * share), NO_STAGE);
    },
    scaleDistance: (move, share) => {
      const scaled = (m: number) => Math.sign(m) * settableDistance(Math.abs(m) * share);
      return reach.put(
        reach.put(move, 'from', scaled(reach.from(move, NO_STAGE)), NO_STAGE),
        'to',
        scaled(reach.to(move, NO_STAGE)),
        NO_STAGE,
      );
    },
    travelWords: words,
    distanceWords: words,
  };
}

/** What the words and the scaling go by when there is no subject at hand. */
const NO_STAGE = { subjectHalfM: 0.25 } as MoveFrame;
