import { type Exercise, EXERCISES, type Try } from '../model';
import { COURSE, courseStep } from './course';

/** What somebody has come to in one exercise. */
export interface SkillProgress {
  exercise: Exercise;
  title: string;
  tries: number;
  best: number | null;
  passed: boolean;
  /** Each day's tries at full speed: the middle one and the best. Days as `2026-04-11`, UTC. */
  days: { day: string; middle: number; best: number; tries: number }[];
}

/** Drills are passed from this score on: twice as many moves as the solver needs. */
const DRILL_PASS = 50;
const DRILL_TITLES: Partial<Record<Exercise, string>> = {
  sledDrill: 'A sled balanced',
  gimbalDrill: 'A motor gimbal balanced',
};
export const exerciseTitle = (id: Exercise): string => courseStep(id)?.title ?? DRILL_TITLES[id] ?? id;
export const passOf = (id: Exercise): number => courseStep(id)?.pass ?? DRILL_PASS;

/** Slower than this is a slow try: it counts for practice, not for passing. */
const AT_SPEED = 0.95;

export const middleOf = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  const half = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
};

/** Progress by skill over days, in the order of the course. */
export function progressOf(tries: readonly Try[]): SkillProgress[] {
  return EXERCISES.map((exercise) => {
    const own = tries.filter((row) => row.exercise === exercise);
    const real = own.filter(({ pace }) => pace >= AT_SPEED);
    const byDay = new Map<string, number[]>();
    for (const { at, score } of real) byDay.set(at.slice(0, 10), [...(byDay.get(at.slice(0, 10)) ?? []), score]);
    const best = real.length === 0 ? null : Math.max(...real.map(({ score }) => score));
    return {
      exercise,
      title: exerciseTitle(exercise),
      tries: own.length,
      best,
      passed: best !== null && best >= passOf(exercise),
      days: [...byDay]
        .sort(([a], [b]) => a.localeCompare(b))
        .map(([day, scores]) => ({ day, middle: middleOf(scores), best: Math.max(...scores), tries: scores.length })),
    };
  });
}

/** What to practise next, and how: slowly where it has not been tried, or is far from passed. Null: all is passed. */
export function nextToPractise(progress: readonly SkillProgress[]): { exercise: Exercise; said: string } | null {
  const open = progress.find(({ passed, exercise }) => !passed && COURSE.some(({ id }) => id === exercise));
  const next = open ?? progress.find(({ passed }) => !passed);
  if (!next) return null;
  const pass = passOf(next.exercise);
  const said =
    next.best === null
      ? next.tries === 0
        ? `“${next.title}” is new: watch it once, then a slow try.`
        : `“${next.title}”: the slow tries are made, now one at speed.`
      : next.best < pass - 20
        ? `“${next.title}”: best ${Math.round(next.best)}, passed from ${pass}: two slow tries more first.`
        : `“${next.title}”: best ${Math.round(next.best)}, passed from ${pass}: nearly there, at speed.`;
  return { exercise: next.exercise, said };
}

/** A try of a shot that would be taken: from this score on. Common practice, no published source. */
export const TAKEN_FROM = 75;
/** What is usually reckoned with counts as much as so many tries. */
const USUAL_WEIGHT = 2;

/**
 * How many tries a shot will probably take: one over the share of tries that come out, where what is usual for it counts
 * as two tries made (a beta prior on that share; any textbook of statistics).
 */
export function triesLikely(tries: readonly Try[], shotId: string, usualTries: number): number {
  const own = tries.filter((row) => row.shotId === shotId && row.pace >= AT_SPEED);
  const good = own.filter(({ score }) => score >= TAKEN_FROM).length;
  const share = (good + USUAL_WEIGHT / Math.max(1, usualTries)) / (own.length + USUAL_WEIGHT);
  return Math.min(200, Math.max(1, Math.ceil(1 / share - 1e-9)));
}
