import { PIECE_KINDS, type Piece } from '../model';
import { distanceToPieceM } from './distance';

const STEP_M = 0.1;
/** A camera and whoever stands behind it: common practice, no published source. */
const BODY_M = 0.4;
const HEAD_M = 1.8;

/**
 * How far one can back away from a place in a direction before something stands in the way, m, and what; `mostM` and
 * null where nothing does. What one walks on is not in the way.
 */
export function roomM(
  pieces: readonly Piece[],
  from: { xM: number; yM: number },
  bearingDeg: number,
  groundM: number,
  mostM = 200,
): { roomM: number; piece: Piece | null } {
  const solid = pieces.filter((piece) => !PIECE_KINDS[piece.kind].ground);
  const [east, north] = [Math.sin((bearingDeg * Math.PI) / 180), Math.cos((bearingDeg * Math.PI) / 180)];
  for (let goneM = 0; goneM < mostM; goneM += STEP_M) {
    const [x, y] = [from.xM + east * goneM, from.yM + north * goneM];
    const piece = solid.find((row) => distanceToPieceM(row, row, x, y, groundM, groundM + HEAD_M) < BODY_M);
    if (piece) return { roomM: goneM, piece };
  }
  return { roomM: mostM, piece: null };
}
