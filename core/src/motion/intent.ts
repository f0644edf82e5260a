import type { Point3 } from '../site';
import type { Place } from '../model';
import type { Scene } from '../scene';
import type { LegMotion } from './legs';
import { placesOf } from './look';
import type { SubjectIn } from './moves/recipe';

/** One stroke of a camera's way: a move of a plan, or a stretch of a recording. Seconds of action. */
export interface Stroke {
  fromS: number;
  toS: number;
  /** It starts, reaches cruising speed, leaves it, and ends. */
  startS: number;
  cruiseFromS: number;
  cruiseToS: number;
  endS: number;
  /** What is meant to turn evenly: the way round the subject, or the camera on its spot; null: nothing. */
  turns: 'round' | 'onTheSpot' | null;
  /** Something hides the subject first, and then does not. */
  reveals: boolean;
  /** The point that an arm turns about, where one carries the camera. */
  armBase: Point3 | null;
  /** Where a stroke that lives from travel has none, or no time for it: what it is called; null where it goes its way. */
  goesNowhere: { name: string; lengthM: number; noTime: boolean } | null;
}

/**
 * What a camera's way is meant to do. With the samples it is all that a judgement knows of a move: a plan says it by
 * its recipes, whoever has a recording says what it was meant for.
 */
export interface Intent {
  strokes: readonly Stroke[];
  /** What the first stroke is about, where there is no subject. */
  pivot: Point3;
  /** Blur is the point of it: its speed is not a fault. */
  meantToBlur: boolean;
  reveals: boolean;
  /** Something covers the lens at one end: it need not be sharp there. */
  goesDark: boolean;
  /** When the subject ought to be in the frame. */
  subjectIn: SubjectIn;
  /**
   * The camera follows the subject as the shot's aim says all the while, and the subject belongs in the frame all the
   * while.
   */
  keepsPlace: boolean;
  /** Where in the frame the part belongs at a moment of action, written into `out`. */
  placeAt(tS: number, out: Place): void;
  /** The head is free on all axes at some time: the hand's lean reaches the horizon. */
  freeHorizon: boolean;
  /** The subject carries the camera: nothing of it is in the camera's way. */
  carried: boolean;
  /** The moves say where the camera looks all the while: the shot's aim has no say. */
  looksWhereMovesSay: boolean;
  /** The zoom holds the subject's size at some time. */
  holdsSize: boolean;
  /** The focal length changes, or may. */
  zooms: boolean;
  /** Focal lengths that are asked for by name, mm. */
  focalLengthsMm: readonly number[];
  /** Moves rack the focus from one thing to another. */
  racksFocus: boolean;
}

/** Nothing shorter than this is travel, m. */
export const LEAST_TRAVEL_M = 0.005;

/** What a plan's moves are meant to do, each at its time. */
export function intentOf(scene: Scene, legs: readonly LegMotion[]): Intent {
  const hasSubject = scene.subject !== null;
  const modeOf = ({ leg }: LegMotion) => leg.look.mode ?? scene.shot.aim.mode;
  const places = legs.map((_, k) => placesOf(scene, k));
  const every = (test: (leg: LegMotion) => boolean) => legs.every(test);
  const some = (test: (leg: LegMotion) => boolean) => legs.some(test);
  const zooms = legs.map(({ recipe, move }) => recipe.zoom(move));
  const asksAim = ({ recipe, move }: LegMotion) => recipe.aim(move).base === 'asked';
  return {
    strokes: legs.map((leg, k) => strokeOf(leg, legs.length > 1 ? k + 1 : null)),
    pivot: legs[0].moveFrame.pivot,
    meantToBlur: some(({ recipe }) => recipe.meantToBlur),
    reveals: some(({ recipe }) => recipe.reveals),
    goesDark: some(({ recipe }) => recipe.goesDark),
    subjectIn: subjectInOf(legs),
    keepsPlace: every((leg) => asksAim(leg) && leg.recipe.subjectIn(leg.move) === 'always' && modeOf(leg) !== 'locked'),
    placeAt: (tS, out) => {
      let k = 0;
      while (k + 1 < legs.length && tS > legs[k + 1].fromS) k += 1;
      const { from, to } = places[k];
      const share = legs[k].shareAt(tS);
      out.u = from.u + (to.u - from.u) * share;
      out.v = from.v + (to.v - from.v) * share;
    },
    freeHorizon: some((leg) => modeOf(leg) === 'allFollow'),
    carried: some(({ recipe, move }) => recipe.aim(move).base === 'carried'),
    looksWhereMovesSay: every((leg) => !asksAim(leg)),
    holdsSize: hasSubject && zooms.some(({ rule }) => rule === 'holdHeight'),
    zooms: zooms.some(({ rule }) => rule !== 'fixed'),
    focalLengthsMm: zooms.flatMap((zoom) => (zoom.rule === 'to' ? [zoom.focalLengthMm] : [])),
    racksFocus: some(({ recipe }) => recipe.focus !== undefined),
  };
}

function strokeOf(leg: LegMotion, number: number | null): Stroke {
  const { recipe, move, moveFrame, pace, fromS, toS } = leg;
  const { startS, cruiseFromS, cruiseToS, endS } = pace;
  const overhead = recipe.aim(move).base === 'down';
  const round = !overhead && recipe.effect === 'round' && recipe.subjectIn(move) === 'always';
  return {
    fromS,
    toS,
    startS,
    cruiseFromS,
    cruiseToS,
    endS,
    turns: overhead && recipe.turn ? 'onTheSpot' : round ? 'round' : null,
    reveals: recipe.reveals,
    armBase: recipe.armStand?.(move, moveFrame) ?? null,
    goesNowhere: recipe.travels ? withoutTravel(leg, number) : null,
  };
}

function withoutTravel({ recipe, track, momentAt, pace, shareAt }: LegMotion, number: number | null) {
  const at = new Float64Array(6);
  let lengthM = 0;
  track.write(0, momentAt(pace.startS), at, 0);
  for (let i = 1; i <= 8; i += 1) {
    track.write(i / 8, momentAt(pace.startS + ((pace.endS - pace.startS) * i) / 8), at, 3);
    lengthM += Math.hypot(at[3] - at[0], at[4] - at[1], at[5] - at[2]);
    at.copyWithin(0, 3, 6);
  }
  const noTime = pace.endS - pace.startS < 1e-6 && shareAt(-Infinity) !== shareAt(Infinity);
  if (lengthM >= LEAST_TRAVEL_M && !noTime) return null;
  const title = recipe.title.toLowerCase();
  return { name: number === null ? `The ${title}` : `Move ${number}, ${title},`, lengthM, noTime };
}

/** What the only leg says; of a chain, what the first and last say of its ends. */
function subjectInOf(legs: readonly LegMotion[]): SubjectIn {
  const said = legs.map(({ recipe, move, leg }): SubjectIn => {
    const when = recipe.subjectIn(move);
    return !leg.backwards ? when : when === 'start' ? 'end' : when === 'end' ? 'start' : when;
  });
  if (said.length === 1 || said.every((when) => when === said[0])) return said[0];
  const last = said[said.length - 1];
  return last === 'always' || last === 'end' ? 'end' : 'sometime';
}
