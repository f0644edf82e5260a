import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseLength, sayLength, saySpeed, trim } from './units';

describe('lengths', () => {
  it('are written in metres or in feet and inches', () => {
    expect(sayLength(1.2, 'metric')).toBe('1.2 m');
    expect(sayLength(12.34, 'metric')).toBe('12.3 m');
    // 1 foot is 0.3048 m exactly (international yard and pound agreement of 1959).
    expect(sayLength(1.6764, 'imperial')).toBe('5′ 6″');
    expect(sayLength(0.0254, 'imperial')).toBe('1″');
    expect(sayLength(-0.3048, 'imperial')).toBe('−1′ 0″');
  });
  it.each([
    ['1.5', 'metric', 1.5],
    ['1,5', 'metric', 1.5],
    ['40 cm', 'metric', 0.4],
    ['5', 'imperial', 1.524],
    ['5\' 6"', 'metric', 1.6764],
    ['5′ 6″', 'imperial', 1.6764],
    ['18 in', 'metric', 0.4572],
    ['−2 m', 'imperial', -2],
  ] as const)('%s typed in %s is %d m', (text, units, lengthM) => {
    expect(parseLength(text, units)).toBeCloseTo(lengthM, 9);
  });
  it.each(['', 'far', '1.2.3', '5 km', '--4'])('%j is not a length', (text) => {
    expect(parseLength(text, 'metric')).toBeNull();
  });
  it('come back as they were written, within half an inch', () => {
    fc.assert(
      fc.property(fc.double({ min: -100, max: 100, noNaN: true }), (lengthM) => {
        expect(Math.abs((parseLength(sayLength(lengthM, 'imperial'), 'imperial') ?? NaN) - lengthM)).toBeLessThan(
          0.0128,
        );
        expect(Math.abs((parseLength(sayLength(lengthM, 'metric'), 'metric') ?? NaN) - lengthM)).toBeLessThan(0.0501);
      }),
    );
  });
});

describe('numbers', () => {
  it('lose their trailing zeros and never read −0', () => {
    expect(trim(2, 2)).toBe('2');
    expect(trim(-0.001, 2)).toBe('0');
    expect(trim(-1.25, 2)).toBe('−1.25');
    expect(trim(100, 0)).toBe('100');
    expect(saySpeed(1.5, 'metric')).toBe('1.5 m/s');
    expect(saySpeed(0.3048, 'imperial')).toBe('1 ft/s');
  });
});
