import { smoothed } from '../../motion';
import type { Samples } from '../../motion';
import { evenly, type FlownPath } from './flown-path';

/** One way at even rows, as it is and with its trembling taken out. */
export interface EvenWay {
  count: number;
  rateHz: number;
  raw: Record<Column, Float64Array>;
  slow: Record<Column, Float64Array>;
}
const TAKEN = ['xM', 'yM', 'zM', 'panDeg', 'tiltDeg', 'rollDeg'] as const;
/** Place and look, and what a ring does: focus in dioptres, zoom as the logarithm of the focal length. */
export type Column = (typeof TAKEN)[number] | 'dioptres' | 'zoomLog';
/** What of a way moves: the camera's place; only its look; only a ring. */
export type Moves = 'place' | 'look' | 'ring';
export const MOVED: Record<Moves, readonly Column[]> = {
  place: ['xM', 'yM', 'zM'],
  look: ['panDeg', 'tiltDeg', 'rollDeg'],
  ring: ['dioptres', 'zoomLog'],
};

/** A try laid beside its plan: where in the plan each of its rows is. */
export interface Matched {
  plan: EvenWay;
  flown: EvenWay;
  /** For each row of the try: the moment of the plan that it is at, s. */
  planS: Float64Array;
  /** Null where the plan stands still. */
  moves: Moves | null;
  /** When the plan sets off and when it comes to rest, s. */
  startS: number;
  endS: number;
}

const RATE_HZ = 25;
const MOST_ROWS = 3000;
/** What is quicker than this is trembling, s. */
const SLOW_S = 0.5;
const MOST_CELLS = 360;
/** Degrees that count as much as the usual distance. */
const LOOK_DEG = 4;
const NEAR_RING = 0.02;
const TRAVELS_M = 0.05;
const TURNS_DEG = 1;
const TURNS_RING = 0.02;

function evenWay(path: FlownPath, rateHz: number, like: FlownPath): EvenWay {
  const lengthS = path.tS[path.tS.length - 1];
  const count = Math.max(3, Math.min(MOST_ROWS, Math.floor(lengthS * rateHz + 1e-6) + 1));
  const even = (from: FlownPath, column: Float64Array) => evenly(from.tS, column, rateHz, count);
  const ring = (key: 'focusM' | 'focalLengthMm', of: (value: number) => number) => {
    const own = path[key];
    const column = own ? even(path, own) : even(like, like[key] ?? new Float64Array(like.tS.length).fill(1));
    return column.map((value) => of(Math.max(0.01, value)));
  };
  const raw = {
    ...(Object.fromEntries(TAKEN.map((key) => [key, even(path, path[key])])) as EvenWay['raw']),
    dioptres: ring('focusM', (m) => 1 / m),
    zoomLog: ring('focalLengthMm', Math.log),
  };
  const slowS = Math.min(SLOW_S, lengthS / 8);
  const slow = Object.fromEntries(
    Object.entries(raw).map(([key, column]) => [key, smoothed(column, slowS * rateHz)]),
  ) as EvenWay['slow'];
  return { count, rateHz, raw, slow };
}

const gone = ({ xM, yM, zM }: EvenWay['slow'], i: number) =>
  Math.hypot(xM[i] - xM[i - 1], yM[i] - yM[i - 1], zM[i] - zM[i - 1]);
export const turnedBy = ({ panDeg, tiltDeg, rollDeg }: EvenWay['slow'], i: number): number =>
  Math.hypot(
    (panDeg[i] - panDeg[i - 1]) * Math.cos((tiltDeg[i] * Math.PI) / 180),
    tiltDeg[i] - tiltDeg[i - 1],
    rollDeg[i] - rollDeg[i - 1],
  );
/** What is gone from row to row, added up. */
export function progress(way: EvenWay, moves: Moves): Float64Array {
  const sums = new Float64Array(way.count);
  for (let i = 1; i < way.count; i += 1) sums[i] = sums[i - 1] + wentBy(way.slow, i, moves);
  return sums;
}
/** What is gone from the row before: metres, degrees, or dioptres. */
export function wentBy(slow: EvenWay['slow'], i: number, moves: Moves): number {
  if (moves === 'place') return gone(slow, i);
  if (moves === 'look') return turnedBy(slow, i);
  return Math.hypot(slow.dioptres[i] - slow.dioptres[i - 1], slow.zoomLog[i] - slow.zoomLog[i - 1]);
}

/**
 * Lays a try beside its plan: each row of the try to the moment of the plan that it comes nearest to in place and look,
 * moments never going back (dynamic time warping; Sakoe & Chiba 1978), then exactly along the plan. Neither lateness nor
 * a way that is too long is taken for being off the way.
 */
export function matched(filmed: Samples, plannedPath: FlownPath, flownPath: FlownPath): Matched {
  const planLengthS = filmed.tS[filmed.count - 1];
  const flownLengthS = flownPath.tS[flownPath.tS.length - 1];
  const rateHz = Math.min(RATE_HZ, MOST_ROWS / Math.max(1, planLengthS, flownLengthS));
  const plan = evenWay(plannedPath, rateHz, plannedPath);
  const flown = evenWay(flownPath, rateHz, plannedPath);
  const travelM = progress(plan, 'place')[plan.count - 1];
  const turnsDeg = progress(plan, 'look')[plan.count - 1];
  const ring = progress(plan, 'ring')[plan.count - 1];
  const moves = travelM >= TRAVELS_M ? 'place' : turnsDeg >= TURNS_DEG ? 'look' : ring >= TURNS_RING ? 'ring' : null;
  if (moves === null)
    return {
      plan,
      flown,
      moves,
      startS: 0,
      endS: planLengthS,
      planS: Float64Array.from({ length: flown.count }, (_, j) => Math.min(planLengthS, j / rateHz)),
    };
  const sums = progress(plan, moves);
  const whole = sums[plan.count - 1];
  const first = sums.findIndex((sum) => sum > whole * 0.002);
  const last = sums.findIndex((sum) => sum >= whole * 0.998);
  const planS = align(plan, flown, moves, travelM);
  return {
    plan,
    flown,
    moves,
    startS: Math.max(0, first - 1) / rateHz,
    endS: last / rateHz,
    planS: sharpen(plan, flown, planS, moves),
  };
}

/** Coarse rows of both, and the cheapest way through the table of how far they are apart. */
function align(plan: EvenWay, flown: EvenWay, moves: Moves, travelM: number): Float64Array {
  const [n, m] = [plan, flown].map(({ count }) => Math.min(MOST_CELLS, count));
  const rows = (way: EvenWay, cells: number) =>
    Array.from({ length: cells }, (_, i) => Math.round((i * (way.count - 1)) / (cells - 1)));
  const [planRows, flownRows] = [rows(plan, n), rows(flown, m)];
  const nearM = Math.max(0.1, travelM * 0.04);
  const cost = (i: number, j: number): number => {
    const [p, f] = [planRows[i], flownRows[j]];
    const place =
      ((plan.slow.xM[p] - flown.slow.xM[f]) ** 2 +
        (plan.slow.yM[p] - flown.slow.yM[f]) ** 2 +
        (plan.slow.zM[p] - flown.slow.zM[f]) ** 2) /
      nearM ** 2;
    const off = (key: Column) => plan.slow[key][p] - flown.slow[key][f];
    const look = (off('panDeg') ** 2 + off('tiltDeg') ** 2 + off('rollDeg') ** 2) / LOOK_DEG ** 2;
    const ring = (off('dioptres') ** 2 + off('zoomLog') ** 2) / NEAR_RING ** 2;
    const apartS = (p - f) / plan.rateHz;
    // Of rows that look alike the one at the same time; where only the look moves, place says nothing.
    const near = moves === 'place' ? place + 0.1 * Math.min(9, look) : moves === 'look' ? look : ring;
    return near + 1e-4 * apartS * apartS;
  };
  const table = new Float64Array(n * m).fill(Infinity);
  const from = new Uint8Array(n * m);
  for (let i = 0; i < n; i += 1)
    for (let j = 0; j < m; j += 1) {
      const at = i * m + j;
      const here = cost(i, j);
      if (at === 0) table[at] = here;
      const both = i > 0 && j > 0 ? table[at - m - 1] : Infinity;
      const plansOwn = i > 0 ? table[at - m] : Infinity;
      const flownsOwn = j > 0 ? table[at - 1] : Infinity;
      const best = Math.min(both, plansOwn, flownsOwn);
      if (at > 0) table[at] = best + here;
      from[at] = best === both ? 0 : best === plansOwn ? 1 : 2;
    }
  const [sum, seen] = [new Float64Array(m), new Float64Array(m)];
  // A try may end before the plan does: at the latest moment that explains it as well as any.
  let end = n - 1;
  let least = Infinity;
  for (let i = 0; i < n; i += 1) least = Math.min(least, table[i * m + m - 1]);
  while (end > 0 && table[end * m + m - 1] > least * 1.001 + 1e-9) end -= 1;
  for (let i = end, j = m - 1; ;) {
    sum[j] += planRows[i] / plan.rateHz;
    seen[j] += 1;
    if (i === 0 && j === 0) break;
    const step = i === 0 ? 2 : j === 0 ? 1 : from[i * m + j];
    if (step !== 2) i -= 1;
    if (step !== 1) j -= 1;
  }
  const coarse = sum.map((s, j) => s / Math.max(1, seen[j]));
  return evenly(
    Float64Array.from(flownRows, (row) => row / flown.rateHz),
    coarse,
    flown.rateHz,
    flown.count,
  );
}

/** How far about a coarse moment the exact one is looked for, s. */
const ABOUT_S = 0.6;

/** The exact moment of the plan for each row: the foot of the shortest line to the planned way near the coarse one. */
function sharpen(plan: EvenWay, flown: EvenWay, coarseS: Float64Array, moves: Moves): Float64Array {
  const { rateHz } = plan;
  const keys = MOVED[moves];
  const reach = Math.ceil(ABOUT_S * rateHz);
  const out = new Float64Array(flown.count);
  let least = 0;
  for (let j = 0; j < flown.count; j += 1) {
    const about = coarseS[j] * rateHz;
    let [best, bestAt] = [Infinity, about];
    const [a, b] = [Math.max(0, Math.floor(about) - reach), Math.min(plan.count - 2, Math.ceil(about) + reach)];
    for (let i = a; i <= b; i += 1) {
      let [dot, square] = [0, 0];
      for (const key of keys) {
        const side = plan.slow[key][i + 1] - plan.slow[key][i];
        dot += side * (flown.slow[key][j] - plan.slow[key][i]);
        square += side * side;
      }
      const share = square > 1e-14 ? Math.min(1, Math.max(0, dot / square)) : 0;
      let off = 0;
      for (const key of keys) {
        const on = plan.slow[key][i] + (plan.slow[key][i + 1] - plan.slow[key][i]) * share;
        off += (flown.slow[key][j] - on) ** 2;
      }
      // Equals, as where the plan stands, go to the moment that is nearest to the coarse one.
      const cost = off + 1e-10 * (i + share - about) ** 2;
      if (cost < best) [best, bestAt] = [cost, i + share];
    }
    least = Math.max(least, bestAt);
    out[j] = Math.min(least, plan.count - 1) / rateHz;
  }
  return out;
}

/** A column of an even way at a moment. */
export function valueAt(column: Float64Array, rateHz: number, tS: number): number {
  const at = Math.min(column.length - 1, Math.max(0, tS * rateHz));
  const i = Math.min(column.length - 2, Math.floor(at));
  return column[i] + (column[i + 1] - column[i]) * (at - i);
}
