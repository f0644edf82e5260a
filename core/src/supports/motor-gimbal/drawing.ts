import { both, box, clamped, dot, line, partBoxes, type Drag, type RigView } from '../drawing';
import { heapOf } from '../masses';
import type { MotorGimbal } from '../../model';
import type { SupportCase } from '../definition';

/** Plate, cage, roll arm and pan arm about the axes they turn on. */
export function drawGimbal({ build, support, placed, kit }: SupportCase<MotorGimbal>): RigView[] {
  return both((across) => {
    const centre = heapOf(placed);
    const [x0, y0] = [across ? support.cageSideMm : support.plateForeMm, support.plateUpMm];
    return [
      ...(across
        ? [
            line('rig', 'Cage', [
              [-110 + x0, 0],
              [-110 + x0, -95],
              [0, -95],
            ]),
            line('rig', 'Tilt axis', [
              [-110 + x0, 0],
              [x0, 0],
            ]),
          ]
        : [
            line('rig', 'Roll arm', [
              [0, 0],
              [0, -95],
              [-150, -95],
            ]),
          ]),
      line(
        'rig',
        'Pan arm',
        across
          ? [
              [0, -95],
              [0, -250],
            ]
          : [
              [-150, -95],
              [-150 + support.armForeMm, -190],
              [support.armForeMm, -190],
              [support.armForeMm, -250],
            ],
      ),
      box('rig', 'Handle', across ? 0 : support.armForeMm, -320, 34, 140),
      box(
        'rig',
        'Plate',
        x0,
        y0 - 3,
        across ? 50 : 130,
        6,
        across ? { field: 'cageSideMm' } : { field: 'plateForeMm' },
      ),
      ...partBoxes(build, kit, across, () => [x0, y0], true),
      dot('pivot', across ? 'Roll axis' : 'Tilt axis', 0, 0),
      dot('centre', 'Centre of mass', (across ? centre.yM : centre.xM) * 1000 + x0, centre.zM * 1000 + y0),
    ];
  });
}

export function dragGimbal(gimbal: MotorGimbal, { field, dx, dy }: Drag): MotorGimbal {
  if (field === 'cageSideMm') return { ...gimbal, cageSideMm: clamped(gimbal.cageSideMm + dx, -200, 200) };
  return {
    ...gimbal,
    plateForeMm: clamped(gimbal.plateForeMm + dx, -200, 200),
    plateUpMm: clamped(gimbal.plateUpMm + dy, -200, 200),
  };
}
