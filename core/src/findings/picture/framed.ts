import { standingSize } from '../../site';
import { figureShare, isInFrame, type Picture, STANDING_M } from '../../image';

/** From this share of a frame height on a figure is framed; below, it is part of the view. */
const FRAMED = 0.5;
/** A camera tilted farther than this looks down or up at a figure, not at its framing. */
const LEVEL_DEG = 35;
/** Looks and head room are judged over this long, s: a figure that passes is not framed. */
export const HELD_S = 1;

/** Frame heights that a standing figure at the subject's distance fills, one value a row. */
export function figureShares({ scene, samples }: Picture): Float64Array {
  const figureM = scene.subject?.kind === 'figure' ? standingSize(scene.subject).heightM : STANDING_M;
  return Float64Array.from({ length: samples.count }, (_, row) =>
    figureShare(figureM, samples.subjectDistanceM[row], samples.focalLengthMm[row], samples.frameHeightMm),
  );
}

/** Whether the subject is a figure that the move keeps framed, row by row; null when none is. */
export function framedRows(
  { scene, subject, intent, samples }: Picture,
  shares: Float64Array,
): ((row: number) => boolean) | null {
  if (scene.subject?.kind !== 'figure' || intent.subjectIn !== 'always') return null;
  return (row) => isInFrame(subject, row) && shares[row] >= FRAMED && Math.abs(samples.tiltDeg[row]) <= LEVEL_DEG;
}
