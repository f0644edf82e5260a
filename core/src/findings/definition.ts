import type { Limits } from '../model';
import type { CureIdea } from './cure-ideas';
import type { FindingOf } from './finding';

/** What of the picture a finding is about: where to look when it is chosen. */
export type About = 'near' | 'far' | 'layers' | 'subject' | 'frame';

/** One kind of finding. */
export interface FindingKind {
  /** What is measured, and in what. */
  measures: string;
  /** The limits it is held against, by their names in `model/limits.ts`; empty where a rig or a lens is the limit. */
  limits: readonly (keyof Limits)[];
  about: About;
  /** What could cure it, most natural first; empty when nothing but another idea helps. */
  cures: readonly CureIdea[];
}
export type FindingKinds = Record<string, FindingKind>;

/** An id, or one for each of several moves: `travel.2`. */
export type Numbered<Id extends string> = Id | `${Id}.${number}`;

/** Kinds that are found together, and how: from a measured picture, or from what the rig has to do. */
export interface Definition<Id extends string, Measured> {
  kinds: Record<Id, FindingKind>;
  /** Looks for them; empty where there is nothing to say. */
  find(measured: Measured): FindingOf<Numbered<Id>>[];
}

/**
 * Defines findings: a new one is a file with this, and a line in `all.ts`.
 *
 * @example
 * export const blink = define(
 *   { blink: { measures: 'time dark, s', limits: ['coveredS'], about: 'frame', cures: ['takeLonger'] } },
 *   (picture: Picture) => (picture.samples.count === 1 ? [{ id: 'blink', grade: 'jolt', ... }] : []),
 * );
 */
export function define<Id extends string, Measured>(
  kinds: Record<Id, FindingKind>,
  find: (measured: Measured) => FindingOf<Numbered<NoInfer<Id>>>[],
): Definition<Id, Measured> {
  return { kinds, find };
}
