import type { Build, Part } from '@gentle-arc/core/model/build';
import type { Kit } from '@gentle-arc/core/model/kit';

/** The kit with one build replaced. */
export const withBuild = (kit: Kit, build: Build): Kit => ({
  ...kit,
  builds: kit.builds.map((row) => (row.id === build.id ? build : row)),
});

/**
 * The kit with the made-up parts and builds besides its own: of the builds only those whose rig is there, of the parts
 * what they are only where it is.
 */
export function withMadeUpKit(kit: Kit, parts: readonly Part[], builds: readonly Build[]): Kit {
  const known = new Set([...kit.cameras, ...kit.lenses, ...kit.filters].map(({ id }) => id));
  const own = new Set(kit.parts.map(({ id }) => id));
  const rigs = new Set(kit.rigs.map(({ id }) => id));
  const added = parts
    .filter(({ id }) => !own.has(id))
    .map((part) => (part.of !== null && !known.has(part.of) ? { ...part, of: null } : part));
  const fitting = builds.filter(({ rigId }) => rigs.has(rigId));
  return {
    ...kit,
    parts: [...kit.parts, ...added],
    builds: [
      ...kit.builds,
      ...(fitting.length > 0 ? fitting : builds.slice(0, 1).map((build) => ({ ...build, rigId: kit.rigs[0].id }))),
    ],
  };
}
