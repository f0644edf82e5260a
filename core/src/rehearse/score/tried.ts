import type { Units } from '../../model';
import type { Film } from '../../motion';
import type { FlownPath } from './flown-path';
import type { Matched } from './matched';

/** A try beside its plan, ready to be judged. */
export interface Tried {
  film: Film;
  planned: FlownPath;
  path: FlownPath;
  match: Matched;
  units: Units;
}

/** One thing judged. */
export interface Judged {
  score: number;
  /** What was measured, in the unit that the sentence says. */
  measured: number;
  sentence: string;
  /** What to do differently; empty where nothing needs to be. */
  mend: string;
}

/** 100 up to what is free, falling evenly to 0 at what is lost. */
export const ramp = (value: number, free: number, lost: number): number =>
  100 * Math.min(1, Math.max(0, (lost - value) / (lost - free)));

/** How far the subject is on the whole way, m: what faults of place are held against. */
export function usualDistanceM({ film }: Tried): number {
  const { subjectDistanceM, count } = film.filmed;
  let sum = 0;
  for (let row = 0; row < count; row += 1) sum += subjectDistanceM[row];
  return Math.max(0.3, sum / count);
}
