import { shotDurationS, type Shot } from '../model';
import { lengthOnScreenS, rowCount } from '../motion';

/**
 * Frames that have to be worked out to read shots: recorded ones, and shown ones where a ramp or slow motion makes them
 * more. Known before any work is done.
 */
export function framesToRead(shots: readonly Shot[]): number {
  return shots.reduce(
    (sum, shot) =>
      sum +
      Math.max(rowCount(shotDurationS(shot), shot.captureRateHz), rowCount(lengthOnScreenS(shot), shot.frameRateHz)),
    0,
  );
}
