import type { Person, Shoot } from '../model';
import type { DayCase } from './day-problem';
import { whoDoes } from './hands';
import { altitudeAt } from './light-hours';
import { reasonsOf } from './reasons';
import type { Undone, Wait } from './day-numbers';
import { RunThrough } from './run-through';
import type { ShotWork } from './shot-work';
import { HARSH_DEG } from './usual';
import { weatherNotes } from './weather';
import { keptOut, whyNot } from './why-not';

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
  /** How much is shot outdoors under a high sun, s. */
  harshS: number;
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
  let before = given.lastWork;
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
      notes: weatherNotes(work, given.weather, given.sun, takesFromS / 60, endS / 60, given.units),
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
    harshS: sum(({ work, takesFromS, takesS }) => (isHarsh(given, work, takesFromS + takesS / 2) ? takesS : 0)),
    cost,
  };
}

function whoIn({ day }: Shoot, work: ShotWork, fromMin: number, toMin: number): DayEntry['who'] {
  const there = ({ hours }: Person) => hours.fromMin <= fromMin && hours.toMin >= toMin;
  const crew = day.people.filter(({ skills }) => skills.length > 0);
  const given = whoDoes(work.hands, crew.filter(there), new Set(work.before));
  return (given ?? []).map(({ hand, person }) => ({ what: hand.what, name: person.name }));
}

const isHarsh = ({ sun }: DayCase, { outdoors }: ShotWork, atS: number): boolean =>
  sun !== null && outdoors && altitudeAt(sun, atS / 60) >= HARSH_DEG;

/** The order that the shoot says, as tasks: what it does not name comes at the end, in the order of the story. */
export function toldOrder({ works }: Pick<DayCase, 'works'>, ids: readonly string[]): number[] {
  const named = ids.flatMap((id) => {
    const k = works.findIndex(({ shot }) => shot.id === id);
    return k < 0 ? [] : [k];
  });
  const known = new Set(named);
  return [...known, ...works.keys()].filter((k, i, all) => all.indexOf(k) === i);
}
