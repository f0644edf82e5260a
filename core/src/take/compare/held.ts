import type { TakeReason } from '../../model';
import type { Film } from '../../motion';
import { evenly } from '../../rehearse';
import type { Alignment } from '../recorded/align';
import { inBand } from '../recorded/spectrum';
import { mean } from './mean';
import { turnedEvenly } from '../recorded/turned';
import { layBearings, planAtBeat, turnedIn } from './beside-plan';
import { BOB_BAND_HZ, SWAY_BAND_HZ, type Taken, type TakenColumn } from '../recorded/taken';

/** Rows a second at which plan and take are held against each other, and at most how many. */
const HELD = { hz: 50, rows: 6000 } as const;
/** What is looked at before the plan begins and after it ends, s. */
export const AROUND_S = 1.5;

/** Less up and down at the beat of steps is not seen, m. */
const PLANS_BEAT_M = 0.01;

/** One way in which a take differs from its plan. */
export interface Difference {
  id: string;
  /** What a person would write into the log for it. */
  reason: TakeReason | null;
  /** When, in seconds of the plan; null: all the way. */
  atS: number | null;
  planned: number | null;
  measured: number;
  unit: string;
  sentence: string;
  /** What to do differently; empty where nothing is known. */
  mend: string;
  /** Times what would not be seen: the worst first. */
  weight: number;
}

/**
 * A take laid on its plan: both at the plan’s own time, `rateHz` rows a second, from `AROUND_S` before it begins to
 * `AROUND_S` after its end. Where a recording does not reach it stays at its first or last row; where it was begun or
 * ended while things moved, it goes on as planned.
 */
export interface Held {
  film: Film;
  taken: Taken;
  aligned: Alignment;
  rateHz: number;
  count: number;
  /** Rows that the plan itself takes. */
  first: number;
  last: number;
  /** Rows that were recorded. */
  recordedFrom: number;
  recordedTo: number;
  plan: Record<TakenColumn, Float64Array | null>;
  take: Record<TakenColumn, Float64Array | null>;
  /** Frame widths that a degree is in the middle of the picture, on average. */
  widthsPerDeg: number;
  /** To the subject, on average, m. */
  distanceM: number;
}

export function hold(film: Film, taken: Taken, aligned: Alignment): Held {
  const { filmed } = film;
  const lastS = filmed.tS[filmed.count - 1];
  const rateHz = Math.min(HELD.hz, HELD.rows / Math.max(1, lastS));
  const first = Math.max(1, Math.round(AROUND_S * rateHz));
  const aroundS = first / rateHz;
  const last = first + Math.round(lastS * rateHz);
  const count = last + first + 1;
  const planS = filmed.tS.map((s) => s + aroundS);
  const { delayS, stretch } = aligned;
  const takeS = Float64Array.from({ length: taken.count }, (_, i) => (i / taken.rateHz - delayS) / stretch + aroundS);
  const planned = (column: Float64Array) => evenly(planS, column, rateHz, count);
  const bob = film.filmed.body;
  const plan: Held['plan'] = {
    xM: planned(filmed.xM),
    yM: planned(filmed.yM),
    zM: planned(filmed.zM),
    panDeg: planned(filmed.panDeg),
    tiltDeg: planned(filmed.tiltDeg),
    rollDeg: planned(filmed.rollDeg),
    bobM: planned(bob.bobM),
    swayM: planned(bob.swayM),
    focalLengthMm: planned(filmed.focalLengthMm),
    focusM: planned(filmed.focusDistanceM),
  };
  const take = Object.fromEntries(
    (Object.keys(plan) as TakenColumn[]).map((key) => {
      const column = taken[key];
      return [key, column && evenly(takeS, column, rateHz, count)];
    }),
  ) as Held['take'];
  const turned = turnedIn(taken);
  if (turned) Object.assign(take, turnedEvenly(takeS, turned, rateHz, count));
  const [startRow, endRow] = [takeS[0], takeS[taken.count - 1]].map((s) => s * rateHz);
  const recordedFrom = Math.min(last, Math.max(0, Math.ceil(startRow - 1e-6)));
  const recordedTo = Math.max(first, Math.min(count - 1, Math.floor(endRow + 1e-6)));
  const [planTurned, takeTurned] = [turnedIn(plan), turnedIn(take)];
  if (planTurned && takeTurned) layBearings(planTurned, takeTurned, taken.northKnown);
  else if (take.panDeg && !taken.northKnown) onPlansBearing(take.panDeg, planned(filmed.panDeg));
  for (const key of Object.keys(plan) as TakenColumn[]) {
    const [planned, column] = [plan[key], take[key]];
    if (!planned || !column) continue;
    if (aligned.cut.start) asPlanned(column, planned, recordedFrom, 0);
    if (aligned.cut.end) asPlanned(column, planned, recordedTo, count - 1);
  }
  if (take.zM && take.xM && take.yM && rateHz >= 8) {
    // What goes up and down beside the plan, at the beat of steps, is bob; what the plan itself does is not.
    const { xM, yM, zM } = take;
    const beside = (column: Float64Array, plan: Float64Array | null) => column.map((v, i) => v - (plan?.[i] ?? 0));
    take.bobM = inBand(beside(zM, plan.zM), rateHz, ...BOB_BAND_HZ);
    const [x, y] = [beside(xM, plan.xM), beside(yM, plan.yM)].map((column) => inBand(column, rateHz, ...SWAY_BAND_HZ));
    const bearing = take.panDeg ?? plan.panDeg;
    take.swayM = x.map((v, i) => {
      const heading = ((bearing?.[i] ?? 0) * Math.PI) / 180;
      return v * Math.cos(heading) - y[i] * Math.sin(heading);
    });
  }
  if (!take.zM && take.bobM) {
    // Sensors feel what the plan does at that beat as well; where nobody knows when, the one is not told from the other.
    const beat = planAtBeat(plan, rateHz, stretch);
    const without = (column: Float64Array, own: Float64Array) => column.map((v, i) => v - own[i]);
    if (aligned.by !== 'nothing') {
      take.bobM = without(take.bobM, beat.bobM);
      take.swayM &&= without(take.swayM, beat.swayM);
    } else if (beat.bobM.some((m) => Math.abs(m) > PLANS_BEAT_M)) take.bobM = null;
  }
  const focal = mean(filmed.focalLengthMm);
  return {
    film,
    taken,
    aligned,
    rateHz,
    count,
    first,
    last,
    recordedFrom,
    recordedTo,
    plan,
    take,
    widthsPerDeg: (focal * Math.PI) / 180 / filmed.frameWidthMm,
    distanceM: Math.min(1000, Math.max(0.3, mean(filmed.subjectDistanceM))),
  };
}

/** From a row on to another a column goes on from where it is, as its plan does. */
function asPlanned(column: Float64Array, plan: Float64Array, from: number, to: number): void {
  const off = column[from] - plan[from];
  for (let i = Math.min(from, to); i <= Math.max(from, to); i += 1) column[i] = plan[i] + off;
}

/** Bearings that count from anywhere are laid on the plan’s, by their middle difference, in place. */
function onPlansBearing(pan: Float64Array, plan: Float64Array): void {
  const off = Float64Array.from(pan, (v, i) => plan[i] - v).sort();
  const middle = off[off.length >> 1];
  for (let i = 0; i < pan.length; i += 1) pan[i] += middle;
}

/** Change a second over the rows about each, smoothed over `smoothS`. */
export function rateOf(column: Float64Array, rateHz: number, smoothS = 0.12): Float64Array {
  const half = Math.max(1, Math.round((smoothS * rateHz) / 2));
  return column.map((_, i) => {
    const [a, b] = [Math.max(0, i - half), Math.min(column.length - 1, i + half)];
    return ((column[b] - column[a]) * rateHz) / (b - a);
  });
}

/** The plan’s own time of a row, s. */
export const planS = ({ first, rateHz }: Pick<Held, 'first' | 'rateHz'>, row: number): number => (row - first) / rateHz;
