import { describe, expect, it } from 'vitest';
import { randomDay } from '../testing/random-day';
import type { DayProblem, Recorder, Task } from './day-numbers';
import { RunThrough, UNDONE_COST } from './run-through';

const H = 3600;
const MIN = 60;
const task = (change: Partial<Task> = {}): Task => ({
  camera: 0,
  windowsS: [0, 36 * H],
  setUpS: 10 * MIN,
  takesS: 20 * MIN,
  power: [],
  sameAs: [],
  hard: false,
  sunny: false,
  outdoors: true,
  first: false,
  last: false,
  rightAfter: -1,
  ...change,
});
/** Shots that need nothing changed between them, from eight o'clock to six. */
function day(tasks: Task[], change: Partial<DayProblem> = {}): DayProblem {
  const n = tasks.length;
  return {
    tasks,
    cameras: 1,
    otherCameraS: 2 * MIN,
    lastCamera: -1,
    gearS: new Float64Array((n + 2) * n),
    gearCost: new Float64Array((n + 2) * n),
    walkS: new Float64Array((n + 1) * n),
    walkCost: new Float64Array((n + 1) * n),
    startS: 8 * H,
    endS: 18 * H,
    tiredFromS: 17 * H,
    breaks: [],
    packs: [],
    chargers: 0,
    sameS: new Float64Array(144).fill(45 * MIN),
    harsh: new Float64Array(144),
    harshCost: 0,
    putOffCost: 0,
    ...change,
  };
}
/** What happens, as minutes after midnight. */
function told(problem: DayProblem, order: number[]) {
  const entries: { task: number; startS: number; takesFromS: number; endS: number; waitsFor: string }[] = [];
  const rests: number[] = [];
  const undone: string[] = [];
  const used: string[] = [];
  const charged: string[] = [];
  const recorder: Recorder = {
    entry: ({ task: k, startS, changeS, setUpS, waitS, takesS, waitsFor }) => {
      const takesFromS = startS + changeS + setUpS + waitS;
      entries.push({ task: k, startS, takesFromS, endS: takesFromS + takesS, waitsFor });
    },
    rest: (_, fromS) => rests.push(fromS / MIN),
    undone: (k, why) => undone.push(`${k} ${why}`),
    power: ({ pack, fromS }) => used.push(`${pack} from ${fromS / MIN}`),
    charge: ({ pack, fromS, toS }) => charged.push(`${pack} from ${fromS / MIN} to ${toS / MIN}`),
  };
  const cost = new RunThrough(problem).costOf(order, recorder);
  return { cost, entries, rests, undone, used, charged };
}

describe('a run through a day', () => {
  it('sets up, shoots and goes on: two shots of half an hour are an hour', () => {
    const { cost, entries } = told(day([task(), task()]), [1, 0]);
    expect(entries.map(({ task: k, takesFromS, endS }) => [k, takesFromS / MIN, endS / MIN])).toEqual([
      [1, 490, 510],
      [0, 520, 540],
    ]);
    expect(cost).toBe(1 * H);
  });

  it('counts what is changed on a camera since that camera was last used, not since the last shot', () => {
    const problem = day([task(), task({ camera: 1 }), task()], { cameras: 2 });
    const n = 3;
    problem.gearS[0 * n + 2] = 15 * MIN;
    const { entries } = told({ ...problem, gearS: problem.gearS }, [0, 1, 2]);
    // Another camera in between is picked up and put down again; the first one still has to be changed.
    expect(entries[2].takesFromS - entries[1].endS).toBe((2 + 15 + 10) * MIN);
  });

  it('is ready before the light and waits for it', () => {
    const { entries } = told(day([task({ windowsS: [9 * H, 10 * H] })]), [0]);
    expect(entries[0]).toMatchObject({ startS: 8 * H, takesFromS: 9 * H, waitsFor: 'light' });
  });

  it('leaves out what its light is too short for, what it misses, and what would end too late', () => {
    expect(told(day([task({ windowsS: [9 * H, 9 * H + 19 * MIN] })]), [0]).undone).toEqual(['0 short']);
    expect(told(day([task({ windowsS: [6 * H, 8 * H] })]), [0]).undone).toEqual(['0 window']);
    expect(told(day([task()], { endS: 8 * H + 29 * MIN }), [0]).undone).toEqual(['0 late']);
    expect(told(day([task()], { endS: 8 * H + 30 * MIN }), [0]).undone).toEqual([]);
    expect(told(day([task({ windowsS: [] })]), [0]).cost).toBe(UNDONE_COST);
  });

  it('takes the break at its time, or up to its slack earlier or later where a shot would run across it', () => {
    const breaks = [{ fromS: 9 * H, forS: 60 * MIN, slackS: 30 * MIN }];
    // Ends at nine sharp, and the break begins.
    const two = told(day([task(), task(), task()], { breaks }), [0, 1, 2]);
    expect(two.rests).toEqual([540]);
    expect(two.entries[2].startS).toBe(10 * H);
    // A shot that ends twenty minutes past nine is finished first.
    const late = told(day([task(), task({ takesS: 40 * MIN }), task()], { breaks }), [0, 1, 2]);
    expect(late.rests).toEqual([560]);
    // One that would last until ten waits: the break comes half an hour early.
    const early = told(day([task(), task({ takesS: 80 * MIN })], { breaks }), [0, 1]);
    expect(early.rests).toEqual([510]);
    expect(early.entries[1].startS).toBe(570 * MIN);
  });

  it('keeps two shots with the same light within what the sun allows', () => {
    const tasks = [task({ sameAs: [1] }), task({ sameAs: [0] }), task({ takesS: 60 * MIN })];
    expect(told(day(tasks), [0, 1, 2]).undone).toEqual([]);
    expect(told(day(tasks), [0, 2, 1]).undone).toEqual(['1 same']);
  });

  it('is dear where a pin is not kept', () => {
    const pinned = [task(), task({ first: true }), task({ rightAfter: 0 })];
    expect(told(day(pinned), [1, 0, 2]).cost).toBeLessThan(2 * H);
    for (const order of [
      [0, 1, 2],
      [1, 2, 0],
      [0, 2, 1],
    ])
      expect(told(day(pinned), order).cost).toBeGreaterThan(100_000);
  });

  it('would rather have a hard one neither first, nor as its light goes, nor late in the day', () => {
    const costOf = (change: Partial<Task>, more: Partial<DayProblem> = {}) =>
      told(day([task(), task({ ...change, hard: true })], more), [0, 1]).cost;
    const rehearsed = costOf({});
    expect(told(day([task({ hard: true }), task()]), [0, 1]).cost - rehearsed).toBe(300);
    expect(costOf({ windowsS: [0, 9 * H] }) - rehearsed).toBe(300);
    expect(costOf({}, { tiredFromS: 8 * H }) - rehearsed).toBe(300);
  });

  it('stops as soon as it is above a limit, and says the same below it', () => {
    const problem = day([task(), task()]);
    const run = new RunThrough(problem);
    expect(run.costOf([0, 1], null, H)).toBe(H);
    expect(run.costOf([0, 1], null, H - 1)).toBe(Infinity);
  });
});

describe('batteries, worked by hand', () => {
  const flight = (useMin: number, unitMin: number) =>
    task({ takesS: useMin * MIN, power: [{ kind: 0, useS: useMin * MIN, unitS: unitMin * MIN }] });
  const one = { packs: [{ count: 1, lastsS: 20 * MIN, chargeS: 60 * MIN }], chargers: 1 };

  it('one of 20 minutes flies 12, and is full again after charging 12 twentieths of an hour', () => {
    const { entries, charged } = told(day([flight(12, 4), flight(12, 4)], one), [0, 1]);
    expect(entries[0].endS).toBe((480 + 10 + 12) * MIN);
    // Eight minutes are left, two tries of four: not enough for three. 36 minutes on the charger from 8:22 on.
    expect(charged[0]).toBe('0 from 502 to 538');
    expect(entries[1]).toMatchObject({ startS: 502 * MIN, takesFromS: 538 * MIN, waitsFor: 'battery' });
  });
  it('two of them fly both, and nobody waits', () => {
    const two = { ...one, packs: [{ count: 2, lastsS: 20 * MIN, chargeS: 60 * MIN }] };
    const { entries, used } = told(day([flight(12, 4), flight(12, 4)], two), [0, 1]);
    expect(entries[1].waitsFor).toBe('none');
    // What is left in the first, two tries, is used up before the second is begun.
    expect(used).toEqual(['0 from 490', '0 from 512', '1 from 512']);
  });
  it('a try is never parted: 20 minutes are three tries of six and no fourth', () => {
    expect(told(day([flight(18, 6)], one), [0]).undone).toEqual([]);
    expect(told(day([flight(24, 6)], one), [0]).undone).toEqual(['0 battery']);
    expect(told(day([flight(24, 24)], one), [0]).undone).toEqual(['0 battery']);
  });
  it('without a charger, or without a battery, there is an end', () => {
    const dead = { packs: [{ count: 1, lastsS: 20 * MIN, chargeS: Infinity }], chargers: 0 };
    expect(told(day([flight(12, 4), flight(12, 4)], dead), [0, 1]).undone).toEqual(['1 battery']);
    const none = { packs: [{ count: 0, lastsS: 20 * MIN, chargeS: 60 * MIN }], chargers: 1 };
    expect(told(day([flight(4, 4)], none), [0]).undone).toEqual(['0 battery']);
  });
  it('one charger fills one after the other', () => {
    const two = { ...one, packs: [{ count: 2, lastsS: 20 * MIN, chargeS: 60 * MIN }] };
    const { charged } = told(day([flight(40, 20), flight(40, 20)], two), [0, 1]);
    // Both are empty at 8:50 and are charged until 9:50 and 10:50.
    expect(charged.slice(0, 2)).toEqual(
      ['0 from 530 to 590', '1 from 530 to 590'].map((row, i) => (i === 0 ? row : '1 from 590 to 650')),
    );
  });
  it('everything that a shot runs for is drawn from batteries that are charged by then, on made-up days', () => {
    let charges = 0;
    for (let seed = 1; seed <= 200; seed += 1) {
      const problem = randomDay(seed, 12);
      const drawn = new Map<number, number>();
      const made: number[] = [];
      const free = new Map<number, number>();
      new RunThrough(problem).costOf([...problem.tasks.keys()], {
        entry: ({ task: k }) => made.push(k),
        rest: () => undefined,
        undone: () => undefined,
        power: ({ task: k, drawnS, pack, fromS }) => {
          drawn.set(k, (drawn.get(k) ?? 0) + drawnS);
          expect(fromS).toBeGreaterThanOrEqual(free.get(pack) ?? -Infinity);
        },
        charge: ({ pack, toS }) => {
          charges += 1;
          free.set(pack, toS);
        },
      });
      for (const k of made)
        expect(drawn.get(k) ?? 0).toBeCloseTo(
          problem.tasks[k].power.reduce((sum, { useS }) => sum + useS, 0),
          6,
        );
    }
    expect(charges).toBeGreaterThan(30);
  });
});
