import type { WeatherForecast } from '../light';
import { type Day, type DayAim, type Hours, type Shoot, type Shot, type Units, wishOf } from '../model';
import { type ChangeOver, changeOver, gearChange, wayBetween } from './change-over';
import { both } from './hours';
import { altitudeAt, sunGoesDeg, type SunOfDay, sunOfDay } from './light-hours';
import type { DayProblem, Packs, Task } from './day-numbers';
import { SLOT_S } from './run-through';
import { ShotLooks } from './shot-facts';
import { type ShotWork, shotWork } from './shot-work';
import { BREAK_SLACK_S, HARSH_DEG, OTHER_CAMERA_MIN, SAME_LIGHT_DEG, TIRED_H } from './usual';
import { weatherHours, weatherOfDay } from './weather';

/** What a day is reckoned from: its shots looked at, and the same as numbers. */
export interface DayCase {
  shoot: Shoot;
  units: Units;
  sun: SunOfDay | null;
  weather: ReturnType<typeof weatherOfDay>;
  /** Shots that are still to be made on this day. */
  works: ShotWork[];
  /** When the weather lets a shot be made, and why not the rest of the day; by the shot's id. */
  weatherOf: Map<string, { hours: Hours[]; why: string | null }>;
  /** The change-over to a shot from the one before it, on a camera that was last used for another. */
  changes: (from: ShotWork | null, gear: ShotWork | null, to: ShotWork) => ChangeOver;
  /** The shot that was made last; null: none yet. */
  lastWork: ShotWork | null;
  /** The shot that each camera was last used for before this day's search begins, by the camera. */
  gearBefore: Map<string, ShotWork>;
  /** Kinds of batteries that somebody has counted, in the order of the problem. */
  powerIds: string[];
  problem: DayProblem;
}

export interface DayOptions {
  forecast?: WeatherForecast | null;
  aim?: DayAim;
  /** The day begins, or goes on, at this time; minutes. */
  fromMin?: number;
  /** Shots that are made already, the last one at the end. */
  madeIds?: readonly string[];
  /** How lengths and speeds are said. */
  units?: Units;
  /** Where what was looked at is kept. */
  looks?: ShotLooks;
  /** What a shot takes after all. */
  also?: (work: ShotWork) => ShotWork;
}

/** What a change of lens is worth besides its minutes where few are looked for, and a kilogram carried a metre, s. */
const LENS_COST = 1200;
const CARRY_COST = 3;

/** A day as a problem. The shoot must be valid. */
export function dayCase(shoot: Shoot, options: DayOptions = {}): DayCase {
  const { day } = shoot;
  const aim = options.aim ?? day.aim;
  const units = options.units ?? 'metric';
  const sun = sunOfDay(shoot.site.place, day.date);
  const weather = weatherOfDay(shoot, options.forecast);
  const looks = options.looks ?? new ShotLooks();
  const also = options.also ?? ((work: ShotWork) => work);
  const look = (shot: Shot, number: number) => also(shotWork(shoot, looks.facts(shoot, shot), number, sun));
  const numbered = shoot.shots.map((shot, i) => ({ shot, number: i + 1 }));
  const open = numbered.filter(({ shot }) => isOpen(day, shot.id));
  const works = open.map(({ shot, number }) => look(shot, number));
  const made = (options.madeIds ?? []).flatMap((id) => {
    const row = numbered.find(({ shot }) => shot.id === id);
    return row ? [look(row.shot, row.number)] : [];
  });
  const lastWork = made.at(-1) ?? null;
  const gearBefore = new Map(made.map((work) => [work.cameraKey, work]));
  const cameraIds = [...new Set([...works, ...made].map(({ cameraKey }) => cameraKey))];
  const weatherOf: DayCase['weatherOf'] = new Map();
  const known = new Map<string, ChangeOver>();
  const changes = (from: ShotWork | null, gear: ShotWork | null, to: ShotWork): ChangeOver => {
    const key = `${from?.shot.id ?? ''} ${gear?.shot.id ?? ''} ${to.shot.id}`;
    const change = known.get(key) ?? changeOver(shoot, from, gear, to, units);
    known.set(key, change);
    return change;
  };
  const powerIds = day.batteries.map(({ forId }) => forId).filter((id, i, all) => all.indexOf(id) === i);
  const sameS = sameLight(sun);
  const tasks = works.map((work): Task => {
    const lets = weatherHours(shoot, work, weather, units);
    weatherOf.set(work.shot.id, lets);
    const limits = [lets.hours, ...lightOfMade(work, day, sameS)];
    return { ...taskOf(work, limits, works, powerIds, day), camera: cameraIds.indexOf(work.cameraKey) };
  });
  linkSameLight(tasks, works);
  const n = tasks.length;
  const [gearS, gearCost] = [0, 1].map(() => new Float64Array((n + cameraIds.length) * n));
  const [walkS, walkCost] = [0, 1].map(() => new Float64Array((n + 1) * n));
  for (let b = 0; b < n; b += 1) {
    for (let a = 0; a < n + cameraIds.length; a += 1) {
      const before = a < n ? works[a] : (gearBefore.get(cameraIds[a - n]) ?? null);
      if (a === b || (a < n ? works[a].cameraKey : cameraIds[a - n]) !== works[b].cameraKey) continue;
      const gear = gearChange(shoot, before, works[b]);
      gearS[a * n + b] = Math.round(gear.seconds);
      if (aim === 'lenses' && gear.lens) gearCost[a * n + b] = LENS_COST;
    }
    for (let a = 0; a <= n; a += 1) {
      const before = a < n ? works[a] : lastWork;
      if (a === b || before === null) continue;
      const way = wayBetween(shoot, before, works[b]);
      walkS[a * n + b] = Math.round(way.seconds);
      if (aim === 'carrying') walkCost[a * n + b] = CARRY_COST * way.carriedKgM;
    }
  }
  const startMin = options.fromMin ?? day.callMin;
  const problem: DayProblem = {
    tasks,
    cameras: cameraIds.length,
    otherCameraS: OTHER_CAMERA_MIN * 60,
    lastCamera: lastWork ? cameraIds.indexOf(lastWork.cameraKey) : -1,
    gearS,
    gearCost,
    walkS,
    walkCost,
    startS: startMin * 60,
    endS: day.wrapMin * 60,
    tiredFromS: (day.callMin + TIRED_H * 60) * 60,
    breaks: [...day.breaks]
      .sort((a, b) => a.fromMin - b.fromMin)
      .filter(({ fromMin, forMin }) => fromMin + forMin > startMin)
      .map(({ fromMin, forMin }) => ({ fromS: fromMin * 60, forS: forMin * 60, slackS: BREAK_SLACK_S })),
    packs: powerIds.map((id) => packsOf(day, id)),
    chargers: day.chargers,
    sameS,
    harsh: harshness(sun, weather),
    harshCost: aim === 'light' ? 2 : 0,
    putOffCost: aim === 'clouds' ? 0.5 : 0,
  };
  return { shoot, units, sun, weather, works, weatherOf, changes, lastWork, gearBefore, powerIds, problem };
}

/** Whether a shot is still to be made on this day. */
export const isOpen = (day: Day, shotId: string): boolean => {
  const { planned, state } = wishOf(day, shotId);
  return planned && state === 'open';
};

function taskOf(
  work: ShotWork,
  more: readonly Hours[][],
  works: readonly ShotWork[],
  powerIds: string[],
  day: Day,
): Omit<Task, 'camera'> {
  const { wish } = work;
  const rest = [...day.breaks].sort((a, b) => a.fromMin - b.fromMin)[0];
  const limits: Hours[][] = [work.light.hours, work.people, ...more];
  if (wish.between) limits.push([wish.between]);
  if (rest && wish.pin === 'beforeBreak') limits.push([{ fromMin: 0, toMin: rest.fromMin }]);
  if (rest && wish.pin === 'afterBreak') limits.push([{ fromMin: rest.fromMin + rest.forMin, toMin: 2160 }]);
  const hours = limits.reduce((left, more) => both(left, more));
  return {
    windowsS: hours.flatMap(({ fromMin, toMin }) => [fromMin * 60, toMin * 60]),
    setUpS: work.setUpS,
    takesS: Math.round(work.takesS),
    power: work.power.flatMap(({ forId, useS, unitS }) => {
      const kind = powerIds.indexOf(forId);
      return kind < 0 ? [] : [{ kind, useS, unitS }];
    }),
    sameAs: [],
    hard: work.hard,
    sunny: work.wantsSun,
    outdoors: work.outdoors,
    first: wish.pin === 'first',
    last: wish.pin === 'last',
    rightAfter: wish.pin === 'rightAfter' ? works.findIndex(({ shot }) => shot.id === wish.afterId) : -1,
  };
}

/** Shots that are made already and share this one's light: it has to be made near them. */
function lightOfMade({ wish, shot }: ShotWork, day: Day, sameS: Float64Array): Hours[][] {
  const shared = day.wishes.filter(
    (other) =>
      other.state === 'done' &&
      other.doneMin !== null &&
      ((wish.light === 'same' && other.shotId === wish.sameAsId) ||
        (other.light === 'same' && other.sameAsId === shot.id)),
  );
  return shared.map(({ doneMin }) => {
    const atMin = doneMin ?? 0;
    const apartMin = sameS[Math.min(sameS.length - 1, Math.floor((atMin * 60) / SLOT_S))] / 60;
    return [{ fromMin: Math.max(0, atMin - apartMin), toMin: atMin + apartMin }];
  });
}

/** Who shares the light of whom, told of both. */
function linkSameLight(tasks: Task[], works: readonly ShotWork[]): void {
  works.forEach(({ wish, shot }, k) => {
    const other = works.findIndex((row) => row.shot.id === wish.sameAsId && row.shot.id !== shot.id);
    if (wish.light !== 'same' || other < 0) return;
    tasks[k] = { ...tasks[k], sameAs: [...tasks[k].sameAs, other] };
    tasks[other] = { ...tasks[other], sameAs: [...tasks[other].sameAs, k] };
  });
}

/** All batteries of one camera or rig together: what differs between their rows is taken at its mean. */
function packsOf(day: Day, forId: string): Packs {
  const rows = day.batteries.filter((row) => row.forId === forId);
  const count = rows.reduce((sum, row) => sum + row.count, 0);
  const mean = (key: 'lastsMin' | 'chargeMin') =>
    rows.reduce((sum, row) => sum + row[key] * Math.max(1, row.count), 0) /
    rows.reduce((sum, row) => sum + Math.max(1, row.count), 0);
  return { count, lastsS: mean('lastsMin') * 60, chargeS: day.chargers > 0 ? mean('chargeMin') * 60 : Infinity };
}

const SLOTS = Math.ceil((2160 * 60) / SLOT_S);

/** How long the sun stands in the same place, by the quarter of an hour, s: without a sun an hour. */
function sameLight(sun: SunOfDay | null): Float64Array {
  return Float64Array.from({ length: SLOTS }, (_, slot) => {
    if (!sun) return 3600;
    const atMin = (slot * SLOT_S) / 60;
    const perHour = Math.max(sunGoesDeg(sun, atMin, atMin + 60), sunGoesDeg(sun, atMin, atMin - 60), 1);
    return (SAME_LIGHT_DEG / perHour) * 3600;
  });
}

/** High sun from a sky that lets it through. */
function harshness(sun: SunOfDay | null, weather: DayCase['weather']): Float64Array {
  return Float64Array.from({ length: SLOTS }, (_, slot) => {
    if (!sun) return 0;
    const minute = (slot * SLOT_S) / 60;
    const clear = 1 - (weather?.[Math.min(23, Math.floor((minute % 1440) / 60))].cloudShare ?? 0);
    return altitudeAt(sun, minute) >= HARSH_DEG ? clear : 0;
  });
}
