import { both, box, clamped, dot, line, partBoxes, type Drag, type RigView } from '../drawing';
import { heapOf, sledLumps } from '../masses';
import { hiddenOf } from './learning';
import type { Sled } from '../../model';
import type { SupportCase } from '../definition';

/** Post, stage and base about the pivot, which is where it hangs. */
export function drawSled({ build, support, placed, kit }: SupportCase<Sled>): RigView[] {
  return both((across) => {
    const stage = across ? support.stageSideMm : support.stageForeMm;
    const bottom = support.gimbalMm - support.postMm;
    const centre = heapOf(sledLumps(support, placed, hiddenOf(support, placed)));
    return [
      line('rig', 'Post', [
        [0, support.gimbalMm],
        [0, bottom],
      ]),
      box('rig', 'Stage', stage, support.gimbalMm - 4, 120, 8, { field: across ? 'stageSideMm' : 'stageForeMm' }),
      box('rig', 'Base', 0, bottom - 5, across ? 90 : 150, 10),
      ...partBoxes(build, kit, across, (on) => (on === 'top' ? [stage, support.gimbalMm] : [0, bottom]), true),
      line('rig', 'Grip', [
        [0, 0],
        [0, -130],
      ]),
      line('plumb', 'Plumb line', [
        [0, support.gimbalMm + 40],
        [0, bottom - 30],
      ]),
      dot('pivot', 'Pivot', 0, 0, { field: 'gimbalMm' }),
      dot('centre', 'Centre of mass', (across ? centre.yM : centre.xM) * 1000, centre.zM * 1000),
    ];
  });
}

export function dragSled(sled: Sled, { field, dx, dy }: Drag): Sled {
  const { stageTravelMm } = sled;
  if (field === 'gimbalMm')
    return { ...sled, gimbalMm: clamped(sled.gimbalMm - dy, sled.gimbalMinMm, sled.postMm - 50) };
  if (field === 'stageForeMm')
    return { ...sled, stageForeMm: clamped(sled.stageForeMm + dx, -stageTravelMm, stageTravelMm) };
  return { ...sled, stageSideMm: clamped(sled.stageSideMm + dx, -stageTravelMm, stageTravelMm) };
}
