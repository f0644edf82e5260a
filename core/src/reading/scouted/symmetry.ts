import { type Piece, sayLength, trim, type Units } from '../../model';
import type { Film } from '../../motion';
import { inFrame } from './in-frame';
import { listed, type Scouted } from './scouted';

/** Only what is seen, and not farther than this from the subject, makes its place symmetrical, m. */
const AROUND_M = 30;
const MOST_PIECES = 80;
/** However small, an eye counts pairs. */
const LEAST_SHARE = 0.0005;
/** Two pairs have one axis when they differ by no more: degrees, metres. */
const SAME_DEG = 2;
const SAME_M = 0.15;
const LEAST_PAIRS = 2;
/** An axis that is farther off than this is another picture. */
const MOST_TURN_DEG = 45;
const MOST_STEP_M = 5;
const RAD = Math.PI / 180;

interface Pair {
  pieces: [Piece, Piece];
  /** The way of the axis, 0 to 180° from north, and how far right of the middle it passes. */
  bearingDeg: number;
  offM: number;
}

const alike = (a: Piece, b: Piece): boolean =>
  a.kind === b.kind &&
  Math.abs(a.heightM - b.heightM) < 0.05 &&
  Math.abs(a.lengthM - b.lengthM) < 0.1 &&
  Math.abs(a.depthM - b.depthM) < 0.1 &&
  Math.abs(a.zM - b.zM) < 0.3;

/** Things that mirror each other about one upright plane, and how far the camera is from standing and looking along it. */
export function symmetryHere({ scene, samples }: Film, row: number, units: Units): Scouted[] {
  const [cx, cy] = [samples.subjectXM[row], samples.subjectYM[row]];
  const visible = inFrame(scene, samples, row, LEAST_SHARE);
  const near = scene.pieces
    .filter((piece, index) => visible.has(index) && piece.id !== scene.subject?.id)
    .map((piece) => ({ piece, awayM: Math.hypot(piece.xM - cx, piece.yM - cy) }))
    .filter(({ awayM }) => awayM < AROUND_M)
    .sort((a, b) => a.awayM - b.awayM)
    .slice(0, MOST_PIECES)
    .map(({ piece }) => piece);
  const pairs: Pair[] = [];
  for (let i = 0; i < near.length; i += 1)
    for (let k = i + 1; k < near.length; k += 1) {
      const [a, b] = [near[i], near[k]];
      const apart = Math.hypot(b.xM - a.xM, b.yM - a.yM);
      if (!alike(a, b) || apart < 0.3) continue;
      const bearingDeg = (((Math.atan2(b.xM - a.xM, b.yM - a.yM) / RAD + 90) % 180) + 180) % 180;
      const [sin, cos] = [Math.sin(bearingDeg * RAD), Math.cos(bearingDeg * RAD)];
      const [mx, my] = [(a.xM + b.xM) / 2 - cx, (a.yM + b.yM) / 2 - cy];
      pairs.push({ pieces: [a, b], bearingDeg, offM: mx * cos - my * sin });
    }
  const turnBetween = (a: number, b: number) => Math.abs(((a - b + 270) % 180) - 90);
  const sameAxis = (one: Pair) =>
    pairs.filter(
      (other) => turnBetween(one.bearingDeg, other.bearingDeg) < SAME_DEG && Math.abs(one.offM - other.offM) < SAME_M,
    );
  const cameraOff = (axis: Pair) => {
    const [dx, dy] = [samples.xM[row] - cx, samples.yM[row] - cy];
    return dx * Math.cos(axis.bearingDeg * RAD) - dy * Math.sin(axis.bearingDeg * RAD) - axis.offM;
  };
  const lookOff = (axis: Pair) => ((samples.panDeg[row] - axis.bearingDeg + 450) % 180) - 90;
  const best = pairs
    .map((axis) => ({ axis, pairs: sameAxis(axis) }))
    .filter((found) => found.pairs.length >= LEAST_PAIRS && Math.abs(lookOff(found.axis)) < MOST_TURN_DEG)
    .filter(({ axis }) => Math.abs(cameraOff(axis)) < MOST_STEP_M)
    .sort((a, b) => b.pairs.length - a.pairs.length || Math.abs(cameraOff(a.axis)) - Math.abs(cameraOff(b.axis)))[0];
  if (!best) return [];
  const names = [...new Set(best.pairs.flatMap((pair) => pair.pieces.map(({ name }) => name)))];
  const pieceIds = [...new Set(best.pairs.flatMap((pair) => pair.pieces.map(({ id }) => id)))];
  const [offM, offDeg] = [cameraOff(best.axis), lookOff(best.axis)];
  // To the camera's own right: the axis may run towards it.
  const ahead = Math.cos((samples.panDeg[row] - best.axis.bearingDeg) * RAD) >= 0 ? 1 : -1;
  const there = Math.abs(offM) < SAME_M && Math.abs(offDeg) < SAME_DEG;
  const step =
    Math.abs(offM) < SAME_M ? '' : `${sayLength(Math.abs(offM), units)} to the ${offM * ahead > 0 ? 'left' : 'right'}`;
  const turn =
    Math.abs(offDeg) < SAME_DEG ? '' : `turned ${trim(Math.abs(offDeg), 0)}° to the ${offDeg > 0 ? 'left' : 'right'}`;
  return [
    {
      id: 'symmetry',
      tells: there ? 'good' : 'plain',
      pieceIds,
      sentence: there
        ? `${listed(names)} stand alike on both sides: the camera looks along their axis.`
        : `${listed(names)} stand alike on both sides of an axis; the camera would look along it ${[step, turn].filter(Boolean).join(', ')}.`,
    },
  ];
}
