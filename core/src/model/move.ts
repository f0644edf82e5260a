import * as z from 'zod';

/**
 * The human parameters of each move. Bearings are from the pivot to the camera, degrees clockwise from north. The pivot
 * is the subject's place when the shot starts, shifted by the two pivot offsets; heights are above the subject's base.
 */
const around = {
  pivotEastM: z.number().min(-2000).max(2000),
  pivotNorthM: z.number().min(-2000).max(2000),
  heightM: z.number().min(-50).max(500),
};
const distance = z.number().min(0.1).max(2000);
const bearing = z.number().min(-720).max(720);

/** A straight run past the pivot: positive travel goes to the camera's right; skew turns the run away from square-on. */
export const SlideSchema = z.strictObject({
  kind: z.literal('slide'),
  ...around,
  distanceM: distance,
  bearingDeg: bearing,
  travelM: z.number().min(-2000).max(2000),
  skewDeg: z.number().min(-90).max(90),
});

/** A straight run towards the pivot (push) or away from it (pull). */
export const PushSchema = z.strictObject({
  kind: z.literal('push'),
  ...around,
  fromDistanceM: distance,
  toDistanceM: distance,
  bearingDeg: bearing,
});

/** A run on a circle about the pivot: positive sweep is clockwise seen from above, a full orbit is 360. */
export const ArcSchema = z.strictObject({
  kind: z.literal('arc'),
  ...around,
  radiusM: distance,
  startBearingDeg: bearing,
  sweepDeg: z.number().min(-360).max(360),
});

/** A push or pull during which the zoom holds the subject's height in the frame. */
export const DollyZoomSchema = z.strictObject({
  kind: z.literal('dollyZoom'),
  ...around,
  fromDistanceM: distance,
  toDistanceM: distance,
  bearingDeg: bearing,
});

export const MoveSchema = z.discriminatedUnion('kind', [SlideSchema, PushSchema, ArcSchema, DollyZoomSchema]);

export type SlideMove = z.infer<typeof SlideSchema>;
export type PushMove = z.infer<typeof PushSchema>;
export type ArcMove = z.infer<typeof ArcSchema>;
export type DollyZoomMove = z.infer<typeof DollyZoomSchema>;
export type Move = z.infer<typeof MoveSchema>;
export type MoveKind = Move['kind'];
