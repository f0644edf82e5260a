import { both, box, dot, line, partBoxes, type RigView } from '../drawing';
import { heapOf } from '../masses';
import type { Drone } from '../../model';
import type { SupportCase } from '../definition';

/** Body and rotors with what it carries. */
export function drawDrone({ build, placed, kit }: SupportCase<Drone>): RigView[] {
  return both((across) => [
    box('rig', 'Body', 0, 0, across ? 110 : 190, 70),
    ...[-1, 1].flatMap((end) => [
      line('rig', 'Arm', [
        [0, 10],
        [end * 150, 35],
      ]),
      line('rig', 'Rotor', [
        [end * 150 - 95, 45],
        [end * 150 + 95, 45],
      ]),
      box('rig', 'Motor', end * 150, 32, 24, 22),
    ]),
    ...partBoxes(build, kit, across, () => [0, -20], true),
    dot(
      'centre',
      'Centre of what it carries',
      across ? heapOf(placed).yM * 1000 : heapOf(placed).xM * 1000,
      heapOf(placed).zM * 1000 - 20,
    ),
  ]);
}
