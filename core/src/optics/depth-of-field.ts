/**
 * Thin-lens depth of field (S. F. Ray, Applied Photographic Optics, from memory). Lengths of the lens in mm, of the
 * world in metres; the circle of confusion is the largest blur disc on the sensor that still looks sharp, mm.
 */

/** Hyperfocal distance, m: focused there, everything from half of it to infinity is sharp. `H = f²/(N c) + f`. */
export function hyperfocalM(focalLengthMm: number, fNumber: number, confusionMm: number): number {
  return ((focalLengthMm * focalLengthMm) / (fNumber * confusionMm) + focalLengthMm) / 1000;
}

/**
 * Nearest and farthest sharp distance when focused at a distance, m; the farthest is Infinity from the hyperfocal
 * distance on.
 */
export function depthOfField(
  focalLengthMm: number,
  fNumber: number,
  confusionMm: number,
  focusM: number,
): { nearM: number; farM: number } {
  const hyperM = hyperfocalM(focalLengthMm, fNumber, confusionMm);
  const f = focalLengthMm / 1000;
  const nearM = (focusM * (hyperM - f)) / (hyperM + focusM - 2 * f);
  return { nearM, farM: focusM >= hyperM ? Infinity : (focusM * (hyperM - f)) / (hyperM - focusM) };
}

/**
 * Blur disc on the sensor of a point at a distance when focused at another, mm: `f² |d − s| / (N d (s − f))`. Infinity
 * for a focus inside the focal length.
 */
export function blurDiscMm(focalLengthMm: number, fNumber: number, focusM: number, distanceM: number): number {
  const s = focusM * 1000;
  const d = distanceM * 1000;
  if (s <= focalLengthMm || d <= 0) return Infinity;
  return (focalLengthMm * focalLengthMm * Math.abs(d - s)) / (fNumber * d * (s - focalLengthMm));
}
