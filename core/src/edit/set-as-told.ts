import { type Build, BuildSchema, type Kit, type Units } from '../model';
import { coach, gimbalSlides, heapOf, jibStand, partLumps, type SledSolution, solutionFor, stackOf } from '../supports';

/**
 * A build set as its steps say: the sled's solution (or, once it was looked at, what the coach says next), the gimbal's
 * plates, the jib's counterweight. Null where there is nothing to set, or it cannot be set so.
 */
export function setAsTold(build: Build, kit: Kit, units: Units): Build | null {
  const set = told(build, kit, units);
  return set && BuildSchema.safeParse(set).success ? set : null;
}

function told(build: Build, kit: Kit, units: Units): Build | null {
  const placed = partLumps(build, kit.parts, kit.lenses);
  const { support } = build;
  if (support.kind === 'motorGimbal') return { ...build, support: gimbalSlides(support, placed, units).set };
  if (support.kind === 'jib')
    return {
      ...build,
      support: { ...support, counterG: Math.round(jibStand(support, heapOf(placed).massKg).counterKg * 1000) },
    };
  if (support.kind !== 'sled') return null;
  if (support.log.length > 0) {
    const { next } = coach(support, placed, support.log, units);
    return next && Math.abs(support[next.what] - next.toMm) > 1e-9
      ? { ...build, support: { ...support, [next.what]: next.toMm } }
      : null;
  }
  const solution = solutionFor(support, placed, kit.parts, units);
  return 'cannot' in solution ? null : withSolution(build, solution);
}

function withSolution(build: Build, { sled, added }: SledSolution): Build {
  const centres = new Map(added.map(({ weight }) => [weight.partId, weight]));
  const parts = stackOf(added).flatMap(({ partId, zM }) => {
    const weight = centres.get(partId);
    // A lump's place is that of its centre of mass; a part's that of the middle of its box.
    return partId && weight
      ? [{ partId, on: 'bottom' as const, foreMm: 0, sideMm: 0, upMm: (zM - weight.zM + weight.heightM / 2) * 1000 }]
      : [];
  });
  return { ...build, support: sled, parts: [...build.parts, ...parts] };
}
