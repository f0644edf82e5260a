import { usualRig } from '../../model/default-rigs';
import type { Setup } from '../../model/shoot';
import { motionOf } from '../../motion/legs';
import { filmShot, pathLengthM } from '../../motion/sample';
import { clearanceFindings } from './clearance';
import { heightsM } from './heights';
import { envelopeOf, outsideReach } from './reach';
import { tightestTurnM, VEHICLE_TURN_M } from './riding';
import { sayIn } from './use';

/** Less way than this is not worth a vehicle, m: common practice, no published source. */
const LEAST_WAY_M = 3;

/**
 * Whether a small vehicle could go under a shot's camera: far enough, on level height, in wide turns, over ground that
 * wheels take, with room on both sides. What is not on the plan is not looked at.
 */
export function vehicleCouldGo(setup: Setup): boolean {
  const motion = motionOf(setup);
  const samples = filmShot(setup, motion);
  const heights = heightsM(setup, samples);
  const vehicle = {
    ...usualRig('vehicle', { id: setup.rig.id, name: setup.rig.name }),
    heightMaxM: Infinity,
    heightMinM: 0,
  };
  return (
    pathLengthM(samples) >= LEAST_WAY_M &&
    outsideReach(envelopeOf(vehicle, setup.gait), samples, heights).value <= setup.limits.straightnessM &&
    tightestTurnM(samples) >= VEHICLE_TURN_M &&
    clearanceFindings({ ...setup, rig: vehicle }, motion, samples, heights, sayIn('metric')).every(
      ({ grade }) => grade !== 'cannot',
    )
  );
}
