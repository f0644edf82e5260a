import * as z from 'zod';
import { around, degrees, metres } from './parameter';

/** Where the camera looks at a point, degrees: clockwise from north, up, clockwise seen from behind. */
export const LookSchema = z.strictObject({
  panDeg: degrees('Pan', -720, 720),
  tiltDeg: degrees('Tilt', -90, 90),
  rollDeg: degrees('Roll', -360, 360),
});

/**
 * A point of a drawn path, from the pivot: metres east and north, the lens above the subject's base, and where it looks
 * there (null: as the shot aims).
 */
export const FreePointSchema = z.strictObject({
  eastM: z.number().min(-5000).max(5000),
  northM: z.number().min(-5000).max(5000),
  heightM: metres('Lens height', -50, 500),
  look: LookSchema.nullable(),
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
