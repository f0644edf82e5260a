import type { Arm, Build, Kit } from '../../model';
import { angleOfViewDeg } from '../../optics';
import type { SupportDefinition } from '../definition';
import { dragArm, drawArm } from './drawing';
import { armTold } from './told';

/** A tripod, with or without a table-top arm. */
export const arm: SupportDefinition<Arm> = {
  name: 'tripod or table-top arm',
  group: 'standing',
  sentences: [
    'Legs of {legMm} spread by {spreadDeg}, column up {columnMm}; arm {reachMm} out, pointing {armDeg} from ' +
      'the front leg.',
    'Arm {armMassG}, legs {legsMassG}, bag {bagG}.',
    'A margin of {marginMm} is wished, in a wind of {windMps}. Head and legs hold {stiffnessNmPerDeg} N m a degree.',
  ],
  tell: ({ build, support, kit, placed, units }) => armTold(support, placed, units, pictureDeg(build, kit)),
  draw: drawArm,
  drag: dragArm,
  checks: ['level', 'bags', 'marks', 'line', 'wind'],
  caution:
    'An arm that reaches out tips its tripod: crews usually hang a bag under the middle, point a leg under the ' +
    'arm, and take it in before the wind rises.',
  refits: {
    camera: { redo: 'bag and level', minutes: 5 },
    lens: { redo: 'bag and level', minutes: 3 },
    filter: { redo: 'a look at the level', minutes: 1 },
    zoom: { redo: 'nothing', minutes: 0 },
  },
};

/** Width of the picture that a build takes, degrees; null where it has no camera of the kit. */
function pictureDeg({ parts, focalLengthMm }: Build, kit: Kit): number | null {
  const on = parts.flatMap(({ partId }) => kit.parts.filter((part) => part.id === partId && part.kind === 'camera'));
  const camera = kit.cameras.find((row) => row.id === on[0]?.of);
  return camera ? angleOfViewDeg(camera.sensorWidthMm, focalLengthMm) : null;
}
