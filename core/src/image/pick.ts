import type { Scene } from '../scene';
import type { Samples } from '../motion';
import { depthRasterOf, NOTHING } from './depth-raster';

/** Fine enough for a fingertip on a picture. */
const WIDTH_CELLS = 320;

/**
 * The piece that stands frontmost at a point of the picture, or a finger's breadth beside it; null for ground and sky.
 * `across` and `down`: shares of the picture from its upper left corner.
 */
export function pieceAtPoint(scene: Scene, samples: Samples, row: number, across: number, down: number): string | null {
  const { widthCells, heightCells, pieceAt } = depthRasterOf(scene, samples, WIDTH_CELLS)(row);
  const [x0, y0] = [Math.floor(across * widthCells), Math.floor(down * heightCells)];
  for (const reach of [0, 1, 2, 3])
    for (let y = y0 - reach; y <= y0 + reach; y += 1)
      for (let x = x0 - reach; x <= x0 + reach; x += 1) {
        if (x < 0 || y < 0 || x >= widthCells || y >= heightCells) continue;
        const index = pieceAt[y * widthCells + x];
        if (index !== NOTHING) return scene.pieces[index].id;
      }
  return null;
}
