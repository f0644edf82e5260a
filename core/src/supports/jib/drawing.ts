import { arc, box, circle, clamped, dot, ground, line, partBoxes, RAD, type Drag, type RigView } from '../drawing';
import { heapOf } from '../masses';
import { feetAround } from '../feet';
import type { Jib } from '../../model';
import type { SupportCase } from '../definition';

/** The arm on its stand, from the side and from above, with where nobody stands. */
export function drawJib({ build, support: jib, kit, placed }: SupportCase<Jib>): RigView[] {
  const at = (lengthMm: number): [number, number] => [
    lengthMm * Math.cos(jib.angleDeg * RAD),
    jib.pivotMm + lengthMm * Math.sin(jib.angleDeg * RAD),
  ];
  const front = at(jib.frontMm);
  const rear = at(-jib.rearMm);
  const counter = Math.min(420, 90 + 90 * Math.cbrt(jib.counterG / 1000));
  const headKg = heapOf(placed).massKg;
  return [
    {
      name: 'From the side',
      shapes: [
        ground(jib.frontMm),
        line(
          'away',
          'Way of the camera',
          arc(jib.frontMm, -60, 60).map(([x, y]) => [x, y + jib.pivotMm]),
        ),
        line('rig', 'Stand', [
          [-jib.footMm, 0],
          [0, jib.pivotMm],
          [jib.footMm, 0],
        ]),
        line('rig', 'Beam', [rear, front]),
        box('weight', 'Counterweight', rear[0], rear[1], counter / 2, counter / 2),
        ...partBoxes(build, kit, false, () => front, false),
        dot('pivot', 'Pivot', 0, jib.pivotMm),
        ...(headKg > 0 ? [dot('handle', 'Raise or lower the arm', front[0], front[1], { field: 'angleDeg' })] : []),
      ],
    },
    {
      name: 'From above',
      shapes: [
        circle('away', 'Nobody within', jib.frontMm + 1000),
        line(
          'edge',
          'Feet',
          feetAround(3, jib.footMm).map(([x, y]): [number, number] => [x, y]),
          true,
        ),
        line('rig', 'Beam', [
          [rear[0], 0],
          [front[0], 0],
        ]),
        box('weight', 'Counterweight', rear[0], 0, counter / 2, counter / 2),
        box('part', 'Camera', front[0], 0, 160, 130),
        dot('pivot', 'Pivot', 0, 0),
      ],
    },
  ];
}

export function dragJib(jib: Jib, { to }: Drag): Jib {
  const angleDeg = (Math.atan2(to[1] - jib.pivotMm, to[0]) * 180) / Math.PI;
  return { ...jib, angleDeg: clamped(Math.round(angleDeg), -60, 70) };
}
