import { describe, expect, it } from 'vitest';
import { demoShoot } from '../testing/demo';
import { differencesOf, sayDifferences } from './differences';

const demo = demoShoot();
const SIDES = { one: 'here', other: 'in the file' };

describe('what differs between two states of a shoot', () => {
  it('is nothing between a shoot and itself come back from a file', () => {
    expect(differencesOf(demo, structuredClone(demo), SIDES)).toEqual([]);
    expect(sayDifferences([])).toBe('Nothing differs.');
  });
  it('names the thing, the field, both values with their units, and the side', () => {
    const shots = demo.shots
      .map((shot, i) => (i === 0 ? { ...shot, timing: { ...shot.timing, durationS: 9 }, focalLengthMm: 50 } : shot))
      .filter((_, i) => i !== 4);
    const other = {
      ...demo,
      name: 'Second Flush',
      shots,
      kit: { ...demo.kit, rigs: demo.kit.rigs.map((rig, i) => (i === 3 ? { ...rig, speedMaxMps: 2 } : rig)) },
    };
    expect(differencesOf(demo, other, SIDES)).toEqual([
      'name “First Flush” here, “Second Flush” in the file',
      'shot “First light along the rows”: focal length 35 mm here, 50 mm in the file; duration 8 s here, ' +
        '9 s in the file',
      'shot “The taste” is only here',
      'rig “Gimbal on foot”: speed max 1.6 m/s here, 2 m/s in the file',
    ]);
  });
  it('tells what stands in another order, and what is longer', () => {
    const turned = { ...demo, shots: [...demo.shots].reverse() };
    expect(differencesOf(demo, turned, SIDES)).toEqual(['shots stand in another order']);
    const walked = { ...demo, shots: demo.shots.map((shot) => ({ ...shot, walks: [] })) };
    expect(differencesOf(demo, walked, SIDES)[0]).toMatch(/walks \(\d here, 0 in the file\)/);
  });
  it('is said in a few sentences, the rest counted', () => {
    expect(sayDifferences(['a is only here', 'b differs', 'c', 'd', 'e'], 3)).toBe(
      'A is only here. b differs. c. And 2 more.',
    );
  });
});
