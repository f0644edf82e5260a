import type { Move } from '../model';
import { withNumbers } from '../edit/transform';

/** The move on a site whose east and west have changed places. */
export function mirroredSite(move: Move): Move {
  if (move.kind === 'free')
    return {
      ...move,
      pivotEastM: -move.pivotEastM,
      points: move.points.map((point) => ({
        ...point,
        eastM: -point.eastM,
        look: point.look && { ...point.look, panDeg: -point.look.panDeg, rollDeg: -point.look.rollDeg },
      })),
    };
  return withNumbers(move, (value, { mirror }) => (mirror ? -value : value));
}
