import type { Scene, Stance } from '../scene';
import type { Samples } from '../motion';
import { CAMERA_SIZE } from '../optics';
import { turnedBy } from '../scene';
import { depthRasterOf } from './depth-raster';

/** Fine enough that a press and the point it makes do not part. */
const WIDTH_CELLS = 640;

/** A point of a piece in the piece's own frame, metres. */
export interface PointOn {
  acrossM: number;
  alongM: number;
  upM: number;
}

/**
 * The point of a piece's surface at a point of the picture; null where something else or nothing is frontmost there.
 * `across` and `down`: shares of the picture from its upper left corner.
 */
export function pointOnPiece(
  scene: Scene,
  samples: Samples,
  row: number,
  across: number,
  down: number,
  pieceId: string,
): PointOn | null {
  const index = scene.pieces.findIndex(({ id }) => id === pieceId);
  const { widthCells, heightCells, pieceAt, nearness } = depthRasterOf(scene, samples, WIDTH_CELLS)(row);
  const [x, y] = [Math.floor(across * widthCells), Math.floor(down * heightCells)];
  if (x < 0 || y < 0 || x >= widthCells || y >= heightCells || index < 0) return null;
  const cell = y * widthCells + x;
  if (pieceAt[cell] !== index) return null;
  const depthM = 1 / nearness[cell];
  const aspect = samples.frameWidthMm / samples.frameHeightMm;
  // A site point p falls at u = (r·p + r₄)/depth and w = (t·p + t₄)/depth: the three rows give p back.
  const at = row * CAMERA_SIZE;
  const camera = samples.cameras.subarray(at, at + CAMERA_SIZE);
  const wanted = [(across - 0.5) * depthM, ((0.5 - down) / aspect) * depthM, depthM];
  const scale = samples.focalLengthMm[row] / samples.frameWidthMm;
  // The first two rows are unit vectors times the focal length in frame widths, the third is one: all at right angles.
  const shares = [0, 1, 2].map((k) => (wanted[k] - camera[4 * k + 3]) / (k < 2 ? scale ** 2 : 1));
  const place = [0, 1, 2].map((axis) => shares.reduce((sum, share, k) => sum + share * camera[4 * k + axis], 0));
  const thing = scene.things[index];
  const base = new Float64Array(3);
  const stance: Stance = { headingDeg: thing.piece.headingDeg, leanDeg: 0, pitchDeg: 0 };
  thing.at(samples.tS[row], base);
  if (thing.walks) thing.stanceAt(samples.tS[row], stance);
  const turned = turnedBy(stance, new Float64Array(9));
  const own = (k: number) =>
    [0, 1, 2].reduce((sum, axis) => sum + turned[3 * k + axis] * (place[axis] - base[axis]), 0);
  return { acrossM: own(0), alongM: own(1), upM: own(2) };
}
