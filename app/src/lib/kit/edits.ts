import type { Build, Part } from '@gentle-arc/core/model/build';
import type { Kit } from '@gentle-arc/core/model/kit';
import type { SledSolution } from '@gentle-arc/core/rig/balance/sled-solver';

/** The kit with one build replaced. */
export const withBuild = (kit: Kit, build: Build): Kit => ({ ...kit, builds: kit.builds.map((row) => (row.id === build.id ? build : row)) });

/** A sled's build set as its solution says, the added weights on its bottom. */
export function withSolution(build: Build, { sled, weights, weight }: SledSolution): Build {
  const partId = weight?.partId;
  const added = partId ? Array.from({ length: weights }, () => ({ partId, on: 'bottom' as const, foreMm: 0, sideMm: 0, upMm: (weight?.zM ?? 0) * 1000 })) : [];
  return { ...build, support: sled, parts: [...build.parts, ...added] };
}

/** The kit with the made-up parts and builds besides its own: of the builds only those whose rig is there, of the parts what they are only where it is. */
export function withMadeUpKit(kit: Kit, parts: readonly Part[], builds: readonly Build[]): Kit {
  const known = new Set([...kit.cameras, ...kit.lenses, ...kit.filters].map(({ id }) => id));
  const own = new Set(kit.parts.map(({ id }) => id));
  const rigs = new Set(kit.rigs.map(({ id }) => id));
  const added = parts.filter(({ id }) => !own.has(id)).map((part) => (part.of !== null && !known.has(part.of) ? { ...part, of: null } : part));
  const fitting = builds.filter(({ rigId }) => rigs.has(rigId));
  return {
    ...kit,
    parts: [...kit.parts, ...added],
    builds: [...kit.builds, ...(fitting.length > 0 ? fitting : builds.slice(0, 1).map((build) => ({ ...build, rigId: kit.rigs[0].id })))],
  };
}
