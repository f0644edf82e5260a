import { describe, expect, it } from 'vitest';
import { armsLastMin, heldOutM } from './arms-last';

describe('how long arms last', () => {
  it('follows the published curve: half of the greatest force about a minute, a third about two (Rohmert 1960)', () => {
    // 0.35 m out, arms' own share counted: the masses that make a half and a third of 50 N m.
    const massAt = (share: number) => 2 * ((share * 50) / (9.80665 * 0.35) - 1.4);
    expect(armsLastMin(massAt(0.5), 0.35)).toBeCloseTo(1.1, 1);
    expect(armsLastMin(massAt(1 / 3), 0.35)).toBeCloseTo(2.1, 1);
  });
  it('is without end for what is light, nothing for what cannot be held, and shorter the heavier and the farther', () => {
    expect(armsLastMin(0.3, 0.2)).toBe(Infinity);
    expect(armsLastMin(60, 0.5)).toBe(0);
    const minutes = [2, 3, 4, 6, 9].map((kg) => armsLastMin(kg, heldOutM(1.4)));
    for (let i = 1; i < minutes.length; i += 1) expect(minutes[i]).toBeLessThan(minutes[i - 1]);
    expect(armsLastMin(3, heldOutM(2))).toBeLessThan(armsLastMin(3, heldOutM(1.4)));
  });
});
