import { bandRms, powerSpectrum, strongest } from '../recorded/spectrum';
import type { ClipFrame } from './clip-reader';

/** What a clip comes to as a whole. Speeds in frame widths a second, of the picture’s content. */
export interface ClipSummary {
  durationS: number;
  frames: number;
  frameRateHz: number;
  /** The fastest it goes (over a fifth of a second), and when. */
  peak: { speed: number; tS: number };
  /** The middle speed while it goes. */
  pace: number;
  /** When it begins to go and when it rests again, s; null: it never goes, or never stops. */
  startsS: number | null;
  stopsS: number | null;
  /** Standard deviation over the mean of the speed while it goes. */
  unevenness: number | null;
  /** Seconds that content takes across the picture at its fastest; null: it stands. */
  crossingS: number | null;
  /** Root mean square of its to and fro, frame widths, by how often a second. */
  shake: { fromHz: number; toHz: number; widths: number }[];
  beatHz: number | null;
  /** What stabilising would take: of the width on every side, and the pixels that are left of it. */
  steadying: { cropShare: number; widthLeftPx: number };
  turnDeg: number;
  growth: number;
  darkFrames: number[];
  flashFrames: number[];
  repeatedFrames: number[];
  /** Frames nothing could be followed in. */
  lostFrames: number[];
  /** Frames much softer than the rest. */
  softFrames: number[];
  /** Of brightness, first to last second, stops. */
  brightnessDriftStops: number;
  notes: string[];
}

const SHAKE_BANDS = [
  [0.8, 4],
  [4, 12],
] as const;
/** Slower than this it stands, frame widths a second. */
const STANDS = 0.004;
/** To and fro by less has no beat, frame widths. */
const LEAST_BEAT = 1e-4;
const DARK = 0.05;
const FLASH_STOPS = 0.5;
const SOFT_SHARE = 0.55;
/** The course that stabilising keeps is smoothed over this, s. */
const KEPT_S = 1;

export function clipSummary(frames: readonly ClipFrame[], frameRateHz: number, widthPx: number): ClipSummary {
  const durationS = frames[frames.length - 1].tS - frames[0].tS + 1 / frameRateHz;
  const speeds = smooth(
    frames.map(({ rightwards, upwards }) => Math.hypot(rightwards, upwards)),
    Math.max(1, Math.round(frameRateHz / 5)),
  );
  const most = speeds.reduce((best, speed, i) => (speed > speeds[best] ? i : best), 0);
  const floor = Math.max(STANDS, 0.15 * speeds[most]);
  const first = speeds.findIndex((speed) => speed > floor);
  const last = speeds.findLastIndex((speed) => speed > floor);
  const goes = first >= 0 ? speeds.slice(first, last + 1).filter((speed) => speed > floor) : [];
  const pace = goes.length > 0 ? [...goes].sort((a, b) => a - b)[goes.length >> 1] : 0;
  const course = [frames.map(({ rightwards }) => rightwards), frames.map(({ upwards }) => upwards)].map((rates) =>
    integrated(rates, frameRateHz),
  );
  const rest = course.map((path) => {
    const kept = smooth(path, Math.max(3, Math.round(KEPT_S * frameRateHz)));
    return Float64Array.from(path, (value, i) => value - kept[i]);
  });
  const spectra = rest.map((path) => powerSpectrum(path, frameRateHz, 4));
  // Of across and up, that which goes to and fro more.
  const restless = spectra.reduce((a, b) => (b && bandRms(b, 0.8, 12) > (a ? bandRms(a, 0.8, 12) : 0) ? b : a), null);
  const beat = restless && bandRms(restless, 0.8, 12) > LEAST_BEAT ? strongest(restless, 0.8, 12) : null;
  const cropShare = Math.max(...rest.map((path) => path.reduce((a, v) => Math.max(a, Math.abs(v)), 0)));
  const where = (test: (frame: ClipFrame, i: number) => boolean) =>
    frames.flatMap((frame, i) => (test(frame, i) ? [i] : []));
  const lostFrames = where(({ followed }) => followed === 0);
  const darkFrames = where(({ brightness }) => brightness < DARK);
  const usualDetail = [...frames.map(({ detail }) => detail)].sort((a, b) => a - b)[frames.length >> 1];
  return {
    durationS,
    frames: frames.length,
    frameRateHz,
    peak: { speed: speeds[most], tS: frames[most].tS },
    pace,
    startsS: first > 0 ? frames[first].tS : null,
    stopsS: last >= 0 && last < frames.length - 1 ? frames[last].tS : null,
    unevenness: goes.length > 5 ? deviation(middlePart(goes)) / mean(middlePart(goes)) : null,
    crossingS: speeds[most] > STANDS ? 1 / speeds[most] : null,
    shake: SHAKE_BANDS.map(([fromHz, toHz]) => ({
      fromHz,
      toHz,
      widths: Math.hypot(...spectra.map((spectrum) => (spectrum ? bandRms(spectrum, fromHz, toHz) : 0))),
    })),
    beatHz: beat && beat.share > 0.5 ? beat.hz : null,
    steadying: { cropShare, widthLeftPx: Math.round(widthPx * Math.max(0, 1 - 2 * cropShare)) },
    turnDeg: total(
      frames.map(({ turnDegps }) => turnDegps),
      frameRateHz,
    ),
    growth: Math.exp(
      total(
        frames.map(({ growthPerS }) => growthPerS),
        frameRateHz,
      ),
    ),
    darkFrames,
    flashFrames: where((frame, i) => {
      const [a, b] = [frames[i - 1]?.brightness, frames[i + 1]?.brightness];
      const stops = (other: number | undefined) =>
        other === undefined ? 0 : Math.log2((frame.brightness + 0.02) / (other + 0.02));
      return stops(a) > FLASH_STOPS && stops(b) > FLASH_STOPS;
    }),
    repeatedFrames: where(({ repeated }) => repeated),
    lostFrames,
    softFrames: where(({ detail, brightness }) => detail < SOFT_SHARE * usualDetail && brightness >= DARK),
    brightnessDriftStops: driftStops(frames, frameRateHz),
    notes: notesOf(frames.length, lostFrames.length, darkFrames.length),
  };
}

function notesOf(count: number, lost: number, dark: number): string[] {
  if (dark === count) return ['The whole clip is black: nothing can be said of its motion.'];
  if (lost === count) return ['Nothing in the clip could be followed: it is too even, too dark or too soft.'];
  if (lost > 0) return [`In ${lost} of ${count} frames nothing could be followed; motion there is taken for none.`];
  return [];
}

const mean = (values: readonly number[]): number => values.reduce((sum, v) => sum + v, 0) / Math.max(1, values.length);
const deviation = (values: readonly number[]): number => {
  const middle = mean(values);
  return Math.sqrt(mean(values.map((v) => (v - middle) ** 2)));
};
/** Without its first and last fifth: how it starts and stops is no unevenness. */
const middlePart = (values: readonly number[]): number[] => {
  const fifth = Math.floor(values.length / 5);
  return values.slice(fifth, values.length - fifth);
};
const total = (rates: readonly number[], rateHz: number): number => rates.reduce((sum, v) => sum + v, 0) / rateHz;

function integrated(rates: readonly number[], rateHz: number): number[] {
  let sum = 0;
  return rates.map((rate, i) => (sum += i === 0 ? 0 : (rate + rates[i - 1]) / 2 / rateHz));
}

/** Mean over the rows about each, as many as there are at the ends to either side alike. */
function smooth(column: readonly number[], rows: number): number[] {
  const sums = [0];
  for (const value of column) sums.push(sums[sums.length - 1] + value);
  return column.map((_, i) => {
    const half = Math.min(rows >> 1, i, column.length - 1 - i);
    return (sums[i + half + 1] - sums[i - half]) / (2 * half + 1);
  });
}

function driftStops(frames: readonly ClipFrame[], rateHz: number): number {
  const rows = Math.max(1, Math.min(frames.length, Math.round(rateHz)));
  const light = (part: readonly ClipFrame[]) => mean(part.map(({ brightness }) => brightness)) + 0.002;
  return Math.log2(light(frames.slice(-rows)) / light(frames.slice(0, rows)));
}
