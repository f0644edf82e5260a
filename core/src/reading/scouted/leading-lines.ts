import type { Piece } from '../../model';
import { isShown, subjectInFrame } from '../../image';
import type { Film, Samples } from '../../motion';
import { CAMERA_SIZE, type InPicture, project } from '../../optics';
import { toSite } from '../../site';
import { inFrame } from './in-frame';
import { listed, type Scouted } from './scouted';

/** Longer than so many times its width, a thing is a line. */
const LONG = 4;
/** A line leads to what its way on passes this close to, frame widths. */
const CLOSE = 0.05;
/** Shorter than this on screen no eye follows it, frame widths. */
const LEAST = 0.12;
const NEAR_M = 0.3;
/** Its near end is nearer than this share of the way to the subject. */
const BEFORE = 0.9;

/** A long side of a thing in the picture, from its end nearer to the camera to the other; null where none is before it. */
function lineOf(piece: Piece, side: number, upM: number, samples: Samples, row: number) {
  const alongIsLong = piece.lengthM >= piece.depthM;
  const [long, wide] = alongIsLong ? [piece.lengthM, piece.depthM] : [piece.depthM, piece.lengthM];
  const end = (share: number) => {
    const [a, c] = [share * long, (side * wide) / 2];
    const { xM, yM } = alongIsLong ? toSite(piece, a, c) : toSite(piece, c, a);
    return [xM, yM, piece.zM + upM];
  };
  const at = (share: number): InPicture => {
    const out: InPicture = { u: 0, w: 0, depthM: 0 };
    const [x, y, z] = end(share);
    project(samples.cameras, row * CAMERA_SIZE, x, y, z, out);
    return out;
  };
  // What lies behind the camera is cut off where it comes before it.
  let [from, to] = [-0.5, 0.5];
  let [a, b] = [at(from), at(to)];
  if (a.depthM < b.depthM === false) [from, to, a, b] = [to, from, b, a];
  if (b.depthM < NEAR_M) return null;
  if (a.depthM < NEAR_M) {
    from += ((NEAR_M - a.depthM) / (b.depthM - a.depthM)) * (to - from);
    a = at(from);
  }
  return { a, b };
}

/** Long things whose lines lead to the subject in the picture. */
export function leadingLines({ scene, samples }: Film, row: number): Scouted[] {
  const { subject } = scene;
  const seen = subjectInFrame(samples, scene);
  if (!subject || !isShown(seen, row)) return [];
  const aspect = samples.frameWidthMm / samples.frameHeightMm;
  const [su, sw] = [seen.u[row], seen.v[row] / aspect];
  const halfTall = Math.max(CLOSE, seen.height[row] / aspect / 2);
  const leads = (piece: Piece): boolean =>
    [-1, 1].some((side) =>
      [0, piece.heightM].some((upM) => {
        const line = lineOf(piece, side, upM, samples, row);
        if (!line) return false;
        const { a, b } = line;
        const [du, dw] = [b.u - a.u, b.w - a.w];
        // It comes from before the subject: what crosses behind leads past.
        if (a.depthM > BEFORE * seen.depthM[row]) return false;
        const long = Math.hypot(du, dw);
        if (long < LEAST || Math.abs(a.u) > 2 || Math.abs(a.w) > 2) return false;
        const along = ((su - a.u) * du + (sw - a.w) * dw) / (long * long);
        const offM = Math.abs((su - a.u) * dw - (sw - a.w) * du) / long;
        // The way on from the near end: the subject is not where the line begins.
        return along > 0.35 && along < 4 && offM < Math.min(halfTall, CLOSE * 2);
      }),
    );
  const visible = inFrame(scene, samples, row);
  const found = scene.pieces.filter(
    (piece, index) =>
      visible.has(index) &&
      piece.id !== subject.id &&
      Math.max(piece.lengthM, piece.depthM) > LONG * Math.min(piece.lengthM, piece.depthM) &&
      leads(piece),
  );
  if (found.length === 0) return [];
  return [
    {
      id: 'lines',
      tells: 'good',
      pieceIds: found.map(({ id }) => id),
      sentence: `${listed(found.map(({ name }) => name))} ${found.length === 1 ? 'leads' : 'lead'} the eye to ${subject.name}.`,
    },
  ];
}
