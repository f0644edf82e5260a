import type { RigKind } from '../../model';
import type { Intent, Samples } from '../../motion';
import { distanceToThingM, type Scene, type Thing } from '../../scene';
import { armStandAt } from './travel';

/** Rigs that somebody walks or rolls over the ground with: their whole height has to pass. */
export const ON_THE_GROUND = new Set<RigKind>(['gimbal', 'sled', 'hand', 'bodyMount', 'wheels', 'vehicle']);
/** People step over what is lower than this, m: common practice, no published source. */
const KNEE_M = 0.35;
/** A long shot is looked at this often at least, and oftener where the camera or what is near it goes on meanwhile. */
const LEAST_LOOKS = 240;
/** What walks or drives may have gone on by a step in this time, s. */
const WALKERS_LOOKED_AT_EVERY_S = 0.1;
/** A rig that needs no room is looked at after this way all the same, m. */
const LEAST_STEP_M = 0.1;
const ARM_POINTS = 8;

/** How near a thing comes, m (below 0 inside it), at which row, and what it is called. */
interface Nearest {
  distanceM: number;
  row: number;
  name: string;
}
type NearestOf = Record<'camera' | 'carrier' | 'arm', Nearest | null>;

/**
 * The rows at which clearance is looked at: never farther from each other than `stepM` of the camera's way (m), than
 * `longestS` (s), or than one part in `LEAST_LOOKS` of the shot. So nothing is passed between two of them unseen.
 */
export function rowsLookedAt({ count, tS, xM, yM, zM }: Samples, stepM: number, longestS: number): number[] {
  const mostRows = Math.max(1, Math.ceil(count / LEAST_LOOKS));
  const rows: number[] = count > 0 ? [0] : [];
  for (let row = 1; row < count; row += 1) {
    const last = rows[rows.length - 1];
    // One row farther may be too far: then this one is looked at.
    const next = Math.min(row + 1, count - 1);
    const wayM = Math.hypot(xM[next] - xM[last], yM[next] - yM[last], zM[next] - zM[last]);
    if (row - last >= mostRows || wayM > stepM || Math.abs(tS[next] - tS[last]) > longestS || row === count - 1)
      rows.push(row);
  }
  return rows;
}

/**
 * What comes nearest to the camera, to whoever carries it over the ground, and to the arm it is on, of the things given;
 * null where there is none, nobody carries it or it has no arm. `heights` is the camera's height over the ground, m, at
 * each row.
 */
export function nearestOf(
  { rig }: Scene,
  intent: Intent,
  samples: Samples,
  heights: Float64Array,
  things: readonly Thing[],
): NearestOf {
  const nearest: NearestOf = { camera: null, carrier: null, arm: null };
  const foot = ON_THE_GROUND.has(rig.kind);
  const lookAt = (row: number, thing: Thing) => {
    const [x, y, z, tS] = [samples.xM[row], samples.yM[row], samples.zM[row], samples.tS[row]];
    const keep = (of: keyof NearestOf, distanceM: number) => {
      const before = nearest[of];
      if (before === null || distanceM < before.distanceM) nearest[of] = { distanceM, row, name: thing.piece.name };
    };
    keep('camera', distanceToThingM(thing, tS, x, y, z, z));
    const floorM = foot ? z - heights[row] + KNEE_M : z;
    if (foot && floorM < z) keep('carrier', distanceToThingM(thing, tS, x, y, floorM, z));
    const base = rig.armM > 0 ? armStandAt(intent, tS) : null;
    for (let k = 1; base && k < ARM_POINTS; k += 1) {
      const s = k / ARM_POINTS;
      const [armX, armY] = [base.xM + (x - base.xM) * s, base.yM + (y - base.yM) * s];
      const armZ = base.zM + (z - base.zM) * s;
      keep('arm', distanceToThingM(thing, tS, armX, armY, armZ, armZ));
    }
  };
  const stepM = Math.max(LEAST_STEP_M, rig.clearM);
  const rowsOf = {
    standing: rowsLookedAt(samples, stepM, Infinity),
    walking: things.some(({ walks }) => walks) ? rowsLookedAt(samples, stepM, WALKERS_LOOKED_AT_EVERY_S) : [],
  };
  for (const thing of things) for (const row of thing.walks ? rowsOf.walking : rowsOf.standing) lookAt(row, thing);
  return nearest;
}
