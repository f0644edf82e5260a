import { usualRig } from '../../model/default-rigs';
import type { Scene } from '../../scene/scene';
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
export function vehicleCouldGo(scene: Scene): boolean {
  const motion = motionOf(scene);
  const samples = filmShot(scene, motion);
  const heights = heightsM(scene, samples);
  const vehicle = {
    ...usualRig('vehicle', { id: scene.rig.id, name: scene.rig.name }),
    heightMaxM: Infinity,
    heightMinM: 0,
  };
  return (
    pathLengthM(samples) >= LEAST_WAY_M &&
    outsideReach(envelopeOf(vehicle, scene.gait), samples, heights).value <= scene.limits.straightnessM &&
    tightestTurnM(samples) >= VEHICLE_TURN_M &&
    clearanceFindings({ ...scene, rig: vehicle }, motion.intent, samples, heights, sayIn('metric')).every(
      ({ grade }) => grade !== 'cannot',
    )
  );
}
