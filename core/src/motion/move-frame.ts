import type { Point3 } from '../site';
import type { HeadingAt, StanceAt, WalkAt } from '../scene';
import { STAND_IN_SIZE } from './stand-in';

/** What a move is laid out by: its pivot, and the subject as it walks. */
export interface MoveFrame {
  pivot: Point3;
  /** Where the subject goes at any moment, its base without its jumps; without a subject it stands at the pivot. */
  subjectAt: WalkAt;
  /** Which way it walks, or last walked, degrees clockwise from north. */
  headingAt: HeadingAt;
  /** The subject's base with its jumps and its bob, and how it stands: for what is fixed to it. */
  bodyAt: WalkAt;
  stanceAt: StanceAt;
  subjectHeightM: number;
  /** Half the subject's greater width. */
  subjectHalfM: number;
}

/** A move frame on which nothing walks: for laying a move out by itself. */
export function stillMoveFrame(pivot: Point3, headingDeg = 0, size = STAND_IN_SIZE): MoveFrame {
  const there: WalkAt = (_tS, out, offset = 0) => {
    out[offset] = pivot.xM;
    out[offset + 1] = pivot.yM;
    out[offset + 2] = pivot.zM;
  };
  return {
    pivot,
    subjectAt: there,
    headingAt: () => headingDeg,
    bodyAt: there,
    stanceAt: (_tS, out) => Object.assign(out, { headingDeg, leanDeg: 0, pitchDeg: 0 }),
    ...size,
  };
}
