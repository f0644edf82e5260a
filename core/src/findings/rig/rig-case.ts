import type { Units } from '../../model';
import type { Film } from '../../motion';
import { heightsM } from './heights';
import { sayIn, type Say } from './use';

/** What a rig has to do: the way that was filmed, and the lens above the ground, metres, one a row. */
export interface RigCase extends Pick<Film, 'scene' | 'filmed' | 'intent'> {
  heights: Float64Array;
  say: Say;
}

export const rigCase = (
  { scene, filmed, intent }: Pick<Film, 'scene' | 'filmed' | 'intent'>,
  units: Units,
  heights: Float64Array = heightsM(scene, filmed),
): RigCase => ({ scene, filmed, intent, heights, say: sayIn(units) });
