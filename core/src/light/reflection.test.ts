import { describe, expect, it } from 'vitest';
import { brewsterDeg, leftByPolariser, reflectedShares } from './reflection';

describe('light that comes back from what shines', () => {
  it('at 56.3° glass sends back light of one direction only, water at 53.1° (Brewster’s law, textbook values)', () => {
    expect(brewsterDeg(1.5)).toBeCloseTo(56.31, 2);
    expect(brewsterDeg(1.333)).toBeCloseTo(53.12, 2);
    for (const index of [1.333, 1.5, 1.7]) {
      expect(reflectedShares(index, brewsterDeg(index)).inPlane).toBeLessThan(1e-12);
      expect(leftByPolariser(index, brewsterDeg(index))).toBeLessThan(1e-9);
    }
  });
  it('straight on glass sends back 4 % of both, at a grazing angle all (Fresnel, textbook values)', () => {
    const { across, inPlane } = reflectedShares(1.5, 0);
    expect(across).toBeCloseTo(0.04, 6);
    expect(inPlane).toBeCloseTo(0.04, 6);
    expect(reflectedShares(1.5, 89.99).across).toBeGreaterThan(0.99);
    expect(leftByPolariser(1.5, 0)).toBeCloseTo(0.5, 9);
  });
  it('at 45° glass sends back 9.2 % across and 0.85 % in the plane (textbook values)', () => {
    const { across, inPlane } = reflectedShares(1.5, 45);
    expect(across).toBeCloseTo(0.092, 3);
    expect(inPlane).toBeCloseTo(0.0085, 3);
  });
});
