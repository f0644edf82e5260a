import * as z from 'zod';
import { around } from './parameter';

/**
 * A point of a drawn path, from the pivot: metres east and north, the lens above the subject's base, and where it looks
 * there (null: as the shot aims).
 */
export const FreePointSchema = z.strictObject({
  eastM: z.number().min(-5000).max(5000),
  northM: z.number().min(-5000).max(5000),
  heightM: z.number().min(-50).max(500),
  look: z
    .strictObject({
      panDeg: z.number().min(-720).max(720),
      tiltDeg: z.number().min(-90).max(90),
      rollDeg: z.number().min(-360).max(360),
    })
    .nullable(),
});

export const LEAST_APART_M = 0.01;
export const MOST_PATH_POINTS = 60;

/** A curve through points that the person draws. */
export const FreeSchema = z
  .strictObject({
    kind: z.literal('free'),
    pivotEastM: around.pivotEastM,
    pivotNorthM: around.pivotNorthM,
    points: z.array(FreePointSchema).min(2).max(MOST_PATH_POINTS),
  })
  .superRefine(({ points }, context) => {
    points.forEach((point, i) => {
      const before = points[i - 1];
      if (
        before &&
        Math.hypot(point.eastM - before.eastM, point.northM - before.northM, point.heightM - before.heightM) <
          LEAST_APART_M
      )
        context.addIssue({
          code: 'custom',
          path: ['points', i],
          message: 'is the same as the point before it; move it at least a centimetre away, or delete one of the two',
        });
    });
  });

export type FreePoint = z.infer<typeof FreePointSchema>;
