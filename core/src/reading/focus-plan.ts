import { setupOf, type Shoot } from '../model/shoot';
import type { Lens } from '../model/kit';
import { PULLERS, type Puller, type Shot } from '../model/shot';
import { motionOf } from '../motion/legs';
import { playingOf } from '../motion/playback';
import { filmShot, type Samples } from '../motion/sample';
import { asShown } from '../motion/shown';
import { ringAtDeg } from '../optics/focus-ring';
import { fastestPull, pullBy, type FocusPull } from '../screen/focus-pull';
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
  /** Fastest pull in real time, and when, s on screen; null when the focus never stirs. */
  pull: (FocusPull & { atS: number }) | null;
  /** What it asks of a hand, of a motor and of autofocus, against what each usually manages. */
  pullers: { puller: Puller; value: number; limit: number; unit: string; grade: 'fits' | 'tight' | 'cannot' }[];
  /** How far the subject may come and go while the focus stays halfway through, m. */
  band: { nearM: number; farM: number };
  /** Distances for whoever pulls: both ends always, and every place on the way where the pull turns or has gone far. */
  marks: FocusMark[];
}

export interface FocusMark {
  /** Seconds on screen, and of action: what an assistant counts. */
  atS: number;
  actionS: number;
  distanceM: number;
  /** Where the ring stands, degrees from infinity. */
  ringDeg: number;
}

/** Reads the focus of a shot. */
export function focusPlan(shoot: Shoot, shot: Shot): FocusPlan {
  const setup = setupOf(shoot, shot);
  const motion = motionOf(setup);
  const filmed = filmShot(setup, motion);
  const samples = asShown(filmed, shot, playingOf(shot, motion.durationS));
  const { count, screenS, focusDistanceM, subjectDistanceM, subjectXM } = samples;
  const confusionMm = setup.limits.confusionShare * samples.frameWidthMm;
  const nearM = new Float64Array(count);
  const farM = new Float64Array(count);
  for (let row = 0; row < count; row += 1) {
    const sharp = fieldAt(samples, row, shot.fNumber, confusionMm, focusDistanceM[row]);
    nearM[row] = sharp.nearM;
    farM[row] = sharp.farM;
  }
  const pull = fastestPull(filmed, setup.lens);
  const middle = count >> 1;
  return {
    screenS,
    focusM: focusDistanceM,
    subjectM: subjectDistanceM.map((distanceM, row) => (Number.isNaN(subjectXM[row]) ? NaN : distanceM)),
    nearM,
    farM,
    hyperfocalM: hyperfocalM(samples.focalLengthMm[middle] / samples.crop[middle], shot.fNumber, confusionMm / samples.crop[middle]),
    confusionMm,
    pull: pull && { ...pull, atS: filmed.screenS[pull.row] },
    pullers: PULLERS.map((puller) => {
      const { value, limit, unit } = pullBy(pull ?? { dioptresPerS: 0, ringDegps: 0, row: 0 }, puller, setup.limits);
      return { puller, value, limit, unit, grade: value > limit * setup.limits.joltFactor ? ('cannot' as const) : value > limit ? ('tight' as const) : ('fits' as const) };
    }),
    band: { nearM: nearM[middle], farM: farM[middle] },
    marks: marksOf(filmed, setup.lens),
  };
}

function fieldAt({ focalLengthMm, crop }: Samples, row: number, fNumber: number, confusionMm: number, focusM: number) {
  return depthOfField(focalLengthMm[row] / crop[row], fNumber, confusionMm / crop[row], focusM);
}

/** A mark on the way is worth making where the straight line between its neighbours would be off by this much, dioptres. */
const MARK_OFF_DIOPTRES = 0.02;
const MOST_MARKS = 12;

/** Both ends, and between them the rows that keep straight pulls (in dioptres) close to the plan: Douglas & Peucker 1973, from memory. */
function marksOf({ count, tS, screenS, focusDistanceM }: Samples, lens: Lens): FocusMark[] {
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
  return [...kept].sort((a, b) => a - b).map((row) => ({ atS: screenS[row], actionS: tS[row], distanceM: focusDistanceM[row], ringDeg: ringAtDeg(lens, focusDistanceM[row]) }));
}

/** The f-number at which everything between two distances is sharp with one focus, which lies halfway in dioptres; distances in m. */
export function fNumberForBand(focalLengthMm: number, confusionMm: number, nearM: number, farM: number): { fNumber: number; focusM: number } {
  const focusM = 2 / (1 / nearM + 1 / farM);
  return { fNumber: blurDiscMm(focalLengthMm, 1, focusM, nearM) / confusionMm, focusM };
}

/** Times the largest sharp disc: nothing can be made out. */
const SOFT_TIMES = 8;

/** A focus nearer than the subject at which it is wholly soft, m, or as near as the lens focuses: what a pull from out of focus starts at. Its blur disc is eight times what looks sharp. */
export function softFocusM(focalLengthMm: number, fNumber: number, confusionMm: number, subjectM: number, closestFocusM: number): number {
  const s = subjectM * 1000;
  const f = focalLengthMm;
  const reach = SOFT_TIMES * confusionMm * fNumber * s;
  return Math.max(closestFocusM, (f * f * s + reach * f) / (f * f + reach) / 1000);
}
