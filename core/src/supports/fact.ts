import type { Grade } from './grade';

/**
 * One thing that is known of a build: a number with its unit in words, and, where it can be held against something, how
 * it fares.
 */
export interface Fact {
  key: string;
  label: string;
  said: string;
  /** The bare number, in the unit that its key names. Null where there is no answer. */
  value: number | null;
  grade: Grade | null;
  why: string;
}

/**
 * All that is said of a build: facts, what to do in the order of hands, what it needs that cannot be, and cautions,
 * which are never graded.
 */
export interface Balance {
  facts: Fact[];
  steps: string[];
  cautions: string[];
}

export const fact = (
  key: string,
  label: string,
  said: string,
  value: number | null,
  grade: Grade | null = null,
  why = '',
): Fact => ({
  key,
  label,
  said,
  value: value !== null && Number.isFinite(value) ? value : null,
  grade,
  why,
});

/** What is said of one kind of rig. */
export type Told = Pick<Balance, 'facts' | 'steps'>;
