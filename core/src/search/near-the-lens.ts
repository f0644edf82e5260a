import { newPiece, type Piece, type PieceKind, PIECE_KINDS, sayLength, type Units } from '../model';
import { visibleShare } from '../image';
import { motionOf, type Samples, sampleShot } from '../motion';
import { CAMERA_SIZE, type InPicture, project } from '../optics';
import { type Scene, sceneFrom } from '../scene';
import { distanceToPieceM, groundHeightM } from '../site';

/** What could stand near the lens, where, and what it does there. */
export interface NearOffer {
  piece: Piece;
  sentence: string;
  /** How far it slides across the picture beyond the subject, frame widths. */
  slide: number;
}

/** What is brought along and put down: common practice, no published source. */
const KINDS: PieceKind[] = ['post', 'bush', 'rock', 'plinth'];
/** How far on the way to the subject, and where across the frame halfway through the move. */
const SHARES = [0.25, 0.4, 0.55];
const ACROSS = [-0.34, 0.34];
/** Nothing is put nearer to the camera's path, or to what stands already, m. */
const CLEAR_M = 0.4;
const APART_M = 0.15;
/** The subject stays in sight in the first and in the last frame. */
const LEAST_SEEN = 0.85;
const LEAST_SLIDE = 0.08;
const MOST_OFFERS = 6;

/**
 * Things that could stand near the lens to give the move its depth, the strongest first: each clear of the camera's path
 * and of what stands there, and beside the subject in the first and the last frame. Empty where the camera does not
 * travel. `id`: of the piece that is offered.
 */
export function nearTheLens(scene: Scene, units: Units, id: string): NearOffer[] {
  const samples = sampleShot(scene);
  const motion = motionOf(scene);
  const { count } = samples;
  const middle = count >> 1;
  const target = { xM: samples.subjectXM[middle], yM: samples.subjectYM[middle] };
  const at = { xM: samples.xM[middle], yM: samples.yM[middle] };
  const reachM = Math.hypot(target.xM - at.xM, target.yM - at.yM);
  if (reachM < 0.8 || !Number.isFinite(reachM)) return [];
  const pan = (samples.panDeg[middle] * Math.PI) / 180;
  const widthShare = samples.frameWidthMm / samples.focalLengthMm[middle];
  const offers: NearOffer[] = [];
  for (const share of SHARES)
    for (const across of ACROSS) {
      const depthM = reachM * share;
      const asideM = across * widthShare * depthM;
      const xM = Math.round((at.xM + Math.sin(pan) * depthM + Math.cos(pan) * asideM) * 100) / 100;
      const yM = Math.round((at.yM + Math.cos(pan) * depthM - Math.sin(pan) * asideM) * 100) / 100;
      const zM = Math.round(groundHeightM(scene.ground, xM, yM) * 100) / 100;
      const slide = slideOf(samples, [xM, yM, samples.zM[middle]], motion.pivot.zM);
      if (Math.abs(slide) < LEAST_SLIDE) continue;
      // Something else at each place, if it fits there.
      const turn = offers.length % KINDS.length;
      const kind = [...KINDS.slice(turn), ...KINDS.slice(0, turn)].find((name) => {
        const piece = newPiece(name, id, PIECE_KINDS[name].label, xM, yM, zM);
        return reaches(piece, samples.zM[middle]) && fits(scene, samples, piece);
      });
      if (!kind) continue;
      const piece = newPiece(kind, id, PIECE_KINDS[kind].label, xM, yM, zM);
      offers.push({
        piece,
        slide: Math.abs(slide),
        sentence:
          `${PIECE_KINDS[kind].label} ${sayLength(depthM, units)} before the lens, ${across < 0 ? 'left' : 'right'}: ` +
          (Math.abs(slide) > 0.95
            ? 'crosses the whole picture'
            : `slides ${Math.round(Math.abs(slide) * 100)}% of the width against the subject`),
      });
    }
  return offers
    .sort((a, b) => b.slide - a.slide)
    .filter(({ piece }) => staysBeside(scene, piece))
    .slice(0, MOST_OFFERS);
}

/** It is high enough to be in the picture at all. */
const reaches = (piece: Piece, cameraM: number): boolean => piece.zM + piece.heightM > cameraM - 0.8;

function fits(scene: Scene, samples: Samples, piece: Piece): boolean {
  const half = Math.max(piece.lengthM, piece.depthM) / 2;
  const stride = Math.max(1, samples.count >> 7);
  for (let row = 0; row < samples.count; row += stride)
    if (Math.hypot(samples.xM[row] - piece.xM, samples.yM[row] - piece.yM) < half + CLEAR_M) return false;
  return scene.pieces.every(
    (other) =>
      PIECE_KINDS[other.kind].ground ||
      distanceToPieceM(other, other, piece.xM, piece.yM, piece.zM, piece.zM + piece.heightM) > half + APART_M,
  );
}

/** Rows that are looked at for how far something slides. */
const LOOKS = 96;

/** How far a point slides across the picture while it is in it, beyond what the subject does, frame widths. */
function slideOf(samples: Samples, near: readonly [number, number, number], targetZM: number): number {
  const out: InPicture = { u: 0, w: 0, depthM: 0 };
  const across = (row: number, x: number, y: number, z: number) => {
    project(samples.cameras, row * CAMERA_SIZE, x, y, z, out);
    return out.depthM > 0.05 && Math.abs(out.u) <= 0.6 ? out.u : NaN;
  };
  const stride = Math.max(1, Math.floor(samples.count / LOOKS));
  let [sum, before] = [0, NaN];
  for (let row = 0; row < samples.count; row += stride) {
    const subject = across(row, samples.subjectXM[row], samples.subjectYM[row], targetZM);
    const apart = across(row, ...near) - (Number.isNaN(subject) ? 0 : subject);
    if (!Number.isNaN(apart) && !Number.isNaN(before)) sum += apart - before;
    before = apart;
  }
  return sum;
}

function staysBeside(scene: Scene, piece: Piece): boolean {
  if (!scene.subject) return true;
  const before = visibleShare(scene, sampleShot(scene));
  const with_ = sceneFrom({ ...scene, pieces: [...scene.pieces, piece] });
  const after = visibleShare(with_, sampleShot(with_));
  return [0, before.length - 1].every((row) => after[row] >= Math.min(LEAST_SEEN, before[row] - 0.02));
}
