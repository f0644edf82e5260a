import { describe, expect, it } from 'vitest';
import { letsThrough, throughShare } from './pattern';

describe('what breaks a lamp’s light up', () => {
  it('slats that are as wide as their gaps let half through, nothing lets all through', () => {
    expect(throughShare('none')).toBe(1);
    expect(throughShare('slats')).toBeCloseTo(0.5, 2);
  });
  it('panes let through what lies between their bars: 0.84 of the width and 0.85 of the height', () => {
    expect(throughShare('bars')).toBeCloseTo((0.42 / 0.5) * (0.56 / 0.66), 1);
    expect(letsThrough('bars', 0.25, 0.33)).toBe(true);
    expect(letsThrough('bars', 0, 0)).toBe(false);
  });
  it('leaves leave about half, in spots', () => {
    expect(throughShare('leaves')).toBeGreaterThan(0.35);
    expect(throughShare('leaves')).toBeLessThan(0.6);
  });
});
