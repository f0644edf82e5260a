import { type Shoot, type Take, TAKE_REASONS, type TakeReason, wishOf } from '../../model';

/** How one shot stands in the log. */
export interface ShotTally {
  shotId: string;
  /** Null: the shot is not in the shoot any more. */
  number: number | null;
  name: string;
  takes: Take[];
  good: number;
  usable: number;
  no: number;
  best: Take | null;
  /** Nothing good or circled yet, and it is still to be shot. */
  open: boolean;
}

/** Every shot in the order of the shoot with its takes in order of time; behind them shots that are gone but were tried. */
export function tallyOf(shoot: Shoot): ShotTally[] {
  const byShot = new Map<string, Take[]>();
  for (const take of [...shoot.log.takes].sort((a, b) => a.at.localeCompare(b.at)))
    byShot.set(take.shotId, [...(byShot.get(take.shotId) ?? []), take]);
  const row = (shotId: string, number: number | null, name: string): ShotTally => {
    const takes = byShot.get(shotId) ?? [];
    const count = (verdict: Take['verdict']) => takes.filter((take) => take.verdict === verdict).length;
    const best = takes.findLast((take) => take.best) ?? null;
    const done = number === null || wishOf(shoot.day, shotId).state !== 'open';
    const good = count('good');
    return {
      shotId,
      number,
      name,
      takes,
      good,
      usable: count('usable'),
      no: count('no'),
      best,
      open: !done && best === null && good === 0,
    };
  };
  const there = new Set(shoot.shots.map(({ id }) => id));
  const gone = [...byShot].filter(([id]) => !there.has(id)).map(([id, takes]) => row(id, null, takes[0].shotName));
  return [...shoot.shots.map((shot, i) => row(shot.id, i + 1, shot.name)), ...gone];
}

/** What spoilt takes, the commonest first: how many of those that were not good name it. */
export function spoilersOf(
  takes: readonly Take[],
): { reason: TakeReason; words: string; count: number; share: number }[] {
  const spoilt = takes.filter(({ reasons, verdict }) => verdict !== 'good' && reasons.length > 0);
  return (Object.keys(TAKE_REASONS) as TakeReason[])
    .map((reason) => {
      const count = spoilt.filter(({ reasons }) => reasons.includes(reason)).length;
      return { reason, words: TAKE_REASONS[reason], count, share: spoilt.length ? count / spoilt.length : 0 };
    })
    .filter(({ count }) => count > 0)
    .sort((a, b) => b.count - a.count);
}

/** What to do about what spoils takes; common practice, no published source. */
export const REASON_MENDS: Record<TakeReason, string> = {
  tooFast: 'Count aloud, slower, and begin earlier.',
  tooSlow: 'Count aloud at the planned beat.',
  start: 'Let it grow: take up the slack before the count ends.',
  stop: 'Ease out from the mark before the last one, and put a warning mark there.',
  level: 'Level it at both ends before each take.',
  focusStart: 'Put a mark on the ring for the start, and check it after every back to one.',
  focusWay: 'Stop down by one, or lock it and hold the distance.',
  focusEnd: 'Let who is filmed stand at the end first, and mark the ring there.',
  frameLost: 'Note what stands at both edges at the start and at the end.',
  bob: 'Bend the knees, roll from heel to toe, shorten the steps.',
  late: 'Give one sign that everybody hears, and let the rig go last.',
  wind: 'Wait for the lull, go lower, or use a wider lens nearer.',
  battery: 'Change it before the next set-up, not when it is empty.',
};
