/** How the picture reads: calm, ripple (noticeable, look), jolt (will not read smoothly). */
export type PictureGrade = 'calm' | 'ripple' | 'jolt';
/** Whether the rig can do it. */
export type RigGrade = 'fits' | 'tight' | 'cannot';

/** One sentence of a reading. */
export interface FindingOf<Id extends string = string> {
  /** What it is about, unchanged from one reading to the next: `speed.near`, `stop`, `rig.travel`. */
  id: Id;
  grade: PictureGrade | RigGrade;
  /** What will be seen, with its number and limit. */
  sentence: string;
  /** Why that is so, or why it matters. */
  reason: string;
  /** When it happens, seconds on screen from the first frame that is shown. */
  screenS: number;
  value: number;
  limit: number;
  /** Unit of value and limit, for machines. */
  unit: string;
  /** The value in words, for the sentence of a cure: `19 %/s`. */
  said: string;
  /** What the value is, in words: `near parallax`. */
  measure: string;
}

const SEVERITY: Record<FindingOf['grade'], 0 | 1 | 2> = { calm: 0, fits: 0, ripple: 1, tight: 1, jolt: 2, cannot: 2 };

/** 0 for calm and fits, 1 for ripple and tight, 2 for jolt and cannot. */
export function severity(finding: Pick<FindingOf, 'grade'>): 0 | 1 | 2 {
  return SEVERITY[finding.grade];
}

/** Grades a value that should stay low: ripple above the limit, jolt above `joltAt`. */
export function gradeAbove(value: number, limit: number, joltAt: number): PictureGrade {
  return value > joltAt ? 'jolt' : value > limit ? 'ripple' : 'calm';
}

/** Grades a value that should stay high: ripple below the limit, jolt below `joltAt`. */
export function gradeBelow(value: number, limit: number, joltAt: number): PictureGrade {
  return value < joltAt ? 'jolt' : value < limit ? 'ripple' : 'calm';
}

/** A share as per cent: 0.0433 as `4.3%`; from 10% on without decimals. */
export function percent(share: number): string {
  const value = share * 100;
  return `${trimmed(value)}%`;
}

/** Frame widths a second as `4.3 %/s`. */
export function speedWords(speed: number): string {
  return `${trimmed(speed * 100)} %/s`;
}

/** Seconds with one decimal. */
export function seconds(tS: number): string {
  return `${tS.toFixed(1)} s`;
}

function trimmed(value: number): string {
  const text = Math.abs(value) < 9.95 ? value.toFixed(1).replace(/\.0$/, '') : value.toFixed(0);
  return text.replace('-', '−');
}

/** How long something goes on, in words: `1.3 s`; what is shorter than a twentieth of a second is a moment. */
export function lasting(forS: number): string {
  return forS < 0.05 ? 'a moment' : seconds(forS);
}

/**
 * How long the longest of several stretches is and when it begins: `for 1.3 s, from 2.0 s on, the longest of 4 times`.
 */
export function stretchWords(forS: number, fromS: number, stretches: number): string {
  return `for ${lasting(forS)}, from ${seconds(fromS)} on${stretches > 1 ? `, the longest of ${stretches} times` : ''}`;
}

/** A length of time for a crossing: `0.6 s`, `7 s`, `over a minute`. */
export function trimmedSeconds(tS: number): string {
  if (tS > 60) return 'over a minute';
  return `${tS < 9.95 ? tS.toFixed(1).replace(/\.0$/, '') : tS.toFixed(0)} s`;
}
