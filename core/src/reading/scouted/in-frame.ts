import { depthRasterOf } from '../../image';
import type { Samples } from '../../motion';
import type { Scene } from '../../scene';

const WIDTH_CELLS = 120;
/** Less of the frame than this is not noticed. */
const LEAST_SHARE = 0.004;

/** What of a piece is seen at a moment: how much of the frame it fills, and how far it is on average. */
export interface SeenHere {
  share: number;
  awayM: number;
}

/** The pieces that are seen in the frame at a row, by their index in the scene. */
export function inFrame(scene: Scene, samples: Samples, row: number, leastShare = LEAST_SHARE): Map<number, SeenHere> {
  const { pieceAt, nearness } = depthRasterOf(scene, samples, WIDTH_CELLS)(row);
  const sums = new Map<number, { cells: number; nearness: number }>();
  pieceAt.forEach((index, cell) => {
    if (index < 0) return;
    const before = sums.get(index) ?? { cells: 0, nearness: 0 };
    sums.set(index, { cells: before.cells + 1, nearness: before.nearness + nearness[cell] });
  });
  const seen = new Map<number, SeenHere>();
  for (const [index, { cells, nearness: sum }] of sums) {
    const share = cells / pieceAt.length;
    if (share >= leastShare) seen.set(index, { share, awayM: cells / sum });
  }
  return seen;
}
