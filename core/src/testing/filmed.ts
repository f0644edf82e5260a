import { drawnWalk, type Move, type MoveKind, newPiece, type Piece, type Shoot, type Shot, type Walk } from '../model';
import { sceneOf } from '../scene';
import { asKind, motionOf, sampleShot } from '../motion';
import { subjectInFrame } from '../image';
import { plainPieces, plainShoot } from './shoots';

/** A subject that walks north-east, turns a corner to the east, stops, and goes on. */
export const WALK: Walk = drawnWalk('figure', [
  { tS: -1, xM: 0, yM: -1, zM: 0 },
  { tS: 4, xM: 3, yM: 3, zM: 0 },
  { tS: 6, xM: 5, yM: 3, zM: 0 },
  { tS: 7, xM: 5, yM: 3, zM: 0 },
  { tS: 10, xM: 8, yM: 3, zM: 0 },
]);

/** The same move from a usual first place. */
export function usual<K extends MoveKind>(kind: K): Extract<Move, { kind: K }> {
  const from: Move = {
    kind: 'slide',
    pivotEastM: 0,
    pivotNorthM: 0,
    heightM: 1.3,
    distanceM: 5,
    bearingDeg: 200,
    travelM: 2,
    skewDeg: 0,
  };
  return asKind(from, kind) as Extract<Move, { kind: K }>;
}

/** A shot of a move on the plain site, sampled, with its subject measured. */
export function filmed(move: Move, more: Partial<Shot> = {}, walking = false, pieces: Piece[] = plainPieces()) {
  const shoot: Shoot = plainShoot(
    (shot) => ({ ...shot, rigId: 'rig-tripod', gaitId: 'gait-stand', walks: walking ? [WALK] : [], ...more, move }),
    pieces,
  );
  const scene = sceneOf(shoot, shoot.shots[0]);
  const motion = motionOf(scene);
  const samples = sampleShot(scene, motion);
  const subject = subjectInFrame(samples, scene);
  const last = samples.count - 1;
  const { pivot } = motion;
  return {
    shoot,
    scene,
    motion,
    samples,
    subject,
    last,
    /** Distance on the ground to the pivot, and to the subject, in a row. */
    toPivotM: (row: number) => Math.hypot(samples.xM[row] - pivot.xM, samples.yM[row] - pivot.yM),
    toSubjectM: (row: number) =>
      Math.hypot(samples.xM[row] - samples.subjectXM[row], samples.yM[row] - samples.subjectYM[row]),
    /** How far the camera is ahead of the subject and to its right in a row. */
    beside: (row: number) => {
      const heading = (motion.headingAt(samples.tS[row]) * Math.PI) / 180;
      const [dx, dy] = [samples.xM[row] - samples.subjectXM[row], samples.yM[row] - samples.subjectYM[row]];
      return {
        alongM: dx * Math.sin(heading) + dy * Math.cos(heading),
        sideM: dx * Math.cos(heading) - dy * Math.sin(heading),
      };
    },
    rows: (test: (row: number) => boolean) => Array.from({ length: samples.count }, (_, row) => row).every(test),
  };
}

export const wallBetween = (): Piece[] => [
  ...plainPieces(),
  {
    ...newPiece('wall', 'wall', 'Wall', 0, -3, 0),
    lengthM: 4,
    depthM: 0.2,
    heightM: 1.9,
    headingDeg: 90,
    openings: [],
  } as Piece,
];
