import { MOST_TRIES_KEPT, type Practice, type Shoot, type Try } from '../model';

/** The shoot with something of how it is rehearsed changed. */
export const changePractice = (shoot: Shoot, change: Partial<Practice>): Shoot => ({
  ...shoot,
  practice: { ...shoot.practice, ...change },
});

/** Most tries whose way is kept with them; of older ones the numbers stay. */
export const MOST_WAYS_KEPT = 30;

/** The shoot with one try more; where there are too many the oldest goes, and of old ones the way. */
export function addTry(shoot: Shoot, made: Try): Shoot {
  const all = [...shoot.practice.tries, made].slice(-MOST_TRIES_KEPT);
  let ways = 0;
  const tries = all
    .reverse()
    .map((row) => (row.flown !== null && (ways += 1) > MOST_WAYS_KEPT ? { ...row, flown: null } : row))
    .reverse();
  return changePractice(shoot, { tries });
}

export const removeTry = (shoot: Shoot, id: string): Shoot =>
  changePractice(shoot, { tries: shoot.practice.tries.filter((row) => row.id !== id) });

/** Practice without the tries of shots that are gone. */
export function withoutTriesOf(practice: Practice, ids: readonly string[]): Practice {
  const gone = new Set<string | null>(ids);
  const tries = practice.tries.filter(({ shotId }) => shotId === null || !gone.has(shotId));
  return tries.length === practice.tries.length ? practice : { ...practice, tries };
}
