import * as z from 'zod';
import { choice, degrees, metres, stand } from './parameter';

/** Moves up and down. */
const lift = { ...stand, toHeightM: metres('to height', -50, 500) };

export const RiseSchema = z.strictObject({ kind: z.literal('rise'), ...lift });
export const DropSchema = z.strictObject({ kind: z.literal('drop'), ...lift });
export const DropTiltUpSchema = z.strictObject({ kind: z.literal('dropTiltUp'), ...lift });
export const RiseTiltDownSchema = z.strictObject({ kind: z.literal('riseTiltDown'), ...lift });

/** From a squat to arms overhead: the arms swing out on the way. */
export const CraneSchema = z.strictObject({
  kind: z.literal('crane'),
  ...lift,
  leanM: metres('arms swing out by', 0, 1.5),
});

/**
 * The arc of an arm: its pivot stands behind the camera; angles are of the arm above level. The distance is that of the
 * camera with the arm level.
 */
export const JibSchema = z.strictObject({
  kind: z.literal('jib'),
  ...stand,
  armM: metres('arm', 0.2, 30),
  fromDeg: degrees('arm from', -80, 85),
  toDeg: degrees('to', -80, 85),
  head: choice('camera', { aimed: 'kept on the subject', level: 'kept level', arm: 'tilting with the arm' }),
});

/** Rises from behind something near until the subject shows. */
export const RiseOverRevealSchema = z.strictObject({ kind: z.literal('riseOverReveal'), ...lift });

export const VERTICAL_SCHEMAS = [
  RiseSchema,
  DropSchema,
  DropTiltUpSchema,
  RiseTiltDownSchema,
  CraneSchema,
  JibSchema,
  RiseOverRevealSchema,
] as const;
