import type { Film } from '../../motion';
import { evenly } from '../../rehearse';
import type { Taken } from './taken';

/** How a recording lies on its plan: what is planned for `t` came at `delayS + stretch · t` of the recording. */
export interface Alignment {
  delayS: number;
  stretch: number;
  /** By what it was found: both moved alike; only when it began to move; or not at all. */
  by: 'motion' | 'start' | 'nothing';
  /** The plan’s own pace would not fit nearly as well. */
  paceSure: boolean;
  /** How alike they move, −1 to 1; null: nothing that moves in the plan was recorded. */
  alike: number | null;
  /** The recording begins, or ends, while things move: what of the plan lies beyond was not recorded. */
  cut: { start: boolean; end: boolean };
}

const UNCUT: Alignment['cut'] = { start: false, end: false };

/** What moves, of plan and recording, in one unit each: rates a second at even rows. */
interface Channel {
  plan: Float64Array;
  take: Float64Array;
}

/** Coarse rows a second: fewer where the plan is long. */
const COARSE = { hz: 12.5, rows: 150, leastRows: 50 } as const;
const FINE = { hz: 100, rows: 6000 } as const;
/** What is shorter is no part of a pace: first roughly, then finer. */
const SMOOTH_S = { coarse: 0.24, fine: 0.1 } as const;
/** Of the plan’s motion; what moves less in the plan says nothing of where it lies. */
const LEAST_SHARE = 0.01;
const LEAST_ENERGY = 1e-6;
const STRETCHES = Array.from({ length: 41 }, (_, i) => 2 ** ((i - 20) / 20));
/** What is recorded before and after counts against it: that much of it, s. */
const AROUND_S = 1.5;
const LEAST_ALIKE = 0.5;
/** A recording that begins or ends faster than this, of its fastest, is part of a move; so alike that part has to be. */
const CUT = { share: 0.25, withinS: 0.2, alike: 0.9, better: 0.005, pace: 0.05 } as const;
/** A part that goes as fast as planned may be so much less alike. */
const AS_GOOD = 0.01;
/** A part is not longer than what it is of, or hardly. */
const PART_MOST = 1.3;
/** Of what could lie on the plan, at least so much of a part does. */
const PART_LEAST = 0.8;
/** Another pace is sure where the plan’s own leaves so many times as much unexplained, and so much more. */
const OWN_PACE = { times: 1.5, free: 0.0005 } as const;
const DEG = Math.PI / 180;

/**
 * Where in a recording a plan lies: the delay and the pace at which rates of travel, turning and focus are most alike
 * (normalised cross-correlation over a grid of stretches, then finer); where nothing moves alike, by the first motion.
 */
export function align(film: Film, taken: Taken): Alignment {
  const { filmed } = film;
  const takeS = Float64Array.from({ length: taken.count }, (_, i) => i / taken.rateHz);
  const best = alignPairs(filmed.tS, takeS, pairsOf(film, taken));
  // What moves in both and is not alike is another move; the first motion is for where nothing can be compared.
  if (best.alike !== null) return best;
  const start = byStart(film, taken);
  return start === null ? best : { ...best, ...start, by: 'start' };
}

/** One thing that plan and take both do: its course in both, and what a unit of it counts. */
export interface Pair {
  plan: Float64Array;
  take: Float64Array;
  scale: number;
}

/** Where courses of a take lie on those of a plan, by how alike they change; `nothing` where they do not. */
export function alignPairs(planS: Float64Array, takeS: Float64Array, pairs: readonly Pair[]): Alignment {
  const lastS = Math.max(1, planS[planS.length - 1]);
  const coarseHz = Math.max(Math.min(COARSE.hz, COARSE.rows / lastS), Math.min(100, COARSE.leastRows / lastS));
  const coarse = channels(planS, takeS, pairs, coarseHz, SMOOTH_S.coarse);
  if (coarse.length === 0) return { delayS: 0, stretch: 1, by: 'nothing', paceSure: false, alike: null, cut: UNCUT };
  const cut = cutEnds(coarse, coarseHz);
  let best = { delayS: 0, stretch: 1, by: 'motion' as const, paceSure: false, alike: -1, cut };
  for (const stretch of STRETCHES) {
    const found = bestDelay(coarse, stretch, coarseHz, null);
    // Where two fit as well, the one nearer to the plan’s pace.
    if (found.alike > best.alike + 1e-4 * (1 + Math.abs(Math.log2(stretch))))
      best = { ...best, delayS: found.delayS, alike: found.alike, stretch };
  }
  const fineHz = Math.max(coarseHz, Math.min(FINE.hz, FINE.rows / lastS));
  const fine = channels(planS, takeS, pairs, fineHz, SMOOTH_S.fine);
  const again = bestDelay(fine, best.stretch, fineHz, { about: best.delayS, withinS: 1 / coarseHz });
  best = { ...best, delayS: again.delayS, alike: again.alike };
  for (let width = 0.06; width > 0.0006; width /= 2.5)
    for (let climbs = 0; climbs < 4; climbs += 1) {
      const from = best;
      for (const stretch of [-1, -0.5, 0, 0.5, 1].map((k) => from.stretch * (1 + k * width))) {
        const found = bestDelay(fine, stretch, fineHz, { about: from.delayS, withinS: Math.max(0.04, width * lastS) });
        if (found.alike > best.alike) best = { ...best, delayS: found.delayS, alike: found.alike, stretch };
      }
      if (best === from) break;
    }
  // Finely all over: how fast it goes tells one even stretch of it from another. A part may begin and end at rest, too.
  const mayBePart = cut.start || cut.end || best.alike < CUT.alike;
  const isShort = takeS[takeS.length - 1] < PART_MOST * lastS;
  const part = isShort && mayBePart ? bestDelay(fine, 1, fineHz, null, true) : null;
  if (part && isLikelier(part, best))
    return { ...best, delayS: part.delayS, alike: part.alike, stretch: 1, paceSure: true };
  if (best.alike < LEAST_ALIKE) return { ...best, delayS: 0, stretch: 1, by: 'nothing', cut: UNCUT };
  const middleS = best.delayS + ((best.stretch - 1) * lastS) / 2;
  const own = bestDelay(fine, 1, fineHz, { about: middleS, withinS: Math.max(0.1, 0.06 * lastS) });
  return { ...best, paceSure: 1 - own.alike > OWN_PACE.times * (1 - best.alike) + OWN_PACE.free };
}

/** Whether a recording begins, and whether it ends, in the middle of a move. */
function cutEnds(rows: readonly Channel[], rateHz: number): Alignment['cut'] {
  const speed = rows[0].take.map((_, i) => Math.hypot(...rows.map(({ take }) => take[i])));
  const free = CUT.share * speed.reduce((a, v) => Math.max(a, v), 0);
  const edge = Math.max(1, Math.round(CUT.withinS * rateHz));
  return { start: mean(speed.subarray(0, edge)) > free, end: mean(speed.subarray(-edge)) > free };
}

/** Whether it is rather a part of the plan, at its pace, than all of it at another. */
function isLikelier(part: { alike: number; times: number }, whole: { alike: number; stretch: number }): boolean {
  if (part.alike < CUT.alike || Math.abs(whole.stretch - 1) < CUT.pace) return false;
  const asPlanned = part.times > 0 && Math.abs(Math.log(part.times)) < CUT.pace;
  return part.alike > whole.alike + (asPlanned ? -AS_GOOD : CUT.better);
}

/** What both plan and recording have, counted in metres at the subject’s distance. */
function pairsOf({ filmed }: Film, taken: Taken): Pair[] {
  const distanceM = Math.min(20, Math.max(0.5, mean(filmed.subjectDistanceM)));
  const both = (plan: Float64Array, take: Float64Array | null, scale = 1): Pair[] =>
    take === null ? [] : [{ plan, take, scale }];
  const level = Math.cos(mean(filmed.tiltDeg) * DEG);
  const dioptres = (column: Float64Array) => column.map((m) => 1 / Math.max(0.1, m));
  return [
    ...both(filmed.xM, taken.xM),
    ...both(filmed.yM, taken.yM),
    ...both(filmed.zM, taken.zM),
    ...both(filmed.panDeg, taken.panDeg, DEG * distanceM * level),
    ...both(filmed.tiltDeg, taken.tiltDeg, DEG * distanceM),
    ...both(filmed.rollDeg, taken.rollDeg, DEG * distanceM * 0.3),
    ...both(dioptres(filmed.focusDistanceM), taken.focusM && dioptres(taken.focusM), 0.5),
  ];
}

/** Rates of each pair at even rows; what hardly moves in the plan says nothing of where it lies. */
function channels(
  planS: Float64Array,
  takeS: Float64Array,
  pairs: readonly Pair[],
  rateHz: number,
  smoothS: number,
): Channel[] {
  const [planCount, takeCount] = [planS, takeS].map((tS) => Math.max(2, Math.floor(tS[tS.length - 1] * rateHz) + 1));
  const all = pairs.map(({ plan, take, scale }) => ({
    plan: rate(evenly(planS, plan, rateHz, planCount), rateHz, scale, smoothS),
    take: rate(evenly(takeS, take, rateHz, takeCount), rateHz, scale, smoothS),
  }));
  const energy = all.map(({ plan }) => squares(plan) / rateHz);
  const most = Math.max(0, ...energy);
  return all.filter((_, i) => energy[i] > LEAST_ENERGY && energy[i] > LEAST_SHARE * most);
}

const mean = (column: Float64Array): number => column.reduce((sum, v) => sum + v, 0) / column.length;
const squares = (column: Float64Array): number => column.reduce((sum, v) => sum + v * v, 0);

/** Change a second, smoothed over `smoothS`. */
function rate(column: Float64Array, rateHz: number, scale: number, smoothS: number): Float64Array {
  const half = Math.max(1, Math.round((smoothS * rateHz) / 2));
  return column.map((_, i) => {
    const [a, b] = [Math.max(0, i - half), Math.min(column.length - 1, i + half)];
    return b > a ? (scale * (column[b] - column[a]) * rateHz) / (2 * half) : 0;
  });
}

/**
 * The delay at which a recording is most like the plan at one pace. Rates are as much smaller as it is slower. `part`: what
 * of the plan was not recorded does not count against it.
 */
function bestDelay(
  rows: readonly Channel[],
  stretch: number,
  rateHz: number,
  near: { about: number; withinS: number } | null,
  part = false,
): { delayS: number; alike: number; times: number } {
  const [{ plan: first, take: recorded }] = rows;
  const count = Math.max(2, Math.round((first.length - 1) * stretch) + 1);
  const around = Math.round(AROUND_S * rateHz);
  const plans = rows.map(({ plan }) => stretched(plan, count));
  const plannedBefore = squaresBefore(plans);
  const recordedBefore = squaresBefore(rows.map(({ take }) => take));
  const upTo = (row: number) => recordedBefore[Math.min(recorded.length, Math.max(0, row))];
  const least = PART_LEAST * Math.min(count, recorded.length);
  const [from, to] = near
    ? [Math.round((near.about - near.withinS) * rateHz), Math.round((near.about + near.withinS) * rateHz)]
    : [-Math.round(count * 0.5), recorded.length - Math.round(count * 0.5)];
  /** How alike it moves, how many times as fast, and what is to be greatest: of a part, how nearly it is the same. */
  const at = (delay: number) => {
    const [start, end] = [Math.max(0, -delay), Math.min(count, recorded.length - delay)];
    const square = upTo(delay + count + around) - upTo(delay - around);
    const planSquare = part ? plannedBefore[Math.max(start, end)] - plannedBefore[start] : plannedBefore[count];
    if ((part && end - start < least) || !(square > 0) || !(planSquare > 0)) return { alike: 0, times: 0, fits: 0 };
    let product = 0;
    for (const [k, { take }] of rows.entries()) {
      const plan = plans[k];
      for (let i = start; i < end; i += 1) product += plan[i] * take[i + delay];
    }
    const alike = product / Math.sqrt(planSquare * square);
    return { alike, times: product / planSquare, fits: part ? (2 * product) / (planSquare + square) : alike };
  };
  let best = { row: from, ...at(from) };
  for (let row = from + 1; row <= to; row += 1) {
    const found = at(row);
    if (found.fits > best.fits) best = { row, ...found };
  }
  const [a, b, c] = [at(best.row - 1).fits, best.fits, at(best.row + 1).fits];
  const bend = a - 2 * b + c;
  const off = bend < 0 ? Math.min(0.5, Math.max(-0.5, (a - c) / (2 * bend))) : 0;
  return { delayS: (best.row + off) / rateHz, alike: best.alike, times: best.times };
}

/** Squares of all rows before each: what lies in a window is a difference of two. */
function squaresBefore(columns: readonly Float64Array[]): Float64Array {
  const [{ length }] = columns;
  const sums = new Float64Array(length + 1);
  for (let i = 0; i < length; i += 1) sums[i + 1] = sums[i] + columns.reduce((sum, column) => sum + column[i] ** 2, 0);
  return sums;
}

function stretched(plan: Float64Array, count: number): Float64Array {
  const scale = (plan.length - 1) / (count - 1);
  return Float64Array.from({ length: count }, (_, i) => {
    const at = i * scale;
    const k = Math.min(plan.length - 2, Math.floor(at));
    return plan[k] + (plan[k + 1] - plan[k]) * (at - k);
  });
}

/** By the first motion of each: where a fifth of the largest is passed for good. Null where the recording never moves. */
function byStart(film: Film, taken: Taken): { delayS: number; stretch: number } | null {
  const { filmed } = film;
  const planned = onset(
    Float64Array.from({ length: filmed.count }, (_, i) => {
      const j = Math.max(0, i - 1);
      return (
        Math.hypot(filmed.xM[i] - filmed.xM[j], filmed.yM[i] - filmed.yM[j], filmed.zM[i] - filmed.zM[j]) +
        DEG * Math.hypot(filmed.panDeg[i] - filmed.panDeg[j], filmed.tiltDeg[i] - filmed.tiltDeg[j])
      );
    }),
    filmed.captureRateHz,
  );
  const moving = new Float64Array(taken.count);
  for (const [column, scale] of [
    [taken.bobM, 1],
    [taken.swayM, 1],
    [taken.panDeg, DEG],
    [taken.tiltDeg, DEG],
  ] as const)
    if (column) for (let i = 1; i < taken.count; i += 1) moving[i] += Math.abs(column[i] - column[i - 1]) * scale;
  const began = onset(moving, taken.rateHz);
  return planned === null || began === null ? null : { delayS: began - planned, stretch: 1 };
}

/** When something begins for good, s: smoothed over a quarter of a second, the first of four tenths above a fifth. */
function onset(column: Float64Array, rateHz: number): number | null {
  const half = Math.max(1, Math.round(rateHz / 8));
  const smooth = column.map((_, i) => mean(column.subarray(Math.max(0, i - half), i + half + 1)));
  const most = smooth.reduce((a, v) => Math.max(a, v), 0);
  if (most < 1e-7) return null;
  const rows = Math.max(1, Math.round(0.4 * rateHz));
  let run = 0;
  for (let i = 0; i < smooth.length; i += 1) {
    run = smooth[i] > most / 5 ? run + 1 : 0;
    if (run >= rows) return (i - rows + 1) / rateHz;
  }
  return null;
}
