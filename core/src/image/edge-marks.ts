import { type Piece, PIECE_KINDS, sayLength, type Units } from '../model';
import type { Scene } from '../scene';
import type { Samples } from '../motion';
import { CAMERA_SIZE, project, type InPicture } from '../optics';
import { depthRasterOf, type DepthRaster } from './depth-raster';

/**
 * What stands at an edge of the frame at the start or the end: what an operator notes to make the move again by hand.
 */
export interface EdgeMark {
  when: 'start' | 'soon' | 'end';
  edge: 'left' | 'right';
  pieceId: string;
  name: string;
  /** How far inside the edge it stands, frame widths; 0 when the edge cuts it. */
  inside: number;
  /** At the end: things come from the other side, so that this mark can be seen coming. */
  trailing: boolean;
  /** `The left edge cuts Post.` */
  sentence: string;
}

const CELLS = 160;
/** What lies lower than this over the frame's height is not looked for as a mark. */
const LEAST_CELLS = 2;
/** Long pieces are told where they are cut. */
const LONG_M = 1.5;
/** A mark farther inside than this is none. */
const MOST_INSIDE = 0.3;
/** A post this near an edge is a better mark than a long row that the edge cuts. */
const SHORT_INSIDE = 0.12;

/**
 * The four marks of a shot, and where `soonRow` says when its end is near, two more that warn of it. An edge near which
 * nothing stands has none.
 */
export function edgeMarks(scene: Scene, samples: Samples, units: Units, soonRow: number | null = null): EdgeMark[] {
  if (scene.pieces.length === 0) return [];
  const raster = depthRasterOf(scene, samples, CELLS);
  const rows = [
    { when: 'start', row: 0 },
    ...(soonRow === null ? [] : [{ when: 'soon', row: soonRow } as const]),
    { when: 'end', row: samples.count - 1 },
  ] as const;
  return rows.flatMap(({ when, row }) => {
    const seen = raster(row);
    return (['left', 'right'] as const).flatMap((edge): EdgeMark[] => {
      const found = nearestTo(edge, seen, scene.pieces);
      if (!found) return [];
      const piece = scene.pieces[found.index];
      const inside = found.steps / seen.widthCells;
      const part =
        found.steps === 0 ? partAt(piece, scene, samples, row, edge, found.depthM, found.line, seen, units) : '';
      const sentence =
        found.steps === 0
          ? `The ${edge} edge cuts ${piece.name}${part}.`
          : `${piece.name} stands ${Math.max(1, Math.round(inside * 100))}% of the width inside the ${edge} edge.`;
      return [
        {
          when,
          edge,
          pieceId: piece.id,
          name: piece.name,
          inside,
          trailing:
            when !== 'start' &&
            seenComing(samples, row, edge, inside, found.depthM, (found.line + 0.5) / seen.heightCells),
          sentence,
        },
      ];
    });
  });
}

/**
 * A mark is seen coming when it has gone this far towards its edge, frame widths, inside the picture, in the last so
 * many seconds of motion. Common practice, no published source.
 */
const SEEN_COMING = 0.02;
const LAST_S = 2;
const AT_REST = 1e-4;

/**
 * Whether the spot that stands at an edge in a row came there through the picture in the last seconds before things
 * come to rest. `fromTop`: a share of the frame's height.
 */
function seenComing(
  samples: Samples,
  row: number,
  edge: 'left' | 'right',
  inside: number,
  depthM: number,
  fromTop: number,
): boolean {
  const spot = spotAt(samples, row, edge === 'left' ? inside - 0.5 : 0.5 - inside, 0.5 - fromTop, depthM);
  const point: InPicture = { u: 0, w: 0, depthM: 0 };
  const uAt = (at: number) => {
    project(samples.cameras, at * CAMERA_SIZE, ...spot, point);
    return point.depthM > 0 ? point.u : NaN;
  };
  const outward = edge === 'left' ? -1 : 1;
  let last = row;
  while (last > 0 && Math.abs(uAt(last) - uAt(last - 1)) < AT_REST) last -= 1;
  const before = Math.max(0, last - Math.round(LAST_S * samples.frameRateHz));
  let [seen, came] = [0, 0];
  for (let at = before; at < last; at += 1) {
    const u = uAt(at);
    if (Math.abs(u) <= 0.5) seen += 1;
    came = Math.max(came, outward * (uAt(row) - u));
  }
  return seen > (last - before) / 2 && came > SEEN_COMING;
}

/**
 * The spot in the site that is seen at a place in the picture, u in frame widths and v in frame heights from its
 * middle, at a depth; m.
 */
function spotAt(
  { cameras, xM, yM, zM, focalLengthMm, frameWidthMm, frameHeightMm }: Samples,
  row: number,
  u: number,
  v: number,
  depthM: number,
): [number, number, number] {
  const c = row * CAMERA_SIZE;
  const square = (frameWidthMm / focalLengthMm[row]) ** 2;
  const right = u * depthM * square;
  const up = ((v * frameHeightMm) / frameWidthMm) * depthM * square;
  const along = (origin: number, axis: number) =>
    origin + cameras[c + axis] * right + cameras[c + 4 + axis] * up + cameras[c + 8 + axis] * depthM;
  return [along(xM[row], 0), along(yM[row], 1), along(zM[row], 2)];
}

const isGround = ({ kind }: Piece) => PIECE_KINDS[kind].ground;
const isShort = (piece: Piece) => !isGround(piece) && Math.max(piece.lengthM, piece.depthM) < LONG_M;

/**
 * The piece that fills most of the first column from an edge inwards in which something stands: a short one near the
 * edge if there is one, then anything but the ground, then the ground.
 */
function nearestTo(
  edge: 'left' | 'right',
  { widthCells, heightCells, pieceAt, nearness }: DepthRaster,
  pieces: readonly Piece[],
) {
  for (const [wanted, reach] of [
    [isShort, SHORT_INSIDE],
    [(piece: Piece) => !isGround(piece), MOST_INSIDE],
    [() => true, MOST_INSIDE],
  ] as const)
    for (let steps = 0; steps < widthCells * reach; steps += 1) {
      const column = edge === 'left' ? steps : widthCells - 1 - steps;
      const cells = new Map<number, { count: number; depthM: number; line: number }>();
      for (let line = 0; line < heightCells; line += 1) {
        const cell = line * widthCells + column;
        const index = pieceAt[cell];
        if (index < 0 || !wanted(pieces[index])) continue;
        const before = cells.get(index);
        cells.set(
          index,
          before ? { ...before, count: before.count + 1 } : { count: 1, depthM: 1 / nearness[cell], line },
        );
      }
      const best = [...cells.entries()]
        .filter(([, { count }]) => count >= LEAST_CELLS)
        .sort((a, b) => b[1].count - a[1].count)[0];
      if (best) return { index: best[0], steps, ...best[1] };
    }
  return null;
}

/** Where along a long piece the edge cuts it: `, 2.1 m from its left end`. */
function partAt(
  piece: Piece,
  scene: Scene,
  samples: Samples,
  row: number,
  edge: 'left' | 'right',
  depthM: number,
  line: number,
  { heightCells }: DepthRaster,
  units: Units,
): string {
  const alongIsLong = piece.lengthM >= piece.depthM;
  const longM = Math.max(piece.lengthM, piece.depthM);
  if (longM < LONG_M) return '';
  const [x, y] = spotAt(samples, row, edge === 'left' ? -0.5 : 0.5, 0.5 - (line + 0.5) / heightCells, depthM);
  const base = new Float64Array(3);
  scene.things.find((thing) => thing.piece === piece)?.at(samples.tS[row], base);
  const heading = ((piece.headingDeg + (alongIsLong ? 0 : 90)) * Math.PI) / 180;
  const [ax, ay] = [Math.sin(heading), Math.cos(heading)];
  const alongM = Math.min(longM / 2, Math.max(-longM / 2, (x - base[0]) * ax + (y - base[1]) * ay));
  // Which end is on the left is told by which side of the line of sight it lies on.
  const pan = (samples.panDeg[row] * Math.PI) / 180;
  const forwardIsRight = ax * Math.cos(pan) - ay * Math.sin(pan) > 0;
  const fromLeftM = forwardIsRight ? alongM + longM / 2 : longM / 2 - alongM;
  const side = fromLeftM <= longM / 2 ? 'left' : 'right';
  return `, ${sayLength(side === 'left' ? fromLeftM : longM - fromLeftM, units)} from its ${side} end`;
}
