import { describe, expect, it } from 'vitest';
import { type Build, DEFAULT_BUILDS, DEFAULT_KIT, DEFAULT_PARTS } from '../model';
import { balanceOf } from './balance';
import { overlapsOf, placeFor } from './overlaps';

const part = (id: string) => {
  const found = DEFAULT_PARTS.find((row) => row.id === `part-${id}`);
  if (!found) throw new Error(id);
  return found;
};
const empty = (kind: string): Build => {
  const found = DEFAULT_BUILDS.find(({ support }) => support.kind === kind);
  if (!found) throw new Error(kind);
  return { ...found, parts: [] };
};
const put = (build: Build, id: string): Build => ({
  ...build,
  parts: [...build.parts, placeFor(build, DEFAULT_KIT, part(id))],
});

describe('parts where they sit', () => {
  it.each(DEFAULT_BUILDS.map((build) => [build.name, build] as const))(
    '%s: nothing of the made-up kit lies in anything else',
    (_, build) => {
      expect(overlapsOf(build, DEFAULT_KIT)).toEqual([]);
    },
  );
  it('a lens goes before its body, a filter before the lens, discs on each other', () => {
    const built = ['heron', 'fern-2470', 'vnd', 'battery', 'weight-200', 'weight-200', 'monitor'].reduce(
      put,
      empty('sled'),
    );
    expect(overlapsOf(built, DEFAULT_KIT)).toEqual([]);
    const [body, lens, filter, , one, two] = built.parts;
    expect(lens.foreMm - part('fern-2470').lengthMm / 2).toBeGreaterThanOrEqual(
      body.foreMm + part('heron').lengthMm / 2,
    );
    expect(filter.foreMm).toBeGreaterThan(lens.foreMm);
    expect([lens.sideMm, lens.upMm]).toEqual([body.sideMm, body.upMm]);
    expect(two.upMm - one.upMm).toBeGreaterThanOrEqual(part('weight-200').heightMm);
    expect(built.parts.map(({ on }) => on)).toEqual(['top', 'top', 'top', 'bottom', 'bottom', 'bottom', 'top']);
  });
  it('what lies in something else is said first, and nothing is called level meanwhile', () => {
    const build = empty('motorGimbal');
    const inside = {
      ...build,
      parts: ['heron', 'moss-35'].map((id) => ({
        partId: `part-${id}`,
        on: 'top' as const,
        foreMm: 0,
        sideMm: 0,
        upMm: 50,
      })),
    };
    const [first] = balanceOf(inside, DEFAULT_KIT, 'metric').facts;
    expect(first).toMatchObject({ key: 'overlapMm', grade: 'cannot', said: 'Heron body and Moss 35 by 73 mm' });
  });
});
