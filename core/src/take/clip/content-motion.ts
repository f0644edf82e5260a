import { depthRasterOf, NOTHING } from '../../image';
import type { Film } from '../../motion';
import { CAMERA_SIZE, project } from '../../optics';
import type { Flow } from './whole-motion';

/** The picture of one row of a plan in cells, and where what stands in them goes between two rows. */
export interface Content {
  widthCells: number;
  heightCells: number;
  /** How deep that lies along the optical axis, m; null where somebody walks, who moves by himself. */
  depthM(x: number, y: number): number | null;
  /** Where the place u, w of a cell comes from and goes to; null where somebody walks, or it is behind the camera. */
  flow(x: number, y: number, u: number, w: number): Flow | null;
}

/** Nothing there, and above the horizon: so far away, m. */
const SKY_M = 5000;

/** The content of a plan’s picture at a row, as it moves between the rows `from` and `to`. */
export function contentOf(film: Film, cellsAcross: number): (row: number, from: number, to: number) => Content {
  const { samples, scene } = film;
  const { cameras, frameWidthMm } = samples;
  const rasterAt = depthRasterOf(scene, samples, cellsAcross);
  const aspect = frameWidthMm / samples.frameHeightMm;
  const seen = { u: 0, w: 0, depthM: 0 };
  return (row, from, to) => {
    const { widthCells, heightCells, nearness, pieceAt } = rasterAt(row);
    const camera = cameras.subarray(row * CAMERA_SIZE, row * CAMERA_SIZE + CAMERA_SIZE);
    const scale = samples.focalLengthMm[row] / frameWidthMm;
    const deep = (cell: number, u: number, w: number): number | null => {
      if (pieceAt[cell] === NOTHING) return groundM(camera, scale, u, w);
      return scene.things[pieceAt[cell]].walks ? null : 1 / nearness[cell];
    };
    const middleOf = (x: number, y: number) =>
      [(x + 0.5) / widthCells - 0.5, (0.5 - (y + 0.5) / heightCells) / aspect] as const;
    return {
      widthCells,
      heightCells,
      depthM: (x, y) => deep(y * widthCells + x, ...middleOf(x, y)),
      flow(x, y, u, w) {
        const depthM = deep(y * widthCells + x, u, w);
        if (depthM === null) return null;
        const place = placeAt(camera, scale, u, w, depthM);
        project(cameras, from * CAMERA_SIZE, place[0], place[1], place[2], seen);
        if (seen.depthM <= 0) return null;
        const [u0, w0] = [seen.u, seen.w];
        project(cameras, to * CAMERA_SIZE, place[0], place[1], place[2], seen);
        return seen.depthM > 0 ? { u, w, du: seen.u - u0, dw: seen.w - w0 } : null;
      },
    };
  };
}

/** The site’s place that is seen at u and w of a camera, so deep along its axis. */
function placeAt(camera: Float64Array, scale: number, u: number, w: number, depthM: number): [number, number, number] {
  // A place p falls at u = (r·p + r₄)/depth and w = (t·p + t₄)/depth; the rows are at right angles.
  const wanted = [u * depthM, w * depthM, depthM];
  const shares = [0, 1, 2].map((k) => (wanted[k] - camera[4 * k + 3]) / (k < 2 ? scale ** 2 : 1));
  const of = (axis: number) => shares.reduce((sum, share, k) => sum + share * camera[4 * k + axis], 0);
  return [of(0), of(1), of(2)];
}

/** How deep level ground lies there; the sky where none does. */
function groundM(camera: Float64Array, scale: number, u: number, w: number): number {
  const [near, far] = [placeAt(camera, scale, u, w, 1), placeAt(camera, scale, u, w, 2)];
  const fall = near[2] - far[2];
  const depth = 1 + near[2] / fall;
  return fall > 1e-9 && depth > 0 && depth < SKY_M ? depth : SKY_M;
}
