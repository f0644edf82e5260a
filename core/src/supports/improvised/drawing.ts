import { arc, both, box, ground, line, partBoxes, type RigView } from '../drawing';
import type { Improvised } from '../../model';
import type { SupportCase } from '../definition';

/** What carries it, on the ground. */
export function drawImprovised({ build, support, kit }: SupportCase<Improvised>): RigView[] {
  return both((across) => [
    ground(support.lengthMm),
    ...(support.what === 'hingedPole'
      ? [
          line('rig', 'Pole', [
            [0, 0],
            [0, support.lengthMm],
          ]),
          line('away', 'Way of the camera', arc(support.lengthMm, 0, 180)),
        ]
      : [box('rig', 'Carrier', 0, 15, support.lengthMm * (support.what === 'turntable' ? 2 : 1), 30)]),
    ...partBoxes(build, kit, across, () => [0, support.what === 'hingedPole' ? support.lengthMm : 30], true),
  ]);
}
