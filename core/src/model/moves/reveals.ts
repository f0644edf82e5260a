import * as z from 'zod';
import { around, bearing, degrees, distance, metres, share, stand, travel } from './parameter';

/** Moves that hide and show. */

/** Slides out from behind something near; positive travel goes to the camera's right. */
export const SlideOutRevealSchema = z.strictObject({
  kind: z.literal('slideOutReveal'),
  ...stand,
  travelM: travel('travel, + to the right'),
  skewDeg: degrees('turned from square', -90, 90, 'side'),
});

/** Flies backwards from beyond the subject, looking one way, until it comes into the frame from below. */
export const BackAwayRevealSchema = z.strictObject({
  kind: z.literal('backAwayReveal'),
  ...around,
  beyondM: distance('from beyond it by'),
  toDistanceM: distance('back to'),
  bearingDeg: bearing('seen from bearing'),
});

/** Goes back and up from the subject and, towards the end, tilts up to the horizon. */
export const TiltToHorizonSchema = z.strictObject({
  kind: z.literal('tiltToHorizon'),
  ...around,
  fromDistanceM: distance('from'),
  toDistanceM: distance('to'),
  bearingDeg: bearing('seen from bearing'),
  toHeightM: metres('up to height', -50, 500),
  tiltShare: share('tilting over the last', 0.1, 1),
});

/** The lens starts covered by the subject and backs off, or ends covered by it. The gap is from its surface. */
export const DarkStartSchema = z.strictObject({
  kind: z.literal('darkStart'),
  ...around,
  gapM: metres('starts off its surface by', 0.02, 1),
  toDistanceM: distance('to'),
  bearingDeg: bearing('seen from bearing'),
});
export const DarkEndSchema = z.strictObject({
  kind: z.literal('darkEnd'),
  ...around,
  gapM: metres('ends off its surface by', 0.02, 1),
  fromDistanceM: distance('from'),
  bearingDeg: bearing('seen from bearing'),
});

export const REVEAL_SCHEMAS = [
  SlideOutRevealSchema,
  BackAwayRevealSchema,
  TiltToHorizonSchema,
  DarkStartSchema,
  DarkEndSchema,
] as const;
