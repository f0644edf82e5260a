import type { Move, MoveKind } from '../../model/move';
import { arc } from './arc';
import { dollyZoom } from './dolly-zoom';
import { push } from './push';
import type { Recipe } from './recipe';
import { slide } from './slide';

/** Every move of the vocabulary, in the order a person meets them. */
export const RECIPES = { slide, push, arc, dollyZoom } as const;

export const MOVE_KINDS = Object.keys(RECIPES) as MoveKind[];

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
