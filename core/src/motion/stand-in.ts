import type { Scene } from '../scene';
import type { LegMotion, ShotMotion } from './legs';
import type { MoveFrame } from './move-frame';

/**
 * What stands for the subject where a shot has none: the pivot of the move, looked at as high as the camera, of the size
 * of a grown-up for moves that scale by it. This is the one place that knows.
 */
export const STAND_IN_SIZE = { subjectHeightM: 1.7, subjectHalfM: 0.25 };

/** How tall, and half of how wide, what a move is laid out about is, metres. */
export function sizeOf({ subject }: Scene): Pick<MoveFrame, 'subjectHeightM' | 'subjectHalfM'> {
  return subject
    ? { subjectHeightM: subject.heightM, subjectHalfM: Math.max(subject.lengthM, subject.depthM) / 2 }
    : STAND_IN_SIZE;
}

/**
 * The height above its foot of what a shot looks at: the middle of the part it is after; without a subject, as high as
 * the camera.
 */
export function middleM({ part }: Scene, { legs }: ShotMotion): number {
  return part ? part.heightM / 2 : legs[0].recipe.stand(legs[0].move).heightM;
}

/** The foot of what is looked at: the part's, as it is given at a moment; without a subject always the pivot. */
export function baseOf(
  { partAt }: ShotMotion,
  { pivot }: LegMotion['moveFrame'],
): (subject: Float64Array) => Float64Array {
  if (partAt) return (subject) => subject;
  const still = Float64Array.of(pivot.xM, pivot.yM, pivot.zM);
  return () => still;
}
