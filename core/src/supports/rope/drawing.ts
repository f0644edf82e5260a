import { arc, both, clamped, dot, line, partBoxes, RAD, type Drag, type Drawn, type RigView } from '../drawing';
import type { Rope } from '../../model';
import type { SupportCase } from '../definition';

/** The camera on its rope or ropes, let go as far as it swings. */
export const drawRope = ({ build, support, kit }: SupportCase<Rope>): RigView[] =>
  both((across) => ropeShapes(build, support, kit, across));

function ropeShapes(
  build: SupportCase<Rope>['build'],
  rope: Rope,
  kit: SupportCase<Rope>['kit'],
  across: boolean,
): Drawn[] {
  const angle = across ? 0 : rope.swingDeg * RAD;
  const at: [number, number] = [rope.lengthMm * Math.sin(angle), -rope.lengthMm * Math.cos(angle)];
  const apart = rope.lines === 'two' && across ? 180 : 0;
  return [
    line('rig', 'Beam above', [
      [-400, 0],
      [400, 0],
    ]),
    ...(apart > 0
      ? [
          line('rig', 'Rope', [
            [-apart, 0],
            [-apart, at[1]],
          ]),
          line('rig', 'Rope', [
            [apart, 0],
            [apart, at[1]],
          ]),
          line('rig', 'Bar', [
            [-apart, at[1]],
            [apart, at[1]],
          ]),
        ]
      : [line('rig', 'Rope', [[0, 0], at])]),
    ...(rope.secondLine
      ? [
          line('plumb', 'Second line', [
            [260, 0],
            [at[0] + 20, at[1]],
          ]),
        ]
      : []),
    ...(across
      ? []
      : [line('away', 'Way of the camera', arc(rope.lengthMm, -90 - rope.swingDeg, -90 + rope.swingDeg))]),
    ...partBoxes(build, kit, across, () => [at[0], at[1] - 130], false),
    ...(across ? [] : [dot('handle', 'Swing wider or less', at[0], at[1], { field: 'swingDeg' })]),
  ];
}

export function dragRope(rope: Rope, { to }: Drag): Rope {
  const angleDeg = (Math.atan2(to[1], to[0]) * 180) / Math.PI;
  return { ...rope, swingDeg: clamped(Math.round(angleDeg + 90), 0, 90) };
}
