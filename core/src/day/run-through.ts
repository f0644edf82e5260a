/**
 * A day as numbers, and what comes of shooting in an order: the one measure that the search, the plan and the tests
 * share. Seconds after midnight throughout.
 */
export interface Task {
  /** Which of the cameras it is made with. */
  camera: number;
  /** Stretches in which all takes have to lie, from and to in turn, in order of time. */
  windowsS: readonly number[];
  setUpS: number;
  takesS: number;
  /** What it takes of each kind of battery: in all, and in one go that is not interrupted. */
  power: readonly { kind: number; useS: number; unitS: number }[];
  /** Tasks whose light it shares. */
  sameAs: readonly number[];
  hard: boolean;
  /** Wants the sun: the earlier the surer. */
  sunny: boolean;
  outdoors: boolean;
  first: boolean;
  last: boolean;
  /** Has to come right after this one; −1: after any. */
  rightAfter: number;
}

export interface Packs {
  count: number;
  lastsS: number;
  /** From empty to full; infinite: it cannot be charged there. */
  chargeS: number;
}

export interface DayProblem {
  tasks: readonly Task[];
  /** How many cameras there are, and what it takes to pick up another one than the last, s. */
  cameras: number;
  otherCameraS: number;
  /**
   * Gear for the task in a column on a camera that was last used for the task in a row, s; behind the tasks a row for
   * each camera as the day begins. And what that costs besides its time, by what the day looks for.
   */
  gearS: Float64Array;
  gearCost: Float64Array;
  /** The way to the task in a column from that in a row, s; the last row: from where the day begins. */
  walkS: Float64Array;
  walkCost: Float64Array;
  startS: number;
  endS: number;
  /** In order of time. */
  breaks: readonly { fromS: number; forS: number; slackS: number }[];
  packs: readonly Packs[];
  chargers: number;
  /** How far apart two tasks with the same light may begin, by the quarter of an hour of the first. */
  sameS: Float64Array;
  /** How harsh the light is, 0 to 1, by the quarter of an hour. */
  harsh: Float64Array;
  /** Cost of a second in harsh light outdoors, and of a second that what needs sun is put off. */
  harshCost: number;
  putOffCost: number;
}

export const SLOT_S = 900;
/** What is left undone, or stands where it was not to, outweighs any minutes. */
export const UNDONE_COST = 1_000_000;
const PIN_COST = 300_000;
/** A hard one before anything was rehearsed, or as the light goes, is worth so many seconds. */
const HARD_COST = 300;
const LIGHT_GOES_S = 1800;
/** A second of changing over is worth so much even where it costs the day nothing, as before a wait. */
const EFFORT = 0.5;

/** What happens in a run-through, when somebody asks. */
export interface Recorder {
  entry(row: {
    task: number;
    startS: number;
    changeS: number;
    setUpS: number;
    waitS: number;
    takesS: number;
    waitsFor: Wait;
  }): void;
  rest(index: number, fromS: number): void;
  undone(task: number, why: Undone): void;
  power(row: { kind: number; pack: number; fromS: number; toS: number; task: number; drawnS: number }): void;
  charge(row: { kind: number; pack: number; fromS: number; toS: number }): void;
}
export type Wait = 'none' | 'light' | 'battery';
export type Undone = 'window' | 'short' | 'late' | 'battery' | 'same';

/** Runs through a day in orders of its tasks. One is made for a problem and used again and again. */
export class RunThrough {
  private readonly startsS: Float64Array;
  /** What is left in each battery, and when it is ready, a row a kind. */
  private readonly leftS: Float64Array[];
  private readonly readyS: Float64Array[];
  private readonly slotFreeS: Float64Array;
  private readonly slotTrial: Float64Array;
  /** Batteries of a kind, those with least left first; and what is foreseen of them. */
  private readonly emptiest: Int32Array[];
  private readonly readyTrial: Float64Array;
  private readonly moreTrial: Float64Array;
  /** The row of the gear that each camera is in. */
  private readonly gearOf: Int32Array;

  constructor(private readonly problem: DayProblem) {
    this.startsS = new Float64Array(problem.tasks.length);
    this.leftS = problem.packs.map(({ count }) => new Float64Array(count));
    this.readyS = problem.packs.map(({ count }) => new Float64Array(count));
    this.slotFreeS = new Float64Array(problem.chargers);
    this.slotTrial = new Float64Array(problem.chargers);
    this.emptiest = problem.packs.map(({ count }) => new Int32Array(count));
    const most = problem.packs.reduce((sum, { count }) => Math.max(sum, count), 0);
    this.readyTrial = new Float64Array(most);
    this.moreTrial = new Float64Array(most);
    this.gearOf = new Int32Array(problem.cameras);
  }

  /**
   * What an order costs: seconds from start to end, and more for changes and for what is wrong with it; least is best.
   * Infinite as soon as it is known to be above `limit`.
   */
  costOf(order: ArrayLike<number>, recorder: Recorder | null = null, limit = Infinity): number {
    const { problem, startsS } = this;
    const { tasks, gearS, gearCost, walkS, walkCost, breaks } = problem;
    const n = tasks.length;
    startsS.fill(-1);
    this.leftS.forEach((left, kind) => left.fill(problem.packs[kind].lastsS));
    this.readyS.forEach((ready) => ready.fill(-Infinity));
    this.slotFreeS.fill(-Infinity);
    for (let camera = 0; camera < problem.cameras; camera += 1) this.gearOf[camera] = n + camera;
    let [nowS, at, restsTaken, cost, done] = [problem.startS, n, 0, 0, 0];
    for (let position = 0; position < order.length; position += 1) {
      const k = order[position];
      const task = tasks[k];
      const gear = this.gearOf[task.camera] * n + k;
      const way = at * n + k;
      const other = at < n && tasks[at].camera !== task.camera ? problem.otherCameraS : 0;
      const change = gearS[gear] + walkS[way] + other;
      let beginS = nowS;
      let rests = restsTaken;
      let takesFromS = this.takesFrom(k, beginS, beginS + change + task.setUpS);
      for (; rests < breaks.length; rests += 1) {
        const { fromS, forS, slackS } = breaks[rests];
        if (beginS < fromS && takesFromS + task.takesS <= fromS + slackS) break;
        const restS = Math.max(beginS, takesFromS >= fromS ? fromS : fromS - slackS);
        beginS = restS + forS;
        takesFromS = this.takesFrom(k, beginS, beginS + change + task.setUpS);
      }
      if (!(takesFromS + task.takesS <= problem.endS)) {
        cost += UNDONE_COST;
        recorder?.undone(k, this.whyUndone(k, nowS, nowS + change + task.setUpS));
        continue;
      }
      if (recorder)
        for (let i = restsTaken, fromS = nowS; i < rests; i += 1) {
          // The same reckoning once more, for whoever listens.
          const rest = breaks[i];
          const tookS = this.takesFrom(k, fromS, fromS + change + task.setUpS);
          fromS = Math.max(fromS, tookS >= rest.fromS ? rest.fromS : rest.fromS - rest.slackS);
          recorder.rest(i, fromS);
          fromS += rest.forS;
        }
      restsTaken = rests;
      const endS = takesFromS + task.takesS;
      recorder?.entry({
        task: k,
        startS: beginS,
        changeS: change,
        setUpS: task.setUpS,
        waitS: takesFromS - beginS - change - task.setUpS,
        takesS: task.takesS,
        waitsFor: this.waitsFor(k, beginS + change + task.setUpS, takesFromS),
      });
      this.draw(k, beginS, beginS + change + task.setUpS, takesFromS, endS, recorder);
      startsS[k] = takesFromS;
      this.gearOf[task.camera] = k;
      cost += EFFORT * change + gearCost[gear] + walkCost[way] + this.sideCost(task, takesFromS, done);
      if (task.first && position > 0) cost += PIN_COST;
      if (task.last && position < order.length - 1) cost += PIN_COST;
      if (task.rightAfter >= 0 && startsS[task.rightAfter] >= 0 && at !== task.rightAfter) cost += PIN_COST;
      // It was to come after one that is shot only later.
      if (task.rightAfter >= 0 && startsS[task.rightAfter] < 0) cost += PIN_COST;
      if (cost + endS - problem.startS > limit) return Infinity;
      nowS = endS;
      at = k;
      done += 1;
    }
    return cost + nowS - problem.startS;
  }

  /** What of a task's own costs besides time. */
  private sideCost(task: Task, fromS: number, done: number): number {
    const { problem } = this;
    let cost = 0;
    if (task.hard) {
      if (done === 0) cost += HARD_COST;
      const lightEndS = windowEnd(task, fromS);
      const leftS = lightEndS - fromS - task.takesS;
      if (leftS < LIGHT_GOES_S) cost += HARD_COST * (1 - leftS / LIGHT_GOES_S);
    }
    if (task.sunny && problem.putOffCost > 0) cost += problem.putOffCost * (fromS - problem.startS);
    if (task.outdoors && problem.harshCost > 0) {
      const slot = Math.min(problem.harsh.length - 1, Math.floor((fromS + task.takesS / 2) / SLOT_S));
      cost += problem.harshCost * problem.harsh[slot] * task.takesS;
    }
    return cost;
  }

  /** When takes can begin, at a moment at the earliest; infinite: never. `idleS`: since when nothing is going on. */
  private takesFrom(k: number, idleS: number, fromS: number): number {
    const task = this.problem.tasks[k];
    const poweredS = this.poweredFrom(task, idleS, fromS);
    return this.litFrom(k, poweredS);
  }

  private litFrom(k: number, fromS: number): number {
    const { tasks, sameS } = this.problem;
    const { windowsS, takesS, sameAs } = tasks[k];
    let [leastS, mostS] = [fromS, Infinity];
    for (const other of sameAs) {
      const otherS = this.startsS[other];
      if (otherS < 0) continue;
      const apartS = sameS[Math.min(sameS.length - 1, Math.max(0, Math.floor(otherS / SLOT_S)))];
      leastS = Math.max(leastS, otherS - apartS);
      mostS = Math.min(mostS, otherS + apartS);
    }
    for (let i = 0; i < windowsS.length; i += 2) {
      const beginS = Math.max(leastS, windowsS[i]);
      if (beginS > mostS) break;
      if (beginS + takesS <= windowsS[i + 1]) return beginS;
    }
    return Infinity;
  }

  /** When all batteries for a task are there. */
  private poweredFrom(task: Task, idleS: number, fromS: number): number {
    let atS = fromS;
    for (const { kind, useS, unitS } of task.power) atS = Math.max(atS, this.packsFrom(kind, useS, unitS, idleS, atS));
    return atS;
  }

  private packsFrom(kind: number, useS: number, unitS: number, idleS: number, fromS: number): number {
    const { lastsS, chargeS, count } = this.problem.packs[kind];
    const [left, ready, order] = [this.leftS[kind], this.readyS[kind], this.emptiest[kind]];
    let there = 0;
    let coming = 0;
    for (let i = 0; i < count; i += 1) {
      const usableS = Math.floor(left[i] / unitS) * unitS;
      if (ready[i] <= fromS) there += usableS;
      else coming += usableS;
    }
    if (there >= useS) return fromS;
    const charges = Number.isFinite(chargeS) && this.slotFreeS.length > 0;
    const most = Math.floor(lastsS / unitS) * unitS;
    if (charges ? most * count < useS : there + coming < useS) return Infinity;
    // What is idle and not full is put on a charger, the emptiest first, until there is enough.
    const slots = this.slotTrial;
    for (let s = 0; s < slots.length; s += 1) slots[s] = Math.max(this.slotFreeS[s], idleS);
    this.sortByLeft(kind);
    const [readyAt, more] = [this.readyTrial, this.moreTrial];
    let rows = 0;
    for (let o = 0; o < count; o += 1) {
      const i = order[o];
      const usableS = Math.floor(left[i] / unitS) * unitS;
      let atS = ready[i];
      let moreS = usableS;
      if (atS <= fromS) {
        if (usableS >= most || !charges) continue;
        const slot = leastOf(slots);
        slots[slot] = Math.max(slots[slot], atS) + chargeS * (1 - left[i] / lastsS);
        [atS, moreS] = [slots[slot], most - usableS];
      }
      let place = rows;
      for (; place > 0 && readyAt[place - 1] > atS; place -= 1) {
        readyAt[place] = readyAt[place - 1];
        more[place] = more[place - 1];
      }
      readyAt[place] = atS;
      more[place] = moreS;
      rows += 1;
    }
    for (let row = 0; row < rows; row += 1) {
      there += more[row];
      if (there >= useS) return readyAt[row];
    }
    return Infinity;
  }

  /** The batteries of a kind in the order of what is left in them. */
  private sortByLeft(kind: number): void {
    const [left, order] = [this.leftS[kind], this.emptiest[kind]];
    for (let i = 0; i < order.length; i += 1) {
      let place = i;
      for (; place > 0 && left[order[place - 1]] > left[i]; place -= 1) order[place] = order[place - 1];
      order[place] = i;
    }
  }

  /** Takes what a task uses out of its batteries; what is spent goes on a charger. */
  private draw(k: number, idleS: number, readyS: number, fromS: number, endS: number, recorder: Recorder | null) {
    const { tasks, packs } = this.problem;
    for (const { kind, useS, unitS } of tasks[k].power) {
      const { lastsS, chargeS, count } = packs[kind];
      const [left, ready] = [this.leftS[kind], this.readyS[kind]];
      let usableS = 0;
      for (let i = 0; i < count; i += 1) if (ready[i] <= readyS) usableS += Math.floor(left[i] / unitS) * unitS;
      // What it had to wait for was charged meanwhile.
      if (usableS < useS) {
        this.sortByLeft(kind);
        for (let o = 0; o < count; o += 1) {
          const i = this.emptiest[kind][o];
          if (ready[i] <= readyS && left[i] < lastsS)
            this.charge(kind, i, Math.max(idleS, ready[i]), chargeS, lastsS, recorder);
        }
      }
      let needS = useS;
      for (let turn = 0; turn < count && needS > 0; turn += 1) {
        let best = -1;
        for (let i = 0; i < count; i += 1)
          if (ready[i] <= fromS && left[i] >= unitS && (best < 0 || left[i] < left[best])) best = i;
        if (best < 0) break;
        const drawnS = Math.min(needS, Math.floor(left[best] / unitS) * unitS);
        recorder?.power({ kind, pack: best, fromS, toS: endS, task: k, drawnS });
        needS -= drawnS;
        left[best] -= drawnS;
        if (left[best] < unitS) this.charge(kind, best, endS, chargeS, lastsS, recorder);
      }
    }
  }

  private charge(kind: number, i: number, fromS: number, chargeS: number, lastsS: number, recorder: Recorder | null) {
    const slots = this.slotFreeS;
    if (slots.length === 0 || !Number.isFinite(chargeS)) return;
    const slot = leastOf(slots);
    const beginS = Math.max(fromS, slots[slot]);
    const untilS = beginS + chargeS * (1 - this.leftS[kind][i] / lastsS);
    slots[slot] = untilS;
    this.readyS[kind][i] = untilS;
    this.leftS[kind][i] = lastsS;
    recorder?.charge({ kind, pack: i, fromS: beginS, toS: untilS });
  }

  private waitsFor(k: number, readyS: number, takesFromS: number): Wait {
    if (takesFromS <= readyS + 1) return 'none';
    return this.litFrom(k, readyS) >= takesFromS - 1 ? 'light' : 'battery';
  }

  private whyUndone(k: number, idleS: number, fromS: number): Undone {
    const { tasks, packs, endS } = this.problem;
    const task = tasks[k];
    if (
      task.power.some(
        ({ kind, useS, unitS }) => Math.floor(packs[kind].lastsS / unitS) * unitS * packs[kind].count < useS,
      )
    )
      return 'battery';
    const longest = task.windowsS.reduce(
      (most, toS, i) => (i % 2 ? Math.max(most, toS - task.windowsS[i - 1]) : most),
      0,
    );
    if (longest < task.takesS) return 'short';
    if (!Number.isFinite(this.poweredFrom(task, idleS, fromS))) return 'battery';
    const litS = this.litFrom(k, fromS);
    if (Number.isFinite(litS)) return litS + task.takesS > endS ? 'late' : 'battery';
    return task.sameAs.some((other) => this.startsS[other] >= 0) && this.hasWindow(task, fromS) ? 'same' : 'window';
  }

  private hasWindow({ windowsS, takesS }: Task, fromS: number): boolean {
    return windowsS.some((toS, i) => i % 2 === 1 && Math.max(windowsS[i - 1], fromS) + takesS <= toS);
  }
}

const leastOf = (column: Float64Array): number => {
  let least = 0;
  for (let i = 1; i < column.length; i += 1) if (column[i] < column[least]) least = i;
  return least;
};

/** The end of the stretch in which a task's takes begin at a moment. */
export function windowEnd({ windowsS }: Task, fromS: number): number {
  for (let i = 0; i < windowsS.length; i += 2)
    if (fromS >= windowsS[i] && fromS <= windowsS[i + 1]) return windowsS[i + 1];
  return Infinity;
}
