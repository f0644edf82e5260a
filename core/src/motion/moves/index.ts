import type { Move, MoveKind, MoveOf } from '../../model/move';
import type { Shot } from '../../model/shot';
import * as circles from './circles';
import { free } from './free';
import * as lifting from './lifting';
import * as overhead from './overhead';
import { approachTiltDown, pull, push, pushRise, pushRoll, scoop } from './pushing';
import { EFFECTS, type Effect, type Recipe } from './recipe';
import * as revealing from './revealing';
import * as sliding from './sliding';
import * as turns from './turns';
import * as withSubject from './with-subject';
import * as zooming from './zooming';

/** Every move of the vocabulary, in the order a person meets them. */
export const RECIPES: { [K in MoveKind]: Recipe<MoveOf<K>> } = {
  ...sliding,
  push,
  pull,
  pushRise,
  scoop,
  ...circles,
  ...lifting,
  ...revealing,
  approachTiltDown,
  ...withSubject,
  ...overhead,
  ...turns,
  pushRoll,
  ...zooming,
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

/** A shot whose move is of another kind, from where it stands, with the timing that kind usually has. */
export function withKind(shot: Shot, kind: MoveKind): Shot {
  const timing = RECIPES[kind].usualTiming?.(shot.timing) ?? shot.timing;
  return { ...shot, move: asKind(shot.move, kind), timing: shot.move.kind === kind ? shot.timing : timing };
}
