import { describe, expect, it } from 'vitest';
import { DEFAULT_KIT } from '@gentle-arc/core/model';
import { rangeOf, usualFocals } from './focals';

describe('focal lengths to compare', () => {
  it('are six the kit reaches, short to long, with the shot’s own', () => {
    const focals = usualFocals(DEFAULT_KIT.lenses, 40);
    expect(focals.length).toBe(6);
    expect(focals).toContain(40);
    expect([...focals].sort((a, b) => a - b)).toEqual(focals);
    expect(new Set(focals).size).toBe(6);
  });
  it('of one prime are the one it has', () => {
    const prime = DEFAULT_KIT.lenses.filter((lens) => lens.id === 'lens-moss-35');
    expect(usualFocals(prime, 35)).toEqual([35]);
    expect(rangeOf(prime)).toEqual([35]);
  });
  it('span the kit evenly in ratio', () => {
    const range = rangeOf(DEFAULT_KIT.lenses);
    expect(range[0]).toBe(12);
    expect(range[range.length - 1]).toBe(200);
  });
});
