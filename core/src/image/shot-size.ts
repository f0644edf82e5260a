/**
 * How a shot is called by its size: names from a figure lost in its surroundings to a part of a face. Common practice,
 * no published source.
 */
const SIZES = [
  [0.12, 'extreme wide'],
  [0.5, 'wide'],
  [1.05, 'full figure'],
  [1.5, 'from the knees up'],
  [2.3, 'from the waist up'],
  [3.6, 'from the chest up'],
  [7, 'close-up'],
  [Infinity, 'extreme close-up'],
] as const;

export type ShotSize = (typeof SIZES)[number][1];

/** A standing figure where the subject is something else, m. */
export const STANDING_M = 1.7;

/**
 * Heights of frame that a standing figure at the subject's distance would fill: figure height and distance in metres,
 * lens and frame in mm.
 */
export function figureShare(figureM: number, distanceM: number, focalLengthMm: number, frameHeightMm: number): number {
  return (figureM * focalLengthMm) / (distanceM * frameHeightMm);
}

/** The name of a size, by how many frame heights a standing figure fills. */
export function shotSize(share: number): ShotSize {
  for (const [most, name] of SIZES) if (share < most) return name;
  return 'extreme close-up';
}
