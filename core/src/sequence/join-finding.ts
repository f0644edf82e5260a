import type { PictureGrade } from '../findings';
import { type JoinKind, JoinSchema, type Limits, optionWords } from '../model';
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
  limits: JoinLimits;
}

export const kindWords = (kind: JoinKind): string => optionWords(JoinSchema.shape.kind, kind);

/** What joins are held against, of the one table of limits. */
export const joinLimits = (limits: Limits) => ({
  restSpeed: limits.joinRestSpeed,
  startSpeed: limits.joinStartSpeed,
  sameWayDeg: limits.joinSameWayDeg,
  sameSpeedFactor: limits.joinSameSpeedFactor,
  whipSpeed: limits.joinWhipSpeed,
  eyeLeap: limits.joinEyeLeap,
  matchedPlace: limits.joinMatchedPlace,
  alikeFactor: limits.joinAlikeFactor,
  alikeDeg: limits.joinAlikeDeg,
  darkShare: limits.joinDarkShare,
  groundShare: limits.joinGroundShare,
  spinDegps: limits.joinSpinDegps,
  rollDeg: limits.joinRollDeg,
  lightStops: limits.joinLightStops,
  onLineDeg: limits.joinOnLineDeg,
  actionM: limits.joinActionM,
  actionMps: limits.joinActionMps,
  actionDeg: limits.joinActionDeg,
  smearFactor: limits.joinSmearFactor,
  seenS: limits.joinSeenS,
});
export type JoinLimits = ReturnType<typeof joinLimits>;
