import { BatteryBank } from './battery-bank';
import type { DayProblem, Recorder, Task, Undone, Wait } from './day-numbers';

export const SLOT_S = 900;
/** What is left undone, or stands where it was not to, outweighs any minutes. */
export const UNDONE_COST = 1_000_000;
const PIN_COST = 300_000;
/** A hard one before anything was rehearsed, or as the light goes, is worth so many seconds. */
const HARD_COST = 300;
const LIGHT_GOES_S = 1800;
/** A second of changing over is worth so much even where it costs the day nothing, as before a wait. */
const EFFORT = 0.5;

/**
 * Runs through a day in orders of its tasks: the one measure that the search, the plan and the tests share. One is made
 * for a problem and used again and again.
 */
export class RunThrough {
  private readonly startsS: Float64Array;
  private readonly bank: BatteryBank;
  /** The row of the gear that each camera is in. */
  private readonly gearOf: Int32Array;

  constructor(private readonly problem: DayProblem) {
    this.startsS = new Float64Array(problem.tasks.length);
    this.bank = new BatteryBank(problem);
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
    this.bank.fill();
    for (let camera = 0; camera < problem.cameras; camera += 1) this.gearOf[camera] = n + camera;
    let [nowS, at, restsTaken, cost, done] = [problem.startS, n, 0, 0, 0];
    for (let position = 0; position < order.length; position += 1) {
      const k = order[position];
      const task = tasks[k];
      const gear = this.gearOf[task.camera] * n + k;
      const way = at * n + k;
      const inHand = at < n ? tasks[at].camera : problem.lastCamera;
      const other = inHand >= 0 && inHand !== task.camera ? problem.otherCameraS : 0;
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
      this.bank.draw(k, task, beginS, beginS + change + task.setUpS, takesFromS, endS, recorder);
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
      if (fromS > problem.tiredFromS) cost += HARD_COST;
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
    const poweredS = this.bank.readyFrom(task, idleS, fromS);
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
    if (!Number.isFinite(this.bank.readyFrom(task, idleS, fromS))) return 'battery';
    const litS = this.litFrom(k, fromS);
    if (Number.isFinite(litS)) return litS + task.takesS > endS ? 'late' : 'battery';
    return task.sameAs.some((other) => this.startsS[other] >= 0) && this.hasWindow(task, fromS) ? 'same' : 'window';
  }

  private hasWindow({ windowsS, takesS }: Task, fromS: number): boolean {
    return windowsS.some((toS, i) => i % 2 === 1 && Math.max(windowsS[i - 1], fromS) + takesS <= toS);
  }
}

/** The end of the stretch in which a task's takes begin at a moment. */
export function windowEnd({ windowsS }: Task, fromS: number): number {
  for (let i = 0; i < windowsS.length; i += 2)
    if (fromS >= windowsS[i] && fromS <= windowsS[i + 1]) return windowsS[i + 1];
  return Infinity;
}
