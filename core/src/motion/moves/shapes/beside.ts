import { type Move, sayLength } from '../../../model';
import type { MoveFrame } from '../../move-frame';
import type { Track } from '../../track';
import { settable, type MoveShape, type Stand } from '../recipe';

/** A place that goes with the subject: metres ahead of it and to its right, as it walks, and above its base. */
export interface Beside {
  alongM: number;
  sideM: number;
}

const RAD = Math.PI / 180;

/** How a move's parameters say where it begins and ends beside the subject, and back. */
export interface BesideRule<M> {
  from(move: M): Beside;
  to(move: M): Beside;
  put(move: M, end: 'from' | 'to', at: Beside): M;
  scale(move: M, share: number): M;
}

/** Goes with the subject from one place beside it to another, evenly. */
export function beside<M extends Move & { heightM: number; pivotEastM: number; pivotNorthM: number }>(
  rule: BesideRule<M>,
  ends: 'both' | 'start',
): MoveShape<M> {
  return {
    ends,
    stand: (move): Stand => {
      const { alongM, sideM } = rule.from(move);
      // Seen from the subject, in the direction it walks; bearings count from south, where the camera of a first shot
      // stands.
      return {
        distanceM: Math.max(0.1, Math.hypot(alongM, sideM)),
        bearingDeg: 180 + (Math.atan2(-sideM, -alongM) * 180) / Math.PI,
        heightM: move.heightM,
      };
    },
    track: (move, moveFrame) => besideTrack(move, rule, moveFrame),
    drag: (move, handleId, xM, yM, moveFrame, { startS, endS }) => {
      if (handleId !== 'start' && !(handleId === 'end' && ends === 'both')) return move;
      const tS = handleId === 'start' ? startS : endS;
      return rule.put(move, handleId === 'start' ? 'from' : 'to', localOf(move, moveFrame, xM, yM, tS));
    },
    // Where it joins, it keeps the place beside the subject that it had reached; the leg's own offset is added by the
    // chain.
    continueFrom: (move) => move,
    scaleTravel: (move, share) => {
      const [a, b] = [rule.from(move), rule.to(move)];
      return ends === 'both'
        ? rule.put(move, 'to', {
            alongM: settable(a.alongM + (b.alongM - a.alongM) * share),
            sideM: settable(a.sideM + (b.sideM - a.sideM) * share),
          })
        : move;
    },
    scaleDistance: rule.scale,
    travelWords: (move, units) =>
      `end ${sayLength(Math.abs(rule.to(move).alongM), units)} ${rule.to(move).alongM < 0 ? 'behind' : 'ahead'}`,
    distanceWords: (move, units) =>
      `stay ${sayLength(Math.hypot(rule.from(move).alongM, rule.from(move).sideM), units)} away`,
  };
}

function besideTrack<M extends Move & { heightM: number; pivotEastM: number; pivotNorthM: number }>(
  move: M,
  rule: BesideRule<M>,
  moveFrame: MoveFrame,
): Track {
  const a = rule.from(move);
  const b = rule.to(move);
  const base = new Float64Array(3);
  return {
    write(s, tS, out, offset = 0) {
      moveFrame.subjectAt(tS, base);
      const heading = moveFrame.headingAt(tS) * RAD;
      const alongM = a.alongM + (b.alongM - a.alongM) * s;
      const sideM = a.sideM + (b.sideM - a.sideM) * s;
      out[offset] = base[0] + move.pivotEastM + alongM * Math.sin(heading) + sideM * Math.cos(heading);
      out[offset + 1] = base[1] + move.pivotNorthM + alongM * Math.cos(heading) - sideM * Math.sin(heading);
      out[offset + 2] = base[2] + move.heightM;
    },
  };
}

/** A site point as metres ahead of the subject and to its right at a moment. */
function localOf(
  move: { pivotEastM: number; pivotNorthM: number },
  moveFrame: MoveFrame,
  xM: number,
  yM: number,
  tS: number,
): Beside {
  const base = new Float64Array(3);
  moveFrame.subjectAt(tS, base);
  const heading = moveFrame.headingAt(tS) * RAD;
  const [dx, dy] = [xM - base[0] - move.pivotEastM, yM - base[1] - move.pivotNorthM];
  return {
    alongM: dx * Math.sin(heading) + dy * Math.cos(heading),
    sideM: dx * Math.cos(heading) - dy * Math.sin(heading),
  };
}
