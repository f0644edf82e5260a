import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { walkAt } from './walk';

const at = (walk: ReturnType<typeof walkAt>, tS: number) => {
  const out = new Float64Array(3);
  walk(tS, out);
  return [...out];
};
const line = [
  { tS: 0, xM: 0, yM: 0, zM: 0 },
  { tS: 10, xM: 12, yM: 0, zM: 1 },
];

describe('a walk', () => {
  it('keeps an even pace between its points and stands still outside them', () => {
    const walk = walkAt(line);
    expect(at(walk, 5)[0]).toBeCloseTo(6, 9);
    expect(at(walk, 6)[0] - at(walk, 5)[0]).toBeCloseTo(1.2, 9);
    expect(at(walk, -3)[0]).toBeCloseTo(0, 9);
    expect(at(walk, 30)[0]).toBeCloseTo(12, 9);
    expect(at(walk, 30)[2]).toBeCloseTo(1, 9);
  });
  it('changes pace over about a step, without a jump of speed', () => {
    const walk = walkAt(line);
    const speed = (tS: number) => (at(walk, tS + 0.005)[0] - at(walk, tS - 0.005)[0]) / 0.01;
    let before = speed(-1);
    for (let tS = -1; tS < 1; tS += 0.01) {
      const now = speed(tS);
      expect(Math.abs(now - before)).toBeLessThan(0.05);
      before = now;
    }
    expect(speed(0.6)).toBeCloseTo(1.2, 6);
  });
  it('with one point is standing there exactly', () => {
    expect(at(walkAt([{ tS: 4, xM: 1.25, yM: -2, zM: 0.3 }]), 9)).toEqual([1.25, -2, 0.3]);
  });
  it('never leaves the box of its points, in whatever order it is asked', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.double({ min: 0.2, max: 5, noNaN: true }), fc.double({ min: -20, max: 20, noNaN: true })),
          { minLength: 2, maxLength: 12 },
        ),
        fc.array(fc.double({ min: -2, max: 40, noNaN: true })),
        (steps, times) => {
          let tS = 0;
          const points = steps.map(([dt, xM]) => ({ tS: (tS += dt), xM, yM: 0, zM: 0 }));
          const walk = walkAt(points);
          const [least, most] = [Math.min(...points.map((p) => p.xM)), Math.max(...points.map((p) => p.xM))];
          for (const time of times) {
            const [x] = at(walk, time);
            expect(x).toBeGreaterThanOrEqual(least - 1e-6);
            expect(x).toBeLessThanOrEqual(most + 1e-6);
          }
        },
      ),
    );
  });
});
