import type { FindingOf, RigGrade } from '../finding';
import { type Limits, type Rig, sayLength, saySpeed, type StickSpeed, trim, type Units } from '../../model';

/** A value held against what the rig can do, and how to say it. */
export interface Use<Id extends string> {
  id: Id;
  measure: string;
  value: number;
  limit: number;
  screenS: number;
  unit: string;
  say: (amount: number) => string;
  sentence: string;
  reason: string;
}

export const SLACK = 1e-6;

export const graded = <Id extends string>({ say, ...use }: Use<Id>, grade: RigGrade): FindingOf<Id> => ({
  ...use,
  grade,
  said: say(use.value),
});

/** Grades a use that the rig limits from above: tight from a share of its reach on. */
export function upTo<Id extends string>(limits: Pick<Limits, 'tightShare'>, use: Use<Id>): FindingOf<Id> {
  const { value, limit } = use;
  return graded(
    use,
    value > limit + SLACK ? 'cannot' : limit > 0 && value > limit * limits.tightShare ? 'tight' : 'fits',
  );
}

/** Grades a use that has to come near one value: fits within `fitShare` of it, tight within `tightShare`. */
export function about<Id extends string>(use: Use<Id>, fitShare: number, tightShare: number): FindingOf<Id> {
  const off = Math.abs(use.value / use.limit - 1);
  return graded(use, off <= fitShare ? 'fits' : off <= tightShare ? 'tight' : 'cannot');
}

export interface Say {
  length: (m: number) => string;
  speed: (mps: number) => string;
  degrees: (deg: number) => string;
}

export function sayIn(units: Units): Say {
  return {
    length: (m) => sayLength(m, units),
    speed: (mps) => saySpeed(mps, units),
    degrees: (deg) => `${trim(deg, 0)}°`,
  };
}

/**
 * The share of its limits that a rig gives at a stick speed, and a word for it. A drone's sticks rule its whole flight,
 * a gimbal's joystick its turning; nothing else has one.
 */
export function stickShare(rig: Rig, stick: StickSpeed): { flight: number; turning: number; words: string } {
  const share = stick === 'slow' ? rig.slowShare : stick === 'normal' ? rig.normalShare : 1;
  if (rig.kind === 'drone') return { flight: share, turning: share, words: ` in its ${stick} mode` };
  if (rig.kind === 'gimbal') return { flight: 1, turning: share, words: ` at ${stick} joystick speed` };
  return { flight: 1, turning: 1, words: '' };
}
