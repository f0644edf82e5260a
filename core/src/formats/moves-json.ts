import { parametersOf } from '../model';
import { EFFECTS, MOVE_KINDS, RECIPES } from '../motion';

/**
 * The vocabulary as plain JSON: what `arc moves` prints. The family says what a move does on screen. A drawn path has
 * points instead of numbers; see docs/shoot.schema.json.
 */
export function movesJson() {
  return MOVE_KINDS.map((kind) => {
    const { title, purpose, effect } = RECIPES[kind];
    return { name: kind, title, family: EFFECTS[effect].label, sentence: purpose, parameters: parametersOf(kind) };
  });
}
