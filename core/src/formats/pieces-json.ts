import * as z from 'zod';
import { type Piece, PieceSchema, problemsOf, SHOOT_VERSION } from '../model';
import { jsonOf } from './json';
import { Refusal } from './refusal';

/** Pieces on their way from one shoot to another. */
const FORMAT = 'gentle-arc-pieces';
const ClipSchema = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(SHOOT_VERSION),
  pieces: z.array(PieceSchema).min(1).max(2000),
});

export const writePieces = (pieces: readonly Piece[]): string =>
  JSON.stringify({ format: FORMAT, version: SHOOT_VERSION, pieces });

/** Throws a `Refusal` when the text holds no pieces of this version. */
export function readPieces(text: string): Piece[] {
  const value = jsonOf(text);
  const clip = ClipSchema.safeParse(value);
  if (!clip.success) throw new Refusal(problemsOf(clip.error, value));
  return clip.data.pieces;
}
