import type { Lens } from '../model';

/** What the lens gives and what is enlarged afterwards, for one wanted focal length. */
export interface HeldZoom {
  /** Focal length the picture corresponds to, mm: optical focal length times crop. */
  effectiveMm: number;
  /** Digital enlargement, 1 for none. It costs pixels. */
  crop: number;
}

/** Focal length that keeps a thing's height in the picture when its distance changes: `f₀ d / d₀`. */
export function heldFocalLengthMm(startFocalLengthMm: number, distanceM: number, startDistanceM: number): number {
  return (startFocalLengthMm * distanceM) / startDistanceM;
}

/**
 * Splits a wanted focal length into lens and enlargement. Below the lens's shortest nothing helps: the effective length
 * stays at the shortest. The lens alone also stays at its longest.
 */
export function throughLens(wantedMm: number, lens: Lens, by: 'lens' | 'crop' | 'both' = 'both'): HeldZoom {
  const crop = by === 'lens' ? 1 : Math.max(1, wantedMm / lens.focalLengthMaxMm);
  const effectiveMm = Math.max(wantedMm, lens.focalLengthMinMm);
  return { effectiveMm: by === 'lens' ? Math.min(effectiveMm, lens.focalLengthMaxMm) : effectiveMm, crop };
}
