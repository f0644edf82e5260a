import type { Scene } from '../scene';
import type { Samples } from '../motion';
import { CAMERA_SIZE } from '../optics';
import { CLUSTER_SIZE, type SitePoints } from '../site';
import { NOTHING, type DepthRaster } from './depth-raster';

/**
 * What of the still site fills the picture: for every cell of a raster the spot of the surface that is seen there, so
 * that each spot stands for as much of the picture as any other. Spots are sorted by the layer that their piece is
 * pinned to; `auto` goes by depth.
 */
export interface StillPoints {
  auto: SitePoints;
  near: SitePoints;
  far: SitePoints;
}

/**
 * How fine rasters are across the frame, and how far they look beyond its edges: what comes in before the next raster.
 */
export const RASTER_CELLS = 40;
export const MARGIN_CELLS = 6;

/** The spots that stand for the picture in each row. */
export type PointsAt = (row: number) => StillPoints;

/** The picture may go on by this much, frame widths, before it is glanced at again. */
const MOST_SHIFT = 0.1;

/**
 * The row after the last that one raster, beginning at `from`, stands for: so many rasters a second on screen at least,
 * and more while the picture goes on quickly. `nearM`: how near what fills the picture is.
 */
export function stretchEnd(samples: Samples, from: number, nearM: number, rastersHz: number): number {
  const { count, frameRateHz, frameWidthMm, focalLengthMm, xM, yM, zM, panDeg, tiltDeg, rollDeg } = samples;
  const longest = Math.min(count, from + Math.max(1, Math.round(frameRateHz / rastersHz)));
  let shift = 0;
  for (let row = from + 1; row < longest; row += 1) {
    const scale = focalLengthMm[row] / frameWidthMm;
    const turn =
      (Math.abs(panDeg[row] - panDeg[row - 1]) +
        Math.abs(tiltDeg[row] - tiltDeg[row - 1]) +
        Math.abs(rollDeg[row] - rollDeg[row - 1]) / 2) *
      RAD *
      scale;
    const travel =
      (Math.hypot(xM[row] - xM[row - 1], yM[row] - yM[row - 1], zM[row] - zM[row - 1]) / Math.max(0.1, nearM)) * scale;
    shift += turn + travel + Math.abs(Math.log(focalLengthMm[row] / focalLengthMm[row - 1])) / 2;
    if (shift >= MOST_SHIFT) return row;
  }
  return longest;
}

/**
 * How near what fills the picture of a raster is, m: the near things count most (root mean square of nearness).
 * Infinity where there is nothing.
 */
export function nearnessM({ nearness }: DepthRaster): number {
  let square = 0;
  for (const value of nearness) square += value * value;
  return 1 / Math.sqrt(square / nearness.length);
}

const RAD = Math.PI / 180;
/** Ground farther than this is as good as the horizon, m. */
const HORIZON_M = 20_000;

/**
 * Points that are not worth sorting into clusters, because they are looked at a few times only: every cluster reaches
 * everywhere.
 */
function loose(xyzM: Float64Array): SitePoints {
  const count = xyzM.length / 3;
  const spheresM = new Float64Array(Math.ceil(count / CLUSTER_SIZE) * 4);
  for (let sphere = 3; sphere < spheresM.length; sphere += 4) spheresM[sphere] = Infinity;
  return { count, xyzM, spheresM };
}

/** Collects what fills the picture, raster by raster. `raster` must stand at `row` when it is called with it. */
export class SeenSurface {
  private readonly stretches: StillPoints[] = [];
  private readonly layerOf: ('auto' | 'near' | 'far' | null)[];
  /** Written over in each raster: growing lists would cost more than the raster. */
  private readonly spots = { auto: new Float64Array(0), near: new Float64Array(0), far: new Float64Array(0) };

  constructor(
    scene: Scene,
    private readonly samples: Samples,
  ) {
    const still = new Set(stillPieces(scene).map(({ id }) => id));
    this.layerOf = scene.pieces.map(({ id, layer }) => (still.has(id) && layer !== 'subject' ? layer : null));
  }

  add(row: number, raster: DepthRaster): void {
    const { samples, layerOf } = this;
    const { widthCells, heightCells, frameWidthCells, frameHeightCells, marginCells, pieceAt, nearness } = raster;
    const { cameras, frameWidthMm, frameHeightMm } = samples;
    const c = row * CAMERA_SIZE;
    const scale = frameWidthMm / samples.focalLengthMm[row];
    const square = scale * scale;
    const tall = frameHeightMm / frameWidthMm;
    const x0 = samples.xM[row],
      y0 = samples.yM[row],
      z0 = samples.zM[row];
    const a0 = cameras[c],
      a1 = cameras[c + 1],
      a2 = cameras[c + 2];
    const b0 = cameras[c + 4],
      b1 = cameras[c + 5],
      b2 = cameras[c + 6];
    const c0 = cameras[c + 8],
      c1 = cameras[c + 9],
      c2 = cameras[c + 10];
    const alongStep = square / frameWidthCells;
    const room = 3 * pieceAt.length;
    if (this.spots.auto.length < room)
      for (const layer of ['auto', 'near', 'far'] as const) this.spots[layer] = new Float64Array(room);
    const { auto, near, far } = this.spots;
    const nothing = NOTHING;
    const horizonM = HORIZON_M;
    let autoSize = 0;
    let nearSize = 0;
    let farSize = 0;
    for (let line = 0; line < heightCells; line += 1) {
      const up = (0.5 - (line - marginCells + 0.5) / frameHeightCells) * tall * square;
      // From the camera for each metre of depth, cell by cell.
      let right = (0.5 - marginCells) * alongStep - square / 2;
      for (let cell = line * widthCells; cell < (line + 1) * widthCells; cell += 1, right += alongStep) {
        const dz = a2 * right + b2 * up + c2;
        const index = pieceAt[cell];
        let layer: 'auto' | 'near' | 'far' | null = 'auto';
        let depthM = 0;
        if (index === nothing) {
          if (dz >= 0 || z0 <= 0) continue;
          depthM = -z0 / dz;
          if (depthM > horizonM) continue;
        } else {
          layer = layerOf[index];
          if (layer === null) continue;
          depthM = 1 / nearness[cell];
        }
        const x = x0 + depthM * (a0 * right + b0 * up + c0);
        const y = y0 + depthM * (a1 * right + b1 * up + c1);
        const z = z0 + depthM * dz;
        if (layer === 'auto') {
          auto[autoSize] = x;
          auto[autoSize + 1] = y;
          auto[autoSize + 2] = z;
          autoSize += 3;
        } else if (layer === 'near') {
          near[nearSize] = x;
          near[nearSize + 1] = y;
          near[nearSize + 2] = z;
          nearSize += 3;
        } else {
          far[farSize] = x;
          far[farSize + 1] = y;
          far[farSize + 2] = z;
          farSize += 3;
        }
      }
    }
    this.stretches.push({
      auto: loose(auto.slice(0, autoSize)),
      near: loose(near.slice(0, nearSize)),
      far: loose(far.slice(0, farSize)),
    });
  }

  /** The spots of each row; `from`: where the stretch of each raster begins. */
  at(from: readonly number[]): PointsAt {
    const { stretches } = this;
    let k = 0;
    return (row) => {
      if (from[k] > row) k = 0;
      while (k + 1 < from.length && from[k + 1] <= row) k += 1;
      return stretches[k];
    };
  }
}

/** The pieces of a scene that stand still in its shot and are not its subject. */
export function stillPieces({ things, subject }: Scene) {
  return things.filter(({ piece, walks }) => !walks && piece.id !== subject?.id).map(({ piece }) => piece);
}
