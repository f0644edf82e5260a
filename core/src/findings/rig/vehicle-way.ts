import { usualRig } from '../../model';
import type { Scene } from '../../scene';
import { filmShot, motionOf, pathLengthM } from '../../motion';
import { clearance } from './clearance';
import { ground } from './ground';
import { rigCase } from './rig-case';
import { envelopeOf, outsideReach } from './envelope';
import { tightestTurnM, VEHICLE_TURN_M } from './riding';

/** Less way than this is not worth a vehicle, m: common practice, no published source. */
const LEAST_WAY_M = 3;

/**
 * Whether a small vehicle could go under a shot's camera: far enough, on level height, in wide turns, over ground that
 * wheels take, with room on both sides. What is not on the plan is not looked at.
 */
export function vehicleCouldGo(scene: Scene): boolean {
  const motion = motionOf(scene);
  const filmed = filmShot(scene, motion);
  const vehicle = {
    ...usualRig('vehicle', { id: scene.rig.id, name: scene.rig.name }),
    heightMaxM: Infinity,
    heightMinM: 0,
  };
  const measured = rigCase({ scene: { ...scene, rig: vehicle }, filmed, intent: motion.intent }, 'metric');
  return (
    pathLengthM(filmed) >= LEAST_WAY_M &&
    outsideReach(envelopeOf(vehicle, scene.gait), filmed, measured.heights).value <= scene.limits.straightnessM &&
    tightestTurnM(filmed) >= VEHICLE_TURN_M &&
    [...clearance.find(measured), ...ground.find(measured)].every(({ grade }) => grade !== 'cannot')
  );
}
