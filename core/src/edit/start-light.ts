import type { Build, Kit, Placed } from '../model';

/**
 * Weights at each end of the bottom plate, and how far from its middle they sit: common practice, no published source.
 */
const AT_EACH_END = 2;
const END_MM = 90;

/**
 * A sled as people begin with one: the post at its shortest, the stage in its middle, and two of the kit's largest
 * weights at each end of the bottom, nothing else there that is a weight. What was seen of it before no longer holds.
 * Null for other rigs and without a weight in the kit.
 */
export function startLight(build: Build, kit: Pick<Kit, 'parts'>): Build | null {
  const { support } = build;
  if (support.kind !== 'sled') return null;
  const weights = kit.parts.filter(({ kind }) => kind === 'weight');
  if (weights.length === 0) return null;
  const largest = weights.reduce((a, b) => (b.massG > a.massG ? b : a));
  const ids = new Set(weights.map(({ id }) => id));
  const ends = [END_MM, -END_MM].flatMap((foreMm) =>
    Array.from({ length: AT_EACH_END }, (_, k): Placed => ({
      partId: largest.id,
      on: 'bottom',
      foreMm,
      sideMm: 0,
      upMm: (k + 0.5) * largest.heightMm,
    })),
  );
  return {
    ...build,
    parts: [...build.parts.filter(({ partId }) => !ids.has(partId)), ...ends],
    support: { ...support, postMm: support.postMinMm, stageForeMm: 0, stageSideMm: 0, log: [] },
  };
}
