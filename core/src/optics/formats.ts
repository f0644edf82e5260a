/** Sensor formats against each other: what a focal length and a stop on one look like on another. */

/** Full frame, mm: what crop factors are counted from. */
export const FULL_FRAME = { widthMm: 36, heightMm: 24 } as const;

const diagonalMm = ({ widthMm, heightMm }: { widthMm: number; heightMm: number }) => Math.hypot(widthMm, heightMm);

/** Crop factor of a frame against full frame, by the diagonals: 1.5 for a frame two thirds as large. */
export function cropFactor(frame: { widthMm: number; heightMm: number }): number {
  return diagonalMm(FULL_FRAME) / diagonalMm(frame);
}

/**
 * What has the same angle of view and the same depth of field on full frame: focal length and f-number times the crop
 * factor.
 */
export function onFullFrame(
  frame: { widthMm: number; heightMm: number },
  focalLengthMm: number,
  fNumber: number,
): { focalLengthMm: number; fNumber: number } {
  const factor = cropFactor(frame);
  return { focalLengthMm: focalLengthMm * factor, fNumber: fNumber * factor };
}

/** The other way: what looks on this frame like a focal length and a stop on full frame. */
export function fromFullFrame(
  frame: { widthMm: number; heightMm: number },
  focalLengthMm: number,
  fNumber: number,
): { focalLengthMm: number; fNumber: number } {
  const factor = cropFactor(frame);
  return { focalLengthMm: focalLengthMm / factor, fNumber: fNumber / factor };
}
