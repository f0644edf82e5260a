import { type HeldRig, trim, TRY_PARTS, type TryPart, type Units } from '../../model';
import type { Film } from '../../motion';
import { asFlown, type FlownPath } from './flown-path';
import { matched, progress } from './matched';
import { endsOf } from './judge-ends';
import { evennessOf } from './judge-evenness';
import { levelOf, pathOf } from './judge-path';
import { placeOf, sharpOf } from './judge-picture';
import { timingOf } from './judge-timing';
import type { Judged, Tried } from './tried';

export interface ScoredPart extends Judged {
  part: TryPart;
  weight: number;
}

/** A try held against its plan. */
export interface Score {
  /** From 0 to 100; the plan's own way has 100. */
  score: number;
  parts: ScoredPart[];
  /** One sentence: what to do differently next time. */
  said: string;
}

/** What counts how much. Common practice, no published source. */
const JUDGES: { part: TryPart; weight: number; judge: (tried: Tried) => Judged | null }[] = [
  { part: 'path', weight: 25, judge: pathOf },
  { part: 'timing', weight: 15, judge: timingOf },
  { part: 'place', weight: 20, judge: placeOf },
  { part: 'ends', weight: 15, judge: endsOf },
  { part: 'evenness', weight: 15, judge: evennessOf },
  { part: 'level', weight: 5, judge: levelOf },
  { part: 'sharp', weight: 5, judge: sharpOf },
];

/** What hands answer for that have hold of less than the whole camera; the rest goes as planned by itself. */
const ANSWERS_FOR: Partial<Record<HeldRig, readonly TryPart[]>> = {
  head: ['timing', 'place', 'ends', 'evenness', 'level'],
  carriage: ['timing', 'ends', 'evenness'],
  ring: ['timing', 'sharp'],
};

/** From here on a part needs no word. */
const GOOD = 90;

/**
 * Scores a try against its plan. Each fault is charged once, where it belongs: a try that is late but else as planned
 * loses in timing only, one that trembles in evenness only, one that goes too far or not far enough at its ends only.
 * `pace` is the share of the planned speed that was practised at: its times are brought to the plan's. `held`: only what
 * those hands answer for is scored.
 */
export function scoreTry(
  film: Film,
  given: FlownPath,
  units: Units,
  { pace = 1, held = null }: { pace?: number; held?: HeldRig | null } = {},
): Score {
  const flown = pace === 1 ? given : { ...given, tS: given.tS.map((s) => s * pace) };
  const planned = asFlown(film.filmed);
  const tried: Tried = { film, planned, path: flown, match: matched(film.filmed, planned, flown), units };
  const asked = (held && ANSWERS_FOR[held]) ?? TRY_PARTS;
  const covered = coveredShare(tried);
  const parts = JUDGES.filter(({ part }) => asked.includes(part)).flatMap(({ part, weight, judge }): ScoredPart[] => {
    const judged = judge(tried);
    if (!judged) return [];
    const score = Math.round(judged.score * covered * 10) / 10;
    return [{ part, weight, ...judged, score, mend: score >= GOOD ? '' : judged.mend }];
  });
  if (parts.length === 0)
    return { score: 100, parts: [], said: 'Nothing here is in your hands: choose something else to hold.' };
  const weights = parts.reduce((sum, { weight }) => sum + weight, 0);
  const score = parts.reduce((sum, row) => sum + row.weight * row.score, 0) / weights;
  const said = saidOf(parts);
  const partly =
    covered < 1 ? `Only ${trim(covered * ENOUGH * 100, 0)}% of the way was made, and only that counts. ` : '';
  return { score: Math.round(score * 10) / 10, parts, said: partly + said };
}

/** From this share of the way on the rest is charged at its end; of less, what was not made cannot be judged. */
const ENOUGH = 0.6;

/** What the parts of a try count that made only some of its way: 1 where it made most of it. */
function coveredShare({ match }: Tried): number {
  const { moves, plan, planS } = match;
  if (moves === null) return 1;
  const sums = progress(plan, moves);
  const latest = planS.reduce((most, s) => Math.max(most, s), 0);
  const reached = sums[Math.min(plan.count - 1, Math.round(latest * plan.rateHz))] / sums[plan.count - 1];
  return Math.min(1, reached / ENOUGH);
}

/** What to mend first: the part that costs most. */
function saidOf(parts: readonly ScoredPart[]): string {
  const worst = parts.reduce((a, b) => (b.weight * (100 - b.score) > a.weight * (100 - a.score) ? b : a));
  if (worst.score >= GOOD) return 'As planned: do it again just so, and then take it.';
  return worst.mend;
}
