import type { Setup } from '../model/shoot';
import type { Samples } from '../motion/sample';
import { CAMERA_SIZE } from '../optics/projection';
import { clustered, type SitePoints } from '../site/site-points';
import { seenDepthM, type Glance } from './glance';

/** The still points of a site by the layer they are pinned to; `auto` goes by depth. */
export interface StillPoints {
  auto: SitePoints;
  near: SitePoints;
  far: SitePoints;
}

/** How fine glances are across. */
export const GLANCE_CELLS = 64;

/** The points that can be seen in each row: those hidden behind a piece at the glance of that stretch of the shot are left out. */
export type PointsAt = (row: number) => StillPoints;

/** Rows at which the shot is glanced at: one in the middle of each stretch, so many rows long. */
export function glanceRows({ count, frameRateHz }: Samples, glancesHz: number): { rows: number[]; stretch: number } {
  const stretch = Math.max(1, Math.round(frameRateHz / glancesHz));
  const rows: number[] = [];
  for (let from = 0; from < count; from += stretch) rows.push(Math.min(count - 1, from + (stretch >> 1)));
  return { rows, stretch };
}

/** Sorts out, glance by glance, which points can be seen. `glance` must stand at `row` when it is called with it. */
export class SeenPoints {
  private readonly stretches: StillPoints[] = [];

  constructor(
    private readonly still: StillPoints,
    private readonly samples: Samples,
    private readonly anythingInTheWay: boolean,
  ) {}

  add(row: number, glance: Glance): void {
    const { still, samples } = this;
    const depthM = seenDepthM(glance);
    const seen = (points: SitePoints) => (this.anythingInTheWay && points.count > 0 ? among(points, samples, row, glance, depthM) : points);
    this.stretches.push({ auto: seen(still.auto), near: seen(still.near), far: seen(still.far) });
  }

  at(stretch: number): PointsAt {
    const { stretches } = this;
    return (row) => stretches[Math.min(stretches.length - 1, Math.floor(row / stretch))];
  }
}

/** The points that nothing stands before at a row. What lies outside the frame is taken as seen. */
function among(points: SitePoints, { cameras, frameWidthMm, frameHeightMm }: Samples, row: number, { widthCells, heightCells }: Glance, depthM: Float32Array): SitePoints {
  const { xyzM, count } = points;
  const c = row * CAMERA_SIZE;
  const a0 = cameras[c], a1 = cameras[c + 1], a2 = cameras[c + 2], a3 = cameras[c + 3]; // prettier-ignore
  const b0 = cameras[c + 4], b1 = cameras[c + 5], b2 = cameras[c + 6], b3 = cameras[c + 7]; // prettier-ignore
  const c0 = cameras[c + 8], c1 = cameras[c + 9], c2 = cameras[c + 10], c3 = cameras[c + 11]; // prettier-ignore
  const tall = (heightCells * frameWidthMm) / frameHeightMm;
  const kept = new Float64Array(xyzM.length);
  let size = 0;
  for (let i = 0; i < xyzM.length; i += 3) {
    const x = xyzM[i];
    const y = xyzM[i + 1];
    const z = xyzM[i + 2];
    const depth = c0 * x + c1 * y + c2 * z + c3;
    if (depth > 0) {
      const column = Math.floor(((a0 * x + a1 * y + a2 * z + a3) / depth + 0.5) * widthCells);
      const line = Math.floor(heightCells / 2 - ((b0 * x + b1 * y + b2 * z + b3) / depth) * tall);
      if (column >= 0 && line >= 0 && column < widthCells && line < heightCells && depth > depthM[line * widthCells + column]) continue;
    }
    kept[size] = x;
    kept[size + 1] = y;
    kept[size + 2] = z;
    size += 3;
  }
  return size === 3 * count ? points : clustered(kept.subarray(0, size));
}

/** The pieces of a setup that stand still in its shot and are not its subject. */
export function stillPieces({ pieces, shot, subject }: Setup) {
  const moving = new Set(shot.walks.map((walk) => walk.pieceId));
  return pieces.filter((piece) => !moving.has(piece.id) && piece.id !== subject?.id);
}
