import { smoothed } from '../../motion';
import { inBand, powerSpectrum, strongest } from '../recorded/spectrum';
import { BOB_BAND_HZ, TREMOR_BAND_HZ } from '../recorded/taken';
import { type Held, rateOf } from './held';

/** One thing that goes from here to there in plan and take: travel along the way, pan, tilt, roll, focus. */
export interface Stroke {
  id: 'travel' | 'pan' | 'tilt' | 'roll' | 'focus';
  name: string;
  unit: 'm' | '°' | ' dpt';
  /** Progress from the plan’s beginning on. */
  plan: Float64Array;
  take: Float64Array;
  planRate: Float64Array;
  takeRate: Float64Array;
  /** How far it goes in the plan, and in the take. */
  planTotal: number;
  takeTotal: number;
  /** What trembles in its rate, and in its change of rate: what is smaller says nothing. */
  rateNoise: number;
  pushNoise: number;
  placeNoise: number;
  /** Frame widths that one unit moves the picture by, about. */
  widths: number;
}

/** Less is no stroke: of travel in metres, turning in degrees, focus in dioptres. */
const LEAST = { travel: 0.08, pan: 2.5, tilt: 2.5, roll: 2.5, focus: 0.05 } as const;

/** What moves in the plan and was recorded. */
export function strokesOf(held: Held): Stroke[] {
  const { plan, take, widthsPerDeg, distanceM } = held;
  const strokes: Stroke[] = [];
  const add = (
    id: Stroke['id'],
    name: string,
    unit: Stroke['unit'],
    a: Float64Array,
    b: Float64Array,
    widths: number,
  ) => {
    // Backwards is as good as forwards: what the plan does is counted upwards.
    const back = a[held.last] - a[held.first] < 0 ? -1 : 1;
    const [planned, taken] = [a, b].map((column) => {
      const plain = withoutTremor(held, column);
      return plain.map((v) => back * (v - plain[held.first]));
    });
    const total = planned[held.last];
    if (!(total > LEAST[id])) return;
    const smooth = smoothed(taken, Math.max(3, Math.round(MIDDLE_S * held.rateHz)));
    const [planRate, takeRate] = [planned, taken].map((column) => rateOf(column, held.rateHz));
    strokes.push({
      id,
      name,
      unit,
      plan: planned,
      take: taken,
      planRate,
      takeRate,
      ...noiseOf(held, planRate, takeRate),
      placeNoise: deviation(taken.map((v, i) => v - smooth[i])),
      planTotal: total,
      takeTotal: taken[held.count - 1] - taken[0],
      widths,
    });
  };
  if (plan.xM && plan.yM && plan.zM && take.xM && take.yM && take.zM) {
    const way = alongPlan(held, [plan.xM, plan.yM, plan.zM], [take.xM, take.yM, withoutBob(held, take.zM)]);
    add('travel', 'travel', 'm', way.plan, way.take, (widthsPerDeg * 57.3) / distanceM);
  }
  for (const id of ['pan', 'tilt', 'roll'] as const) {
    const [a, b] = [plan[`${id}Deg`], take[`${id}Deg`]];
    if (a && b) add(id, id, '°', a, b, id === 'roll' ? widthsPerDeg * 0.3 : widthsPerDeg);
  }
  if (plan.focusM && take.focusM) {
    const dioptres = (column: Float64Array) => column.map((m) => 1 / Math.max(0.05, m));
    add('focus', 'focus', ' dpt', dioptres(plan.focusM), dioptres(take.focusM), 0.2);
  }
  return strokes;
}

type Way = [Float64Array, Float64Array, Float64Array];

/** Progress of both along the plan’s own direction, row by row; at its ends as it began and ended. */
function alongPlan({ count }: Held, plan: Way, take: Way): { plan: Float64Array; take: Float64Array } {
  const direction = new Float64Array(count * 3);
  const steps = Float64Array.from({ length: count }, (_, i) =>
    i === 0 ? 0 : Math.hypot(...plan.map((column) => column[i] - column[i - 1])),
  );
  const least = steps.reduce((a, v) => Math.max(a, v), 0) * 0.02;
  const fill = (i: number, from: number) => {
    for (let k = 0; k < 3; k += 1)
      direction[i * 3 + k] =
        steps[i] > least && least > 0 ? (plan[k][i] - plan[k][i - 1]) / steps[i] : direction[from * 3 + k];
  };
  for (let i = 1; i < count; i += 1) fill(i, i - 1);
  // Rows before it goes have the direction in which it will.
  const began = steps.findIndex((step) => step > least && least > 0);
  for (let i = 0; i < Math.max(0, began); i += 1)
    for (let k = 0; k < 3; k += 1) direction[i * 3 + k] = direction[began * 3 + k];
  const sum = (way: Way) => {
    const out = new Float64Array(count);
    for (let i = 1; i < count; i += 1)
      out[i] = out[i - 1] + way.reduce((all, column, k) => all + (column[i] - column[i - 1]) * direction[i * 3 + k], 0);
    return out;
  };
  return { plan: sum(plan), take: sum(take) };
}

/** The first and the last row in which it goes, at more than a part of its greatest rate (and more than `least`). */
export function going(
  rate: Float64Array,
  from: number,
  to: number,
  part = 0.05,
  least = 0,
): { from: number; to: number } {
  let most = 0;
  for (let i = from; i <= to; i += 1) most = Math.max(most, Math.abs(rate[i]));
  const floor = Math.min(0.5 * most, Math.max(part * most, least));
  let [a, b] = [from, to];
  while (a < to && Math.abs(rate[a]) < floor) a += 1;
  while (b > a && Math.abs(rate[b]) < floor) b -= 1;
  return { from: a, to: b };
}

/** The greatest of a column between two rows, by size. */
export function greatest(column: Float64Array, from: number, to: number): { value: number; row: number } {
  let best = { value: 0, row: from };
  for (let i = Math.max(0, from); i <= Math.min(column.length - 1, to); i += 1)
    if (Math.abs(column[i]) > Math.abs(best.value)) best = { value: column[i], row: i };
  return best;
}

export const rowsIn = ({ rateHz }: Pick<Held, 'rateHz'>, seconds: number): number => Math.round(seconds * rateHz);

/** Steps are judged as bob, not as jerks of the travel: what goes up and down at one beat is taken out. */
function withoutBob(held: Held, zM: Float64Array): Float64Array {
  const { bobM } = held.take;
  if (!bobM) return zM;
  const spectrum = powerSpectrum(bobM, held.rateHz, 6);
  const beat = spectrum && strongest(spectrum, ...BOB_BAND_HZ);
  return beat && beat.share > 0.5 ? zM.map((v, i) => v - bobM[i]) : zM;
}

/** Trembling is judged by itself: the strokes are without it. A whip has such beats in itself and stays as it is. */
function withoutTremor(held: Held, column: Float64Array): Float64Array {
  const { rateHz } = held;
  const most = rateHz / 2.2;
  if (most < TREMOR_BAND_HZ[0] * 1.2) return column;
  const fast = inBand(column, rateHz, TREMOR_BAND_HZ[0], most);
  return column.map((v, i) => v - fast[i]);
}

/** Rows within this of each other have one pace, s. */
const MIDDLE_S = 0.7;

/** How much of a rate, and of its change, is trembling: the middle of what is off a smoother course, as a deviation. */
function noiseOf({ rateHz }: Held, plan: Float64Array, take: Float64Array): Pick<Stroke, 'rateNoise' | 'pushNoise'> {
  const off = take.map((v, i) => v - plan[i]);
  const slow = smoothed(off, Math.max(3, Math.round(MIDDLE_S * rateHz)));
  const rest = off.map((v, i) => v - slow[i]);
  return { rateNoise: deviation(rest), pushNoise: deviation(rateOf(rest, rateHz)) };
}

const deviation = (column: Float64Array): number => 1.4826 * (column.map(Math.abs).sort()[column.length >> 1] ?? 0);
