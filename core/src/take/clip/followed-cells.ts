import { CELLS } from './whole-motion';

/**
 * In which cells of the picture something could be followed, over a clip: parts of equal length, each with a bit a cell
 * from the upper left, row after row, four to a hexadecimal digit. Bare walls and clear skies have nothing to follow.
 */
export type FollowedCells = readonly string[];

const COUNT = CELLS.across * CELLS.down;
const MOST_PARTS = 60;

/** Counts cells step by step; a cell counts for a part of the clip when it was followed in half of its steps. */
export class FollowedCounter {
  private readonly steps: Uint8Array[] = [];

  add(cells: Iterable<number>): void {
    const bits = new Uint8Array(COUNT / 8);
    for (const cell of cells) bits[cell >> 3] |= 128 >> (cell & 7);
    this.steps.push(bits);
  }

  parts(): FollowedCells {
    const { steps } = this;
    const count = Math.min(MOST_PARTS, steps.length);
    return Array.from({ length: count }, (_, part) => {
      const within = steps.slice(
        Math.floor((part * steps.length) / count),
        Math.floor(((part + 1) * steps.length) / count),
      );
      const times = new Uint16Array(COUNT);
      for (const bits of within) for (let cell = 0; cell < COUNT; cell += 1) times[cell] += bitOf(bits, cell);
      return Array.from({ length: COUNT / 4 }, (_, digit) =>
        [0, 1, 2, 3].reduce((sum, k) => sum * 2 + (2 * times[4 * digit + k] >= within.length ? 1 : 0), 0).toString(16),
      ).join('');
    });
  }
}

const bitOf = (bits: Uint8Array, cell: number) => (bits[cell >> 3] >> (7 - (cell & 7))) & 1;

/** Whether a cell was followed at a share of the clip, 0 to 1. Where nothing was kept of it, all are. */
export function wasFollowed(parts: FollowedCells, share: number): (cell: number) => boolean {
  if (parts.length === 0) return () => true;
  const part = parts[Math.min(parts.length - 1, Math.max(0, Math.floor(share * parts.length)))];
  return (cell) => ((Number.parseInt(part[cell >> 2], 16) >> (3 - (cell & 3))) & 1) === 1;
}
