import { trim } from '../../model';
import { turnedFromPlan, turnedIn } from './beside-plan';
import type { Difference, Held } from './held';
import { smoothed } from '../../motion';
import { ON_FOOT } from '../../rehearse';
import { planS, rateOf } from './held';
import { mean } from './mean';
import { bandRms, powerSpectrum, strongest } from '../recorded/spectrum';
import { BOB_BAND_HZ, type Taken, TREMOR_BAND_HZ, tremorOfAngles } from '../recorded/taken';

/** Common practice, no published source. */
const FREE = {
  levelDeg: 0.7,
  tiltDeg: 1.2,
  /** Frame widths, root mean square: trembling that shows. */
  tremorWidths: 0.0012,
  /** Frame widths at the subject, peak to peak. */
  bobWidths: 0.006,
  /** Off the planned way, as a share of the distance to the subject. */
  wayShare: 0.04,
} as const;

/** What is not of one stroke: level, tilt, the way itself, steps and bob, trembling. */
export const judgeSteadiness = (held: Held): Difference[] => [
  ...levelOf(held),
  ...tiltOf(held),
  ...wayOf(held),
  ...bobOf(held),
  ...tremorOf(held),
];

function levelOf(held: Held): Difference[] {
  const { first, last } = held;
  const [plan, take] = [held.plan.rollDeg, held.take.rollDeg];
  if (!plan || !take) return [];
  // Steps and trembling lean to and fro by themselves.
  const off = smoothed(
    take.subarray(first, last + 1).map((v, i) => v - plan[first + i]),
    Math.max(3, Math.round(held.rateHz)),
  );
  const middle = mean(off);
  const rest = Math.sqrt(mean(off.map((v) => (v - middle) ** 2)));
  let worst = 0;
  for (let i = 0; i < off.length; i += 1) if (Math.abs(off[i]) > Math.abs(off[worst])) worst = i;
  if (Math.abs(middle) < FREE.levelDeg && rest < FREE.levelDeg) return [];
  const leans = Math.abs(middle) >= rest;
  return [
    {
      id: 'level',
      reason: 'level',
      atS: leans ? null : planS(held, first + worst),
      planned: 0,
      measured: leans ? middle : off[worst],
      unit: '°',
      sentence: leans
        ? `It leaned ${trim(Math.abs(middle), 1)}° to the ${middle > 0 ? 'right' : 'left'} all the way.`
        : `It went ${trim(Math.abs(off[worst]), 1)}° off level at ${trim(worst / held.rateHz, 1)} s.`,
      mend: leans
        ? 'Level it again, with a bubble, where it starts and where it ends.'
        : 'Look at the horizon where it turns.',
      weight: Math.max(Math.abs(middle), rest) / FREE.levelDeg,
    },
  ];
}

function tiltOf(held: Held): Difference[] {
  const [plan, take] = [held.plan.tiltDeg, held.take.tiltDeg];
  if (!plan || !take) return [];
  const off = mean(take.subarray(held.first, held.last + 1)) - mean(plan.subarray(held.first, held.last + 1));
  if (Math.abs(off) < FREE.tiltDeg || Math.abs(off) * held.widthsPerDeg < 0.02) return [];
  return [
    {
      id: 'tilt-offset',
      reason: 'frameLost',
      atS: null,
      planned: 0,
      measured: off,
      unit: '°',
      sentence: `It looked ${trim(Math.abs(off), 1)}° too ${off > 0 ? 'high' : 'low'} all the way.`,
      mend: 'Frame both ends before the take.',
      weight: Math.abs(off) / FREE.tiltDeg,
    },
  ];
}

function wayOf(held: Held): Difference[] {
  const { plan, take, distanceM } = held;
  // What was not recorded is taken as planned: it says nothing of the way.
  const { cut } = held.aligned;
  const first = cut.start ? Math.max(held.first, held.recordedFrom) : held.first;
  const last = cut.end ? Math.min(held.last, held.recordedTo) : held.last;
  if (last <= first || !plan.xM || !plan.yM || !plan.zM || !take.xM || !take.yM || !take.zM) return [];
  let worst = { off: 0, row: first };
  let sum = 0;
  for (let i = first; i <= last; i += 1) {
    const off = nearest(held, i);
    sum += off;
    if (off > worst.off) worst = { off, row: i };
  }
  const usual = sum / (last - first + 1);
  if (worst.off < FREE.wayShare * distanceM || worst.off < 0.02) return [];
  const all = usual > worst.off * 0.7;
  return [
    {
      id: 'way',
      reason: 'frameLost',
      atS: all ? null : planS(held, worst.row),
      planned: 0,
      measured: worst.off,
      unit: 'm',
      sentence: all
        ? `Its way lay ${trim(usual, 2)} m beside the planned one.`
        : `Its way was ${trim(worst.off, 2)} m off the planned one at ${trim(planS(held, worst.row), 1)} s.`,
      mend: all ? 'Measure its start again from a thing that stands.' : 'Lay a tape or a cable where it goes.',
      weight: worst.off / (FREE.wayShare * distanceM),
    },
  ];
}

/** How long a take may be early or late and still be on its way, s. */
const NEAR_S = 2;

/** From a place of the take to the way of the plan, m: what is early or late is not off its way. */
function nearest({ plan, take, rateHz, aligned }: Held, row: number): number {
  const [x, y, z] = [take.xM?.[row] ?? 0, take.yM?.[row] ?? 0, take.zM?.[row] ?? 0];
  const { xM, yM, zM } = plan;
  if (!xM || !yM || !zM) return 0;
  // Of an even move that was recorded from its middle to its middle nobody knows when it was where.
  const { cut } = aligned;
  const around = cut.start && cut.end ? xM.length : Math.max(2, Math.round(NEAR_S * rateHz));
  let least = Infinity;
  for (let i = Math.max(0, row - around); i < Math.min(xM.length - 1, row + around); i += 1) {
    const [dx, dy, dz] = [xM[i + 1] - xM[i], yM[i + 1] - yM[i], zM[i + 1] - zM[i]];
    const square = dx * dx + dy * dy + dz * dz;
    const part = square > 0 ? ((x - xM[i]) * dx + (y - yM[i]) * dy + (z - zM[i]) * dz) / square : 0;
    const share = Math.min(1, Math.max(0, part));
    least = Math.min(least, Math.hypot(x - xM[i] - share * dx, y - yM[i] - share * dy, z - zM[i] - share * dz));
  }
  return least;
}

function bobOf(held: Held): Difference[] {
  const { first, last, widthsPerDeg, distanceM } = held;
  const [plan, take] = [held.plan.bobM, held.take.bobM];
  if (!plan || !take) return [];
  const peakMm = (column: Float64Array) =>
    Math.sqrt(mean(column.subarray(first, last + 1).map((v) => v * v))) * 2 * Math.SQRT2 * 1000;
  const [planned, measured] = [peakMm(plan), peakMm(take)];
  const widths = ((measured - planned) / 1000 / distanceM) * widthsPerDeg * 57.3;
  if (widths < FREE.bobWidths || measured < 1.25 * planned) return [];
  const spectrum = powerSpectrum(take.subarray(first, last + 1), held.rateHz, 6);
  const beat = spectrum ? strongest(spectrum, ...BOB_BAND_HZ) : null;
  const walked = ON_FOOT.has(held.film.scene.rig.kind);
  const beats = beat && beat.share > 0.5 ? beatWords(trim(beat.hz, 1), walked) : '';
  return [
    {
      id: 'bob',
      reason: 'bob',
      atS: null,
      planned,
      measured,
      unit: 'mm',
      sentence: `It bobbed ${trim(measured, 0)} mm up and down${beats} where ${trim(planned, 0)} mm are reckoned with.`,
      mend: walked
        ? 'Bend the knees more, roll from heel to toe, and shorten the steps.'
        : 'Look for what swings or sags: joints, belt, ropes, the ground under it.',
      weight: Math.min(6, widths / FREE.bobWidths),
    },
  ];
}

const beatWords = (hz: string, walked: boolean): string =>
  walked
    ? ` at ${hz === '1' ? 'one step' : `${hz} steps`} a second`
    : hz === '1'
      ? ', once a second,'
      : `, ${hz} times a second,`;

function tremorOf(held: Held): Difference[] {
  const { film, widthsPerDeg } = held;
  const measured = tremorBesidePlan(held);
  if (!measured) return [];
  const { body, captureRateHz } = film.filmed;
  const planned = Math.hypot(
    ...[body.panDeg, body.tiltDeg, body.rollDeg].map((column) => {
      const spectrum = powerSpectrum(column, captureRateHz, 2);
      return spectrum ? bandRms(spectrum, ...TREMOR_BAND_HZ) : 0;
    }),
  );
  const { deg, hz } = measured;
  const widths = (deg - planned) * widthsPerDeg;
  if (widths < FREE.tremorWidths || deg < 1.3 * planned) return [];
  return [
    {
      id: 'tremor',
      reason: null,
      atS: null,
      planned,
      measured: deg,
      unit: '°',
      sentence:
        `It trembled by ${trim(deg, 2)}°, mostly ${trim(hz, 1)} times a second, where ${trim(planned, 2)}° are reckoned ` +
        'with.',
      mend: 'Elbows in, both hands, and put it down between takes.',
      weight: Math.min(6, widths / FREE.tremorWidths),
    },
  ];
}

const WHIP_DEGPS = 30;

/** Trembling of what was recorded beside the plan; of the recording alone where its rows are too few a second. */
export function tremorBesidePlan(held: Held): Taken['tremor'] {
  const { plan, take, taken, rateHz } = held;
  if (taken.rateHz < 15 || rateHz < 15) return taken.tremor;
  const ANGLES = ['panDeg', 'tiltDeg', 'rollDeg'] as const;
  const [planTurned, takeTurned] = [turnedIn(plan), turnedIn(take)];
  const apart =
    planTurned && takeTurned
      ? turnedFromPlan(planTurned, takeTurned)
      : ANGLES.flatMap((key) => {
          const [a, b] = [plan[key], take[key]];
          return a && b ? [b.map((v, i) => v - a[i])] : [];
        });
  // In a whip the least delay would look like trembling.
  const rates = ANGLES.flatMap((key) => (plan[key] && take[key] ? [rateOf(plan[key], rateHz, 0.4)] : []));
  const columns = apart.map((column) =>
    column.map((v, i) => (rates.some((rate) => Math.abs(rate[i]) > WHIP_DEGPS) ? 0 : v)),
  );
  return columns.length === 0 ? taken.tremor : tremorOfAngles(columns, rateHz);
}
