import { define, type FindingKinds } from '../definition';
import type { FindingOf } from '../finding';
import type { Rig } from '../../model';
import type { Scene } from '../../scene';
import type { Samples } from '../../motion';
import { envelopeOf, outsideReach, reachGiveM, type Envelope } from './envelope';
import { travelSaysItAll } from './travel';
import { graded, type Say } from './use';
import type { RigCase } from './rig-case';

const KINDS = {
  'rig.reach': {
    measures: 'how far the path leaves what the rig reaches, m',
    limits: ['straightnessM'],
    about: 'frame',
    cures: ['walkIt', 'travelLess', 'otherRig'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** The path against the shape that the rig draws in the air. */
function reachFindings(
  { rig, gait, limits }: Scene,
  samples: Samples,
  heights: Float64Array,
  { length }: Say,
): Found[] {
  const envelope = envelopeOf(rig, gait);
  if (envelope.shape === 'anywhere') return [];
  const { value, row } = outsideReach(envelope, samples, heights);
  const [fits, tight] = reachGiveM(envelope, limits.straightnessM);
  if (value <= fits + 1e-9) return [];
  const { sentence, reason } = words(envelope, rig, length(value), length);
  return [
    graded(
      {
        id: 'rig.reach',
        measure: 'outside its reach',
        unit: 'm',
        say: length,
        value,
        limit: fits,
        screenS: samples.screenS[row],
        sentence,
        reason,
      },
      value > tight + 1e-9 ? 'cannot' : 'tight',
    ),
  ];
}

function words(
  envelope: Envelope,
  { name }: Rig,
  off: string,
  length: Say['length'],
): { sentence: string; reason: string } {
  switch (envelope.shape) {
    case 'line':
      return {
        sentence: `The path bends by ${off}; ${name} is straight.`,
        reason: 'A straight rail cannot follow a curve.',
      };
    case 'floor':
      return {
        sentence:
          `The lens rises or sinks ${off} off its middle height above the floor; ${name} rolls and ` +
          'keeps its height.',
        reason: 'Wheels go where the floor goes, and nowhere else.',
      };
    case 'spot':
      return {
        sentence: `The camera leaves its place by ${off}; ${name} stays where it stands.`,
        reason: 'What stands turns and tilts, and does not travel.',
      };
    case 'about':
      return {
        sentence:
          `The camera goes ${off} farther than ${length(envelope.radiusM)} about the operator, whose feet stay; ` +
          `that is as far as ${name} is held out.`,
        reason: 'With the feet planted arms, hips and knees do all the travel. Walk it, or go less far.',
      };
    case 'sphere':
      return {
        sentence:
          `The path leaves the arc that ${name} draws by ${off}: its arm is ${length(envelope.radiusM)} long ` +
          'about its pivot.',
        reason: 'An arm goes round its pivot. Whatever is straighter, longer or nearer than that arc it cannot reach.',
      };
    case 'hanging':
      return {
        sentence:
          `The path leaves the swing of ${name} by ${off}: the camera hangs ${length(envelope.radiusM)} ` +
          'below its point.',
        reason: 'A rope swings about the point it hangs from.',
      };
    case 'levelRing':
      return {
        sentence:
          `The path leaves the level ring that ${name} draws by ${off}: it is ${length(envelope.radiusM)} long ` +
          'and turns about its stand.',
        reason: 'A table-top arm turns; forward, up or straight on it cannot go.',
      };
    case 'uprightRing':
      return {
        sentence:
          `The path leaves the upright ring that ${name} draws by ${off}: it is ${length(envelope.radiusM)} long ` +
          'and swings on its hinge.',
        reason: 'A hinged pole swings over; along, round or straight on it cannot go.',
      };
    case 'anywhere':
      return { sentence: '', reason: '' };
  }
}

export const reach = define(KINDS, (measured: RigCase) => {
  const { scene, filmed, heights, say } = measured;
  return travelSaysItAll(measured) ? [] : reachFindings(scene, filmed, heights, say);
});
