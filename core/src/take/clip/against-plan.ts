import { type Clip, trim } from '../../model';
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
import type { ClipFrame, ClipReader } from './clip-reader';
import type { FollowedPlaces } from './followed-places';
import type { Foretold, PlanPicture } from './foretold';

/** What is drawn of a clip: speed of the whole, of near and far layers (frame widths a second), growing, turning. */
export type ClipCourse = 'speed' | 'near' | 'far' | 'growthPerS' | 'turnDegps';

/** A clip held against its plan: both at the plan’s time, `rateHz` rows a second. */
export interface ClipAgainstPlan {
  aligned: Alignment;
  rateHz: number;
  /** Where in the plan the part begins that is in the clip, on the cut’s clock. */
  fromS: number;
  /** Rates of the picture’s content, foretold and seen, on the cut’s clock; NaN where nothing is known of it. */
  courses: Record<ClipCourse, { plan: Float64Array; take: Float64Array }>;
  differences: ClipDifference[];
  said: string;
}

const ROWS_HZ = 50;
/** What goes farther from one picture to the next is not taken as followed, frame widths: see the test of the tracker. */
const MOST_STEP_WIDTHS = 0.12;
/** Less of the plan in a clip than this is said. */
const NEARLY_ALL = 0.9;

/**
 * Holds a clip that was kept against its plan: where the clip lies on it is told from all of the picture, and then only
 * those places are foretold in which something could be followed there.
 */
export function clipAgainstPlan(plan: PlanPicture, clip: Clip): ClipAgainstPlan {
  const frames = framesOfClip(clip);
  const all = framesAgainstPlan(plan.all(), frames);
  const onScreenS = onScreenOf(plan, all.aligned);
  if (!onScreenS || clip.followed.length === 0) return all;
  const lasts = frames[frames.length - 1].tS;
  return framesAgainstPlan(
    plan.ofFollowed(clip.followed, (share) => onScreenS(share * lasts)),
    frames,
  );
}

/** When what is at a moment of a clip, s, is on screen by the plan; null where the clip does not lie on it. */
function onScreenOf(plan: PlanPicture, { by, delayS, stretch }: Alignment): ((clipS: number) => number) | null {
  return by === 'nothing' ? null : (clipS) => plan.fromS + (clipS - delayS) / stretch;
}

/**
 * What was measured of a clip, once more without the places that lie at the edges of things by its plan; all of it where
 * the clip does not lie on the plan, or is too long. `frameForFrame`: the clip is a film of the plan from its beginning.
 */
export function measuredByPlan(
  plan: PlanPicture,
  reader: ClipReader,
  frameForFrame: boolean,
): { frames: ClipFrame[]; followed: FollowedPlaces } {
  const measured = { frames: reader.frames(), followed: reader.followedPlaces() };
  const onScreenS = frameForFrame
    ? (clipS: number) => plan.fromS + clipS
    : onScreenOf(plan, framesAgainstPlan(plan.all(), measured.frames).aligned);
  return (onScreenS && reader.awayFromEdges((clipS) => plan.awayAt(onScreenS(clipS)))) ?? measured;
}

/** What a clip of the plan would show, on the cut’s clock: the plan’s side of the same courses. */
export function coursesForetold(plan: Foretold): Record<ClipCourse, Float64Array> {
  const { near, far, growthPerS, turnDegps } = plan;
  return { speed: speedOfPicture(plan), near, far, growthPerS, turnDegps };
}

const speedOfPicture = ({ rightwards, upwards }: Record<'rightwards' | 'upwards', Float64Array>) =>
  rightwards.map((v, i) => Math.hypot(v, upwards[i]));

/** Holds what was measured of a clip, picture by picture, against what is foretold of it. */
export function framesAgainstPlan(plan: Foretold, frames: readonly ClipFrame[]): ClipAgainstPlan {
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
  // Before its first picture and after its last a clip says nothing.
  const whole = aligned.by === 'nothing';
  const first = whole ? 0 : Math.max(0, Math.ceil(atPlan[0] * rateHz - 1e-6));
  const last = whole ? count - 1 : Math.min(count - 1, Math.floor(atPlan[atPlan.length - 1] * rateHz + 1e-6));
  const within = (tS: Float64Array, column: Float64Array) =>
    evenly(tS, column, rateHz, count).subarray(first, Math.max(last + 1, first + 2));
  const planned = (column: Float64Array) => within(planS, column);
  // At the plan’s pace: what only took longer is told as pace.
  const seen = (column: Float64Array) => within(atPlan, column).map((v) => v * stretch);
  const [foretoldOf, seenOf] = [
    Object.fromEntries(KEYS.map((key) => [key, planned(plan[key])])),
    Object.fromEntries(KEYS.map((key) => [key, seen(rates(key))])),
  ] as Record<Key, Float64Array>[];
  const [foretoldSpeed, seenSpeed] = [speedOfPicture(foretoldOf), speedOfPicture(seenOf)];
  const [fromS, toS] = [first / rateHz, last / rateHz];
  const frameRateHz = (frames.length - 1) / Math.max(1e-3, takeS[takeS.length - 1]);
  const tooFast = foretoldSpeed.map((v) => (v > MOST_STEP_WIDTHS * frameRateHz ? 1 : 0));
  for (const key of KEYS) seenOf[key].forEach((_, i) => (seenOf[key][i] = tooFast[i] ? NaN : seenOf[key][i]));
  const differences = whole
    ? []
    : [
        ...paceOf(aligned, lastS),
        ...speedOf(foretoldOf, seenOf),
        ...layersApart(planned(plan.near), planned(plan.far), seen(rates('near')), seen(rates('far'))),
        ...(tooFast.includes(1) ? [] : endsOf(foretoldSpeed, seenSpeed, rateHz, fromS)),
        ...shakeOf(foretoldOf, seenOf, rateHz),
      ].sort((a, b) => b.weight - a.weight);
  return {
    aligned,
    rateHz,
    fromS,
    courses: {
      speed: { plan: foretoldSpeed, take: seenSpeed.map((v, i) => (tooFast[i] ? NaN : v / stretch)) },
      near: { plan: planned(plan.near), take: within(atPlan, rates('near')) },
      far: { plan: planned(plan.far), take: within(atPlan, rates('far')) },
      growthPerS: { plan: foretoldOf.growthPerS, take: seenOf.growthPerS.map((v) => v / stretch) },
      turnDegps: { plan: foretoldOf.turnDegps, take: seenOf.turnDegps.map((v) => v / stretch) },
    },
    differences,
    said: [
      saidOf(aligned, differences),
      ...(!whole && toS - fromS < NEARLY_ALL * lastS
        ? [`Of the plan’s ${trim(lastS, 1)} s, ${trim(fromS, 1)} to ${trim(toS, 1)} s are in the clip.`]
        : []),
      ...(tooFast.includes(1)
        ? ['Where it goes by too fast to be followed from picture to picture, nothing is said.']
        : []),
    ].join(' '),
  };
}

function saidOf({ by }: Alignment, differences: readonly ClipDifference[]): string {
  if (by === 'nothing') return 'The clip does not move as the plan foretells: is it a clip of another shot?';
  if (differences.length === 0) return 'The clip moves as the plan foretells.';
  return `${differences[0].sentence} ${differences[0].mend}`;
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
    ...layersAt(clip, i),
    brightness: 0.5,
    detail: 0.1,
    followed: 1,
    repeated: false,
  }));

/** A clip that was kept has 0 for both where they could not be told apart: that is not rest. */
const layersAt = ({ near, far }: Clip, i: number) =>
  near[i] === 0 && far[i] === 0 ? { near: NaN, far: NaN } : { near: near[i], far: far[i] };
