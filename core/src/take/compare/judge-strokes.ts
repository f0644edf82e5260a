import { trim } from '../../model';
import { type Difference, type Held, planS, rateOf } from './held';
import { going, greatest, rowsIn, type Stroke } from './strokes';

/** What is free before a word is said. Common practice, no published source. */
const FREE = {
  /** Of a rate, a length, an angle: shares of the planned. */
  rate: 0.12,
  total: 0.05,
  /** A brake that is so many times the planned one. */
  bump: 1.7,
  /** Frame widths a second, each second: less of a brake is not seen. */
  push: 0.12,
  /** Frame widths: what goes on past the mark and comes back. */
  overshoot: 0.004,
  /** Unevenness in the middle: standard deviation over the mean. */
  uneven: 0.1,
} as const;

/** Times its own trembling: what is to be told from it. */
const STANDS_OUT = 4;
/** Rows at the ends of a recording whose change is that of its end. */
const EDGE = 4;

const MOVES: Record<Stroke['id'], string> = {
  travel: 'The travel',
  pan: 'The pan',
  tilt: 'The tilt',
  roll: 'The roll',
  focus: 'The focus',
};

/** How one stroke differs from its plan: its length, its rate, its ends, its evenness. */
export function judgeStroke(held: Held, stroke: Stroke): Difference[] {
  return [
    ...totalOf(held, stroke),
    ...rateIn(held, stroke),
    ...endsOf(held, stroke, 'start'),
    ...endsOf(held, stroke, 'stop'),
    ...overshootOf(held, stroke),
    ...evennessOf(held, stroke),
    ...focusEnds(held, stroke),
  ];
}

const per = ({ unit }: Stroke): string => (unit === '°' ? '°/s' : unit === 'm' ? ' m/s' : ' dpt/s');
const said = (value: number, { unit }: Stroke): string =>
  `${trim(value, unit === '°' ? 1 : 2)}${unit === 'm' ? ' m' : unit}`;
const base = (stroke: Stroke, what: string): Pick<Difference, 'id' | 'unit'> => ({
  id: `${stroke.id}-${what}`,
  unit: what === 'rate' ? per(stroke).trim() : stroke.unit.trim(),
});

function totalOf(held: Held, stroke: Stroke): Difference[] {
  const { planTotal, takeTotal } = stroke;
  const off = takeTotal / planTotal - 1;
  const seen = Math.abs(takeTotal - planTotal) * stroke.widths;
  if (Math.abs(off) < FREE.total || seen < 0.01) return [];
  const short = off < 0;
  return [
    {
      ...base(stroke, 'total'),
      reason: stroke.id === 'focus' ? 'focusEnd' : 'frameLost',
      atS: planS(held, held.last),
      planned: planTotal,
      measured: takeTotal,
      sentence: `${MOVES[stroke.id]} went ${said(takeTotal, stroke)} where ${said(planTotal, stroke)} are planned.`,
      mend: short ? 'Put a mark where it ends and go all the way to it.' : 'Put a mark where it ends and stop there.',
      weight: Math.min(8, Math.abs(off) / FREE.total) * Math.min(2, seen / 0.02),
    },
  ];
}

/** Its greatest rate; the pace of the whole take has been taken out of it. */
function rateIn(held: Held, stroke: Stroke): Difference[] {
  const smooth = 0.4;
  const [plan, take] = [stroke.plan, stroke.take].map((column) =>
    greatest(rateOf(column, held.rateHz, smooth), held.first, held.last),
  );
  const off = Math.abs(take.value) / Math.abs(plan.value) - 1;
  if (Math.abs(off) < FREE.rate || Math.abs(Math.abs(take.value) - Math.abs(plan.value)) < 2 * stroke.rateNoise)
    return [];
  const faster = off > 0;
  return [
    {
      ...base(stroke, 'rate'),
      reason: faster ? 'tooFast' : 'tooSlow',
      atS: planS(held, take.row),
      planned: Math.abs(plan.value),
      measured: Math.abs(take.value),
      sentence:
        `${MOVES[stroke.id]} reached ${trim(Math.abs(take.value), 2)}${per(stroke)}${atPlansPace(held)} where ` +
        `${trim(Math.abs(plan.value), 2)} are planned.`,
      mend: faster
        ? 'Hold the middle back: begin earlier rather than go faster.'
        : 'Let it go a little more in the middle.',
      weight: Math.abs(off) / FREE.rate,
    },
  ];
}

/** How hard it begins, or stops: the greatest change of its rate about that moment of the plan, while it was recorded. */
function endsOf(held: Held, stroke: Stroke, end: 'start' | 'stop'): Difference[] {
  const goes = going(stroke.planRate, held.first, held.last, 0.15);
  const [at, around] = [end === 'start' ? goes.from : goes.to, rowsIn(held, AROUND_END_S)];
  const [planned, taken] = [stroke.planRate, stroke.takeRate].map((rate) =>
    greatest(
      rateOf(rate, held.rateHz),
      Math.max(held.recordedFrom + EDGE, at - around),
      Math.min(held.recordedTo - EDGE, at + around),
    ),
  );
  const [planPush, takePush] = [Math.abs(planned.value), Math.abs(taken.value)];
  const free = FREE.bump * planPush + STANDS_OUT * stroke.pushNoise;
  if (takePush < free || (takePush - planPush) * stroke.widths < FREE.push) return [];
  const atS = planS(held, taken.row);
  const { did, mend } = END_WORDS[end];
  return [
    {
      ...base(stroke, end),
      reason: end,
      atS,
      planned: planPush,
      measured: takePush,
      unit: `${per(stroke).trim()}²`,
      sentence:
        `${MOVES[stroke.id]} ${did} at ${trim(atS, 1)} s: ${trim(takePush, 2)}${per(stroke)}²${atPlansPace(held)} where ` +
        `${trim(planPush, 2)} are planned.`,
      mend,
      weight: takePush / free,
    },
  ];
}

const AROUND_END_S = 0.8;
const END_WORDS = {
  start: { did: 'began with a jerk', mend: 'Take up the slack first, then let it grow.' },
  stop: {
    did: 'stopped with a bump',
    mend: 'Begin to ease out earlier, and let the last hand’s breadth take its time.',
  },
} as const;

/** Where the whole take had another pace, rates are said as they are at the plan’s: pace is told by itself. */
const atPlansPace = ({ aligned }: Held): string => (Math.abs(aligned.stretch - 1) < 0.03 ? '' : ' at the plan’s pace');

function overshootOf(held: Held, stroke: Stroke): Difference[] {
  const { last, count } = held;
  const end = stroke.take[count - 1];
  const plan = going(stroke.planRate, held.first, last, 0.15);
  let most = { over: 0, row: last };
  for (let i = plan.to - rowsIn(held, 0.6); i < count; i += 1) {
    const over = stroke.take[i] - end;
    if (over > most.over) most = { over, row: i };
  }
  // What the plan does itself is no overshoot.
  let own = 0;
  for (let i = held.first; i <= last; i += 1) own = Math.max(own, stroke.plan[i] - stroke.planTotal);
  const over = most.over - own;
  if (over * stroke.widths < FREE.overshoot || over < 3 * stroke.placeNoise || over < 0.01 * stroke.planTotal)
    return [];
  return [
    {
      ...base(stroke, 'overshoot'),
      reason: stroke.id === 'focus' ? 'focusEnd' : 'stop',
      atS: planS(held, most.row),
      planned: 0,
      measured: over,
      sentence: `${MOVES[stroke.id]} went ${said(over, stroke)} past its end at ${trim(planS(held, most.row), 1)} s and came back.`,
      mend: 'Arrive slower: what is to stay must be nearly still before the mark.',
      weight: (over * stroke.widths) / FREE.overshoot,
    },
  ];
}

/** How its rate in the middle keeps to the plan’s. */
function evennessOf(held: Held, stroke: Stroke): Difference[] {
  const { first, last } = held;
  const [plan, take] = [rateOf(stroke.plan, held.rateHz, 0.3), rateOf(stroke.take, held.rateHz, 0.3)];
  const most = Math.abs(greatest(plan, first, last).value);
  const shares: number[] = [];
  let worst = { off: 0, row: first };
  for (let i = first; i <= last; i += 1) if (plan[i] > 0.6 * most) shares.push(take[i] / plan[i]);
  if (shares.length < rowsIn(held, 0.6)) return [];
  const middle = shares.reduce((sum, v) => sum + v, 0) / shares.length;
  if (middle < 0.2) return [];
  const spread = shares.reduce((sum, v) => sum + (v - middle) ** 2, 0) / shares.length;
  // What trembles is judged by itself.
  const uneven = Math.sqrt(Math.max(0, spread - ((1.5 * stroke.rateNoise) / most) ** 2)) / middle;
  for (let i = first; i <= last; i += 1) {
    const off = plan[i] > 0.6 * most ? Math.abs(take[i] / plan[i] / middle - 1) : 0;
    if (off > worst.off) worst = { off, row: i };
  }
  if (uneven < FREE.uneven) return [];
  return [
    {
      ...base(stroke, 'evenness'),
      reason: null,
      atS: planS(held, worst.row),
      planned: 0,
      measured: uneven,
      unit: 'share',
      sentence:
        `${MOVES[stroke.id]} was not even: ${trim(uneven * 100, 0)}% up and down about its pace, most at ` +
        `${trim(planS(held, worst.row), 1)} s.`,
      mend: 'Lean the whole body into it, or add a little drag: an even push beats a strong one.',
      weight: uneven / FREE.uneven,
    },
  ];
}

/** Where focus was at both ends and on the way, in dioptres. */
function focusEnds(held: Held, stroke: Stroke): Difference[] {
  if (stroke.id !== 'focus') return [];
  const { focusM } = held.take;
  const planM = held.plan.focusM;
  if (!focusM || !planM) return [];
  const off = (row: number) => 1 / Math.max(0.05, focusM[row]) - 1 / Math.max(0.05, planM[row]);
  const rows: Difference[] = [];
  for (const [row, reason, where] of [
    [held.first, 'focusStart', 'at the start'],
    [held.last, 'focusEnd', 'at the end'],
  ] as const)
    if (Math.abs(off(row)) > 0.06 * stroke.planTotal + 0.01)
      rows.push({
        id: `focus-${reason}`,
        reason,
        atS: planS(held, row),
        planned: planM[row],
        measured: focusM[row],
        unit: 'm',
        sentence: `Focus was at ${trim(focusM[row], 2)} m ${where} where ${trim(planM[row], 2)} m are planned.`,
        mend: 'Put a mark on the ring for both ends.',
        weight: Math.abs(off(row)) / (0.06 * stroke.planTotal + 0.01),
      });
  return rows;
}
