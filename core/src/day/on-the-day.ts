import { sayClock, sayMinutes, type Shoot, wishOf } from '../model';
import type { DayEntry, DayPlan } from './day-plan';

/** The shots that are made, in the order in which they were. */
export const madeIds = ({ day }: Shoot): string[] =>
  day.wishes
    .filter(({ state }) => state === 'done')
    .sort((a, b) => (a.doneMin ?? 0) - (b.doneMin ?? 0))
    .map(({ shotId }) => shotId);

/** When the rest of the day goes on, minutes: after the shot made last, or at its beginning; and so much later. */
export function goesOnMin(shoot: Shoot, lateMin = 0): number {
  const last = madeIds(shoot).at(-1);
  const doneMin = last === undefined ? null : wishOf(shoot.day, last).doneMin;
  return (doneMin ?? shoot.day.callMin) + lateMin;
}

/** From where what is left of a day is planned: options of a case. A day that has not begun is planned whole. */
export function asItStands(shoot: Shoot, lateMin = 0): { madeIds: string[]; fromMin?: number } {
  const made = madeIds(shoot);
  return made.length > 0 || lateMin > 0 ? { madeIds: made, fromMin: goesOnMin(shoot, lateMin) } : { madeIds: made };
}

type Timed = Pick<DayEntry, 'startS' | 'changeS' | 'setUpS' | 'takesFromS' | 'endS'>;

/** Where a day stands at a minute of its clock. */
export interface Now<E extends Timed> {
  entry: E | null;
  next: E | null;
  /** What is to be going on: getting ready, waiting, takes; or nothing any more. */
  doing: 'before' | 'changes' | 'sets up' | 'waits' | 'takes' | 'break' | 'over';
  /** Until when, s. */
  untilS: number | null;
}

export function nowIn<E extends Timed>(
  plan: { entries: readonly E[]; breaks: DayPlan['breaks'] },
  atMin: number,
): Now<E> {
  const atS = atMin * 60;
  const rest = plan.breaks.find(({ startS, forS }) => atS >= startS && atS < startS + forS);
  const index = plan.entries.findIndex(({ endS }) => endS > atS);
  const entry = index < 0 ? null : plan.entries[index];
  if (entry === null) return { entry: null, next: null, doing: 'over', untilS: null };
  const next = plan.entries[index + 1] ?? null;
  if (rest) return { entry: null, next: entry, doing: 'break', untilS: rest.startS + rest.forS };
  if (atS < entry.startS) return { entry: null, next: entry, doing: 'before', untilS: entry.startS };
  const ready = entry.startS + entry.changeS;
  if (atS < ready) return { entry, next, doing: 'changes', untilS: ready };
  if (atS < ready + entry.setUpS) return { entry, next, doing: 'sets up', untilS: ready + entry.setUpS };
  if (atS < entry.takesFromS) return { entry, next, doing: 'waits', untilS: entry.takesFromS };
  return { entry, next, doing: 'takes', untilS: entry.endS };
}

/** What differs between two plans of one day, in sentences. */
export function whatChanges(before: DayPlan, after: DayPlan): string[] {
  const said: string[] = [];
  const lost = after.cannot.filter(({ shotId }) => !before.cannot.some((row) => row.shotId === shotId));
  const won = before.cannot.filter(({ shotId }) => after.entries.some((row) => row.shotId === shotId));
  for (const { number, name, why } of lost) said.push(`${number} ${name} does not fit any more. ${why}`);
  for (const { number, name } of won) said.push(`${number} ${name} fits now.`);
  const was = before.entries
    .map(({ shotId }) => shotId)
    .filter((id) => after.entries.some(({ shotId }) => shotId === id));
  const is = after.entries.map(({ shotId }) => shotId).filter((id) => was.includes(id));
  const stays = longestKept(was, is);
  for (const id of is) {
    if (stays.has(id)) continue;
    const entry = after.entries.find(({ shotId }) => shotId === id);
    const at = is.indexOf(id);
    const neighbour = after.entries.find(({ shotId }) => shotId === is[at - 1]);
    if (entry)
      said.push(
        `${entry.number} ${entry.name} comes ${neighbour ? `after ${neighbour.number}` : 'first'}, ` +
          `at ${sayClock(entry.startS / 60)}.`,
      );
  }
  const laterS = after.endS - before.endS;
  if (Math.abs(laterS) >= 60)
    said.push(
      `It is over at ${sayClock(after.endS / 60)}, ${sayMinutes(Math.abs(laterS))} ${laterS > 0 ? 'later' : 'earlier'}.`,
    );
  return said;
}

/** What keeps its place among the others: the longest run of one order that is in the other, too. */
function longestKept(was: readonly string[], is: readonly string[]): Set<string> {
  const place = is.map((id) => was.indexOf(id));
  const length = place.map(() => 1);
  const from = place.map(() => -1);
  for (let i = 0; i < place.length; i += 1)
    for (let j = 0; j < i; j += 1)
      if (place[j] < place[i] && length[j] + 1 > length[i]) [length[i], from[i]] = [length[j] + 1, j];
  const kept = new Set<string>();
  let at = length.indexOf(Math.max(0, ...length));
  while (at >= 0 && place.length > 0) {
    kept.add(is[at]);
    at = from[at];
  }
  return kept;
}

/** Words against the order of the story. */
export function savedWords(best: DayPlan, story: DayPlan): string {
  const more = story.cannot.length - best.cannot.length;
  const savedS = story.totalS - best.totalS;
  if (more > 0) return `In the order of the story ${more} more would be left undone.`;
  if (savedS >= 60) return `It saves ${sayMinutes(savedS)} against the order of the story.`;
  return 'The order of the story would take no longer.';
}
