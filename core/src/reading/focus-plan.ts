import { type Puller, PULLERS } from '../model';
import type { Film, Samples } from '../motion';
import { fastestPull, pullBy, type FocusPull } from '../image';
import { focusMarks, type FocusMark } from './focus-marks';
import { blurDiscMm, depthOfField, hyperfocalM, lowestBetween } from '../optics';

/** Focus over a shot, one value a row; distances in metres along the line to the thing. */
export interface FocusPlan {
  screenS: Float64Array;
  /** Where the focus is, and where the subject is (NaN without one). */
  focusM: Float64Array;
  subjectM: Float64Array;
  /** The band of sharp distances; Infinity from the hyperfocal distance on. */
  nearM: Float64Array;
  farM: Float64Array;
  /** At the moment that asks most. */
  hyperfocalM: number;
  /** Largest blur disc that looks sharp, mm on the sensor. */
  confusionMm: number;
  /** Fastest pull in real time, and when, s on screen; null when the focus never stirs. */
  pull: (FocusPull & { atS: number }) | null;
  /** What it asks of a hand, of a motor and of autofocus, against what each usually manages. */
  pullers: { puller: Puller; value: number; limit: number; unit: string; grade: 'fits' | 'tight' | 'cannot' }[];
  /**
   * How far the subject may come and go while the focus stays, m, at the moment when that is least; and when, s on
   * screen.
   */
  band: { nearM: number; farM: number; atS: number };
  /** One focus for the whole shot and the stop it takes at its hardest moment; null without a subject. */
  one: { fNumber: number; focusM: number } | null;
  /** Distances for whoever pulls: both ends, and as few on the way as keep it sharp. */
  marks: FocusMark[];
  /** Share of the frames that pulling evenly from mark to mark keeps sharp. */
  marksSharpShare: number;
}

/** Reads the focus of what was filmed. */
export function focusPlan({ scene, filmed, samples }: Film): FocusPlan {
  const { shot } = scene;
  const { count, screenS, focusDistanceM, subjectDistanceM, subjectXM } = samples;
  const confusionMm = scene.limits.confusionShare * samples.frameWidthMm;
  const nearM = new Float64Array(count);
  const farM = new Float64Array(count);
  for (let row = 0; row < count; row += 1) {
    const sharp = fieldAt(samples, row, shot.fNumber, confusionMm, focusDistanceM[row]);
    nearM[row] = sharp.nearM;
    farM[row] = sharp.farM;
  }
  const pull = fastestPull(filmed, scene.lens);
  // The hardest moment: where the longest focal length, or the largest enlargement, leaves least.
  let hyperM = 0;
  let [tightest, hardest] = [Infinity, 0];
  for (let row = 0; row < count; row += 1) {
    hyperM = Math.max(
      hyperM,
      hyperfocalM(samples.focalLengthMm[row] / samples.crop[row], shot.fNumber, confusionMm / samples.crop[row]),
    );
    const wide = 1 / nearM[row] - (Number.isFinite(farM[row]) ? 1 / farM[row] : 0);
    if (wide < tightest) [tightest, hardest] = [wide, row];
  }
  const filmedNearM = new Float64Array(filmed.count);
  const filmedFarM = new Float64Array(filmed.count);
  for (let row = 0; row < filmed.count; row += 1) {
    const sharp = fieldAt(filmed, row, shot.fNumber, confusionMm, filmed.focusDistanceM[row]);
    filmedNearM[row] = sharp.nearM;
    filmedFarM[row] = sharp.farM;
  }
  const { marks, sharpShare } = focusMarks(filmed, filmedNearM, filmedFarM, scene.lens);
  return {
    screenS,
    focusM: focusDistanceM,
    subjectM: subjectDistanceM.map((distanceM, row) => (Number.isNaN(subjectXM[row]) ? NaN : distanceM)),
    nearM,
    farM,
    hyperfocalM: hyperM,
    confusionMm,
    pull: pull && { ...pull, atS: filmed.screenS[pull.row] },
    pullers: PULLERS.map((puller) => {
      const { value, limit, unit } = pullBy(pull ?? { dioptresPerS: 0, ringDegps: 0, row: 0 }, puller, scene.limits);
      return {
        puller,
        value,
        limit,
        unit,
        grade:
          value > limit * scene.limits.joltFactor
            ? ('cannot' as const)
            : value > limit
              ? ('tight' as const)
              : ('fits' as const),
      };
    }),
    band: { nearM: nearM[hardest], farM: farM[hardest], atS: screenS[hardest] },
    one: scene.subject ? oneFocusFor(filmed, confusionMm, Math.max(0.05, scene.lens.closestFocusM)) : null,
    marks,
    marksSharpShare: sharpShare,
  };
}

function fieldAt({ focalLengthMm, crop }: Samples, row: number, fNumber: number, confusionMm: number, focusM: number) {
  return depthOfField(focalLengthMm[row] / crop[row], fNumber, confusionMm / crop[row], focusM);
}

/**
 * One focus for a whole shot: where it stands, m, and the smallest f-number at which the subject is sharp in every row,
 * whatever focal length and enlargement it has there. Null without a subject, or where it comes nearer than the lens is
 * long.
 */
export function oneFocusFor(
  { count, focalLengthMm, crop, subjectDistanceM, subjectXM }: Samples,
  confusionMm: number,
  closestM: number,
): { fNumber: number; focusM: number } | null {
  const rows = Array.from({ length: count }, (_, row) => row).filter(
    (row) => !Number.isNaN(subjectXM[row]) && subjectDistanceM[row] > 0.02,
  );
  if (rows.length === 0) return null;
  const needed = (dioptre: number): number =>
    rows.reduce(
      (most, row) =>
        Math.max(
          most,
          (blurDiscMm(focalLengthMm[row] / crop[row], 1, 1 / dioptre, subjectDistanceM[row]) * crop[row]) / confusionMm,
        ),
      0,
    );
  const distances = rows.map((row) => subjectDistanceM[row]);
  const far = 1 / distances.reduce((a, b) => Math.max(a, b));
  const closest = distances.reduce((a, b) => Math.min(a, b));
  const near = Math.max(far, 1 / Math.max(closestM, closest));
  // What is needed falls and rises once between the farthest and the nearest.
  const dioptre = lowestBetween(far, near, 1e-9, needed);
  const fNumber = needed(dioptre);
  return Number.isFinite(fNumber) ? { fNumber, focusM: 1 / dioptre } : null;
}

/** Times the largest sharp disc: nothing can be made out. */
const SOFT_TIMES = 8;

/**
 * A focus nearer than the subject at which it is wholly soft, m, or as near as the lens focuses: what a pull from out
 * of focus starts at. Its blur disc is eight times what looks sharp.
 */
export function softFocusM(
  focalLengthMm: number,
  fNumber: number,
  confusionMm: number,
  subjectM: number,
  closestFocusM: number,
): number {
  const s = subjectM * 1000;
  const f = focalLengthMm;
  const reach = SOFT_TIMES * confusionMm * fNumber * s;
  return Math.max(closestFocusM, (f * f * s + reach * f) / (f * f + reach) / 1000);
}
