import type { Shoot } from '../model';
import { type BoardShot, SEEN_SIDES, SEEN_SIZES, type SeenSide, type SeenSize } from './board-shot';

/** Which shots show a subject from which side in which size, by their numbers. */
export interface Coverage {
  subjectId: string;
  name: string;
  cells: { side: SeenSide; size: SeenSize; numbers: number[]; ticked: boolean }[];
}

export const tickOf = (subjectId: string, side: SeenSide, size: SeenSize): string =>
  `${subjectId.slice(0, 24)}.${side}.${size}`;

/** The table of sides and sizes of the subject that most shots are about; null where none is in any. */
export function coverageOf(shoot: Shoot, board: readonly BoardShot[], subjectId?: string): Coverage | null {
  const counts = new Map<string, number>();
  for (const { seen } of board)
    for (const id of new Set(seen.map((row) => row.subjectId))) counts.set(id, (counts.get(id) ?? 0) + 1);
  const id = subjectId ?? [...counts].sort((a, b) => b[1] - a[1])[0]?.[0];
  const piece = shoot.site.pieces.find((row) => row.id === id);
  if (!piece) return null;
  return {
    subjectId: piece.id,
    name: piece.name,
    cells: SEEN_SIDES.flatMap((side) =>
      SEEN_SIZES.map((size) => ({
        side,
        size,
        numbers: board
          .filter(({ seen }) =>
            seen.some((row) => row.subjectId === piece.id && row.side === side && row.size === size),
          )
          .map(({ number }) => number),
        ticked: shoot.story.ticked.includes(tickOf(piece.id, side, size)),
      })),
    ),
  };
}
