import { type Shoot, type Shot, sayClock } from '../model';
import { type DayCase, dayCase, type DayOptions } from './day-problem';
import { type DayPlan, planOf, toldOrder } from './day-plan';
import { bestOrder } from './order-search';
import type { ShotWork } from './shot-work';

/** One way to get done what does not fit. */
export interface WayToFit {
  said: string;
  /** How many are left undone then. */
  left: number;
  /** Numbers of the shots that fit then and did not before. */
  fits: number[];
  /** The shoot that it makes, where it can be made with a press; null: it has to be brought or asked for. */
  shoot: Shoot | null;
}

const TRIES = 4000;
const STEPS_MIN = [15, 25, 40, 60, 90];
const MOST_DROPPED = 6;

/**
 * What would make more of the day fit, each tried: an earlier start, a later end, another battery, a second camera, a
 * lens fewer, a shot dropped. The cheapest of each kind, those that leave least undone first. Empty when all fits.
 */
export function* waysToFit(given: DayCase, plan: DayPlan, options: DayOptions = {}): Generator<number, WayToFit[]> {
  const base = plan.cannot.length;
  if (base === 0) return [];
  const { shoot } = given;
  const { day } = shoot;
  const order = plan.entries.map(({ shotId }) => shotId);
  const known = new Map(given.works.map((work) => [work.shot.id, work]));
  const found: WayToFit[] = [];
  let done = 0;
  const attempt = (changed: Shoot, look: (work: ShotWork) => ShotWork, more: DayOptions = {}): DayPlan => {
    const made = dayCase(changed, {
      ...options,
      ...more,
      look: (shot, number, sun) => {
        const work = known.get(shot.id);
        if (work) return look(work);
        if (options.look) return options.look(shot, number, sun);
        throw new RangeError(`Shot ${number} was not looked at.`);
      },
    });
    return planOf(made, bestOrder(made.problem, { tries: TRIES, from: toldOrder(made, order) }).order);
  };
  const same = (work: ShotWork) => work;
  const keep = (said: string, tried: DayPlan, changed: Shoot | null): boolean => {
    const left = tried.cannot.length;
    if (left >= base) return false;
    const still = new Set(tried.cannot.map(({ shotId }) => shotId));
    const fits = plan.cannot.filter(({ shotId }) => !still.has(shotId)).map(({ number }) => number);
    found.push({ said, left, fits, shoot: changed });
    return left === 0;
  };
  const startMin = options.fromMin ?? day.callMin;
  if (options.fromMin === undefined)
    for (const more of STEPS_MIN) {
      if (startMin - more < 0) break;
      const changed = { ...shoot, day: { ...day, callMin: startMin - more } };
      if (keep(`Begin ${more} min earlier, at ${sayClock(startMin - more)}.`, attempt(changed, same), changed)) break;
      yield (done += 1);
    }
  for (const more of STEPS_MIN) {
    if (day.wrapMin + more > 2160) break;
    const changed = { ...shoot, day: { ...day, wrapMin: day.wrapMin + more } };
    if (keep(`End ${more} min later, at ${sayClock(day.wrapMin + more)}.`, attempt(changed, same), changed)) break;
    yield (done += 1);
  }
  for (const [i, battery] of day.batteries.entries()) {
    const batteries = day.batteries.map((row, k) => (k === i ? { ...row, count: row.count + 1 } : row));
    const name =
      [...shoot.kit.cameras, ...shoot.kit.rigs].find(({ id }) => id === battery.forId)?.name ?? battery.forId;
    keep(`One more battery for ${name}.`, attempt({ ...shoot, day: { ...day, batteries } }, same), null);
    yield (done += 1);
  }
  const lenses = new Map<string, ShotWork[]>();
  for (const work of given.works) lenses.set(work.shot.lensId, [...(lenses.get(work.shot.lensId) ?? []), work]);
  for (const [lensId, rows] of lenses) {
    if (lenses.size < 2) break;
    keep(
      `A second camera for the ${rows[0].lensName}, ready when ${numbers(rows)} ${rows.length === 1 ? 'comes' : 'come'}.`,
      attempt(withSecondCamera(shoot, rows[0].shot), (work) =>
        work.shot.lensId === lensId ? { ...work, shot: { ...work.shot, cameraId: SECOND } } : work,
      ),
      null,
    );
    yield (done += 1);
    const other = [...lenses.keys()].find((id) => id !== lensId && rows.every(({ shot }) => reaches(shoot, id, shot)));
    if (rows.length > 2 || other === undefined) continue;
    const name = shoot.kit.lenses.find(({ id }) => id === other)?.name ?? other;
    const onIt = new Set(rows.map(({ shot }) => shot.id));
    const changed = {
      ...shoot,
      shots: shoot.shots.map((shot) => (onIt.has(shot.id) ? { ...shot, lensId: other } : shot)),
    };
    const tried = attempt(changed, (work) =>
      onIt.has(work.shot.id) ? { ...work, lensName: name, shot: { ...work.shot, lensId: other } } : work,
    );
    keep(`A lens fewer: ${numbers(rows)} through the ${name}, at the same focal length.`, tried, changed);
    yield (done += 1);
  }
  const longest = [...plan.entries].sort((a, b) => b.endS - b.startS - (a.endS - a.startS)).slice(0, MOST_DROPPED);
  for (const entry of longest) {
    const wishes = [
      ...day.wishes.filter(({ shotId }) => shotId !== entry.shotId),
      { ...entry.work.wish, state: 'dropped' as const },
    ];
    const changed = { ...shoot, day: { ...day, wishes } };
    // Dropping one to get one is no gain.
    const tried = attempt(changed, same);
    if (tried.cannot.length < base - 1 || (base === 1 && tried.cannot.length === 0))
      keep(`Drop ${entry.number}, ${entry.name}, which takes longest.`, tried, changed);
    yield (done += 1);
  }
  return found.sort((a, b) => a.left - b.left).slice(0, 6);
}

/** The same to its end. */
export function allWaysToFit(given: DayCase, plan: DayPlan, options: DayOptions = {}): WayToFit[] {
  const search = waysToFit(given, plan, options);
  for (;;) {
    const { done, value } = search.next();
    if (done) return value;
  }
}

const SECOND = 'second camera';
const numbers = (rows: readonly ShotWork[]) => rows.map(({ number }) => number).join(', ');

function reaches({ kit }: Shoot, lensId: string, shot: Shot): boolean {
  const lens = kit.lenses.find(({ id }) => id === lensId);
  // What flies has its lens built in.
  const apart = kit.parts.some(({ of }) => of === lensId) && kit.parts.some(({ of }) => of === shot.lensId);
  return (
    lens !== undefined &&
    apart &&
    lens.focalLengthMinMm <= shot.focalLengthMm &&
    lens.focalLengthMaxMm >= shot.focalLengthMm &&
    lens.fNumberMin <= shot.fNumber
  );
}

/** A kit with one camera more, like that of a shot. */
function withSecondCamera(shoot: Shoot, { cameraId }: Shot): Shoot {
  const { kit } = shoot;
  const camera = kit.cameras.find(({ id }) => id === cameraId);
  const part = kit.parts.find(({ of }) => of === cameraId);
  return {
    ...shoot,
    kit: {
      ...kit,
      cameras: camera ? [...kit.cameras, { ...camera, id: SECOND }] : kit.cameras,
      parts: part ? [...kit.parts, { ...part, id: SECOND, of: SECOND }] : kit.parts,
    },
  };
}
