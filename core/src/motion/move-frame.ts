import type { Point3 } from '../site';
import type { HeadingAt, WalkAt } from '../scene';
import { STAND_IN_SIZE } from './stand-in';

/** What a move is laid out by: its pivot, and the subject as it walks. */
export interface MoveFrame {
  pivot: Point3;
  /** The subject's base at any moment; without a subject it stands at the pivot. */
  subjectAt: WalkAt;
  /** Which way it walks, or last walked, degrees clockwise from north. */
  headingAt: HeadingAt;
  subjectHeightM: number;
  /** Half the subject's greater width. */
  subjectHalfM: number;
}

/** A move frame on which nothing walks: for laying a move out by itself. */
export function stillMoveFrame(pivot: Point3, headingDeg = 0, size = STAND_IN_SIZE): MoveFrame {
  return {
    pivot,
    subjectAt: (_tS, out, offset = 0) => {
      out[offset] = pivot.xM;
      out[offset + 1] = pivot.yM;
      out[offset + 2] = pivot.zM;
    },
    headingAt: () => headingDeg,
    ...size,
  };
}
