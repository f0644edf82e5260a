import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CAMERA_SIZE, project, writeCamera } from '../optics';
import { aimAt } from './aim';

const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('aiming', () => {
  it('straight at a thing is its bearing and its height angle', () => {
    const out = { panDeg: 0, tiltDeg: 0 };
    aimAt(1, 1, 0, 0, 0, out);
    expect(out.panDeg).toBeCloseTo(45, 12);
    expect(out.tiltDeg).toBeCloseTo(0, 12);
    aimAt(0, -2, 2, 0, 0, out);
    expect(Math.abs(out.panDeg)).toBeCloseTo(180, 12);
    expect(out.tiltDeg).toBeCloseTo(45, 12);
  });

  it('puts any direction that can be reached at any place in the frame', () => {
    fc.assert(
      fc.property(
        num(-1, 1),
        num(-1, 1),
        num(-0.6, 0.6),
        num(-0.5, 0.5),
        num(-0.3, 0.3),
        (dx, dy, dz, acrossTan, upTan) => {
          fc.pre(Math.hypot(dx, dy) > 0.5);
          const out = { panDeg: 0, tiltDeg: 0 };
          aimAt(dx, dy, dz, acrossTan, upTan, out);
          const camera = new Float64Array(CAMERA_SIZE);
          writeCamera(camera, 0, 0, 0, 0, out.panDeg, out.tiltDeg, 0, 36, 36);
          const seen = project(camera, 0, dx, dy, dz, { u: 0, w: 0, depthM: 0 });
          expect(seen.depthM).toBeGreaterThan(0);
          expect(seen.u).toBeCloseTo(acrossTan, 9);
          expect(seen.w).toBeCloseTo(upTan, 9);
        },
      ),
    );
  });

  it('does not depend on how far the thing is', () => {
    fc.assert(
      fc.property(num(-1, 1), num(0.2, 1), num(-0.5, 0.5), num(0.1, 500), (dx, dy, dz, k) => {
        const [here, there] = [
          { panDeg: 0, tiltDeg: 0 },
          { panDeg: 0, tiltDeg: 0 },
        ];
        aimAt(dx, dy, dz, 0.2, 0.1, here);
        aimAt(dx * k, dy * k, dz * k, 0.2, 0.1, there);
        expect(there.panDeg).toBeCloseTo(here.panDeg, 9);
        expect(there.tiltDeg).toBeCloseTo(here.tiltDeg, 9);
      }),
    );
  });

  it('gives the nearest tilt where the place cannot be reached, and a number even with nothing to aim at', () => {
    const out = { panDeg: NaN, tiltDeg: NaN };
    aimAt(0, 0, -1, 0.4, 0.2, out);
    expect(Number.isFinite(out.panDeg)).toBe(true);
    expect(out.tiltDeg).toBeLessThan(-80);
    aimAt(0, 0, 0, 0, 0, out);
    expect(Number.isFinite(out.panDeg) && Number.isFinite(out.tiltDeg)).toBe(true);
  });
});
