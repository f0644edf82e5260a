import { both, box, ground, line, partBoxes, type RigView } from '../drawing';
import type { Wheels } from '../../model';
import type { SupportCase } from '../definition';

/** A deck on wheels with a mount. */
export function drawWheels({ build, support, kit }: SupportCase<Wheels>): RigView[] {
  return both((across) => {
    const high = support.wheelMm + 1000;
    return [
      ground(900),
      box('rig', 'Deck', 0, support.wheelMm + 20, across ? 420 : 1100, 40),
      ...[-1, 1].map((end) =>
        box(
          'rig',
          'Wheel',
          end * (across ? 170 : 420),
          support.wheelMm / 2,
          across ? 60 : support.wheelMm,
          support.wheelMm,
        ),
      ),
      line('rig', 'Mount', [
        [across ? 0 : 300, support.wheelMm + 40],
        [across ? 0 : 300, high],
      ]),
      ...partBoxes(build, kit, across, () => [across ? 0 : 300, high], true),
    ];
  });
}
