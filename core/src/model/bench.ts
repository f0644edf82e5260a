import * as z from 'zod';

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
  stabilisingPercent: z.number().min(0).max(40),
  barsPercent: z.number().min(0).max(40),
  /**
   * A thing of known height: how high (null: as the subject), how much of the frame height it fills, how far away it
   * is.
   */
  knownHeightM: z.number().min(0.01).max(500).nullable(),
  fillsPercent: z.number().min(1).max(500),
  distanceM: z.number().min(0.1).max(5000),
  apartM: z.number().min(0.1).max(1000),
  alikePercent: z.number().min(1).max(100),
  sunDeg: z.number().min(0).max(90),
  sky: z.enum(BENCH_SKIES),
  fullFocalLengthMm: z.number().min(1).max(3000),
  fullFNumber: z.number().min(0.5).max(64),
  /** Seconds wanted on screen; null: the usual five. */
  wantedS: z.number().min(0.1).max(100_000).nullable(),
  /** The focus ring that the printed strip goes round. */
  ringAcrossMm: z.number().min(20).max(200),
  /** Lines on the photograph, from its top, as shares of its height. */
  photoTop: z.number().min(0).max(1),
  photoFoot: z.number().min(0).max(1),
});
export type Bench = z.infer<typeof BenchSchema>;

/** A bench that nobody has touched. A few percent of stabilising is common practice, no published source. */
export const USUAL_BENCH: Bench = {
  focalLengthsMm: null,
  compareBy: 'framing',
  measure: 'parallax',
  stabilisingPercent: 5,
  barsPercent: 0,
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
  ringAcrossMm: 75,
  photoTop: 0.25,
  photoFoot: 0.75,
};
