import { box, circle, dot, ground, inMm, line, partBoxes, RAD, type Drag, type RigView } from '../drawing';
import { heapOf } from '../masses';
import { feetAround } from '../feet';
import type { Arm } from '../../model';
import type { SupportCase } from '../definition';

/** Legs, column and arm, from the side and from above. */
export function drawArm({ build, support: arm, kit, placed }: SupportCase<Arm>): RigView[] {
  const headKg = heapOf(placed).massKg;
  const foot = arm.legMm * Math.sin(arm.spreadDeg * RAD);
  const top = arm.legMm * Math.cos(arm.spreadDeg * RAD);
  const massKg = headKg + (arm.armMassG + arm.legsMassG + arm.bagG) / 1000;
  const out = (headKg * arm.reachMm + (arm.armMassG / 1000) * (arm.reachMm / 2)) / massKg;
  const where = (radius: number): [number, number] => [
    radius * Math.sin(arm.armDeg * RAD),
    radius * Math.cos(arm.armDeg * RAD),
  ];
  return [
    {
      name: 'From the side',
      shapes: [
        ground(foot),
        line('rig', 'Legs', [
          [-foot, 0],
          [0, top],
          [foot, 0],
        ]),
        line('rig', 'Leg', [
          [0, top],
          [foot * 0.25, 0],
        ]),
        line('rig', 'Column', [
          [0, top],
          [0, top + arm.columnMm],
        ]),
        ...(arm.bagG > 0 ? [box('weight', 'Bag', 0, 160, 190, 170)] : []),
        ...(arm.reachMm > 0
          ? [
              line('rig', 'Arm', [
                [0, top + arm.columnMm],
                [arm.reachMm, top + arm.columnMm],
              ]),
            ]
          : []),
        ...partBoxes(build, kit, false, () => [arm.reachMm, top + arm.columnMm], true),
        dot('centre', 'Centre of mass', out, top / 2),
      ],
    },
    {
      name: 'From above',
      shapes: [
        line('edge', 'Feet', feetAround(3, foot / 1000).map(inMm), true),
        ...feetAround(3, foot / 1000).map((row) => line('rig', 'Leg', [[0, 0], inMm(row)])),
        ...(arm.reachMm > 0
          ? [
              line('rig', 'Arm', [[0, 0], where(arm.reachMm)]),
              box('part', 'Camera', ...where(arm.reachMm), 120, 160, null, -arm.armDeg),
              circle('away', 'Way of the camera', arm.reachMm),
            ]
          : [box('part', 'Camera', 0, 0, 120, 160)]),
        dot('centre', 'Centre of mass', ...where(out)),
        ...(arm.reachMm > 0 ? [dot('handle', 'Turn the arm', ...where(arm.reachMm), { field: 'armDeg' })] : []),
      ],
    },
  ];
}

export function dragArm(arm: Arm, { to }: Drag): Arm {
  return { ...arm, armDeg: Math.round(90 - (Math.atan2(to[1], to[0]) * 180) / Math.PI) };
}
