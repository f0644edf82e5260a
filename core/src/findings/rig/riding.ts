import type { Gait, Rig } from '../../model';

/**
 * Which wheels go under the camera: its rig's own, or those that whoever holds it rides on; null where feet, rails or
 * rotors carry it.
 */
export function rollsOn({
  rig,
  gait,
}: {
  rig: Pick<Rig, 'kind'>;
  gait: Pick<Gait, 'id'>;
}): 'wheels' | 'vehicle' | null {
  if (rig.kind === 'wheels' || rig.kind === 'vehicle') return rig.kind;
  if (rig.kind !== 'gimbal' && rig.kind !== 'sled' && rig.kind !== 'hand' && rig.kind !== 'bodyMount') return null;
  return gait.id === RIDES.vehicle ? 'vehicle' : gait.id === RIDES.wheels ? 'wheels' : null;
}

/** The ways to go that are a ride. */
export const RIDES = { vehicle: 'gait-vehicle', wheels: 'gait-board' } as const;

/** Tightest turn of a small vehicle, m: common practice, no published source. */
export const VEHICLE_TURN_M = 4;

/**
 * Tightest turn of a path seen from above, m, over half a metre of way; Infinity where it is straight or too short to
 * tell.
 */
export function tightestTurnM({ count, xM, yM }: { count: number; xM: Float64Array; yM: Float64Array }): number {
  const STEP_M = 0.5;
  const spots: [number, number][] = [];
  for (let row = 0; row < count; row += 1) {
    const last = spots.at(-1);
    if (!last || Math.hypot(xM[row] - last[0], yM[row] - last[1]) >= STEP_M) spots.push([xM[row], yM[row]]);
  }
  let least = Infinity;
  for (let i = 1; i + 1 < spots.length; i += 1) {
    const [a, b, c] = [spots[i - 1], spots[i], spots[i + 1]];
    // Circle through three points: product of the sides over four times the area.
    const area2 = Math.abs((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]));
    const sides =
      Math.hypot(b[0] - a[0], b[1] - a[1]) *
      Math.hypot(c[0] - b[0], c[1] - b[1]) *
      Math.hypot(c[0] - a[0], c[1] - a[1]);
    if (area2 > 1e-9) least = Math.min(least, sides / (2 * area2));
  }
  return least;
}
