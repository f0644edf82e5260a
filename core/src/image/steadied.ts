import type { Samples } from '../motion';
import { bodyInFrame } from './body-in-frame';
import { widestIn } from './shake';

/**
 * What stabilising afterwards makes of the body's shaking. It follows a softened course of the picture and takes away
 * the rest, as far as the share that was kept back lets it slide: what is slower than it can follow, or larger than the
 * margin, stays; and what smeared while the shutter was open stays smeared.
 */
export interface Steadied {
  /** Peak to peak within a second, frame widths: before and after. */
  before: number;
  left: number;
  leftRow: number;
  /** Motion slower than about twice this stays as it is, s: the softening that leaves least. */
  followsS: number;
  /** How often the margin is reached, as a share of the shot. */
  atMargin: number;
  /** By frequency: what was there and what is left, root mean square, frame widths. */
  bands: { fromHz: number; toHz: number; before: number; left: number }[];
}

/** Softenings that are tried, s: half of a triangular window. */
const WINDOWS_S = [2, 1.4, 1, 0.7, 0.5, 0.35, 0.25, 0.18, 0.12, 0.08, 0.05];
const BANDS = [
  [0, 0.7],
  [0.7, 3],
  [3, 30],
] as const;

/**
 * Stabilises a course by a margin to either side, frame widths: `rateHz` rows a second. Where a correction is larger
 * than the margin it ends there. Of several softenings the one is kept that leaves least going to and fro.
 */
export function steady(
  courses: readonly Float64Array[],
  margins: readonly number[],
  rateHz: number,
): { left: Float64Array[]; followsS: number; atMargin: number } {
  let best = { left: courses.map((course) => course.slice()), followsS: 0, atMargin: 0, restless: Infinity };
  for (const followsS of WINDOWS_S) {
    let over = 0;
    let rows = 0;
    const left = courses.map((course, k) => {
      const smooth = softened(course, followsS * rateHz);
      return course.map((value, i) => {
        const correction = smooth[i] - value;
        rows += 1;
        if (Math.abs(correction) > margins[k]) over += 1;
        return value + Math.min(margins[k], Math.max(-margins[k], correction));
      });
    });
    const restless = left.reduce((sum, course) => sum + restlessness(course), 0);
    if (restless < best.restless) best = { left, followsS, atMargin: rows > 0 ? over / rows : 0, restless };
  }
  return best;
}

/** How much a course goes to and fro: the sum of its squared steps. */
function restlessness(course: Float64Array): number {
  let sum = 0;
  for (let i = 1; i < course.length; i += 1) {
    const step = course[i] - course[i - 1];
    if (!Number.isNaN(step)) sum += step * step;
  }
  return sum;
}

/**
 * The course under a triangular window of so many rows to either side: two level windows after each other, each a running
 * sum, so that long shots cost no more than their rows. Beyond its ends it stays as it ended; gaps are bridged.
 */
function softened(course: Float64Array, half: number): Float64Array {
  const reach = Math.max(1, Math.round(half));
  return levelled(levelled(course, 0, reach), -reach, 0);
}

/** The mean of what there is from so many rows before each row to so many after it. */
function levelled(course: Float64Array, from: number, to: number): Float64Array {
  const last = course.length - 1;
  const at = (i: number) => course[Math.min(last, Math.max(0, i))];
  let [sum, count] = [0, 0];
  const take = (value: number, sign: 1 | -1) => {
    if (Number.isNaN(value)) return;
    sum += sign * value;
    count += sign;
  };
  for (let i = from; i <= to; i += 1) take(at(i), 1);
  return course.map((_, i) => {
    if (i > 0) {
      take(at(i + to), 1);
      take(at(i + from - 1), -1);
    }
    return count > 0 ? sum / count : NaN;
  });
}

/** What stabilising a shot by a share of its width leaves of the body's shaking; null where nothing shakes. */
export function steadied(samples: Samples, depthM: Float64Array, share: number): Steadied | null {
  const { across, up } = bodyInFrame(samples, depthM);
  const { frameRateHz, frameWidthMm, frameHeightMm } = samples;
  // What was kept back lies on both sides; a picture that is cropped shows it in its own, narrower, widths.
  const margin = share / (2 * (1 - share));
  const { left, followsS, atMargin } = steady(
    [across, up],
    [margin, (margin * frameHeightMm) / frameWidthMm],
    frameRateHz,
  );
  const [before, after] = [widestIn([across, up], frameRateHz), widestIn(left, frameRateHz)];
  if (!before || !after || before.value < 1e-5) return null;
  return {
    before: before.value,
    left: after.value,
    leftRow: after.row,
    followsS,
    atMargin,
    bands: BANDS.map(([fromHz, toHz]) => ({
      fromHz,
      toHz,
      before: Math.hypot(...[across, up].map((course) => within(course, fromHz, toHz, frameRateHz))),
      left: Math.hypot(...left.map((course) => within(course, fromHz, toHz, frameRateHz))),
    })),
  };
}

/** Root mean square of what of a course lies between two frequencies: the difference of two softenings. */
function within(course: Float64Array, fromHz: number, toHz: number, rateHz: number): number {
  const low = (hz: number) => (hz <= 0 ? null : softened(course, rateHz / (2 * hz)));
  const fine = toHz * 2 >= rateHz ? course : (low(toHz) ?? course);
  const coarse = low(fromHz) ?? new Float64Array(course.length).fill(mean(course));
  let [sum, count] = [0, 0];
  for (let i = 0; i < course.length; i += 1) {
    const value = fine[i] - coarse[i];
    if (Number.isNaN(value)) continue;
    sum += value * value;
    count += 1;
  }
  return count > 0 ? Math.sqrt(sum / count) : 0;
}

function mean(course: Float64Array): number {
  const seen = course.filter((value) => !Number.isNaN(value));
  return seen.length > 0 ? seen.reduce((sum, value) => sum + value, 0) / seen.length : 0;
}
