import type { DayProblem, Recorder, Task } from './day-numbers';

/**
 * The batteries and chargers of a day as it goes on: when enough is there for a shot, and what is drawn and charged.
 * Seconds after midnight. Nothing is made anew while it is asked: the search asks it very often.
 */
export class BatteryBank {
  /** What is left in each battery, and when it is ready, a row a kind. */
  private readonly leftS: Float64Array[];
  private readonly readyS: Float64Array[];
  private readonly slotFreeS: Float64Array;
  private readonly slotTrial: Float64Array;
  /** Batteries of a kind, those with least left first; and what is foreseen of them. */
  private readonly emptiest: Int32Array[];
  private readonly readyTrial: Float64Array;
  private readonly moreTrial: Float64Array;

  constructor(private readonly problem: Pick<DayProblem, 'packs' | 'chargers'>) {
    this.leftS = problem.packs.map(({ count }) => new Float64Array(count));
    this.readyS = problem.packs.map(({ count }) => new Float64Array(count));
    this.slotFreeS = new Float64Array(problem.chargers);
    this.slotTrial = new Float64Array(problem.chargers);
    this.emptiest = problem.packs.map(({ count }) => new Int32Array(count));
    const most = problem.packs.reduce((sum, { count }) => Math.max(sum, count), 0);
    this.readyTrial = new Float64Array(most);
    this.moreTrial = new Float64Array(most);
  }

  /** As the day begins: all are full. */
  fill(): void {
    for (let kind = 0; kind < this.leftS.length; kind += 1) {
      this.leftS[kind].fill(this.problem.packs[kind].lastsS);
      this.readyS[kind].fill(-Infinity);
    }
    this.slotFreeS.fill(-Infinity);
  }

  /** When all batteries for a task are there. */
  readyFrom(task: Task, idleS: number, fromS: number): number {
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
  draw(k: number, task: Task, idleS: number, readyS: number, fromS: number, endS: number, recorder: Recorder | null) {
    const { packs } = this.problem;
    for (const { kind, useS, unitS } of task.power) {
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
}

const leastOf = (column: Float64Array): number => {
  let least = 0;
  for (let i = 1; i < column.length; i += 1) if (column[i] < column[least]) least = i;
  return least;
};
