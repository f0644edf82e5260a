import { byRig, byWho, learnedFrom, type Middle } from '../../day';
import { sayCount, type Shoot, type Take, trim } from '../../model';
import { REASON_MENDS, type ShotTally, spoilersOf, tallyOf } from './tally';

/** What one day of the log came to. */
export interface DayReport {
  /** As `2026-04-11`, by the clock of whoever asks. */
  day: string;
  takes: number;
  good: number;
  shots: ShotTally[];
  stillOpen: ShotTally[];
  spoilers: ReturnType<typeof spoilersOf>;
  /** One sentence each. */
  said: string[];
}

/** The day of a moment, by a clock that is so many minutes ahead of UTC. */
export const dayOf = (at: string, offsetMin: number): string =>
  new Date(Date.parse(at) + offsetMin * 60_000).toISOString().slice(0, 10);

/** Days of the log, the latest first. */
export const daysOf = (shoot: Shoot, offsetMin: number): string[] =>
  [...new Set(shoot.log.takes.map(({ at }) => dayOf(at, offsetMin)))].sort().reverse();

/** A day of the log in numbers and sentences. */
export function dayReport(shoot: Shoot, day: string, offsetMin: number): DayReport {
  const all = tallyOf(shoot);
  const shots = all
    .map((row) => ({ ...row, takes: row.takes.filter(({ at }) => dayOf(at, offsetMin) === day) }))
    .filter(({ takes }) => takes.length > 0)
    .map((row) => ({ ...row, ...counts(row.takes) }));
  const takes = shots.flatMap((row) => row.takes);
  const stillOpen = all.filter((row) => row.open);
  const spoilers = spoilersOf(takes);
  const good = takes.filter(({ verdict }) => verdict === 'good').length;
  const said = [`${sayCount(takes.length, 'take')} of ${sayCount(shots.length, 'shot')}; ${good} good.`];
  if (spoilers.length > 0) {
    const [worst] = spoilers;
    said.push(
      `Most takes were spoilt by: ${worst.words} (${worst.count === 1 ? 'once' : `${worst.count} times`}). ${REASON_MENDS[worst.reason]}`,
    );
  }
  const hardest = shots.reduce<ShotTally | null>((a, row) => (!a || row.takes.length > a.takes.length ? row : a), null);
  if (hardest && hardest.takes.length > 2) said.push(`Most tries: “${hardest.name}”, ${hardest.takes.length}.`);
  if (stillOpen.length > 0) said.push(`Still open: ${sayCount(stillOpen.length, 'shot')} of the list.`);
  return { day, takes: takes.length, good, shots, stillOpen, spoilers, said };
}

const counts = (takes: readonly Take[]) => ({
  good: takes.filter(({ verdict }) => verdict === 'good').length,
  usable: takes.filter(({ verdict }) => verdict === 'usable').length,
  no: takes.filter(({ verdict }) => verdict === 'no').length,
});

/** What the log taught, a sentence a rig and a person: the middle, and how sure. */
export function taught(shoot: Shoot): string[] {
  const learned = learnedFrom(shoot.log);
  const rows: string[] = [];
  const say = (name: string, key: string) => {
    const parts = [
      part(learned.tries.get(key), 'tries until it is good', 0),
      part(learned.setUpMin.get(key), 'minutes to set up', 0),
      part(learned.changeMin.get(key), 'minutes to change to it', 0),
      part(learned.betweenS.get(key), 's from take to take', 0),
    ].filter((text) => text !== null);
    if (parts.length > 0) rows.push(`${name}: ${parts.join('; ')}.`);
  };
  for (const rig of shoot.kit.rigs) say(rig.name, byRig(rig.id));
  for (const who of new Set(shoot.log.takes.map((take) => take.who).filter(Boolean))) say(who, byWho(who));
  return rows;
}

function part(middle: Middle | undefined, words: string, digits: number): string | null {
  if (!middle) return null;
  const { low, high, sure, count } = middle;
  const between =
    low === high
      ? ''
      : ` (${trim(low, digits)} to ${trim(high, digits)}, ${trim(sure * 100, 0)}% sure, ${count} logged)`;
  return `${trim(middle.middle, digits)} ${words}${between}`;
}
