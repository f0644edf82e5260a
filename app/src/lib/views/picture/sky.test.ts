import fc from 'fast-check';
import { PerspectiveCamera, Vector3 } from 'three';
import { expect, it } from 'vitest';
import { skyFromY } from './sky';

function camera(tiltDeg: number, rollDeg: number, panDeg = 0): PerspectiveCamera {
  const made = new PerspectiveCamera(40, 16 / 9, 0.05, 1500);
  made.rotation.order = 'YXZ';
  const rad = Math.PI / 180;
  made.rotation.set(tiltDeg * rad, panDeg * rad, rollDeg * rad);
  made.updateMatrixWorld();
  return made;
}

it('the sky of a level camera begins in the middle of the picture, of one that looks down at none of it', () => {
  expect(skyFromY(camera(0, 0))).toBeCloseTo(0, 9);
  expect(skyFromY(camera(-30, 0))).toBeGreaterThan(1);
  expect(skyFromY(camera(30, 0))).toBe(-1);
  expect(skyFromY(camera(0, 180))).toBe(-1);
});

it('nothing above the horizon is left out, however the camera is turned', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -80, max: 80 }),
      fc.integer({ min: -180, max: 180 }),
      fc.integer({ min: -1, max: 1 }),
      fc.double({ min: -1, max: 1, noNaN: true }),
      (tiltDeg, rollDeg, x, y) => {
        const view = camera(tiltDeg, rollDeg, 20);
        // three.js says which way a place of the picture looks.
        const towards = new Vector3(x, y, 0.5).unproject(view).sub(view.position).normalize();
        if (towards.y > 1e-6) expect(y).toBeGreaterThan(skyFromY(view) - 1e-6);
      },
    ),
  );
});
