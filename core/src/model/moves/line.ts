import * as z from 'zod';
import { around, bearing, degrees, distance, metres, stand, travel } from './parameter';

/** Moves along a line: past the pivot, towards it, or away from it. */

/**
 * A straight run past the pivot: positive travel goes to the camera's right; skew turns the run away from square-on.
 */
export const SlideSchema = z.strictObject({
  kind: z.literal('slide'),
  ...stand,
  travelM: travel('travel, + to the right'),
  skewDeg: degrees('turned from square', -90, 90, 'side'),
});

/** A slide on a tilted rail: the camera stays level while it climbs or sinks. */
export const AngledSlideSchema = z.strictObject({
  kind: z.literal('angledSlide'),
  ...stand,
  travelM: travel('travel, + to the right'),
  skewDeg: degrees('turned from square', -90, 90, 'side'),
  slopeDeg: degrees('rail slopes up by', -80, 80),
});

const radial = {
  ...around,
  fromDistanceM: distance('from'),
  toDistanceM: distance('to'),
  bearingDeg: bearing('seen from bearing'),
};
const toHeightM = metres('up to height', -50, 500);

export const PushSchema = z.strictObject({ kind: z.literal('push'), ...radial });
export const PullSchema = z.strictObject({ kind: z.literal('pull'), ...radial });
export const PushRiseSchema = z.strictObject({ kind: z.literal('pushRise'), ...radial, toHeightM });

/** Starts low, ends higher while leaning in, on a quarter of an ellipse. */
export const ScoopSchema = z.strictObject({ kind: z.literal('scoop'), ...radial, toHeightM });

/** A push during which the camera rolls. */
export const PushRollSchema = z.strictObject({
  kind: z.literal('pushRoll'),
  ...radial,
  fromRollDeg: degrees('roll from', -360, 360, 'side'),
  toRollDeg: degrees('to', -360, 360, 'side'),
});

/** A push that starts on the horizon and tilts down onto the subject. */
export const ApproachTiltDownSchema = z.strictObject({
  kind: z.literal('approachTiltDown'),
  ...radial,
  fromTiltDeg: degrees('tilt at the start', -60, 60),
});

export const LINE_SCHEMAS = [
  SlideSchema,
  AngledSlideSchema,
  PushSchema,
  PullSchema,
  PushRiseSchema,
  ScoopSchema,
  PushRollSchema,
  ApproachTiltDownSchema,
] as const;
