import type { Clip } from '../../model';
import { evenly } from '../../rehearse';
import { alignPairs, type Alignment } from '../recorded/align';
import {
  type ClipDifference,
  course,
  endsOf,
  type Key,
  KEYS,
  layersApart,
  paceOf,
  SCALES,
  shakeOf,
  speedOf,
} from './clip-faults';
import type { ClipFrame } from './clip-reader';
import type { Foretold } from './foretold';

/** A clip held against its plan: both at the plan’s time, `rateHz` rows a second. */
export interface ClipAgainstPlan {
  aligned: Alignment;
  rateHz: number;
  tS: Float64Array;
  /** Speed of the whole picture, frame widths a second on the cut’s clock. */
  foretoldSpeed: Float64Array;
  seenSpeed: Float64Array;
  differences: ClipDifference[];
  said: string;
}

const ROWS_HZ = 50;

/** Holds what was measured of a clip against what its plan foretells. */
export function clipAgainstPlan(plan: Foretold, frames: readonly ClipFrame[]): ClipAgainstPlan {
  const takeS = Float64Array.from(frames, ({ tS }) => tS - frames[0].tS);
  const rates = (key: Key | 'near' | 'far') => Float64Array.from(frames, (frame) => frame[key]);
  const planS = Float64Array.from(plan.tS, (s) => s - plan.tS[0]);
  const aligned = alignPairs(
    planS,
    takeS,
    KEYS.map((key) => ({ plan: course(plan[key], planS), take: course(rates(key), takeS), scale: SCALES[key] })),
  );
  const lastS = planS[planS.length - 1];
  const rateHz = Math.min(ROWS_HZ, 3000 / Math.max(1, lastS));
  const count = Math.max(2, Math.floor(lastS * rateHz) + 1);
  const { delayS, stretch } = aligned;
  const atPlan = takeS.map((s) => (s - delayS) / stretch);
  const planned = (column: Float64Array) => evenly(planS, column, rateHz, count);
  // At the plan’s pace: what only took longer is told as pace.
  const seen = (column: Float64Array) => evenly(atPlan, column, rateHz, count).map((v) => v * stretch);
  const [foretoldOf, seenOf] = [
    Object.fromEntries(KEYS.map((key) => [key, planned(plan[key])])),
    Object.fromEntries(KEYS.map((key) => [key, seen(rates(key))])),
  ] as Record<Key, Float64Array>[];
  const speed = (of: Record<Key, Float64Array>) => of.rightwards.map((v, i) => Math.hypot(v, of.upwards[i]));
  const [foretoldSpeed, seenSpeed] = [speed(foretoldOf), speed(seenOf)];
  const differences = [
    ...paceOf(aligned, lastS),
    ...speedOf(foretoldOf, seenOf),
    ...layersApart(planned(plan.near), planned(plan.far), seen(rates('near')), seen(rates('far'))),
    ...endsOf(foretoldSpeed, seenSpeed, rateHz),
    ...shakeOf(foretoldOf, seenOf, rateHz),
  ].sort((a, b) => b.weight - a.weight);
  return {
    aligned,
    rateHz,
    tS: Float64Array.from({ length: count }, (_, i) => i / rateHz),
    foretoldSpeed,
    seenSpeed: seenSpeed.map((v) => v / stretch),
    differences,
    said:
      aligned.by === 'nothing'
        ? 'The clip does not move as the plan foretells: is it a clip of another shot?'
        : differences.length === 0
          ? 'The clip moves as the plan foretells.'
          : `${differences[0].sentence} ${differences[0].mend}`,
  };
}

/** Which of several clips of one shot is best, and why: the one whose faults weigh least. */
export function bestClip(
  clips: readonly { id: string; against: ClipAgainstPlan }[],
): { id: string; why: string } | null {
  const rated = clips
    .map(({ id, against }) => ({
      id,
      against,
      faults: against.differences.reduce((sum, { weight }) => sum + weight, 0),
    }))
    .filter(({ against }) => against.aligned.by !== 'nothing')
    .sort((a, b) => a.faults - b.faults);
  if (rated.length === 0) return null;
  const [best, next] = rated;
  const worse = next?.against.differences[0];
  const why =
    best.against.differences.length === 0
      ? 'It moves as the plan foretells.'
      : `Its worst: ${best.against.differences[0].sentence}`;
  return { id: best.id, why: worse ? `${why} The next best: ${worse.sentence}` : why };
}

/** A clip that was kept, as it was measured. */
export const framesOfClip = (clip: Clip): ClipFrame[] =>
  clip.rightwards.map((rightwards, i) => ({
    tS: i / clip.rateHz,
    rightwards,
    upwards: clip.upwards[i],
    turnDegps: clip.turnDegps[i],
    growthPerS: clip.growthPerS[i],
    near: clip.near[i],
    far: clip.far[i],
    brightness: 0.5,
    detail: 0.1,
    followed: 1,
    repeated: false,
  }));
