import type { Finding } from '../finding';
import type { Setup } from '../../model/shoot';
import type { Units } from '../../model/units';
import type { ShotMotion } from '../../motion/legs';
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
  setup: Setup,
  motion: ShotMotion,
  samples: Samples,
  heights: Float64Array,
  units: Units,
): Finding[] {
  const say = sayIn(units);
  // One trouble is told once: what stays where it stands, and an arm that is too short for its own move.
  const ways = pathFindings(setup, motion, samples, say);
  return [
    ...travelFindings(motion, samples),
    ...ways,
    ...(ways.some(({ grade, limit }) => grade === 'cannot' && (limit === 0 || ways.length > 1))
      ? []
      : reachFindings(setup, samples, heights, say)),
    ...heightFindings(setup, samples, heights, say),
    ...rateFindings(setup, samples, say),
    ...angleFindings(setup, samples, say),
    ...clearanceFindings(setup, motion, samples, heights, say),
    ...lensFindings(setup, motion, samples, say),
    ...recordingFindings(setup, samples),
  ];
}
