import type { Lens } from '../model';

/** A lens that is said to focus from 0 m on has a ring that goes by this, m. */
const LEAST_CLOSEST_M = 0.1;

/**
 * How far the focus ring turns for a dioptre, degrees: a ring goes nearly evenly in dioptres, from its closest distance
 * (1 / m) to infinity (0). Common practice, no published source.
 */
export function ringDegPerDioptre({ ringDeg, closestFocusM }: Pick<Lens, 'ringDeg' | 'closestFocusM'>): number {
  return ringDeg * Math.max(LEAST_CLOSEST_M, closestFocusM);
}

/**
 * Where the ring stands for a distance, degrees from infinity; from its end on for what is nearer than the lens
 * focuses.
 */
export function ringAtDeg(lens: Pick<Lens, 'ringDeg' | 'closestFocusM'>, distanceM: number): number {
  return Math.min(lens.ringDeg, ringDegPerDioptre(lens) / distanceM);
}
