import { type Middle, middleWithInterval } from '../day';
import { type Gait, type Rig, sayCount } from '../model';
import { type Comparison } from './compare/compare';
import { mean } from './compare/mean';
import { tremorBesidePlan } from './compare/judge-steadiness';
import { inBand, powerSpectrum, strongest } from './recorded/spectrum';
import { BOB_BAND_HZ } from './recorded/taken';

/** What one recording says of the body under the camera, through a rig that lets only so much of it pass. */
export interface HandFigures {
  at: string;
  stepRateHz: number | null;
  bobMm: number | null;
  swayMm: number | null;
  leanDeg: number | null;
  shakeDeg: number | null;
  speedMps: number;
}

/** A rig that lets less than this pass says nothing of who carries it. */
const LEAST_SHARE = 0.02;
/** A body moves by more than this, or it was carried by something else, mm. */
const LEAST_BOB_MM = 1;
const PEAKS = 2 * Math.SQRT2;

/** Bob, sway, lean, steps and trembling of whoever had the rig, as they are before the rig takes its share. */
export function handFigures({ held }: Comparison, rig: Rig, at: string): HandFigures {
  const { take, plan, first, last, rateHz, aligned } = held;
  const part = (column: Float64Array) => column.subarray(first, last + 1);
  const rms = (column: Float64Array) => Math.sqrt(mean(part(column).map((v) => v * v)));
  const passes = rig.bobShare >= LEAST_SHARE;
  const bobMm = take.bobM && passes ? (rms(take.bobM) * PEAKS * 1000) / rig.bobShare : null;
  const spectrum = take.bobM && powerSpectrum(part(take.bobM), rateHz, 6);
  const beat = spectrum && strongest(spectrum, ...BOB_BAND_HZ);
  const stepRateHz = beat && beat.share > 0.5 && (bobMm ?? 0) > LEAST_BOB_MM ? beat.hz / aligned.stretch : null;
  const swayMm = take.swayM && passes ? (rms(take.swayM) * PEAKS * 1000) / rig.bobShare : null;
  const shakes = rig.shakeShare >= LEAST_SHARE;
  const tremor = tremorBesidePlan(held);
  const leans = take.rollDeg && plan.rollDeg && stepRateHz !== null && shakes;
  const off = leans
    ? part(take.rollDeg as Float64Array).map((v, i) => v - (plan.rollDeg as Float64Array)[first + i])
    : null;
  const leanDeg =
    off && stepRateHz !== null
      ? (Math.sqrt(mean(inBand(off, rateHz, 0.3 * stepRateHz, 0.7 * stepRateHz).map((v) => v * v))) * PEAKS) /
        rig.shakeShare
      : null;
  return {
    at,
    stepRateHz,
    bobMm,
    swayMm,
    leanDeg,
    // All axes together, as one of three.
    shakeDeg: tremor && shakes ? tremor.deg / Math.sqrt(3) / TREMOR_SHARE / rig.shakeShare : null,
    speedMps: speedOf(held),
  };
}

/** What of a hand’s motion is trembling; the rest is slow sway. As in `motion/body.ts`: common practice, no published source. */
const TREMOR_SHARE = 0.25 / Math.hypot(0.9, 0.25);

function speedOf({ plan, take, first, last, rateHz, aligned }: Comparison['held']): number {
  const [x, y] = [take.xM ?? plan.xM, take.yM ?? plan.yM];
  if (!x || !y) return 0;
  let way = 0;
  const every = Math.max(1, Math.round(rateHz / 2));
  for (let i = first; i + every <= last; i += every) way += Math.hypot(x[i + every] - x[i], y[i + every] - y[i]);
  return way / Math.max(0.1, ((last - first) / rateHz) * aligned.stretch);
}

/** Figures of one person over several recordings: the middle of each and how sure. */
export interface MyHands {
  recordings: number;
  stepRateHz: Middle | null;
  bobMm: Middle | null;
  swayMm: Middle | null;
  leanDeg: Middle | null;
  shakeDeg: Middle | null;
  speedMps: Middle | null;
}

export function myHands(figures: readonly HandFigures[]): MyHands {
  const of = (key: Exclude<keyof HandFigures, 'at'>) =>
    middleWithInterval(figures.flatMap((row) => (row[key] === null || !Number.isFinite(row[key]) ? [] : [row[key]])));
  return {
    recordings: figures.length,
    stepRateHz: of('stepRateHz'),
    bobMm: of('bobMm'),
    swayMm: of('swayMm'),
    leanDeg: of('leanDeg'),
    shakeDeg: of('shakeDeg'),
    speedMps: of('speedMps'),
  };
}

/** A gait of the kit from what was measured; what was not is as in another gait. */
export function ownGait(hands: MyHands, like: Gait, id: string, who: string): Gait {
  const within = (value: number | undefined, least: number, most: number, digits: number, usual: number) =>
    value === undefined ? usual : Number(Math.min(most, Math.max(least, value)).toFixed(digits));
  return {
    ...like,
    id,
    name: `${who || 'my hands'}, measured`.slice(0, 60),
    stepRateHz: within(hands.stepRateHz?.middle, 0.1, 60, 2, like.stepRateHz),
    bobMm: within(hands.bobMm?.middle, 0, 500, 0, like.bobMm),
    swayMm: within(hands.swayMm?.middle, 0, 500, 0, like.swayMm),
    leanDeg: within(hands.leanDeg?.middle, 0, 45, 1, like.leanDeg),
    shakeDeg: within(hands.shakeDeg?.middle, 0, 20, 2, like.shakeDeg),
    usualMps: within(hands.speedMps?.middle, 0, 30, 1, like.usualMps),
  };
}

/** What a person can rely on, in a sentence. */
export const sureWords = ({ count, low, high, sure }: Middle, say: (value: number) => string): string =>
  count < 3
    ? `of ${sayCount(count, 'recording')}: a first guess`
    : `${say(low)} to ${say(high)}, ${Math.round(sure * 100)}% sure of ${sayCount(count, 'recording')}`;
