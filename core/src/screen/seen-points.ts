import type { Setup } from '../model/shoot';
import type { Samples } from '../motion/sample';
import { CAMERA_SIZE } from '../optics/projection';
import { pointsOf, type SitePoints } from '../site/site-points';
import { isSeen, type Glance } from './glance';

/** The still points of a site by the layer they are pinned to; `auto` goes by depth. */
export interface StillPoints {
  auto: SitePoints;
  near: SitePoints;
  far: SitePoints;
}

/** Glances a second on screen, and how fine they are across: what is hidden for less is not missed. */
const GLANCES_HZ = 3;
export const GLANCE_CELLS = 64;

/** The points that can be seen in each row: those hidden behind a piece at the glance of that stretch of the shot are left out. */
export type PointsAt = (row: number) => StillPoints;

/** Rows at which the shot is glanced at: one in the middle of each stretch, so many rows long. */
export function glanceRows({ count, frameRateHz }: Samples): { rows: number[]; stretch: number } {
  const stretch = Math.max(1, Math.round(frameRateHz / GLANCES_HZ));
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
    const seen = (points: SitePoints) => (this.anythingInTheWay ? among(points, samples, row, glance) : points);
    this.stretches.push({ auto: seen(still.auto), near: seen(still.near), far: seen(still.far) });
  }

  at(stretch: number): PointsAt {
    const { stretches } = this;
    return (row) => stretches[Math.min(stretches.length - 1, Math.floor(row / stretch))];
  }
}

function among(points: SitePoints, { cameras, frameWidthMm, frameHeightMm }: Samples, row: number, glance: Glance): SitePoints {
  const { xyzM, count } = points;
  const aspect = frameWidthMm / frameHeightMm;
  const c = row * CAMERA_SIZE;
  const kept = [new Float64Array(count), new Float64Array(count), new Float64Array(count)];
  let size = 0;
  for (let i = 0; i < xyzM.length; i += 3) {
    const x = xyzM[i], y = xyzM[i + 1], z = xyzM[i + 2]; // prettier-ignore
    const depth = cameras[c + 8] * x + cameras[c + 9] * y + cameras[c + 10] * z + cameras[c + 11];
    if (depth > 0) {
      const u = (cameras[c] * x + cameras[c + 1] * y + cameras[c + 2] * z + cameras[c + 3]) / depth;
      const w = (cameras[c + 4] * x + cameras[c + 5] * y + cameras[c + 6] * z + cameras[c + 7]) / depth;
      if (!isSeen(glance, u, w, depth, aspect)) continue;
    }
    kept[0][size] = x;
    kept[1][size] = y;
    kept[2][size] = z;
    size += 1;
  }
  if (size === count) return points;
  const [xs, ys, zs] = kept.map((column) => column.subarray(0, size));
  return pointsOf(xs, ys, zs);
}

/** The pieces of a setup that stand still in its shot and are not its subject. */
export function stillPieces({ pieces, shot, subject }: Setup) {
  const moving = new Set(shot.walks.map((walk) => walk.pieceId));
  return pieces.filter((piece) => !moving.has(piece.id) && piece.id !== subject?.id);
}
