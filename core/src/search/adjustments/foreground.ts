import { type Piece, PIECE_KINDS, sayLength, type Units } from '../../model';
import type { Scene } from '../../scene';
import { motionOf } from '../../motion';
import type { Adjustment } from './adjustment';

/** What two people lift and set down elsewhere: common practice, no published source. */
const MOVABLE_M = 2;
/** Nothing is put nearer to the camera's path than this, m. */
const LEAST_AWAY_M = 0.4;
const SHARES = [0.2, 0.4, 0.6, 0.8];
const cm = (m: number) => Math.round(m * 100) / 100;

/** Where the camera is halfway, and what stands between it and what the move turns about. */
function between(scene: Scene): { xM: number; yM: number; reachM: number; pieces: { piece: Piece; awayM: number }[] } {
  const motion = motionOf(scene);
  const place = new Float64Array(3);
  motion.placeAt((motion.startS + motion.endS) / 2, place);
  const [xM, yM] = place;
  const target = scene.subject ?? motion.pivot;
  const reachM = Math.hypot(target.xM - xM, target.yM - yM);
  const walking = new Set(scene.shot.walks.map(({ pieceId }) => pieceId));
  const pieces = scene.pieces
    .filter(
      (piece) =>
        piece.id !== scene.subject?.id &&
        !walking.has(piece.id) &&
        !PIECE_KINDS[piece.kind].ground &&
        !piece.locked &&
        piece.kind !== 'figure',
    )
    .filter((piece) => Math.max(piece.lengthM, piece.depthM) <= MOVABLE_M)
    .map((piece) => ({ piece, awayM: Math.hypot(piece.xM - xM, piece.yM - yM) }))
    .filter(({ awayM }) => awayM < reachM && awayM > 0.05)
    .sort((a, b) => a.awayM - b.awayM);
  return { xM, yM, reachM, pieces };
}

/**
 * The nearest movable thing in the foreground put nearer to the camera or farther from it, along the line of sight to
 * it.
 */
export function foreground(scene: Scene, to: 'nearer' | 'farther', units: Units): Adjustment {
  const { xM, yM, reachM, pieces } = between(scene);
  const [first] = pieces;
  if (!first) return [];
  const { piece, awayM } = first;
  return SHARES.flatMap((share) => {
    const goalM =
      to === 'nearer' ? Math.max(LEAST_AWAY_M, awayM * (1 - share)) : awayM + (reachM * 0.95 - awayM) * share;
    const byM = Math.abs(goalM - awayM);
    if (byM < 0.1) return [];
    const times = goalM / awayM;
    const moved = { ...piece, xM: cm(xM + (piece.xM - xM) * times), yM: cm(yM + (piece.yM - yM) * times) };
    return [
      {
        shot: scene.shot,
        pieces: scene.pieces.map((row) => (row.id === piece.id ? moved : row)),
        instruction:
          `Put ${piece.name} ${sayLength(byM, units)} ` +
          `${to === 'nearer' ? 'nearer to' : 'farther from'} the camera`,
      },
    ];
  });
}

const ASIDE_M = [0.5, 1, 1.6, 2.4];

/** The movable thing in the foreground nearest to the line of sight put aside, to whichever side it stands already. */
export function aside(scene: Scene, units: Units): Adjustment {
  const { xM, yM, reachM, pieces } = between(scene);
  const target = scene.subject ?? { xM: xM + 1, yM };
  const [ax, ay] = [(target.xM - xM) / (reachM || 1), (target.yM - yM) / (reachM || 1)];
  /** How far a piece stands to the right of the line of sight. */
  const offM = (piece: Piece) => (piece.xM - xM) * ay - (piece.yM - yM) * ax;
  const [first] = pieces.map(({ piece }) => piece).sort((a, b) => Math.abs(offM(a)) - Math.abs(offM(b)));
  if (!first) return [];
  const side = offM(first) < 0 ? -1 : 1;
  return ASIDE_M.map((byM) => {
    const moved = { ...first, xM: cm(first.xM + side * byM * ay), yM: cm(first.yM - side * byM * ax) };
    return {
      shot: scene.shot,
      pieces: scene.pieces.map((row) => (row.id === first.id ? moved : row)),
      instruction: `Put ${first.name} ${sayLength(byM, units)} to the ${side < 0 ? 'left' : 'right'}`,
    };
  });
}
