import * as z from 'zod';
import { number, whole } from './facts';

export const COMPARE_BY = ['framing', 'spot'] as const;
export const BENCH_SKIES = ['clear', 'partly', 'cloudy'] as const;
export const BENCH_MEASURES = [
  'parallax',
  'nearSlide',
  'farSlide',
  'slidePerM',
  'slidePerDeg',
  'nearSpeed',
  'farSpeed',
  'wobble',
  'backgroundGrowth',
  'sharpFromM',
  'distanceM',
] as const;
export const MOST_FOCALS = 6;

/**
 * What is compared and worked out for one shot on the Lens screen. It changes nothing about the shot; it is kept so
 * that nobody types it twice.
 */
export const BenchSchema = z.strictObject({
  /** Focal lengths beside each other, shortest first; null: the usual ones of the kit. */
  focalLengthsMm: z.array(z.number().min(1).max(3000)).min(1).max(MOST_FOCALS).nullable(),
  compareBy: z.enum(COMPARE_BY),
  measure: z.enum(BENCH_MEASURES),
  /**
   * A thing of known height: how high (null: as the subject), how much of the frame height it fills, how far away it
   * is.
   */
  knownHeightM: number('Known height', 'm', 0.01, 500, 0.1).nullable(),
  fillsPercent: number('Share of the frame height', 'percent', 1, 500, 5),
  distanceM: number('Distance', 'm', 0.1, 5000, 0.5),
  apartM: number('Apart in depth', 'm', 0.1, 1000, 0.5),
  alikePercent: number('Sizes alike within', 'percent', 1, 100, 1),
  sunDeg: number('Height of the sun', 'deg', 0, 90, 5),
  sky: z.enum(BENCH_SKIES),
  fullFocalLengthMm: number('Focal length on full frame', 'mm', 1, 3000, 1),
  fullFNumber: number('Stop on full frame', 'plain', 0.5, 64, 0.1),
  /** Seconds wanted on screen; null: the usual five. */
  wantedS: number('Seconds on screen', 's', 0.1, 100_000, 0.5).nullable(),
  /** A wheel, a rotor or a string: turns or swings a second, spokes or blades that look alike, part of the frame height. */
  spinPerS: number('Turns or swings a second', 'plain', 0.01, 5000, 0.5),
  spinRepeats: whole('Spokes or blades that look alike', 1, 200),
  spinPercent: number('Part of the frame height that it fills', 'percent', 1, 200, 5),
  /** How far behind its subject the background of a dolly zoom from two films stands. */
  backgroundM: number('Background behind the subject', 'm', 0.5, 5000, 5),
  /** The focus ring that the printed strip goes round. */
  ringAcrossMm: number('Ring diameter', 'mm', 20, 200, 1),
  /** Lines on the photograph, from its top, as shares of its height. */
  photoTop: z.number().min(0).max(1),
  photoFoot: z.number().min(0).max(1),
});
export type Bench = z.infer<typeof BenchSchema>;

/** A bench that nobody has touched. */
export const USUAL_BENCH: Bench = {
  focalLengthsMm: null,
  compareBy: 'framing',
  measure: 'parallax',
  knownHeightM: null,
  fillsPercent: 50,
  distanceM: 5,
  apartM: 4,
  alikePercent: 10,
  sunDeg: 40,
  sky: 'clear',
  fullFocalLengthMm: 50,
  fullFNumber: 2.8,
  wantedS: null,
  spinPerS: 5,
  spinRepeats: 20,
  spinPercent: 40,
  backgroundM: 30,
  ringAcrossMm: 75,
  photoTop: 0.25,
  photoFoot: 0.75,
};
