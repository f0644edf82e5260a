import type { Build } from '../../model/build';
import type { Kit } from '../../model/kit';
import { heapOf, partLumps } from '../balance/masses';
import { balanced } from '../balance/motor-gimbal';
import type { SledSolution } from '../balance/sled-solver';
import { jibStand } from '../stand/jib';
import { solutionFor } from './sled-facts';

/** A build set as its steps say: the sled's solution, the gimbal's plates, the jib's counterweight. Null where there is nothing to set, or it cannot be. */
export function setAsTold(build: Build, kit: Kit): Build | null {
  const placed = partLumps(build, kit.parts, kit.lenses);
  const { support } = build;
  if (support.kind === 'motorGimbal') return { ...build, support: balanced(support, placed) };
  if (support.kind === 'jib') return { ...build, support: { ...support, counterG: Math.round(jibStand(support, heapOf(placed).massKg).counterKg * 1000) } };
  if (support.kind !== 'sled') return null;
  const solution = solutionFor(support, placed, kit.parts);
  return 'cannot' in solution ? null : withSolution(build, solution);
}

function withSolution(build: Build, { sled, weights, weight }: SledSolution): Build {
  const partId = weight?.partId;
  const added = partId ? Array.from({ length: weights }, () => ({ partId, on: 'bottom' as const, foreMm: 0, sideMm: 0, upMm: weight.zM * 1000 })) : [];
  return { ...build, support: sled, parts: [...build.parts, ...added] };
}
