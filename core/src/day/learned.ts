import type { Log, Take } from '../model';

/** What a log teaches: how long things really took, and how many tries. */

/** The middle of what was logged and how sure it is: with `sure` the true middle lies between `low` and `high`. */
export interface Middle {
  count: number;
  middle: number;
  low: number;
  high: number;
  sure: number;
}

const WISHED_SURE = 0.95;

/**
 * Median with its distribution-free interval from order statistics: the narrowest pair of ranks that holds the true median
 * with 95%, or all there is where so few rows cannot be that sure (Conover, Practical Nonparametric Statistics, binomial
 * interval of a quantile, from memory; of ten rows: the second and the ninth, 97.9%). Null without rows.
 */
export function middleWithInterval(values: readonly number[]): Middle | null {
  const sorted = [...values].sort((a, b) => a - b);
  const count = sorted.length;
  if (count === 0) return null;
  const half = count >> 1;
  const middle = count % 2 === 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
  // Of fair coins: the probability that fewer than `rank` of the rows lie below the true median.
  let below = 0.5 ** count;
  let [rank, sure] = [0, 1 - 2 * below];
  let chance = below;
  for (let k = 1; k < half; k += 1) {
    chance = (chance * (count - k + 1)) / k;
    if (1 - 2 * (below + chance) < WISHED_SURE) break;
    below += chance;
    [rank, sure] = [k, 1 - 2 * below];
  }
  return { count, middle, low: sorted[rank], high: sorted[count - 1 - rank], sure: Math.max(0, sure) };
}

/** Fewer than this say nothing yet; from take to take there are several in every shot. */
const LEAST_ROWS = 3;
const LEAST_BETWEEN = 10;
/** Takes of one shot farther apart than this, s, had something else between them. */
const MOST_BETWEEN_S = 15 * 60;
/** Getting ready that took longer was left running, min. */
const MOST_READY_MIN = 240;

/** What was learned, by the rig, by the rig with the move, and by who had it. Minutes, tries, and seconds from one take to the next. */
export interface Learned {
  setUpMin: Map<string, Middle>;
  changeMin: Map<string, Middle>;
  betweenS: Map<string, Middle>;
  tries: Map<string, Middle>;
}

export const byRig = (rigId: string): string => `rig ${rigId}`;
export const byMove = (rigId: string, move: string): string => `move ${rigId} ${move}`;
export const byWho = (who: string): string => `who ${who}`;

const known = new WeakMap<Log, Learned>();

/** What a log teaches; kept as long as the log is the same. */
export function learnedFrom(log: Log): Learned {
  const before = known.get(log);
  if (before) return before;
  const rows = { setUpMin: new Rows(), changeMin: new Rows(), betweenS: new Rows(), tries: new Rows() };
  for (const { what, rigId, who, fromAt, toAt } of log.readies) {
    if (toAt === null) continue;
    const minutes = (Date.parse(toAt) - Date.parse(fromAt)) / 60_000;
    if (minutes <= 0 || minutes > MOST_READY_MIN) continue;
    const into = what === 'setUp' ? rows.setUpMin : rows.changeMin;
    into.add(byRig(rigId), minutes);
    if (who) into.add(byWho(who), minutes);
  }
  for (const takes of byShot(log.takes)) {
    const triesMade = triesUntilGood(takes);
    const { rigId, move, who } = takes[0];
    if (triesMade !== null) {
      rows.tries.add(byRig(rigId), triesMade);
      rows.tries.add(byMove(rigId, move), triesMade);
      if (who) rows.tries.add(byWho(who), triesMade);
    }
    for (let i = 1; i < takes.length; i += 1) {
      const seconds = (Date.parse(takes[i].at) - Date.parse(takes[i - 1].at)) / 1000;
      if (seconds > 0 && seconds < MOST_BETWEEN_S) rows.betweenS.add(byRig(takes[i].rigId), seconds);
    }
  }
  const learned = {
    setUpMin: rows.setUpMin.middles(),
    changeMin: rows.changeMin.middles(),
    betweenS: rows.betweenS.middles(LEAST_BETWEEN),
    tries: rows.tries.middles(),
  };
  known.set(log, learned);
  return learned;
}

/** Takes of each shot on each day, in order of time. */
function byShot(takes: readonly Take[]): Take[][] {
  const rows = new Map<string, Take[]>();
  for (const take of [...takes].sort((a, b) => a.at.localeCompare(b.at))) {
    const key = `${take.shotId} ${take.rigId}`;
    rows.set(key, [...(rows.get(key) ?? []), take]);
  }
  return [...rows.values()];
}

/** Takes of a shot until it was in the box: the circled one, or the first good one; null: it never was. */
function triesUntilGood(takes: readonly Take[]): number | null {
  const circled = takes.findIndex(({ best }) => best);
  const good = circled >= 0 ? circled : takes.findIndex(({ verdict }) => verdict === 'good');
  return good < 0 ? null : good + 1;
}

class Rows {
  private readonly rows = new Map<string, number[]>();

  add(key: string, value: number): void {
    this.rows.set(key, [...(this.rows.get(key) ?? []), value]);
  }

  middles(least = LEAST_ROWS): Map<string, Middle> {
    const found = new Map<string, Middle>();
    for (const [key, values] of this.rows) {
      const middle = middleWithInterval(values);
      if (middle && values.length >= least) found.set(key, middle);
    }
    return found;
  }
}
