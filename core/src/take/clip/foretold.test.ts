import { PerspectiveCamera, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { plannedFilm } from '../../motion';
import { sceneOf } from '../../scene';
import { demoShoot } from '../../testing/demo';
import { foretold } from './foretold';

const shoot = demoShoot();
const filmOf = (name: string) => {
  const shot = shoot.shots.find((row) => row.name === name);
  if (!shot) throw new Error(name);
  return plannedFilm(sceneOf(shoot, shot));
};

describe('what a plan foretells of its clip', () => {
  // A camera that only turns: every point moves alike whatever its depth. Second opinion: three.js cameras.
  it.each(['Whip to the table', 'The yard tips over'])(
    'of “%s” is what three.js cameras see from row to row',
    (name) => {
      const film = filmOf(name);
      const { samples } = film;
      const rows = foretold(film);
      const cameraAt = (row: number) => {
        const camera = new PerspectiveCamera(50, samples.frameWidthMm / samples.frameHeightMm, 0.1, 1e4);
        camera.filmGauge = samples.frameWidthMm;
        camera.setFocalLength(samples.focalLengthMm[row]);
        camera.rotation.order = 'YXZ';
        const rad = Math.PI / 180;
        camera.rotation.set(samples.tiltDeg[row] * rad, -samples.panDeg[row] * rad, -samples.rollDeg[row] * rad);
        camera.updateMatrixWorld();
        return camera;
      };
      const seen = (row: number, point: Vector3) => {
        const { x, y } = point.clone().project(cameraAt(row));
        return [x / 2, (y / 2) * (samples.frameHeightMm / samples.frameWidthMm)];
      };
      const middle = Math.floor(samples.count / 2);
      let looked = 0;
      for (let row = middle - 12; row < middle + 12; row += 6) {
        if (row < 1 || row + 1 >= samples.count) continue;
        const h = samples.screenS[row + 1] - samples.screenS[row - 1];
        const centre = new Vector3(0, 0, -1).unproject(cameraAt(row)).normalize().multiplyScalar(50);
        const [[u0, w0], [u1, w1]] = [seen(row - 1, centre), seen(row + 1, centre)];
        // A whip through a wide lens moves its edges faster than its middle: the whole lies above it.
        expect(Math.abs(rows.rightwards[row] - (u1 - u0) / h)).toBeLessThan(0.03 + 0.12 * Math.abs((u1 - u0) / h));
        expect(Math.abs(rows.upwards[row] - (w1 - w0) / h)).toBeLessThan(0.03 + 0.12 * Math.abs((u1 - u0) / h));
        const rollDegps = (samples.rollDeg[row + 1] - samples.rollDeg[row - 1]) / h;
        // A camera that rolls clockwise sees its picture turn the other way.
        if (name === 'The yard tips over') expect(rows.turnDegps[row]).toBeCloseTo(-rollDegps, 0);
        looked += 1;
      }
      expect(looked).toBeGreaterThan(2);
    },
  );

  it('has near things go by faster than far ones on an arc, and slower never', () => {
    const { near, far, rightwards } = foretold(filmOf('Round Ansa at the sorting table'));
    let seen = 0;
    for (let row = 0; row < near.length; row += 1) {
      if (Number.isNaN(near[row]) || Math.abs(rightwards[row]) < 0.01) continue;
      expect(near[row]).toBeGreaterThanOrEqual(far[row]);
      seen += 1;
    }
    expect(seen).toBeGreaterThan(10);
  });
});
