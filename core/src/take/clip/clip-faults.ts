import { trim } from '../../model';
import type { Alignment } from '../recorded/align';

/** One way in which a clip differs from what the plan foretells. */
export interface ClipDifference {
  id: string;
  sentence: string;
  mend: string;
  /** Times what would not be seen. */
  weight: number;
}

/** Common practice, no published source. */
const FREE = {
  pace: 0.06,
  speed: 0.1,
  layers: 0.15,
  growth: 0.15,
  jerk: 1.8,
  shakeWidths: 0.002,
  fastWidths: 0.5,
} as const;
export const KEYS = ['rightwards', 'upwards', 'turnDegps', 'growthPerS'] as const;
export type Key = (typeof KEYS)[number];
/** Frame widths at the edge of the picture that one unit of each moves. */
export const SCALES: Record<Key, number> = {
  rightwards: 1,
  upwards: 1,
  turnDegps: (0.3 * Math.PI) / 180,
  growthPerS: 0.3,
};
const LEAST_SPEED = 0.003;
/** … and growing that moves the picture by less, a share a second. */
export const LEAST_GROWTH = LEAST_SPEED / SCALES.growthPerS;

/** A rate summed over time. */
export function course(rates: Float64Array, tS: Float64Array): Float64Array {
  const out = new Float64Array(rates.length);
  for (let i = 1; i < rates.length; i += 1)
    out[i] = out[i - 1] + (((rates[i] || 0) + (rates[i - 1] || 0)) / 2) * (tS[i] - tS[i - 1]);
  return out;
}

export function paceOf({ stretch, by }: Alignment, lastS: number): ClipDifference[] {
  if (by !== 'motion' || Math.abs(stretch - 1) < FREE.pace) return [];
  const slower = stretch > 1;
  const share = slower ? stretch - 1 : 1 / stretch - 1;
  return [
    {
      id: 'pace',
      sentence:
        `The move takes ${trim(lastS * stretch, 1)} s on screen where ${trim(lastS, 1)} s are planned: the hand was ` +
        `${trim(share * 100, 0)}% ${slower ? 'slower' : 'faster'}.`,
      mend: slower ? 'Count at the planned beat.' : 'Count aloud, slower.',
      weight: Math.abs(Math.log(stretch)) / FREE.pace,
    },
  ];
}

/** In fewer of the rows, a share, is too little seen to tell of the rest. */
const LEAST_SEEN = 0.1;

/**
 * How many times the foretold motion was seen: the slope of one over the other. Null where less than `least` is foretold,
 * root mean square, or too little of it was seen.
 */
export function slope(plan: Float64Array, seen: Float64Array, least = LEAST_SPEED): number | null {
  let [product, square, count] = [0, 0, 0];
  for (let i = 0; i < plan.length; i += 1) {
    if (Number.isNaN(plan[i]) || Number.isNaN(seen[i])) continue;
    product += plan[i] * seen[i];
    square += plan[i] ** 2;
    count += 1;
  }
  return count > Math.max(4, LEAST_SEEN * plan.length) && square / count > least ** 2 ? product / square : null;
}

export function speedOf(plan: Record<Key, Float64Array>, seen: Record<Key, Float64Array>): ClipDifference[] {
  const both = (of: Record<Key, Float64Array>) => Float64Array.from([...of.rightwards, ...of.upwards]);
  const times = slope(both(plan), both(seen));
  const grows = slope(plan.growthPerS, seen.growthPerS, LEAST_GROWTH);
  const rows: ClipDifference[] = [];
  if (times !== null && Math.abs(times - 1) > FREE.speed)
    rows.push({
      id: 'speed',
      sentence:
        `The picture moves ${trim(Math.abs(times - 1) * 100, 0)}% ${times > 1 ? 'faster' : 'slower'} across the frame ` +
        'than foretold, at the same pace of the move.',
      mend:
        times > 1
          ? 'Was the focal length longer than planned, or the camera nearer? Either does this.'
          : 'Was the focal length shorter than planned, or the camera farther away? Either does this.',
      weight: Math.abs(Math.log(Math.max(0.05, times))) / FREE.speed,
    });
  if (grows !== null && Math.abs(grows - 1) > FREE.growth)
    rows.push({
      id: 'growth',
      sentence: `It ${grows > 1 ? 'grows' : 'changes size'} ${trim(grows, 2)} times as fast as foretold.`,
      mend:
        grows > 1
          ? 'The way in was longer, or began nearer, than planned.'
          : 'The way was shorter, or farther off, than planned.',
      weight: Math.abs(grows - 1) / FREE.growth,
    });
  return rows;
}

/** Whether near and far things part as foretold: a wrong lens scales both alike, a wrong distance does not. */
export function layersApart(
  near: Float64Array,
  far: Float64Array,
  seenNear: Float64Array,
  seenFar: Float64Array,
): ClipDifference[] {
  const [n, f] = [slope(near, seenNear), slope(far, seenFar)];
  if (n === null || f === null || f <= 0.05 || n <= 0.05 || Math.abs(n / f - 1) < FREE.layers) return [];
  return [
    {
      id: 'layers',
      sentence:
        `Near things go ${trim(n, 2)} times as fast as foretold and far ones ${trim(f, 2)} times: ` +
        `${n > f ? 'more' : 'less'} depth than planned.`,
      mend:
        n > f
          ? 'The camera was closer to what is near than planned.'
          : 'The camera was farther from what is near than planned.',
      weight: Math.abs(n / f - 1) / FREE.layers,
    },
  ];
}

/** How hard it begins and stops; rows begin at `fromS`. */
export function endsOf(plan: Float64Array, seen: Float64Array, rateHz: number, fromS: number): ClipDifference[] {
  const push = (speed: Float64Array, from: number, to: number) => {
    const rows = Math.max(1, Math.round(0.1 * rateHz));
    let most = { value: 0, row: from };
    for (let i = Math.max(rows, from); i < Math.min(speed.length - rows, to); i += 1) {
      const value = (Math.abs(speed[i + rows] - speed[i - rows]) * rateHz) / (2 * rows);
      if (value > most.value) most = { value, row: i };
    }
    return most;
  };
  const third = Math.floor(plan.length / 3);
  const rows: ClipDifference[] = [];
  for (const [id, from, to, words, mend] of [
    ['start', 0, third, 'starts with a jerk', 'Take up the slack first, then let it grow.'],
    ['stop', plan.length - third, plan.length, 'stops with a bump', 'Ease out earlier, from the warning mark on.'],
  ] as const) {
    const [planned, found] = [push(plan, from, to), push(seen, from, to)];
    const free = FREE.jerk * planned.value + 0.08;
    if (found.value > free)
      rows.push({
        id,
        sentence:
          `It ${words} at ${trim(fromS + found.row / rateHz, 1)} s: ${trim(found.value * 100, 0)}% of the width a second, each ` +
          `second, where ${trim(planned.value * 100, 0)} are foretold.`,
        mend,
        weight: found.value / free,
      });
  }
  return rows;
}

/**
 * To and fro that is not foretold, within a second; where the plan itself goes by fast nobody sees it, and a whip that
 * comes a little late is none.
 */
export function shakeOf(
  plan: Record<Key, Float64Array>,
  seen: Record<Key, Float64Array>,
  rateHz: number,
): ClipDifference[] {
  const rows = Math.max(3, Math.round(rateHz));
  const restless = (key: Key) => {
    const tS = Float64Array.from(plan[key], (_, i) => i / rateHz);
    const path = course(
      seen[key].map((v, i) => v - plan[key][i]),
      tS,
    );
    let most = 0;
    for (let i = 0; i + rows < path.length; i += rows >> 1) {
      const fast = (v: number) => !(Math.abs(v * SCALES[key]) < FREE.fastWidths);
      if (plan[key].subarray(i, i + rows).some(fast) || seen[key].subarray(i, i + rows).some(Number.isNaN)) continue;
      const part = path.subarray(i, i + rows);
      const line = (part[rows - 1] - part[0]) / (rows - 1);
      const off = part.map((v, k) => v - part[0] - line * k);
      most = Math.max(most, off.reduce((a, v) => Math.max(a, v), -9) - off.reduce((a, v) => Math.min(a, v), 9));
    }
    return most;
  };
  const widths = Math.max(restless('rightwards'), restless('upwards'));
  if (widths < FREE.shakeWidths * 3) return [];
  return [
    {
      id: 'shake',
      sentence: `It goes to and fro by ${trim(widths * 100, 1)}% of the width within a second, which no plan asks for.`,
      mend: `Stabilising it takes ${trim(widths * 50, 1)}% of the width on every side; steadier hands take none.`,
      weight: widths / (FREE.shakeWidths * 3),
    },
  ];
}
