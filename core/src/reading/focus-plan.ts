import { setupOf, type Shoot } from '../model/shoot';
import type { Shot } from '../model/shot';
import { sampleShot } from '../motion/shown';
import type { Samples } from '../motion/sample';
import { blurDiscMm, depthOfField, hyperfocalM } from '../optics/depth-of-field';

/** Focus over a shot, one value a row; distances in metres along the line to the thing. */
export interface FocusPlan {
  screenS: Float64Array;
  /** Where the focus is, and where the subject is (NaN without one). */
  focusM: Float64Array;
  subjectM: Float64Array;
  /** The band of sharp distances; Infinity from the hyperfocal distance on. */
  nearM: Float64Array;
  farM: Float64Array;
  hyperfocalM: number;
  /** Largest blur disc that looks sharp, mm on the sensor. */
  confusionMm: number;
  /** Fastest pull, dioptres a second of action, and when, s on screen. */
  pull: { dioptresPerS: number; atS: number };
  /** How far the subject may come and go while the focus stays halfway through, m. */
  band: { nearM: number; farM: number };
  /** Distances for whoever pulls: both ends always, and every place on the way where the pull turns or has gone far. */
  marks: FocusMark[];
}

export interface FocusMark {
  atS: number;
  distanceM: number;
}

/** Reads the focus of a shot. */
export function focusPlan(shoot: Shoot, shot: Shot): FocusPlan {
  const setup = setupOf(shoot, shot);
  const samples = sampleShot(setup);
  const { count, screenS, focusDistanceM, subjectDistanceM, subjectXM } = samples;
  const confusionMm = setup.limits.confusionShare * samples.frameWidthMm;
  const nearM = new Float64Array(count);
  const farM = new Float64Array(count);
  for (let row = 0; row < count; row += 1) {
    const sharp = fieldAt(samples, row, shot.fNumber, confusionMm, focusDistanceM[row]);
    nearM[row] = sharp.nearM;
    farM[row] = sharp.farM;
  }
  const pull = { dioptresPerS: 0, atS: 0 };
  for (let row = 1; row < count; row += 1) {
    const dioptresPerS = Math.abs(1 / focusDistanceM[row] - 1 / focusDistanceM[row - 1]) * samples.captureRateHz;
    if (dioptresPerS > pull.dioptresPerS) Object.assign(pull, { dioptresPerS, atS: screenS[row] });
  }
  const middle = count >> 1;
  return {
    screenS,
    focusM: focusDistanceM,
    subjectM: subjectDistanceM.map((distanceM, row) => (Number.isNaN(subjectXM[row]) ? NaN : distanceM)),
    nearM,
    farM,
    hyperfocalM: hyperfocalM(samples.focalLengthMm[middle] / samples.crop[middle], shot.fNumber, confusionMm / samples.crop[middle]),
    confusionMm,
    pull,
    band: { nearM: nearM[middle], farM: farM[middle] },
    marks: marksOf(samples),
  };
}

function fieldAt({ focalLengthMm, crop }: Samples, row: number, fNumber: number, confusionMm: number, focusM: number) {
  return depthOfField(focalLengthMm[row] / crop[row], fNumber, confusionMm / crop[row], focusM);
}

/** A mark on the way is worth making where the straight line between its neighbours would be off by this much, dioptres. */
const MARK_OFF_DIOPTRES = 0.02;
const MOST_MARKS = 12;

/** Both ends, and between them the rows that keep straight pulls (in dioptres) close to the plan: Douglas & Peucker 1973, from memory. */
function marksOf({ count, screenS, focusDistanceM }: Samples): FocusMark[] {
  const kept = new Set([0, count - 1]);
  const split = (from: number, to: number) => {
    if (kept.size >= MOST_MARKS) return;
    let [worst, at] = [0, -1];
    for (let row = from + 1; row < to; row += 1) {
      const straight = 1 / focusDistanceM[from] + ((row - from) / (to - from)) * (1 / focusDistanceM[to] - 1 / focusDistanceM[from]);
      const off = Math.abs(1 / focusDistanceM[row] - straight);
      if (off > worst) [worst, at] = [off, row];
    }
    if (worst <= MARK_OFF_DIOPTRES) return;
    kept.add(at);
    split(from, at);
    split(at, to);
  };
  split(0, count - 1);
  return [...kept].sort((a, b) => a - b).map((row) => ({ atS: screenS[row], distanceM: focusDistanceM[row] }));
}

/** The f-number at which everything between two distances is sharp with one focus, which lies halfway in dioptres; distances in m. */
export function fNumberForBand(focalLengthMm: number, confusionMm: number, nearM: number, farM: number): { fNumber: number; focusM: number } {
  const focusM = 2 / (1 / nearM + 1 / farM);
  return { fNumber: blurDiscMm(focalLengthMm, 1, focusM, nearM) / confusionMm, focusM };
}
