import type { Piece } from '../model/piece';
import type { Glance } from './glance';

/** What the audience gets to see of a piece. Times are those of the glances, to half a second. */
export interface PieceSeen {
  pieceId: string;
  name: string;
  /** Largest share of the frame that it fills, 0 to 1, and when, s on screen. */
  largestShare: number;
  largestS: number;
  /** First and last glance at which it can be seen, s on screen. */
  fromS: number;
  toS: number;
}

/** Adds up, glance by glance, what is seen of each piece. */
export class SeenPieces {
  private readonly found = new Map<number, PieceSeen>();

  constructor(private readonly pieces: readonly Piece[]) {}

  add(screenS: number, { pieceAt }: Glance): void {
    const cells = new Int32Array(this.pieces.length);
    for (const index of pieceAt) if (index >= 0) cells[index] += 1;
    cells.forEach((count, index) => {
      if (count === 0) return;
      const share = count / pieceAt.length;
      const { id, name } = this.pieces[index];
      const before = this.found.get(index) ?? { pieceId: id, name, largestShare: 0, largestS: screenS, fromS: screenS, toS: screenS };
      this.found.set(index, { ...before, toS: screenS, ...(share > before.largestShare ? { largestShare: share, largestS: screenS } : {}) });
    });
  }

  /** Every piece that was seen, largest first. */
  seen(): PieceSeen[] {
    return [...this.found.values()].sort((a, b) => b.largestShare - a.largestShare);
  }
}
