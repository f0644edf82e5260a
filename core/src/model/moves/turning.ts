import * as z from 'zod';
import { degrees, metres, pieceOrSubject, stand, millimetres, travel } from './parameter';

/**
 * Moves of the camera on the spot: it turns, rolls, zooms or changes focus. Turns are measured from the subject: 0° is
 * on it.
 */
const turn = { fromDeg: degrees('from', -360, 360, 'side'), toDeg: degrees('to', -360, 360, 'side') };

export const StillSchema = z.strictObject({ kind: z.literal('still'), ...stand });
export const PanSchema = z.strictObject({ kind: z.literal('pan'), ...stand, ...turn });
export const WhipPanSchema = z.strictObject({ kind: z.literal('whipPan'), ...stand, ...turn });
export const TiltSchema = z.strictObject({
  kind: z.literal('tilt'),
  ...stand,
  fromDeg: degrees('from', -90, 90),
  toDeg: degrees('to', -90, 90),
});
export const RollSchema = z.strictObject({ kind: z.literal('roll'), ...stand, ...turn });

/** A hinged pole swings the camera over from one side to the other: half a turn of roll in half a circle. */
export const TumbleSchema = z.strictObject({
  kind: z.literal('tumble'),
  ...stand,
  armM: metres('pole', 0.1, 5),
  rollDeg: degrees('roll in all, + clockwise', -360, 360, 'side'),
});
export const ZoomSchema = z.strictObject({
  kind: z.literal('zoom'),
  ...stand,
  toFocalLengthMm: millimetres('zoom to', 1, 3000),
});
export const RackFocusSchema = z.strictObject({
  kind: z.literal('rackFocus'),
  ...stand,
  fromPieceId: pieceOrSubject('focus from'),
  toPieceId: pieceOrSubject('to'),
});

/** Tilts up from the floor (or down from the sky) onto the subject; the other way round at the end of a shot. */
export const GroundStartSchema = z.strictObject({
  kind: z.literal('groundStart'),
  ...stand,
  fromTiltDeg: degrees('starts tilted to', -90, 90),
});
export const SkyEndSchema = z.strictObject({
  kind: z.literal('skyEnd'),
  ...stand,
  toTiltDeg: degrees('ends tilted to', -90, 90),
});

/** The camera stands, or drifts a little, looking one way: the subject walks in and out again. */
export const EnterLeaveSchema = z.strictObject({
  kind: z.literal('enterLeave'),
  ...stand,
  travelM: travel('drift, + to the right'),
});

/** Straight down. Bearings say which way is down in the frame. */
export const OverheadStillSchema = z.strictObject({ kind: z.literal('overheadStill'), ...stand });
export const OverheadSlideSchema = z.strictObject({
  kind: z.literal('overheadSlide'),
  ...stand,
  travelM: travel('travel, + to the right'),
  skewDeg: degrees('turned from square', -90, 90, 'side'),
});
export const OverheadSpinSchema = z.strictObject({
  kind: z.literal('overheadSpin'),
  ...stand,
  spinDeg: degrees('spin, + clockwise', -1440, 1440, 'side'),
  riseM: metres('rise meanwhile', -100, 100),
});

export const TURNING_SCHEMAS = [
  StillSchema,
  PanSchema,
  WhipPanSchema,
  TiltSchema,
  RollSchema,
  TumbleSchema,
  ZoomSchema,
  RackFocusSchema,
  GroundStartSchema,
  SkyEndSchema,
  EnterLeaveSchema,
  OverheadStillSchema,
  OverheadSlideSchema,
  OverheadSpinSchema,
] as const;
