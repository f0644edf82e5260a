import { withNumbers } from '../edit';
import { legsOf, type Move, type Shoot, type Shot, withLeg } from '../model';
import { sceneOf } from '../scene';
import { motionOf, recipeOf, sampleShot } from '../motion';
import { isShown, subjectInFrame, type SubjectInFrame } from '../image';

/** Same framing is the same height of the subject at every moment, within this share. */
export const SAME_WITHIN = 0.02;

type Numbers = Record<string, number>;
const HEIGHTS = new Set(['heightM', 'toHeightM']);
/** To the millimetre: enough for any eye, and for a field. */
const mm = (value: number) => Math.round(value * 1000) / 1000;

/** Numbers of a move changed one by one, to the millimetre. */
const changed = (move: Move, edit: (value: number, key: string, unit: string) => number): Move =>
  withNumbers(move, (value, { key, unit }) => mm(edit(value, key, unit)));

/** Nearer or farther by a share, the travel as it is. */
function nearer(move: Move, share: number): Move {
  const scaled = recipeOf(move).scaleDistance(move, share) as unknown as Numbers;
  if (move.kind === 'free') return scaledAbout(move, share, null);
  const numbers = move as unknown as Numbers;
  // What is set by hand is rounded; what is compared is not.
  return changed(move, (value, key, unit) =>
    unit === 'm' && !HEIGHTS.has(key) && scaled[key] !== numbers[key] ? value * share : value,
  );
}

/** All of a move drawn together about its subject's middle, `middleM` above its base; null: on the ground alone. */
function scaledAbout(move: Move, share: number, middleM: number | null): Move {
  const height = (value: number) => (middleM === null ? value : mm(middleM + (value - middleM) * share));
  if (move.kind === 'free')
    return {
      ...move,
      pivotEastM: mm(move.pivotEastM * share),
      pivotNorthM: mm(move.pivotNorthM * share),
      points: move.points.map((point) => ({
        ...point,
        eastM: mm(point.eastM * share),
        northM: mm(point.northM * share),
        heightM: height(point.heightM),
      })),
    };
  return changed(move, (value, key, unit) =>
    HEIGHTS.has(key) ? height(value) : unit === 'm' && !/^aim|^look/.test(key) ? value * share : value,
  );
}

/** Heights drawn to the subject's middle as the distance is, the travel as it is. */
const levelled = (move: Move, share: number, middleM: number): Move => {
  const near = nearer(move, share);
  return near.kind === 'free'
    ? near
    : changed(near, (value, key) => (HEIGHTS.has(key) ? middleM + (value - middleM) * share : value));
};

/** The subject of a shot in the frame, row by row, and how large it is there. */
interface Framing {
  subject: SubjectInFrame;
  /** Its height in the frame; seen steeply from above, where height says nothing, focal length over distance. */
  size: Float64Array;
}

/** From here on a camera looks down on somebody rather than at them, degrees of tilt. */
const STEEP_DEG = 50;

function framingOf(shoot: Shoot, shot: Shot): Framing {
  const scene = sceneOf(shoot, shot);
  const samples = sampleShot(scene, motionOf(scene));
  const subject = subjectInFrame(samples, scene);
  const size = subject.height.map((height, row) =>
    Math.abs(samples.tiltDeg[row]) > STEEP_DEG ? samples.focalLengthMm[row] / samples.subjectDistanceM[row] : height,
  );
  return { subject, size };
}

/**
 * How far two shots of one length are from the same framing: the largest difference of the subject's size, as a share;
 * and by how much it is too large on the whole. In one of the pictures and well outside the other is another framing
 * altogether.
 */
function apart(own: Framing, other: Framing): { off: number; tooLarge: number } {
  let off = 0;
  let [sum, rows] = [0, 0];
  for (let row = 0; row < own.size.length; row += 1) {
    if (!isShown(own.subject, row) && !isShown(other.subject, row)) continue;
    const ratio = other.size[row] / own.size[row];
    if (!Number.isFinite(ratio)) return { off: ANOTHER, tooLarge: 1 };
    const out =
      isShown(own.subject, row) === isShown(other.subject, row)
        ? 0
        : outsideBy(isShown(own.subject, row) ? other.subject : own.subject, row);
    off = Math.max(off, Math.max(ratio, 1 / ratio) - 1, out > AT_THE_EDGE ? 1 : 0);
    sum += Math.log(ratio);
    rows += 1;
  }
  return { off, tooLarge: rows > 0 ? Math.exp(sum / rows) : 1 };
}

/** How far the subject's middle is outside the frame, in frames. */
const outsideBy = ({ u, v }: SubjectInFrame, row: number) => Math.max(Math.abs(u[row]), Math.abs(v[row])) - 0.5;
const AT_THE_EDGE = 0.05;
/** Behind the camera in one of the two: another framing altogether, as a number that a file can hold. */
const ANOTHER = 1000;

/** Off the optical axis size does not quite go with distance: the distance is corrected so many times. */
const CORRECTIONS = 2;

/**
 * A shot with another focal length from where the subject keeps its height at every moment, and by how much it still
 * does not: above `SAME_WITHIN` the ground, the walk or the move cannot give that. Without a subject the distance to
 * the pivot goes with the focal length.
 */
export function sameFraming(shoot: Shoot, shot: Shot, changedShot: Shot): { shot: Shot; off: number } {
  const scene = sceneOf(shoot, shot);
  const middleM = scene.part?.upM ?? 0;
  const own = scene.subject ? framingOf(shoot, shot) : null;
  let best: { shot: Shot; off: number } | null = null;
  for (const way of [
    nearer,
    (move: Move, k: number) => levelled(move, k, middleM),
    (move: Move, k: number) => scaledAbout(move, k, middleM),
  ]) {
    let share = changedShot.focalLengthMm / shot.focalLengthMm;
    for (let round = 0; round <= CORRECTIONS; round += 1) {
      const at = share;
      const candidate = legsOf(shot).reduce<Shot>(
        (moved, _, k) => withLeg(moved, k, (leg) => ({ ...leg, move: way(leg.move, at) })),
        changedShot,
      );
      const { off, tooLarge } = own ? apart(own, framingOf(shoot, candidate)) : { off: 0, tooLarge: 1 };
      if (best === null || off < best.off) best = { shot: candidate, off };
      if (off <= SAME_WITHIN) return best;
      // What is off from moment to moment no distance mends.
      if (Math.abs(tooLarge - 1) < SAME_WITHIN / 4 || off > 0.5) break;
      share *= tooLarge;
    }
  }
  return best ?? { shot: changedShot, off: 0 };
}
