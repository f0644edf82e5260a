import { type Build, DEFAULT_BUILDS, type Kit, type Part, type Support } from '../model';

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

/** A copy of a build at the end of the kit, with nothing ticked. */
export const addBuild = (kit: Kit, from: Build, id: string, name: string): Kit => ({
  ...kit,
  builds: [...kit.builds, { ...from, id, name: name.slice(0, 80), ticked: [], ownChecks: [...from.ownChecks] }],
});

export const removeBuild = (kit: Kit, id: string): Kit => ({
  ...kit,
  builds: kit.builds.filter((row) => row.id !== id),
});

/** An empty rig of a kind with the usual figures of the made-up one; null where there is none of that kind. */
export function startBuild(kit: Kit, kind: Support['kind'], id: string, name: string): Kit | null {
  const usual = DEFAULT_BUILDS.find(({ support }) => support.kind === kind);
  if (!usual) return null;
  const rigId = kit.rigs.some((rig) => rig.id === usual.rigId) ? usual.rigId : kit.rigs[0].id;
  return addBuild(kit, { ...usual, rigId, parts: [] }, id, name);
}
