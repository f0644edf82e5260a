import type { Kit, Part } from '../model';

/** Parts of the kit: typed, copied, taken in from files and out. */

const NEW_PART: Omit<Part, 'id'> = {
  name: 'New part',
  kind: 'other',
  of: null,
  massG: 200,
  lengthMm: 60,
  widthMm: 60,
  heightMm: 60,
  centreForeMm: 0,
  centreSideMm: 0,
  centreUpMm: 0,
  carriesG: 0,
  zoomShiftMm: 0,
};

/** A new part, or a copy of one. */
export const addPart = (kit: Kit, id: string, from?: Part): Kit => ({
  ...kit,
  parts: [...kit.parts, from ? { ...from, id, name: `${from.name}, again`.slice(0, 80) } : { ...NEW_PART, id }],
});

export const changePart = (kit: Kit, part: Part): Kit => ({
  ...kit,
  parts: kit.parts.map((row) => (row.id === part.id ? part : row)),
});

/** The kit without a part, or a sentence where it is on a build. */
export function removePart(kit: Kit, { id, name }: Part): Kit | string {
  const on = kit.builds.filter((build) => build.parts.some(({ partId }) => partId === id)).map((build) => build.name);
  return on.length > 0
    ? `${name} is on ${on.join(', ')}: take it off there first, then it can go.`
    : { ...kit, parts: kit.parts.filter((part) => part.id !== id) };
}

/** Parts from a file in place of those of the same id; what they are is kept only where the kit has it. */
export function takeInParts(kit: Kit, parts: readonly Part[]): Kit {
  const known = new Set([...kit.cameras, ...kit.lenses, ...kit.filters].map(({ id }) => id));
  const fitting = parts.map((part) => (part.of !== null && !known.has(part.of) ? { ...part, of: null } : part));
  const ids = new Set(fitting.map(({ id }) => id));
  return { ...kit, parts: [...kit.parts.filter(({ id }) => !ids.has(id)), ...fitting] };
}
