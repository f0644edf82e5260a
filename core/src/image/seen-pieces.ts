import type { Piece } from '../model';
import type { DepthRaster } from './depth-raster';

/** What the audience gets to see of a piece. Times are those of the rasters. */
export interface PieceSeen {
  pieceId: string;
  name: string;
  /** Largest share of the frame that it fills, 0 to 1, and when, s on screen. */
  largestShare: number;
  largestS: number;
  /** First and last raster at which it can be seen, s on screen. */
  fromS: number;
  toS: number;
}

/** Adds up, raster by raster, what is seen of each piece. */
export class SeenPieces {
  private readonly cells: Int32Array;
  private readonly found: (PieceSeen | undefined)[];

  constructor(private readonly pieces: readonly Piece[]) {
    this.cells = new Int32Array(pieces.length);
    this.found = new Array<PieceSeen | undefined>(pieces.length).fill(undefined);
  }

  add(screenS: number, { pieceAt, widthCells, frameWidthCells, frameHeightCells, marginCells }: DepthRaster): void {
    const { cells, found } = this;
    cells.fill(0);
    for (let line = marginCells; line < marginCells + frameHeightCells; line += 1)
      for (
        let cell = line * widthCells + marginCells;
        cell < line * widthCells + marginCells + frameWidthCells;
        cell += 1
      )
        if (pieceAt[cell] >= 0) cells[pieceAt[cell]] += 1;
    for (let index = 0; index < cells.length; index += 1) {
      if (cells[index] === 0) continue;
      const share = cells[index] / (frameWidthCells * frameHeightCells);
      const { id, name } = this.pieces[index];
      const row = (found[index] ??= {
        pieceId: id,
        name,
        largestShare: 0,
        largestS: screenS,
        fromS: screenS,
        toS: screenS,
      });
      row.toS = screenS;
      if (share <= row.largestShare) continue;
      row.largestShare = share;
      row.largestS = screenS;
    }
  }

  /** Every piece that was seen, largest first. */
  seen(): PieceSeen[] {
    return this.found.filter((row) => row !== undefined).sort((a, b) => b.largestShare - a.largestShare);
  }
}
