import { type Day, type Shoot, type Shot, sayClock, wishOf } from '../model';
import { type DayCase, dayCase, type DayOptions } from './day-problem';
import { type DayPlan, planOf, toldOrder } from './day-plan';
import { bestOrder } from './order-search';
import { ShotLooks } from './shot-facts';
import type { ShotWork } from './shot-work';

/** What a way changes of the shoot, the order that was found for it among it. */
export interface DayChange {
  day: Partial<Day>;
  /** Shots that are made through another lens. */
  lens: { shotIds: string[]; lensId: string } | null;
}

/** One way to get done what does not fit. */
export interface WayToFit {
  said: string;
  /** How many are left undone then. */
  left: number;
  /** Numbers of the shots that fit then and did not before. */
  fits: number[];
  /** Null: it has to be brought or asked for. */
  change: DayChange | null;
}

/** One way to be tried: what it is called, and what it does to the day or to what its shots take. */
interface Candidate {
  said: string;
  day?: Partial<Day>;
  also?: (work: ShotWork) => ShotWork;
  change: DayChange | null;
  /** Shots it gives up itself. */
  drops: number;
}

const TRIES = 2500;
const STEPS_MIN = [15, 25, 40, 60, 90];
const MOST_DROPPED = 6;
const MOST_WAYS = 6;

/**
 * What would make more of the day fit, each tried: an earlier start, a later end, another battery, a second camera, a
 * lens fewer, a shot dropped. Of each kind the least that does it; those that leave least undone first. Empty when all
 * fits. Yields how many were tried.
 */
export function* waysToFit(given: DayCase, plan: DayPlan, options: DayOptions = {}): Generator<number, WayToFit[]> {
  const base = plan.cannot.length;
  if (base === 0) return [];
  const { shoot } = given;
  const order = plan.entries.map(({ shotId }) => shotId);
  const looks = options.looks ?? new ShotLooks();
  const found: WayToFit[] = [];
  let tried = 0;
  for (const kind of [
    earlier(given, options),
    later(given),
    batteries(given),
    cameras(given),
    lenses(given),
    drops(given, plan),
  ])
    for (const { said, day, also, change, drops: given_up } of kind) {
      const changed = { ...shoot, day: { ...shoot.day, ...day } };
      const made = dayCase(changed, { ...options, looks, ...(also ? { also } : {}) });
      const best = bestOrder(made.problem, { tries: TRIES, from: toldOrder(made, order), quick: true, rough: true });
      const then = planOf(made, best.order);
      yield (tried += 1);
      const left = then.cannot.length;
      // Giving up one to get one is no gain, but for the last.
      if (left + given_up >= base && !(given_up > 0 && left === 0)) continue;
      const still = new Set(then.cannot.map(({ shotId }) => shotId));
      const fits = plan.cannot.filter(({ shotId }) => !still.has(shotId)).map(({ number }) => number);
      found.push({ said, left, fits, change: change && inOrder(change, made, best.order) });
      // More of the same is not needed.
      if (left === 0 && change !== null) break;
    }
  return found.sort((a, b) => a.left - b.left).slice(0, MOST_WAYS);
}

/** With the order in which those that are named fit: another may leave out others, though no more of them. */
function inOrder(change: DayChange, { works }: DayCase, order: readonly number[]): DayChange {
  return { ...change, day: { ...change.day, order: order.map((k) => works[k].shot.id) } };
}

/** The same to its end. */
export function allWaysToFit(given: DayCase, plan: DayPlan, options: DayOptions = {}): WayToFit[] {
  const search = waysToFit(given, plan, options);
  for (;;) {
    const { done, value } = search.next();
    if (done) return value;
  }
}

/** The shoot after a way is taken. */
export function withDayChange(shoot: Shoot, { day, lens }: DayChange): Shoot {
  const through = new Set(lens?.shotIds ?? []);
  return {
    ...shoot,
    day: { ...shoot.day, ...day },
    shots: lens
      ? shoot.shots.map((shot) => (through.has(shot.id) ? { ...shot, lensId: lens.lensId } : shot))
      : shoot.shots,
  };
}

const ofDay = (said: string, day: Partial<Day>): Candidate => ({ said, day, change: { day, lens: null }, drops: 0 });

/** A day that is under way cannot begin earlier. */
const earlier = ({ shoot: { day } }: DayCase, { fromMin }: DayOptions): Candidate[] =>
  STEPS_MIN.filter((more) => fromMin === undefined && day.callMin >= more).map((more) =>
    ofDay(`Begin ${more} min earlier, at ${sayClock(day.callMin - more)}.`, { callMin: day.callMin - more }),
  );

const later = ({ shoot: { day } }: DayCase): Candidate[] =>
  STEPS_MIN.filter((more) => day.wrapMin + more <= 2160).map((more) =>
    ofDay(`End ${more} min later, at ${sayClock(day.wrapMin + more)}.`, { wrapMin: day.wrapMin + more }),
  );

const batteries = ({ shoot: { day, kit } }: DayCase): Candidate[] =>
  day.batteries.map((battery) => ({
    said: `One more battery for ${[...kit.cameras, ...kit.rigs].find(({ id }) => id === battery.forId)?.name ?? battery.forId}.`,
    day: { batteries: day.batteries.map((row) => (row === battery ? { ...row, count: row.count + 1 } : row)) },
    change: null,
    drops: 0,
  }));

const numbers = (rows: readonly ShotWork[]) => rows.map(({ number }) => number).join(', ');

/** What is made through each lens that is not built into its camera. */
function byLens({ works }: DayCase): Map<string, ShotWork[]> {
  const rows = new Map<string, ShotWork[]>();
  for (const work of works)
    if (!work.builtIn) rows.set(work.shot.lensId, [...(rows.get(work.shot.lensId) ?? []), work]);
  return rows;
}

const cameras = (given: DayCase): Candidate[] => {
  const lensRows = [...byLens(given)];
  if (lensRows.length < 2) return [];
  return lensRows.map(([lensId, rows]) => ({
    said: `A second camera with the ${rows[0].lensName}, ready for ${numbers(rows)}.`,
    also: (work) => (work.shot.lensId === lensId ? { ...work, cameraKey: `second ${work.cameraKey}` } : work),
    change: null,
    drops: 0,
  }));
};

/** A lens that few shots are made through, where another that is there reaches the same focal length and stop. */
const lenses = (given: DayCase): Candidate[] => {
  const rows = byLens(given);
  return [...rows].flatMap(([lensId, through]) => {
    const lens = given.shoot.kit.lenses.find(
      (row) => row.id !== lensId && rows.has(row.id) && through.every(({ shot }) => reaches(row, shot)),
    );
    if (through.length > 2 || !lens) return [];
    const shotIds = through.map(({ shot }) => shot.id);
    return [
      {
        said: `A lens fewer: ${numbers(through)} through the ${lens.name}, at the same focal length.`,
        also: (work: ShotWork) =>
          shotIds.includes(work.shot.id)
            ? { ...work, lensName: lens.name, shot: { ...work.shot, lensId: lens.id } }
            : work,
        change: { day: {}, lens: { shotIds, lensId: lens.id } },
        drops: 0,
      },
    ];
  });
};

const reaches = (lens: Shoot['kit']['lenses'][number], shot: Shot): boolean =>
  lens.focalLengthMinMm <= shot.focalLengthMm &&
  lens.focalLengthMaxMm >= shot.focalLengthMm &&
  lens.fNumberMin <= shot.fNumber;

const drops = ({ shoot: { day } }: DayCase, plan: DayPlan): Candidate[] =>
  [...plan.entries]
    .sort((a, b) => b.endS - b.startS - b.waitS - (a.endS - a.startS - a.waitS))
    .slice(0, MOST_DROPPED)
    .map(({ shotId, number, name }) => {
      const dropped = { ...wishOf(day, shotId), state: 'dropped' as const };
      return {
        ...ofDay(`Drop ${number}, ${name}.`, {
          wishes: [...day.wishes.filter((wish) => wish.shotId !== shotId), dropped],
        }),
        drops: 1,
      };
    });
