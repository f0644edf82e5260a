import type { Finding } from '../finding';
import type { Scene } from '../../scene/scene';
import type { Units } from '../../model/units';
import type { Intent } from '../../motion/intent';
import type { Samples } from '../../motion/sample';
import { angleFindings } from './angles';
import { clearanceFindings } from './clearance';
import { heightFindings } from './heights';
import { lensFindings } from './lens';
import { pathFindings } from './travel';
import { recordingFindings } from './recording';
import { rateFindings } from './rates';
import { reachFindings } from './reach';
import { travelFindings } from './goes-nowhere';
import { sayIn } from './use';

/**
 * Whether rig and lens can make the move, and whether anything is in the way. `heights` are those of the lens above the
 * ground, metres, one a row.
 */
export function rigFindings(
  scene: Scene,
  intent: Intent,
  samples: Samples,
  heights: Float64Array,
  units: Units,
): Finding[] {
  const say = sayIn(units);
  // One trouble is told once: what stays where it stands, and an arm that is too short for its own move.
  const ways = pathFindings(scene, intent, samples, say);
  return [
    ...travelFindings(intent, samples),
    ...ways,
    ...(ways.some(({ grade, limit }) => grade === 'cannot' && (limit === 0 || ways.length > 1))
      ? []
      : reachFindings(scene, samples, heights, say)),
    ...heightFindings(scene, samples, heights, say),
    ...rateFindings(scene, samples, say),
    ...angleFindings(scene, samples, say),
    ...clearanceFindings(scene, intent, samples, heights, say),
    ...lensFindings(scene, intent, samples, say),
    ...recordingFindings(scene, samples),
  ];
}
