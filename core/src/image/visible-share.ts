import { WHOLE, type Piece } from '../model';
import type { Scene, Stance, Thing } from '../scene';
import type { Samples } from '../motion';
import { solidOf } from '../site';

/** Points across the subject and up it that are looked at. */
const ACROSS = 5;
const UP = 9;
/**
 * A standing figure fills about this share of its width (hat and elbows are wider): common practice, no published
 * source.
 */
const BODY_SHARE = 0.7;
/** Looks a second: what covers and uncovers within less is a flicker. */
const LOOKS_HZ = 12;
const RAD = Math.PI / 180;

interface Occluder {
  thing: Thing;
  /** Sine and cosine of its heading at the moment; its lean is not counted. */
  sin: number;
  cos: number;
  triangles: () => Triangles;
  /** Half its size across and along, and its height, m. */
  halfAcrossM: number;
  halfAlongM: number;
  heightM: number;
}

/**
 * How much of the subject nothing stands in front of, 0 to 1, one value a row; NaN without a subject. Lines from the
 * lens to points over the subject's front are held against the drawn solids of every other piece (Möller & Trumbore
 * 1997, from memory), walkers where they are then. What lies outside the frame counts like the rest: the frame is
 * judged elsewhere.
 */
export function visibleShare({ things, subject, part }: Scene, samples: Samples): Float64Array {
  const out = new Float64Array(samples.count).fill(NaN);
  if (!subject || !part) return out;
  const occluders = things.filter(({ piece }) => piece.id !== subject.id).map(occluderOf);
  const halfM = part.halfM * (subject.kind === 'figure' && part.id === WHOLE ? BODY_SHARE : 0.9);
  const reachM = Math.hypot(halfM, part.heightM / 2);
  const base = new Float64Array(3);
  const stance: Stance = { headingDeg: 0, leanDeg: 0, pitchDeg: 0 };
  const near: { solid: Occluder; x: number; y: number; z: number }[] = [];
  const shareAt = (row: number): number => {
    const [ex, ey, ez] = [samples.xM[row], samples.yM[row], samples.zM[row]];
    const [sx, sy, sz] = [samples.subjectXM[row], samples.subjectYM[row], samples.subjectZM[row]];
    const middle = sz + part.heightM / 2;
    near.length = 0;
    for (const solid of occluders) {
      solid.thing.at(samples.tS[row], base);
      if (solid.thing.walks) {
        solid.thing.stanceAt(samples.tS[row], stance);
        solid.sin = Math.sin(stance.headingDeg * RAD);
        solid.cos = Math.cos(stance.headingDeg * RAD);
      }
      if (
        reaches(solid, ex - base[0], ey - base[1], ez - base[2], sx - base[0], sy - base[1], middle - base[2], reachM)
      )
        near.push({ solid, x: base[0], y: base[1], z: base[2] });
    }
    if (near.length === 0) return 1;
    // Square to the line of sight on the ground.
    const [dx, dy] = [sx - ex, sy - ey];
    const awayM = Math.hypot(dx, dy) || 1;
    const [rightX, rightY] = [dy / awayM, -dx / awayM];
    let seen = 0;
    for (let i = 0; i < ACROSS; i += 1) {
      const asideM = ((2 * i) / (ACROSS - 1) - 1) * halfM;
      const [tx, ty] = [sx + rightX * asideM, sy + rightY * asideM];
      for (let k = 0; k < UP; k += 1) {
        const tz = sz + ((k + 0.5) / UP) * part.heightM;
        if (!near.some(({ solid, x, y, z }) => hits(solid, ex - x, ey - y, ez - z, tx - x, ty - y, tz - z))) seen += 1;
      }
    }
    return seen / (ACROSS * UP);
  };
  // Looked at a dozen times a second, and at every row between two looks that differ.
  const stride = Math.max(1, Math.round(samples.captureRateHz / LOOKS_HZ));
  const last = samples.count - 1;
  out[0] = shareAt(0);
  for (let from = 0; from < last; from += stride) {
    const to = Math.min(last, from + stride);
    out[to] = shareAt(to);
    for (let row = from + 1; row < to; row += 1) out[row] = out[from] === out[to] ? out[from] : shareAt(row);
  }
  return out;
}

function occluderOf(thing: Thing): Occluder {
  const { piece } = thing;
  return {
    thing,
    sin: Math.sin(piece.headingDeg * RAD),
    cos: Math.cos(piece.headingDeg * RAD),
    // Most pieces are never in the way; their solids are not made.
    triangles: () => trianglesOf(piece),
    halfAcrossM: piece.depthM / 2,
    halfAlongM: piece.lengthM / 2,
    heightM: piece.heightM,
  };
}

/** The triangles of a drawn solid, with the lowest and highest of each; all in the piece's own frame, m. */
interface Triangles {
  corners: Float32Array;
  bands: Float32Array;
}

// Pieces are never changed in place.
const made = new WeakMap<Piece, Triangles>();

function trianglesOf(piece: Piece): Triangles {
  const known = made.get(piece);
  if (known) return known;
  const corners = solidOf(piece).positions;
  const bands = new Float32Array((corners.length / 9) * 2);
  for (let i = 0; i < corners.length; i += 9) {
    const [a, b, c] = [corners[i + 2], corners[i + 5], corners[i + 8]];
    bands[(i / 9) * 2] = Math.min(a, b, c);
    bands[(i / 9) * 2 + 1] = Math.max(a, b, c);
  }
  const triangles = { corners, bands };
  made.set(piece, triangles);
  return triangles;
}

/**
 * Where a line enters and leaves the slab between two planes, as shares of the line; written into `span`, which must
 * hold what the slabs before left. False when nothing is left.
 */
function clip(span: Float64Array, from: number, to: number, least: number, most: number): boolean {
  const way = to - from;
  if (way > -1e-12 && way < 1e-12) return from >= least && from <= most;
  const a = (least - from) / way;
  const b = (most - from) / way;
  const enter = a < b ? a : b;
  const leave = a < b ? b : a;
  if (enter > span[0]) span[0] = enter;
  if (leave < span[1]) span[1] = leave;
  return span[0] <= span[1];
}

const span = new Float64Array(2);

/**
 * Whether a line between two points, given from a solid's base on the site, comes into its box, made larger all round
 * by `growM`.
 */
function reaches(
  solid: Occluder,
  fromX: number,
  fromY: number,
  fromZ: number,
  toX: number,
  toY: number,
  toZ: number,
  growM: number,
): boolean {
  const { sin, cos } = solid;
  span[0] = 0;
  span[1] = 1;
  return (
    clip(span, fromZ, toZ, -growM, solid.heightM + growM) &&
    clip(
      span,
      fromX * cos - fromY * sin,
      toX * cos - toY * sin,
      -solid.halfAcrossM - growM,
      solid.halfAcrossM + growM,
    ) &&
    clip(span, fromX * sin + fromY * cos, toX * sin + toY * cos, -solid.halfAlongM - growM, solid.halfAlongM + growM)
  );
}

/** Whether a line between two points, given from a solid's base on the site, goes through it. */
function hits(
  solid: Occluder,
  fromX: number,
  fromY: number,
  fromZ: number,
  toX: number,
  toY: number,
  toZ: number,
): boolean {
  if (!reaches(solid, fromX, fromY, fromZ, toX, toY, toZ, 0)) return false;
  const { sin, cos } = solid;
  // Between these heights the line is inside the solid's box: triangles above or below cannot be met.
  const [enterZ, leaveZ] = [fromZ + span[0] * (toZ - fromZ), fromZ + span[1] * (toZ - fromZ)];
  const lowest = Math.min(enterZ, leaveZ) - 1e-6;
  const highest = Math.max(enterZ, leaveZ) + 1e-6;
  const { corners, bands } = solid.triangles();
  // Into the solid's own frame: across to its right, along its heading.
  const [ox, oy] = [fromX * cos - fromY * sin, fromX * sin + fromY * cos];
  const [dx, dy, dz] = [toX * cos - toY * sin - ox, toX * sin + toY * cos - oy, toZ - fromZ];
  for (let i = 0, k = 0; i < corners.length; i += 9, k += 2) {
    if (bands[k] > highest || bands[k + 1] < lowest) continue;
    const ax = corners[i],
      ay = corners[i + 1],
      az = corners[i + 2];
    const ux = corners[i + 3] - ax,
      uy = corners[i + 4] - ay,
      uz = corners[i + 5] - az;
    const vx = corners[i + 6] - ax,
      vy = corners[i + 7] - ay,
      vz = corners[i + 8] - az;
    const px = dy * vz - dz * vy,
      py = dz * vx - dx * vz,
      pz = dx * vy - dy * vx;
    const det = ux * px + uy * py + uz * pz;
    if (det > -1e-14 && det < 1e-14) continue;
    const tx = ox - ax,
      ty = oy - ay,
      tz = fromZ - az;
    const a = (tx * px + ty * py + tz * pz) / det;
    if (a < 0 || a > 1) continue;
    const qx = ty * uz - tz * uy,
      qy = tz * ux - tx * uz,
      qz = tx * uy - ty * ux;
    const b = (dx * qx + dy * qy + dz * qz) / det;
    if (b < 0 || a + b > 1) continue;
    const t = (vx * qx + vy * qy + vz * qz) / det;
    if (t > 1e-6 && t < 1 - 1e-6) return true;
  }
  return false;
}
