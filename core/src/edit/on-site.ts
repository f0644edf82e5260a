import { type Piece, WalkPointSchema, WallSchema } from '../model';
import { groundHeightM, groundPieces } from '../site';

export const cm = (m: number) => Math.round(m * 100) / 100;
const within = (m: number, { minValue, maxValue }: { minValue: number | null; maxValue: number | null }) =>
  Math.min(maxValue ?? Infinity, Math.max(minValue ?? -Infinity, cm(m)));
/** A place on the site or of a walk as far out as there is any. */
export const onSite = (m: number) => within(m, PLACE.xM);
export const upSite = (m: number) => within(m, PLACE.zM);
export const onWalk = (m: number) => within(m, WalkPointSchema.shape.xM);
const PLACE = WallSchema.shape;

/** Height of the ground at a place, not counting the piece that is being put there. */
export function groundAt(pieces: readonly Piece[], xM: number, yM: number, without?: string): number {
  return cm(groundHeightM(groundPieces(pieces.filter((piece) => piece.id !== without)), xM, yM));
}
