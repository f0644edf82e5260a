import geodesic from 'geographiclib-geodesic';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { onEarth, onPlan } from './on-earth';

const middles = fc.record({
  latitudeDeg: fc.double({ min: -85, max: 85, noNaN: true }),
  longitudeDeg: fc.double({ min: -180, max: 180, noNaN: true }),
});
const metres = fc.double({ min: -500, max: 500, noNaN: true });

describe('a site on earth', () => {
  it('lengths between any two points of a square kilometre are those of geographiclib (Karney 2013) to a centimetre', () => {
    fc.assert(
      fc.property(middles, metres, metres, metres, metres, (middle, ax, ay, bx, by) => {
        const [a, b] = [onEarth(middle, ax, ay), onEarth(middle, bx, by)];
        const { s12 = NaN } = geodesic.Geodesic.WGS84.Inverse(
          a.latitudeDeg,
          a.longitudeDeg,
          b.latitudeDeg,
          b.longitudeDeg,
        );
        expect(Math.abs(s12 - Math.hypot(ax - bx, ay - by))).toBeLessThan(0.01);
      }),
    );
  });
  it('comes back to where it was on the plan', () => {
    fc.assert(
      fc.property(middles, metres, metres, (middle, x, y) => {
        const { xM, yM } = onPlan(middle, onEarth(middle, x, y));
        expect(Math.hypot(xM - x, yM - y)).toBeLessThan(1e-6);
      }),
    );
  });
  it('a minute of latitude at 45° is 1,852.2 m (WGS 84: 111,132 m a degree there, from memory)', () => {
    const { yM } = onPlan(
      { latitudeDeg: 44.9917, longitudeDeg: 8 },
      { latitudeDeg: 44.9917 + 1 / 60, longitudeDeg: 8 },
    );
    expect(yM).toBeCloseTo(111_132 / 60, -0.5);
  });
});
