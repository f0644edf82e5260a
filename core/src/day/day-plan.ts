import { type Person, type Shoot, sayClock, sayMinutes } from '../model';
import type { DayCase } from './day-problem';
import { whoDoes } from './hands';
import { sunTimes } from './light-hours';
import { SETTLED_TO } from './order-search';
import { type Recorder, RunThrough, type Undone, type Wait, windowEnd } from './run-through';
import type { ShotWork } from './shot-work';
import { weatherNotes } from './weather';

/** One shot of a day: when it is begun, what is changed, set up and waited for, and its takes. Seconds after midnight. */
export interface DayEntry {
  shotId: string;
  number: number;
  name: string;
  startS: number;
  changeS: number;
  setUpS: number;
  waitS: number;
  takesS: number;
  takesFromS: number;
  endS: number;
  tries: number;
  /** Why it stands here and takes so long. */
  reasons: string[];
  notes: string[];
  who: { what: string; name: string }[];
  changesLens: boolean;
  changesRig: boolean;
  walkM: number;
  work: ShotWork;
}

export interface CannotEntry {
  shotId: string;
  number: number;
  name: string;
  why: string;
}

export interface PowerUse {
  forId: string;
  pack: number;
  fromS: number;
  toS: number;
  what: 'used' | 'charged';
  shotNumber: number | null;
}

export interface DayPlan {
  entries: DayEntry[];
  breaks: { id: string; name: string; startS: number; forS: number }[];
  cannot: CannotEntry[];
  power: PowerUse[];
  startS: number;
  endS: number;
  totalS: number;
  waitS: number;
  lensChanges: number;
  rigChanges: number;
  walkM: number;
  carriedKgM: number;
  cost: number;
}

/** What comes of shooting in an order of tasks: times, reasons, and what does not fit. */
export function planOf(given: DayCase, order: readonly number[]): DayPlan {
  const { problem, works, powerIds, shoot } = given;
  const raw: {
    task: number;
    startS: number;
    changeS: number;
    setUpS: number;
    waitS: number;
    takesS: number;
    waitsFor: Wait;
  }[] = [];
  const rests: { index: number; fromS: number }[] = [];
  const undone: { task: number; why: Undone }[] = [];
  const power: PowerUse[] = [];
  const run = new RunThrough(problem);
  const cost = run.costOf(order, {
    entry: (row) => raw.push(row),
    rest: (index, fromS) => rests.push({ index, fromS }),
    undone: (task, why) => undone.push({ task, why }),
    power: ({ kind, pack, fromS, toS, task }) =>
      power.push({ forId: powerIds[kind], pack: pack + 1, fromS, toS, what: 'used', shotNumber: works[task].number }),
    charge: ({ kind, pack, fromS, toS }) =>
      power.push({ forId: powerIds[kind], pack: pack + 1, fromS, toS, what: 'charged', shotNumber: null }),
  });
  let before: ShotWork | null = null;
  let carriedKgM = 0;
  const gear = new Map(given.gearBefore);
  const entries = raw.map((row, i): DayEntry => {
    const work = works[row.task];
    const change = given.changes(before, gear.get(work.cameraKey) ?? null, work);
    carriedKgM += change.carriedKgM;
    const takesFromS = row.startS + row.changeS + row.setUpS + row.waitS;
    const endS = takesFromS + row.takesS;
    const earlier = raw.slice(0, i).map(({ task }) => works[task]);
    const later = raw.slice(i + 1).map(({ task }) => works[task]);
    const entry: DayEntry = {
      shotId: work.shot.id,
      number: work.number,
      name: work.shot.name,
      startS: row.startS,
      changeS: row.changeS,
      setUpS: row.setUpS,
      waitS: Math.max(0, row.waitS),
      takesS: row.takesS,
      takesFromS,
      endS,
      tries: work.tries,
      reasons: reasonsOf(given, {
        work,
        before,
        earlier,
        later,
        change: change.parts,
        waitS: row.waitS,
        waitsFor: row.waitsFor,
        takesFromS,
        task: row.task,
      }),
      notes: weatherNotes(work, given.weather, given.sun, takesFromS / 60, endS / 60),
      who: whoIn(shoot, work, takesFromS / 60, endS / 60),
      changesLens: change.lens,
      changesRig: change.rig,
      walkM: change.walkM,
      work,
    };
    before = work;
    gear.set(work.cameraKey, work);
    return entry;
  });
  const sorted = [...shoot.day.breaks]
    .sort((a, b) => a.fromMin - b.fromMin)
    .filter(({ fromMin, forMin }) => fromMin + forMin > problem.startS / 60);
  const endS = entries.at(-1)?.endS ?? problem.startS;
  const sum = (of: (entry: DayEntry) => number) => entries.reduce((all, entry) => all + of(entry), 0);
  return {
    entries,
    breaks: rests.map(({ index, fromS }) => ({
      id: sorted[index].id,
      name: sorted[index].name,
      startS: fromS,
      forS: sorted[index].forMin * 60,
    })),
    cannot: undone.map(({ task, why }) => ({
      shotId: works[task].shot.id,
      number: works[task].number,
      name: works[task].shot.name,
      why: whyNot(given, works[task], task, keptOut(given, order, task, why, undone.length)),
    })),
    power,
    startS: problem.startS,
    endS,
    totalS: endS - problem.startS,
    waitS: sum(({ waitS }) => waitS),
    lensChanges: entries.filter(({ changesLens }) => changesLens).length,
    rigChanges: entries.filter(({ changesRig }) => changesRig).length,
    walkM: sum(({ walkM }) => walkM),
    carriedKgM,
    cost,
  };
}

function whoIn({ day }: Shoot, work: ShotWork, fromMin: number, toMin: number): DayEntry['who'] {
  const there = ({ hours }: Person) => hours.fromMin <= fromMin && hours.toMin >= toMin;
  const crew = day.people.filter(({ skills }) => skills.length > 0);
  const given = whoDoes(work.hands, crew.filter(there), new Set(work.before));
  return (given ?? []).map(({ hand, person }) => ({ what: hand.what, name: person.name }));
}

interface Place {
  work: ShotWork;
  before: ShotWork | null;
  earlier: ShotWork[];
  later: ShotWork[];
  change: string[];
  waitS: number;
  waitsFor: Wait;
  takesFromS: number;
  task: number;
}

const numbersOf = (rows: readonly { number: number }[]): string => rows.map(({ number }) => number).join(', ');

/** Why a shot stands where it does. */
function reasonsOf(given: DayCase, place: Place): string[] {
  const { work, before, earlier, later, change, waitS, waitsFor, takesFromS, task } = place;
  const { wish } = work;
  const said: string[] = [];
  if (wish.pin === 'first') said.push('First, as you pinned it.');
  if (wish.pin === 'last') said.push('Last, as you pinned it.');
  if (wish.pin === 'beforeBreak') said.push('Before the break, as you pinned it.');
  if (wish.pin === 'afterBreak') said.push('After the break, as you pinned it.');
  if (wish.pin === 'rightAfter' && before?.shot.id === wish.afterId)
    said.push(`Right after ${before?.number}, as you pinned it.`);
  if (change.length > 0) said.push(`${before ? 'Changes' : 'Begins'}: ${change.join('; ')}.`);
  const alike = later.filter((row) => row.rigId === work.rigId && row.shot.lensId === work.shot.lensId);
  const sameAsBefore = before?.rigId === work.rigId && before?.shot.lensId === work.shot.lensId;
  if (before && sameAsBefore) said.push(`On the same rig and lens as ${before.number}.`);
  else if (alike.length > 0 && later[0] === alike[0])
    said.push(`The same rig and lens serve ${runOf(later, work)} next.`);
  const windowS = windowEnd(given.problem.tasks[task], takesFromS);
  const lasts = work.light.what;
  if (waitS > 60)
    said.push(
      waitsFor === 'battery'
        ? `Waits ${sayMinutes(waitS)} until a battery is charged.`
        : `Waits ${sayMinutes(waitS)}, until ${sayClock(takesFromS / 60)}, ${waitFor(given, work, takesFromS)}.`,
    );
  const leftS = windowS - takesFromS - work.takesS;
  if (Number.isFinite(windowS) && leftS < 2700 && wish.light !== 'any' && wish.light !== 'always')
    said.push(`Now, because ${lasts} ends at ${sayClock(windowS / 60)}.`);
  if (wish.light === 'same') {
    const other = given.works.find(({ shot }) => shot.id === wish.sameAsId);
    if (other) said.push(`Near ${other.number} in time: they share its light.`);
  }
  const leaving = given.shoot.day.people.find(
    ({ pieceId, hours }) =>
      pieceId !== null && work.before.includes(pieceId) && hours.toMin * 60 - takesFromS < 3 * 3600,
  );
  if (leaving) said.push(`While ${leaving.name} is there, until ${sayClock(leaving.hours.toMin)}.`);
  if (work.riskWhy) {
    const known = earlier.find(({ rigId }) => rigId === work.rigId);
    said.push(
      known
        ? `${work.riskWhy}: after ${known.number} on the same rig, when hands know it.`
        : `${work.riskWhy}, and the first on its rig: rehearse it before the first take.`,
    );
  }
  if (work.light.note && work.light.hours.length > 0) said.push(work.light.note);
  return said;
}

/** The shots that follow on the same rig and lens without a break. */
function runOf(later: readonly ShotWork[], work: ShotWork): string {
  const end = later.findIndex((row) => row.rigId !== work.rigId || row.shot.lensId !== work.shot.lensId);
  return numbersOf(end < 0 ? later : later.slice(0, end));
}

/** What a wait is for: the part of what limits the shot that begins just then. */
function waitFor(given: DayCase, work: ShotWork, takesFromS: number): string {
  const atMin = takesFromS / 60;
  const begins = (rows: readonly { fromMin: number }[]) => rows.some(({ fromMin }) => Math.abs(fromMin - atMin) < 1);
  if (begins(work.light.hours)) return `for ${work.light.what}`;
  if (begins(work.people)) return 'for the people it asks for';
  if (work.wish.between && Math.abs(work.wish.between.fromMin - atMin) < 1) return 'as you set its time';
  if (given.weatherWhy.has(work.shot.id)) return `for the weather (${given.weatherWhy.get(work.shot.id)})`;
  return work.wish.light === 'same' ? 'for the light of the shot it joins' : 'as it is pinned';
}

/** Among reasons at different places of the day the one that says most. */
const TELLING: readonly Undone[] = ['short', 'battery', 'same', 'late', 'window'];
/** With more than so many left undone it is plain that the day is too short. */
const MOST_TRIED = 12;

/** What keeps a shot out wherever it would be put, or whose place it could have. */
function keptOut(
  { problem, works }: DayCase,
  order: readonly number[],
  task: number,
  why: Undone,
  count: number,
): { why: Undone; insteadOf: number[] } {
  if (count > MOST_TRIED) return { why, insteadOf: [] };
  const rest = order.filter((k) => k !== task);
  const run = new RunThrough(problem);
  let insteadOf: number[] = [];
  let most = why;
  const wasUndone = new Set<number>();
  const listen = (undone: (k: number, why: Undone) => void): Recorder => ({
    ...DEAF,
    undone,
  });
  run.costOf(
    order,
    listen((k) => wasUndone.add(k)),
  );
  for (let at = 0; at <= rest.length; at += 1) {
    const now = new Map<number, Undone>();
    run.costOf(
      [...rest.slice(0, at), task, ...rest.slice(at)],
      listen((k, reason) => now.set(k, reason)),
    );
    const own = now.get(task);
    if (own !== undefined && TELLING.indexOf(own) < TELLING.indexOf(most)) most = own;
    const pushed = [...now.keys()].filter((k) => !wasUndone.has(k));
    if (own === undefined && pushed.length > 0 && (insteadOf.length === 0 || pushed.length < insteadOf.length))
      insteadOf = pushed;
  }
  return { why: most, insteadOf: insteadOf.map((k) => works[k].number) };
}
const DEAF: Recorder = {
  entry: () => undefined,
  rest: () => undefined,
  undone: () => undefined,
  power: () => undefined,
  charge: () => undefined,
};

/** Why a shot is not made: a sentence with what it would take. */
function whyNot(
  given: DayCase,
  work: ShotWork,
  task: number,
  { why, insteadOf }: { why: Undone; insteadOf: number[] },
): string {
  const { light, people, wish, tries, takesS } = work;
  const { problem, shoot } = given;
  const windows = problem.tasks[task].windowsS;
  if (light.hours.length === 0) return light.note ?? `There is no ${light.what} on that day.`;
  if (people.length === 0) return tooFew(shoot, work);
  if (windows.length === 0) {
    const weather = given.weatherWhy.get(work.shot.id);
    return (
      `Nothing is left of the day when it has ${light.what}` +
      `${shoot.day.people.length > 0 ? ', its people' : ''}${weather ? `, no ${weather}` : ''}` +
      `${wish.between || wish.pin !== 'none' ? ' and the time that you set' : ''}: loosen one of them.`
    );
  }
  const lengths = windows.flatMap((toS, i) => (i % 2 ? [toS - windows[i - 1]] : []));
  if (why === 'short')
    return (
      `${tries} tries take ${sayMinutes(takesS)}; ${light.what} with all it needs lasts ` +
      `${sayMinutes(Math.max(...lengths))} at a stretch: plan fewer tries.`
    );
  const instead = insteadOf.length > 0 ? ` It would fit in the place of ${insteadOf.join(', ')}.` : '';
  if (why === 'battery') return `${tooEmpty(given, work)}${instead}`;
  if (why === 'late') return `It would not be done by ${sayClock(problem.endS / 60)}.${instead}`;
  if (why === 'same') return 'The light of the shot it joins is gone by then.';
  return (
    `Its time is over before it can be begun: ${light.what} until ` +
    `${sayClock(windows[windows.length - 1] / 60)}.${instead}`
  );
}

function tooFew({ day }: Shoot, work: ShotWork): string {
  const crew = day.people.filter(({ skills, pieceId }) => skills.length > 0 && !work.before.includes(pieceId ?? ''));
  const missing = work.before
    .map((id) => day.people.find(({ pieceId }) => pieceId === id))
    .filter((person) => person !== undefined);
  const needs = work.hands.map(({ what }) => `one who ${what}`).join(', ');
  if (whoDoes(work.hands, crew, new Set(work.before)) === null)
    return (
      `It takes ${work.hands.length} at once (${needs}); ` +
      `${crew.length === 0 ? 'nobody is' : `of those there ${crew.map(({ name }) => name).join(', ')} can help, which is not enough or not what they do`}: ` +
      'bring somebody, or choose a rig that takes fewer hands.'
    );
  return `${[...missing, ...crew].map(({ name }) => name).join(', ')} are never there at the same time.`;
}

function tooEmpty({ shoot, powerIds, problem }: DayCase, work: ShotWork): string {
  for (const { forId, name, useS, unitS } of work.power) {
    const kind = powerIds.indexOf(forId);
    if (kind < 0) continue;
    const { count, lastsS } = problem.packs[kind];
    if (count === 0) return `There is no battery for ${name}: put one down, or shoot it on something else.`;
    const each = Math.floor(lastsS / unitS);
    if (each === 0) return `One try runs ${sayMinutes(unitS)}; a battery of ${name} lasts ${sayMinutes(lastsS)}.`;
    if (each * unitS * count < useS)
      return (
        `Its ${work.tries} tries run ${name} for ${sayMinutes(useS)}; ${count === 1 ? 'the battery lasts' : `${count} batteries last`} ` +
        `${each * count} tries: plan fewer, or bring ${Math.ceil(useS / unitS / each) - count} more.`
      );
  }
  return `No battery is charged in time for it${shoot.day.chargers === 0 ? '; there is no charger' : ''}.`;
}

/** The order that the shoot says, as tasks: what it does not name comes at the end, in the order of the story. */
export function toldOrder({ works }: Pick<DayCase, 'works'>, ids: readonly string[]): number[] {
  const named = ids.flatMap((id) => {
    const k = works.findIndex(({ shot }) => shot.id === id);
    return k < 0 ? [] : [k];
  });
  const known = new Set(named);
  return [...known, ...works.keys()].filter((k, i, all) => all.indexOf(k) === i);
}

/** What should be known of a day before its order is: what nobody has said, and what no order can mend. */
export function dayNotes({ shoot, sun, works, weather }: DayCase): string[] {
  const { day, site } = shoot;
  const notes: string[] = [];
  if (works.length > SETTLED_TO)
    notes.push(
      `${works.length} shots are in this day: no day holds so many, and their order is only roughly searched. ` +
        'Leave some for another day.',
    );
  if (day.date === null) notes.push('Nobody has said which day it is: there is no sun and no weather to go by.');
  if (site.place === null) notes.push('Nobody has said where on earth the site is: there is no sunrise and no sunset.');
  if (sun && sun.up.length === 0)
    notes.push(`The sun does not rise there on ${sun.date}: only shots that need no daylight fit.`);
  if (day.people.length === 0) notes.push('Nobody is named: hands are said, and not counted.');
  if (weather === null) notes.push('There is no forecast: measure the wind where the camera is.');
  for (const { forId, count } of day.batteries)
    if (count === 0) {
      const name = [...shoot.kit.cameras, ...shoot.kit.rigs].find(({ id }) => id === forId)?.name ?? forId;
      notes.push(`There is no battery for ${name}: nothing is shot with it.`);
    }
  return notes;
}

/** When the sun sets on the day, and rises: words for a head line; null without a sun. */
export function sunWords({ sun }: Pick<DayCase, 'sun'>): string | null {
  if (!sun) return null;
  const { riseMin, setMin } = sunTimes(sun);
  if (riseMin === null && setMin === null)
    return sun.up.length > 0 ? 'The sun does not set on that day.' : 'The sun does not rise on that day.';
  return [
    riseMin === null ? null : `sunrise ${sayClock(riseMin)}`,
    setMin === null ? null : `sunset ${sayClock(setMin)}`,
  ]
    .filter((row) => row !== null)
    .join(', ');
}
