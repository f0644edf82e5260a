import type { FeatherShape } from '../model';

/**
 * How speed rises from 0 to 1 over a feather as its time goes from 0 to 1, and what that covers. A feather out is the
 * same run backwards.
 */
export interface Feather {
  /** Speed as a share of cruising speed at time share σ. */
  speed(sigma: number): number;
  /** Distance covered by time share σ, in units of cruising speed times feather duration. */
  distance(sigma: number): number;
  /** `distance(1)`. */
  area: number;
  /** Steepest rise of `speed`: peak acceleration is this times cruising speed over feather duration. */
  peakSlope: number;
}

/**
 * - `minimumJerk`: the first half of the minimum-jerk stroke `10τ³ − 15τ⁴ + 6τ⁵` (Flash & Hogan 1985), so that a move
 * that is all
 *   feather is exactly that stroke: `v = σ²(2−σ)²`.
 * - `cosine`: the first half of a raised cosine.
 * - `constantAcceleration`: a straight ramp.
 */
export const FEATHERS: Record<FeatherShape, Feather> = {
  minimumJerk: {
    speed: (s) => s * s * (2 - s) * (2 - s),
    distance: (s) => s * s * s * (4 / 3 - s + (s * s) / 5),
    area: 8 / 15,
    peakSlope: 8 / (3 * Math.sqrt(3)),
  },
  cosine: {
    speed: (s) => (1 - Math.cos(Math.PI * s)) / 2,
    distance: (s) => s / 2 - Math.sin(Math.PI * s) / (2 * Math.PI),
    area: 0.5,
    peakSlope: Math.PI / 2,
  },
  constantAcceleration: { speed: (s) => s, distance: (s) => (s * s) / 2, area: 0.5, peakSlope: 1 },
};

/**
 * The whole minimum-jerk stroke from 0 to 1, at rest at both ends: `10τ³ − 15τ⁴ + 6τ⁵` (Flash & Hogan 1985). Level
 * outside.
 */
export function eased(tau: number): number {
  const x = Math.min(1, Math.max(0, tau));
  return x * x * x * (10 - 15 * x + 6 * x * x);
}
