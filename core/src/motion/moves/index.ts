import type { Move, MoveKind, MoveOf } from '../../model';
import { arc, driftingOrbit, helix, lowOrbit, orbit, spiralOverhead, tableTopArm } from './circles';
import { stillMoveFrame } from '../move-frame';
import { free } from './free';
import { crane, drop, dropTiltUp, jib, rise, riseOverReveal, riseTiltDown } from './lifting';
import { overheadSlide, overheadSpin, overheadStill } from './overhead';
import { approachTiltDown, pull, push, pushRise, pushRoll, scoop } from './pushing';
import { EFFECTS, type Effect, type Recipe } from './recipe';
import { backAwayReveal, darkEnd, darkStart, tiltToHorizon } from './revealing';
import { angledSlide, enterLeave, slide, slideOutReveal } from './sliding';
import { groundStart, pan, roll, skyEnd, still, tilt, tumble, whipPan } from './turns';
import { alongside, carried, follow, holdDistance, lead, overtake } from './with-subject';
import { dollyZoom, rackFocus, standingDollyZoom, zoom } from './zooming';

/** Every move of the vocabulary, in the order a person meets them. */
export const RECIPES: { [K in MoveKind]: Recipe<MoveOf<K>> } = {
  slide,
  angledSlide,
  push,
  pull,
  pushRise,
  scoop,
  arc,
  orbit,
  lowOrbit,
  helix,
  driftingOrbit,
  tableTopArm,
  rise,
  drop,
  riseTiltDown,
  dropTiltUp,
  crane,
  jib,
  slideOutReveal,
  riseOverReveal,
  enterLeave,
  backAwayReveal,
  approachTiltDown,
  tiltToHorizon,
  groundStart,
  skyEnd,
  darkStart,
  darkEnd,
  follow,
  lead,
  alongside,
  holdDistance,
  overtake,
  carried,
  overheadStill,
  overheadSlide,
  overheadSpin,
  spiralOverhead,
  pan,
  tilt,
  whipPan,
  roll,
  pushRoll,
  tumble,
  dollyZoom,
  standingDollyZoom,
  zoom,
  rackFocus,
  still,
  free,
};

export const MOVE_KINDS = Object.keys(RECIPES) as MoveKind[];

/** The kinds that do a thing on screen. */
export const kindsFor = (effect: Effect): MoveKind[] => MOVE_KINDS.filter((kind) => RECIPES[kind].effect === effect);
export const EFFECT_KINDS = Object.keys(EFFECTS) as Effect[];

/** The recipe of a move. The pair always belongs together, which the compiler cannot follow through the table. */
export function recipeOf(move: Move): Recipe {
  return RECIPES[move.kind] as unknown as Recipe;
}

/** Another kind of move from where this one stands. */
export function asKind(move: Move, kind: MoveKind): Move {
  if (move.kind === kind) return move;
  const { pivotEastM, pivotNorthM } = move;
  return RECIPES[kind].startingFrom(recipeOf(move).stand(move), { pivotEastM, pivotNorthM });
}

const ELSEWHERE = { xM: 12.345, yM: -6.789, zM: 3.21 };

/** The parameters that a move takes from the one before it in a chain: where it begins. */
export function givenByTheLegBefore(move: Move): ReadonlySet<string> {
  const after = recipeOf(move).continueFrom(move, ELSEWHERE, stillMoveFrame({ xM: 0.5, yM: 0.7, zM: 0.1 })) as Record<
    string,
    unknown
  >;
  return new Set(Object.keys(after).filter((key) => after[key] !== (move as Record<string, unknown>)[key]));
}
