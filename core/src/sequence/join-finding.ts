import type { PictureGrade } from '../findings';
import { type JoinKind, JoinSchema, optionWords } from '../model';
import type { Edge } from './edge';
import type { CutFrames } from './told';

export type JoinFindingId =
  | 'motion'
  | 'whip'
  | 'dark'
  | 'ground'
  | 'spin'
  | 'action'
  | 'place'
  | 'eye'
  | 'size'
  | 'line'
  | 'roll'
  | 'light'
  | 'rate'
  | 'handles'
  | 'short';

/** One sentence of what a join does. */
export interface JoinFinding {
  id: JoinFindingId;
  grade: PictureGrade;
  sentence: string;
  reason: string;
  value: number;
  limit: number;
  unit: string;
}

/** What a join is judged by: both sides of the cut, and how it is meant. */
export interface Joined {
  kind: JoinKind;
  from: Edge;
  to: Edge;
  fromFrames: CutFrames;
  toFrames: CutFrames;
  handlesS: number;
}

export const kindWords = (kind: JoinKind): string => optionWords(JoinSchema.shape.kind, kind);

/**
 * What joins are held against. All are common practice, no published source, but the 30° rule, which handbooks of
 * editing print (from memory).
 */
export const JOIN_LIMITS = {
  /** A picture slower than this rests, frame widths a second. */
  restSpeed: 0.04,
  /** Whoever goes over from a picture that rests to one so fast is thrown. */
  startSpeed: 0.2,
  /** Two motions go on in one direction within so many degrees. */
  sameWayDeg: 45,
  /** The faster may be so many times as fast. */
  sameSpeedFactor: 1.35,
  /** A whip blurs from here on, frame widths a second. */
  whipSpeed: 1.5,
  /** The eye leaps farther than this, frame widths. */
  eyeLeap: 0.3,
  /** A matched place is matched within this. */
  matchedPlace: 0.06,
  /** Sizes closer than this factor are alike. */
  alikeFactor: 1.3,
  /** Looks closer than this are alike, degrees: the 30° rule. */
  alikeDeg: 30,
  /** A frame is dark when so much of it is covered. */
  darkShare: 0.9,
  /** A frame is ground or sky when so much of it is. */
  groundShare: 0.85,
  /** A turn is felt from here on, °/s. */
  spinDegps: 15,
  /** A horizon that tips at a cut is seen from here on, degrees. */
  rollDeg: 3,
  /** Light that leaps is seen from here on, stops. */
  lightStops: 1.5,
  /** So near to the line of action it is on neither side, degrees. */
  onLineDeg: 15,
  /** A matched action goes on where it was, within m and m/s. */
  actionM: 0.4,
  actionMps: 0.4,
  /** Anything shorter in the cut is hardly seen, s. */
  seenS: 0.5,
} as const;
