import type { Piece } from '../model';
import { outlineOf, type Spot } from './outline';
import { solidOf } from './solids';

const RAD = Math.PI / 180;
// Pieces are never changed in place.
const known = new WeakMap<Piece, Map<number, Spot[]>>();

/**
 * The outline of a piece seen from the side, far away, looking in a direction (degrees from north): metres to the right
 * of the site's middle as it is seen, and up. Hollows are filled.
 */
export function sideOutline(piece: Piece, lookDeg: number): Spot[] {
  const views = known.get(piece) ?? new Map<number, Spot[]>();
  known.set(piece, views);
  const before = views.get(lookDeg);
  if (before) return before;
  const [sin, cos] = [Math.sin(lookDeg * RAD), Math.cos(lookDeg * RAD)];
  const turn = (piece.headingDeg - lookDeg) * RAD;
  const middle = piece.xM * cos - piece.yM * sin;
  const { positions } = solidOf(piece);
  const spots: Spot[] = [];
  for (let i = 0; i < positions.length; i += 3)
    spots.push([
      middle + positions[i] * Math.cos(turn) + positions[i + 1] * Math.sin(turn),
      piece.zM + positions[i + 2],
    ]);
  const outline = outlineOf(spots);
  views.set(lookDeg, outline);
  return outline;
}
