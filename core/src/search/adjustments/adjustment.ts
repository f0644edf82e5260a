import type { Piece, Shot } from '../../model';
import { recipeOf } from '../../motion';

/** One way to change a shot, gentlest first. Each rung is a whole shot and the instruction that leads to it. */
export type Adjustment = Rung[];

export interface Rung {
  shot: Shot;
  /** The site's pieces, when one of them is to be moved. */
  pieces?: Piece[];
  /** What to do, as a sentence without its end: `Lower the camera to 0.6 m`. */
  instruction: string;
}

/** Height of the lens where the move begins, above the subject's base. */
export const heightOf = ({ move }: Shot): number => recipeOf(move).stand(move).heightM;

export const capital = (words: string) => `${words.charAt(0).toUpperCase()}${words.slice(1)}`;
