import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { num } from '../testing/any-move';
import { evenly, line, ring, spot, type Track } from './track';
import { bearingDeg, fromPivot, nearestTurn } from '../site';

const at = (track: Track, s: number) => {
  const out = new Float64Array(3);
  track.write(s, 0, out);
  return out;
};
const PIVOT = { xM: 2, yM: -1, zM: 0.5 };

describe('bearings', () => {
  it('run clockwise from north, and back to where they came from', () => {
    expect(bearingDeg(0, 0, 0, 1)).toBe(0);
    expect(bearingDeg(0, 0, 1, 0)).toBe(90);
    expect(bearingDeg(0, 0, -1, 0)).toBe(270);
    fc.assert(
      fc.property(num(0.5, 50), num(0, 359.9), (distanceM, deg) => {
        const { xM, yM } = fromPivot(PIVOT, distanceM, deg, 0);
        expect(Math.abs(nearestTurn(bearingDeg(PIVOT.xM, PIVOT.yM, xM, yM), deg) - deg)).toBeLessThan(1e-6);
      }),
    );
  });
});

describe('tracks', () => {
  it('a line goes evenly, or at the pace it is given', () => {
    const [a, b] = [
      { xM: 0, yM: 0, zM: 0 },
      { xM: 4, yM: 2, zM: 1 },
    ];
    expect([...at(line(a, b), 0.25)]).toEqual([1, 0.5, 0.25]);
    expect(
      at(
        line(a, b, (s) => s * s),
        0.5,
      )[0],
    ).toBeCloseTo(1, 12);
    expect([...at(spot(b), 0.7)]).toEqual([4, 2, 1]);
  });
  it('a ring turns, grows, rises and slips evenly', () => {
    const track = ring(PIVOT, {
      startBearingDeg: 0,
      sweepDeg: 180,
      fromRadiusM: 2,
      toRadiusM: 4,
      fromHeightM: 1,
      toHeightM: 3,
      slip: { xM: 1, yM: 0 },
    });
    expect(at(track, 0)[1]).toBeCloseTo(PIVOT.yM + 2, 12);
    expect(at(track, 0.5)[0]).toBeCloseTo(PIVOT.xM + 3 + 0.5, 12);
    expect(at(track, 1)[1]).toBeCloseTo(PIVOT.yM - 4, 12);
    expect(at(track, 0.5)[2]).toBeCloseTo(PIVOT.zM + 2, 12);
  });
  it('any curve can be travelled evenly: a quarter of an ellipse, whose own parameter is not', () => {
    const track = evenly((u, out, offset) => {
      out[offset] = 3 * Math.sin((u * Math.PI) / 2);
      out[offset + 1] = 0;
      out[offset + 2] = 1 - Math.cos((u * Math.PI) / 2);
    });
    const steps = Array.from({ length: 200 }, (_, i) => {
      const [p, q] = [at(track, i / 200), at(track, (i + 1) / 200)];
      return Math.hypot(q[0] - p[0], q[2] - p[2]);
    });
    expect(Math.max(...steps) / Math.min(...steps) - 1).toBeLessThan(2e-3);
    // Circumference of an ellipse with half-axes 3 and 1 is 13.3649 (4a E(e), Abramowitz & Stegun 17.3): a quarter is
    // 3.3412.
    expect(steps.reduce((a, b) => a + b, 0)).toBeCloseTo(3.3412, 3);
  });
  it('a curve of no length stands still', () => {
    const track = evenly((_u, out, offset) => out.fill(1.5, offset, offset + 3));
    expect([...at(track, 0.6)]).toEqual([1.5, 1.5, 1.5]);
  });
});
