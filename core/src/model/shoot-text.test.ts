import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoShoot } from '../testing/demo';
import { newShoot } from './defaults';
import type { Shoot } from './shoot';
import { shootText } from './shoot-text';

describe('a shoot as text', () => {
  it('is what JSON.stringify makes of it: of the demo, of a new one, and after a change', () => {
    const demo = demoShoot();
    const changed: Shoot = {
      ...demo,
      shots: demo.shots.map((shot, i) => (i === 3 ? { ...shot, name: '“é\n\\"' } : shot)),
    };
    for (const shoot of [demo, newShoot('s', 'First', 'one'), changed, demo])
      expect(shootText(shoot)).toBe(JSON.stringify(shoot));
  });
  it('is what JSON.stringify makes of anything that is plain data', () => {
    const plain = fc.object({ maxDepth: 4, withNullPrototype: false, withDate: false, withMap: false, withSet: false });
    fc.assert(fc.property(plain, (value) => shootText(value as unknown as Shoot) === JSON.stringify(value)));
  });
});
