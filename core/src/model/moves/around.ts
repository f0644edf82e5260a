import * as z from 'zod';
import { around, bearing, degrees, distance, metres } from './parameter';

/** Moves round a point. Positive sweep is clockwise seen from above, a full orbit is 360. */
const ring = {
  ...around,
  radiusM: distance('radius'),
  startBearingDeg: bearing('from bearing'),
  sweepDeg: degrees('sweep, + clockwise', -720, 720, 'side'),
};
const toRadiusM = distance('to radius');
const toHeightM = metres('to height', -50, 500);

export const ArcSchema = z.strictObject({ kind: z.literal('arc'), ...ring });
export const OrbitSchema = z.strictObject({ kind: z.literal('orbit'), ...ring });
export const LowOrbitSchema = z.strictObject({ kind: z.literal('lowOrbit'), ...ring });

/** The camera hangs on an arm that turns about a fixed point under the thing it looks at. */
export const TableTopArmSchema = z.strictObject({
  kind: z.literal('tableTopArm'),
  ...ring,
  aimHeightM: metres('looks at height', -50, 500),
});

/** Half round something that itself slips sideways: travel and pan that centre on nothing. */
export const DriftingOrbitSchema = z.strictObject({
  kind: z.literal('driftingOrbit'),
  ...ring,
  driftM: metres('drift, + to the right', -500, 500, 'side'),
});

/** Round and in, until the camera looks straight down. */
export const SpiralOverheadSchema = z.strictObject({
  kind: z.literal('spiralOverhead'),
  ...ring,
  toRadiusM,
  toHeightM,
});

/** Round while backing off and rising. */
export const HelixSchema = z.strictObject({ kind: z.literal('helix'), ...ring, toRadiusM, toHeightM });

export const AROUND_SCHEMAS = [
  ArcSchema,
  OrbitSchema,
  LowOrbitSchema,
  TableTopArmSchema,
  DriftingOrbitSchema,
  SpiralOverheadSchema,
  HelixSchema,
] as const;
