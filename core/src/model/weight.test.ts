import { describe, expect, it } from 'vitest';
import { demoShoot } from '../testing/demo';
import { lettersIn, MOST_SHOOT_LETTERS, tooLarge } from './weight';
import type { Shoot } from './shoot';

const demo = demoShoot();
const take = demo.log.takes.find(({ clip }) => clip);
if (!take) throw new Error('no clip');
/** The demo with so many takes that each have a clip. */
const withClips = (clips: number): Shoot => ({
  ...demo,
  log: { ...demo.log, takes: Array.from({ length: clips }, (_, i) => ({ ...take, id: `take-${i}` })) },
});
const each = JSON.stringify(take).length;

describe('how large a shoot is', () => {
  it('counts nearly all of what a file would hold', () => {
    const all = JSON.stringify(demo).length;
    expect(lettersIn(demo)).toBeGreaterThan(0.9 * all);
    expect(lettersIn(demo)).toBeLessThanOrEqual(all);
  });
  it('is too large from a number of letters on, unless it was larger before', () => {
    const most = Math.floor((MOST_SHOOT_LETTERS - lettersIn(withClips(0))) / (each + 3));
    const [fits, over, more] = [withClips(most - 1), withClips(most + 2), withClips(most + 3)];
    expect(tooLarge(fits)).toBeNull();
    expect(tooLarge(over)).toContain('of at most 16.0: remove recordings, clips, pictures or models');
    expect(tooLarge(over, fits)).not.toBeNull();
    expect(tooLarge(over, more)).toBeNull();
    expect(tooLarge(over, over)).not.toBeNull();
  });
});
