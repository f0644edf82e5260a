import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { ShootSchema } from '../model';
import { salvageShoot } from './salvage';
import { readShootFile } from './shoot-file';

const text = readFileSync(new URL('../../../demo/first-flush.arc.json', import.meta.url), 'utf8');
const demo = readShootFile(text);
type Any = Record<string, unknown>;
const broken = (edit: (raw: Any & { shots: Any[]; kit: Record<string, Any[]>; site: { pieces: Any[] } }) => void) => {
  const raw = JSON.parse(text) as Parameters<typeof edit>[0];
  edit(raw);
  return salvageShoot(raw);
};

/** Every place of a value, as paths. */
function pathsOf(value: unknown, path: (string | number)[] = []): (string | number)[][] {
  const inside =
    typeof value === 'object' && value !== null
      ? Object.entries(value).flatMap(([key, row]) => pathsOf(row, [...path, Array.isArray(value) ? Number(key) : key]))
      : [];
  return path.length > 0 ? [path, ...inside] : inside;
}
const paths = pathsOf(demo);

describe('what can be read of a shoot that is out of order', () => {
  it('is all of it when nothing is', () => {
    expect(salvageShoot(demo)).toEqual({ shoot: demo, left: [] });
  });
  it(
    'puts numbers back into their range, broken fields to what is usual, and leaves broken rows out, each ' +
      'with a sentence',
    () => {
      const salvage = broken((raw) => {
        raw.shots[0].focalLengthMm = -1;
        raw.shots[1].lensId = 'gone';
        raw.shots[5] = 'what' as unknown as Any;
        raw.shots[6].colour = 3;
        raw.site.pieces[3].id = raw.site.pieces[2].id;
      });
      expect(salvage?.shoot.shots[0].focalLengthMm).toBe(1);
      expect(salvage?.shoot.shots[1].lensId).toBe(demo.kit.lenses[0].id);
      expect(salvage?.shoot.shots).toHaveLength(43);
      expect(salvage?.shoot.site.pieces).toHaveLength(demo.site.pieces.length - 1);
      expect(salvage?.left).toHaveLength(5);
      expect(salvage?.left).toContain('shots[0].focalLengthMm must be at least 1; it is -1. It is 1 now.');
      expect(salvage?.left).toContain('shots[5] must be an object; it is "what". It was left out.');
    },
  );
  it('holds and feathers that do not fit leave the rest of the shot as it was', () => {
    const salvage = broken((raw) => Object.assign(raw.shots[7].timing as Any, { holdStartS: 200 }));
    expect(salvage?.shoot.shots[7].name).toBe(demo.shots[7].name);
    expect(salvage?.shoot.shots[7].move).toEqual(demo.shots[7].move);
  });
  it('is a shoot in order, whatever was broken anywhere', () => {
    const junk = fc.constantFrom<unknown>(null, 'x', '', -1e9, 1e9, true, [], {}, 'é'.repeat(5000), [1, 2], undefined);
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.constantFrom(...paths), junk), { minLength: 1, maxLength: 4 }), (breaks) => {
        const raw = JSON.parse(text) as Any;
        raw.format = 'gentle-arc-shoot';
        for (const [path, value] of breaks) {
          if (path[0] === 'format' || path[0] === 'version') continue;
          const owner = path
            .slice(0, -1)
            .reduce<unknown>((at, key) => (typeof at === 'object' && at !== null ? (at as Any)[key] : undefined), raw);
          if (typeof owner === 'object' && owner !== null) (owner as Any)[path[path.length - 1]] = value;
        }
        const salvage = salvageShoot(raw);
        expect(salvage).not.toBeNull();
        expect(ShootSchema.safeParse(salvage?.shoot).success).toBe(true);
        expect(salvage?.left.every((sentence) => sentence.length < 400)).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
  it('is nothing of what was never a shoot', () => {
    for (const value of [null, 3, 'x', [], { format: 'other' }]) expect(salvageShoot(value)).toBeNull();
  });
});
