import { FEATHERS, type HeadingAt, type Pace, type Scene, type WalkAt } from '../scene';
import type { Leg, Move } from '../model';
import { groundHeightM, type Point3 } from '../site';
import { recipeOf } from './moves';
import { intentOf, type Intent } from './intent';
import type { Grip, Moments, Recipe } from './moves/recipe';
import { broughtBack, goingOf, goingTrack, type Gone, type GoneAt } from './going';
import type { MoveFrame } from './move-frame';
import { sizeOf } from './stand-in';
import type { Track } from './track';

/** One move of a shot, laid out on its moveFrame. */
export interface LegMotion {
  leg: Leg;
  /** The move as it is made: begun where the leg before it ended. */
  move: Move;
  recipe: Recipe;
  moveFrame: MoveFrame;
  track: Track;
  pace: Pace;
  /** The leg's time in the shot, s: its holds included. */
  fromS: number;
  toS: number;
  /** When its look has wholly taken over from the leg before it, s. */
  lookFromS: number;
  /** Share of the move reached at a moment: 0 to 1, or 1 to 0 when it runs backwards. */
  shareAt(tS: number): number;
  /**
   * Where its own track begins, and where it has come to when another leg follows: what it adds to the legs before it.
   */
  began: Float64Array;
  came: Float64Array | null;
  /** How far it has gone with the subject at a moment of its track; null where it stays. */
  gone: GoneAt | null;
  /**
   * The moment its track lives in: stands still before it begins to move and after it has ended, unless nothing comes
   * before or after.
   */
  momentAt(tS: number): number;
}

/** A whole shot's motion before it is sampled. */
export interface ShotMotion {
  legs: LegMotion[];
  durationS: number;
  /** When the camera first starts and last stops, s. */
  startS: number;
  endS: number;
  /** The first move's pivot. */
  pivot: Point3;
  /** The foot of the part that the shot is after. */
  partAt: WalkAt | null;
  headingAt: HeadingAt;
  /** Height of that part, m; NaN without a subject. */
  partHeightM: number;
  intent: Intent;
  /** Writes where the camera is at a moment, before any body. */
  placeAt(tS: number, out: Float64Array, offset?: number): void;
}

/** A companion takes at least this long to fall into step where legs join: common practice, no published source. */
const FALL_IN_S = 0.8;
/** A look takes at least this long to pass from one leg to the next: common practice, no published source. */
const LOOK_OVER_S = 1;

/**
 * Lays out a shot. Legs add up: where two overlap their displacements are superposed (as in Flash & Henis 1991, *J.
 * Cogn. Neurosci.* 3(3), from memory), so that place and speed run on without a step when both are feathered. Each leg
 * goes by the subject's place when it starts.
 */
export function motionOf(scene: Scene): ShotMotion {
  const { part, wayAt: walk, headingAt, ground, timeline } = scene;
  const legs: LegMotion[] = [];
  const reached = new Float64Array(3);
  timeline.forEach(({ leg, fromS, toS, pace }, k) => {
    const { pivotEastM, pivotNorthM } = leg.move;
    const base = new Float64Array(3);
    walk?.(k === 0 ? 0 : pace.startS, base);
    const pivot = {
      xM: base[0] + pivotEastM,
      yM: base[1] + pivotNorthM,
      zM: walk ? base[2] : groundHeightM(ground, base[0] + pivotEastM, base[1] + pivotNorthM),
    };
    const subjectAt: WalkAt =
      walk ??
      ((_tS, out, offset = 0) => {
        out[offset] = 0;
        out[offset + 1] = 0;
        out[offset + 2] = pivot.zM;
      });
    const moveFrame: MoveFrame = {
      pivot,
      subjectAt,
      headingAt,
      bodyAt: scene.subjectAt ?? subjectAt,
      stanceAt: scene.stanceAt,
      ...sizeOf(scene),
    };
    const recipe = recipeOf(leg.move);
    const joined = k > 0 && !leg.backwards;
    const move = joined
      ? recipe.continueFrom(leg.move, { xM: reached[0], yM: reached[1], zM: reached[2] }, moveFrame)
      : leg.move;
    const shareAt = leg.backwards ? (tS: number) => 1 - pace.at(tS) : pace.at;
    const isLast = k === timeline.length - 1;
    const gone = goingOf(leg, recipe, moveFrame, walk === null ? null : k === 0 ? 0 : pace.startS);
    const laid = recipe.track(move, moveFrame);
    const track = gone ? goingTrack(laid, gone, pivot) : laid;
    const momentAt = momentOf(k === 0 ? -Infinity : pace.startS, isLast ? Infinity : pace.endS, leg);
    const built: LegMotion = {
      leg,
      move,
      recipe,
      moveFrame,
      track,
      pace,
      fromS,
      toS,
      lookFromS:
        fromS + Math.min(leg.timing.durationS, Math.max(LOOK_OVER_S, leg.timing.holdStartS + leg.timing.featherInS)),
      shareAt,
      momentAt,
      gone,
      began: placeOf({ track, shareAt, momentAt }, k === 0 ? 0 : pace.startS),
      came: isLast ? null : placeOf({ track, shareAt, momentAt }, pace.endS),
    };
    legs.push(built);
    addLeg(built, k, Infinity, reached, 0);
  });
  const placeAt = (tS: number, out: Float64Array, offset = 0): void => {
    for (let k = 0; k < legs.length; k += 1) addLeg(legs[k], k, tS, out, offset);
  };
  return {
    legs,
    durationS: scene.durationS,
    startS: Math.min(...legs.map((leg) => leg.pace.startS)),
    endS: Math.max(...legs.map((leg) => leg.pace.endS)),
    pivot: legs[0].moveFrame.pivot,
    partAt: scene.partAt,
    headingAt,
    partHeightM: part ? part.heightM : NaN,
    intent: intentOf(scene, legs),
    placeAt,
  };
}

const here = new Float64Array(3);

/** The first leg gives the place, each later one adds how far it has come from its own beginning. */
function addLeg(
  { track, shareAt, momentAt, pace, began, came }: LegMotion,
  k: number,
  tS: number,
  out: Float64Array,
  offset: number,
): void {
  if (k === 0) {
    track.write(shareAt(tS), momentAt(Number.isFinite(tS) ? tS : pace.endS), out, offset);
    return;
  }
  if (tS <= pace.startS) return;
  if (came === null || tS < pace.endS) track.write(shareAt(tS), momentAt(Number.isFinite(tS) ? tS : pace.endS), here);
  else here.set(came);
  for (let axis = 0; axis < 3; axis += 1) out[offset + axis] += here[axis] - began[axis];
}

/** Where a leg's own track is at a moment. */
function placeOf(
  { track, shareAt, momentAt }: Pick<LegMotion, 'track' | 'shareAt' | 'momentAt'>,
  tS: number,
): Float64Array {
  const at = new Float64Array(3);
  track.write(shareAt(tS), momentAt(tS), at);
  return at;
}

/** Time that starts and stops softly: it runs as the clock does between, a little behind it after a soft start. */
function momentOf(startS: number, endS: number, { timing }: Leg): (tS: number) => number {
  const { area, distance } = FEATHERS.minimumJerk;
  const half = (Math.min(endS, 1e9) - Math.max(startS, -1e9)) / 2;
  const inS = Number.isFinite(startS) ? Math.min(half, Math.max(FALL_IN_S, timing.featherInS)) : 0;
  const outS = Number.isFinite(endS) ? Math.min(half, Math.max(FALL_IN_S, timing.featherOutS)) : 0;
  const lostS = inS * (1 - area);
  return (tS) => {
    if (tS <= startS) return startS;
    if (inS > 0 && tS < startS + inS) return startS + inS * distance((tS - startS) / inS);
    if (outS > 0 && tS >= endS) return endS - outS * (1 - area) - lostS;
    if (outS > 0 && tS > endS - outS) return endS - outS * (1 - area) - lostS - outS * distance((endS - tS) / outS);
    return tS - lostS;
  };
}

/**
 * The points of a leg that can be taken hold of, where they are on the site. A leg that goes on from another has no
 * start of its own.
 */
export function gripsOf(
  { recipe, move, moveFrame, track, shareAt, momentAt, pace }: LegMotion,
  isFirst: boolean,
): Grip[] {
  if (recipe.grips) return recipe.grips(move, moveFrame);
  const at = new Float64Array(3);
  const handle = (id: string, label: string, tS: number): Grip => {
    track.write(id === 'start' ? 0 : 1, momentAt(tS), at);
    return { id, label, xM: at[0], yM: at[1] };
  };
  const backwards = shareAt(-Infinity) === 1;
  const [first, last] = backwards ? [pace.endS, pace.startS] : [pace.startS, pace.endS];
  return [
    ...(isFirst || backwards
      ? [handle('start', recipe.ends === 'both' ? (backwards ? 'end' : 'start') : 'camera', first)]
      : []),
    ...(recipe.ends === 'both' ? [handle('end', backwards ? 'start' : 'end', last)] : []),
  ];
}

/** A leg's move after one of its grips was dragged to a site point; a move that goes along is brought back first. */
export function draggedMove(
  { recipe, move, moveFrame, gone, pace, momentAt }: LegMotion,
  gripId: string,
  xM: number,
  yM: number,
): Move {
  const moments: Moments = { startS: momentAt(pace.startS), endS: momentAt(pace.endS) };
  const to = { xM, yM };
  const far: Gone = { eastM: 0, northM: 0, upM: 0, turnDeg: 0 };
  if (gone && !recipe.grips) {
    gone(gripId === 'end' ? moments.endS : moments.startS, far);
    Object.assign(to, broughtBack(to, far, moveFrame.pivot));
  }
  return recipe.drag(move, gripId, to.xM, to.yM, moveFrame, moments);
}
