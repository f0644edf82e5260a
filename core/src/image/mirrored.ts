import { type Piece, PIECE_KINDS } from '../model';
import type { Scene, Thing } from '../scene';
import type { Samples } from '../motion';
import { CAMERA_SIZE, type InPicture, project } from '../optics';
import { groundHeightM, panesOf, toLocal, toSite } from '../site';
import { type DepthRaster, depthRasterOf, isWithin } from './depth-raster';

/** A flat side in its piece's own frame, m: which way it faces, how far out it lies, and how far it reaches. */
interface Side {
  axis: 'across' | 'along' | 'up';
  sign: 1 | -1;
  at: number;
  reach: Record<'across' | 'along' | 'up', readonly [number, number]>;
}

/** What shines: as its surface says; water is a mirror from above. */
export const shines = ({ kind, surface }: Piece): boolean => kind === 'water' || surface !== 'dull';

function sidesOf({ kind, depthM, lengthM, heightM }: Piece): Side[] {
  const reach = { across: [-depthM / 2, depthM / 2], along: [-lengthM / 2, lengthM / 2], up: [0, heightM] } as const;
  if (kind === 'water') return [{ axis: 'up', sign: 1, at: heightM, reach }];
  return (['across', 'along'] as const).flatMap((axis) => [
    { axis, sign: -1, at: reach[axis][0], reach },
    { axis, sign: 1, at: reach[axis][1], reach },
  ]);
}

/** Both faces of the glass in a wall; its thickness does not show. */
const glassOf = (piece: Piece): Side[] =>
  piece.kind !== 'wall'
    ? []
    : panesOf(piece).flatMap(({ from, to, bottom, top }) => {
        const reach = { across: [0, 0], along: [from, to], up: [bottom, top] } as const;
        return [
          { axis: 'across', sign: -1, at: 0, reach },
          { axis: 'across', sign: 1, at: 0, reach },
        ] satisfies Side[];
      });

interface Local {
  across: number;
  along: number;
  up: number;
}

interface Spot {
  xM: number;
  yM: number;
  zM: number;
}

/** Somebody or something seen in a flat side: where on the site, and how steeply it is looked at, degrees from its normal. */
export interface Reflected extends Spot {
  angleDeg: number;
}

/**
 * Where on a piece's flat sides, or on the glass in it, a camera sees a point mirrored; null where it does not. Both
 * must be before the side, and the line to the point's mirror image must go through it.
 */
export const mirroredIn = (piece: Piece, camera: Spot, point: Spot, glass = false): Reflected | null =>
  mirroredOn(glass ? glassOf(piece) : sidesOf(piece), piece, camera, point);

function mirroredOn(sides: readonly Side[], piece: Piece, camera: Spot, point: Spot): Reflected | null {
  const own = ({ xM, yM, zM }: Spot): Local => ({ ...toLocal(piece, xM, yM), up: zM - piece.zM });
  const [c, p] = [own(camera), own(point)];
  for (const { axis, sign, at, reach } of sides) {
    const [cameraOff, pointOff] = [sign * (c[axis] - at), sign * (p[axis] - at)];
    if (cameraOff <= 0.01 || pointOff <= 0.01) continue;
    // On the way to the mirror image the side lies at the share of both distances.
    const share = cameraOff / (cameraOff + pointOff);
    const mid = (key: keyof Local) => (key === axis ? at : c[key] + (p[key] - c[key]) * share);
    const hit = { across: mid('across'), along: mid('along'), up: mid('up') };
    const within = (key: keyof Local) => hit[key] >= reach[key][0] - 1e-9 && hit[key] <= reach[key][1] + 1e-9;
    if (!within('across') || !within('along') || (axis !== 'up' && !within('up'))) continue;
    const away = Math.hypot(c.across - hit.across, c.along - hit.along, c.up - hit.up);
    const angleDeg = (Math.acos(Math.min(1, cameraOff / away)) * 180) / Math.PI;
    return { ...toSite(piece, hit.along, hit.across), zM: piece.zM + hit.up, angleDeg };
  }
  return null;
}

/** Who is looked for in what shines. */
export interface Mirrored {
  piece: Piece;
  /** In the glass in it, not in its own sides. */
  glass: boolean;
  who: 'camera' | 'operator' | 'lamp';
  /** Rows at which it was looked, and whether it is seen there. */
  rows: number[];
  seen: boolean[];
  /** At which angle at the first row that it is seen, degrees. */
  angleDeg: number;
}

const LOOKS_HZ = 6;
const RASTER_CELLS = 64;
/** An operator behind the lens: common practice, no published source. */
const BEHIND_M = 0.4;
const HEIGHTS_M = [0.4, 0.9, 1.3, 1.65];
/** As much nearer does not count as before: cells are coarse. */
const HARDLY = 0.02;
/** Nobody mirrors in what is farther off, m. */
const FAR_M = 40;
/** A lamp farther off than this is one light among many, m. */
const LAMP_REACH_M = 20;

/**
 * Where along a move camera, operator (`operated`: there is one) and lamps are seen in what shines and in window panes. What is mirrored by
 * round things is not counted, nor what stands between a lamp and the side.
 */
export function mirrored(scene: Scene, samples: Samples, operated: boolean): Mirrored[] {
  const mirrors = scene.things.flatMap((thing) => {
    const { piece } = thing;
    const flat = shines(piece) && !PIECE_KINDS[piece.kind].round && piece.kind !== 'model';
    const glazed = piece.kind === 'wall' && panesOf(piece).length > 0;
    return [
      ...(flat ? [{ thing, glass: false, sides: sidesOf(piece) }] : []),
      ...(glazed ? [{ thing, glass: true, sides: glassOf(piece) }] : []),
    ];
  });
  if (mirrors.length === 0) return [];
  const lamps = scene.pieces.filter(({ kind }) => kind === 'lamp');
  const raster = depthRasterOf(scene, samples, RASTER_CELLS);
  const stride = Math.max(1, Math.round(samples.frameRateHz / LOOKS_HZ));
  const base = new Float64Array(3);
  const stance = { headingDeg: 0, leanDeg: 0, pitchDeg: 0 };
  const found = new Map<string, Mirrored>();
  const standing = ({ piece, at, stanceAt, walks }: Thing, tS: number): Piece => {
    if (!walks) return piece;
    at(tS, base);
    stanceAt(tS, stance);
    return { ...piece, xM: base[0], yM: base[1], zM: base[2], headingDeg: stance.headingDeg };
  };
  const out: InPicture = { u: 0, w: 0, depthM: 0 };
  const aspect = samples.frameWidthMm / samples.frameHeightMm;
  const reach = Math.hypot(0.5, 0.5 / aspect);
  for (let row = 0; row < samples.count; row += stride) {
    const camera = { xM: samples.xM[row], yM: samples.yM[row], zM: samples.zM[row] };
    const pan = (samples.panDeg[row] * Math.PI) / 180;
    const behind = { xM: camera.xM - BEHIND_M * Math.sin(pan), yM: camera.yM - BEHIND_M * Math.cos(pan) };
    const groundM = groundHeightM(scene.ground, behind.xM, behind.yM);
    let looked: DepthRaster | null = null;
    const isSeen = (thing: Thing, glass: boolean, { xM, yM, zM }: Reflected): boolean => {
      project(samples.cameras, row * CAMERA_SIZE, xM, yM, zM, out);
      if (!(out.depthM > 0.05) || Math.abs(out.u) > 0.5 || Math.abs(out.w * aspect) > 0.5) return false;
      looked ??= raster(row);
      const { widthCells, heightCells, pieceAt, nearness } = looked;
      const column = Math.min(widthCells - 1, Math.floor((out.u + 0.5) * widthCells));
      const line = Math.min(heightCells - 1, Math.max(0, Math.floor((0.5 - out.w * aspect) * heightCells)));
      const cell = line * widthCells + column;
      // Through glass is seen what lies behind it: only what stands before it hides it.
      if (glass) return nearness[cell] * out.depthM <= 1 + HARDLY;
      const index = pieceAt[cell];
      return index >= 0 && scene.things[index] === thing;
    };
    for (const { thing, glass, sides } of mirrors) {
      const piece = standing(thing, samples.tS[row]);
      if (Math.hypot(piece.xM - camera.xM, piece.yM - camera.yM) > FAR_M + piece.lengthM) continue;
      const shows = isWithin(
        samples.cameras,
        row * CAMERA_SIZE,
        piece.xM,
        piece.yM,
        piece.zM + piece.heightM / 2,
        Math.hypot(piece.lengthM, piece.depthM, piece.heightM) / 2,
        samples.focalLengthMm[row] / samples.frameWidthMm,
        reach,
      );
      const look = (who: Mirrored['who'], points: Spot[]) => {
        let hit: Reflected | null = null;
        for (const point of shows ? points : []) {
          hit = mirroredOn(sides, piece, camera, point);
          if (hit && isSeen(thing, glass, hit)) break;
          hit = null;
        }
        const key = `${thing.piece.id} ${glass} ${who}`;
        const entry = found.get(key) ?? { piece: thing.piece, glass, who, rows: [], seen: [], angleDeg: NaN };
        found.set(key, entry);
        entry.rows.push(row);
        entry.seen.push(hit !== null);
        if (hit && Number.isNaN(entry.angleDeg)) entry.angleDeg = hit.angleDeg;
      };
      look('camera', [camera]);
      if (operated)
        look(
          'operator',
          HEIGHTS_M.map((up) => ({ ...behind, zM: groundM + up })),
        );
      const close = lamps.filter((lamp) => Math.hypot(lamp.xM - piece.xM, lamp.yM - piece.yM) < LAMP_REACH_M);
      if (close.length > 0)
        look(
          'lamp',
          close.map(({ xM, yM, zM, heightM }) => ({ xM, yM, zM: zM + heightM * 0.93 })),
        );
    }
  }
  return [...found.values()].filter(({ seen }) => seen.includes(true));
}
