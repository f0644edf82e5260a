import { PerspectiveCamera, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { plannedFilm } from '../../motion';
import { sceneOf } from '../../scene';
import { demoShoot } from '../../testing/demo';
import { CAMERA_SIZE, project } from '../../optics';
import { type Content, contentOf, edgesOf, flowsOfPlaces } from './content-motion';
import { FollowedPlacesCounter, placeOf } from './followed-places';
import { PlanPicture } from './foretold';

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
      const rows = new PlanPicture(film, 640).all();
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
    const { near, far, rightwards } = new PlanPicture(filmOf('Round Ansa at the sorting table'), 640).all();
    let seen = 0;
    for (let row = 0; row < near.length; row += 1) {
      if (Number.isNaN(near[row]) || Math.abs(rightwards[row]) < 0.01) continue;
      expect(near[row]).toBeGreaterThanOrEqual(far[row]);
      seen += 1;
    }
    expect(seen).toBeGreaterThan(10);
  });

  it('counts only places in which something could be followed', () => {
    const plan = new PlanPicture(filmOf('The rows like a map'), 640);
    const all = plan.all();
    const lastS = all.tS[all.tS.length - 1];
    const of = (flows: { u: number; w: number }[]) => {
      const counter = new FollowedPlacesCounter(16 / 9);
      for (let step = 0; step < 40; step += 1) counter.add(flows);
      return plan.ofFollowed(counter.moments(), (share) => share * lastS);
    };
    // Everything goes alike there: the left half of the picture says the same, none of it nothing.
    const left = Array.from({ length: 24 * 32 }, (_, k) => ({
      u: ((k % 24) + 0.5) / 48 - 0.5,
      w: (0.5 - (Math.floor(k / 24) + 0.5) / 32) * (9 / 16),
    }));
    const [half, none] = [of(left), of([])];
    expect(plan.ofFollowed([], (share) => share)).toBe(all);
    const row = Math.floor(all.tS.length / 2);
    expect(Math.abs(all.rightwards[row])).toBeGreaterThan(0.03);
    expect(half.rightwards[row] / all.rightwards[row]).toBeCloseTo(1, 1);
    expect(half.rightwards[row]).not.toBe(all.rightwards[row]);
    expect(none.rightwards[row]).toBe(0);
    expect(none.near[row]).toBeNaN();
  });

  it('has who walks go by himself', () => {
    // The camera goes along with her: what she is seen in rests, what is behind her goes by.
    const film = filmOf('Along the gallery');
    const row = Math.floor(film.samples.count / 2);
    const content = contentOf(film, 80)(row, row - 1, row + 1);
    const at = (u: number, w: number) => {
      const aspect = film.samples.frameWidthMm / film.samples.frameHeightMm;
      const [x, y] = [Math.floor((u + 0.5) * content.widthCells), Math.floor((0.5 - w * aspect) * content.heightCells)];
      return content.flow(x, y, u, w);
    };
    const seen = { u: 0, w: 0, depthM: 0 };
    const { subjectXM, subjectYM, subjectZM, cameras } = film.samples;
    project(cameras, row * CAMERA_SIZE, subjectXM[row], subjectYM[row], subjectZM[row] + 1.1, seen);
    const her = at(seen.u, seen.w);
    const behind = at(seen.u > 0 ? -0.45 : 0.45, 0.05);
    expect(Math.hypot(her?.du ?? 1, her?.dw ?? 1)).toBeLessThan(0.2 * Math.hypot(behind?.du ?? 0, behind?.dw ?? 0));
  });
});

describe('a window that holds an edge', () => {
  /** A post of three cells in the middle of what is far; the cells of each go by their own. */
  const content: Content = {
    widthCells: 21,
    heightCells: 9,
    depthM: (x) => (Math.abs(x - 10) <= 1 ? 2 : 30),
    flow: (x, _, u, w) => ({ u, w, du: Math.abs(x - 10) <= 1 ? 0.1 : 0.01, dw: 0 }),
  };
  const columns = (reach: number) => {
    const edges = edgesOf(content, reach);
    return Array.from({ length: content.widthCells }, (_, x) => x).filter(
      (x) => edges[4 * content.widthCells + x] === 1,
    );
  };

  it('is told on both sides of the edge, as far as the window reaches', () => {
    expect(columns(0.5)).toEqual([]);
    expect(columns(1)).toEqual([8, 9, 11, 12]);
    // The post is as wide as the window: all of it lies at an edge.
    expect(columns(2.2)).toEqual([7, 8, 9, 10, 11, 12, 13]);
  });
  it('is left out of what goes, and each place keeps its way', () => {
    const edges = edgesOf(content, 1);
    const away = flowsOfPlaces(content, 16 / 9, edges, () => true);
    // 4 of 21 columns lie at the edges.
    expect(away.length / (48 * 4 * 32 * 3)).toBeCloseTo(17 / 21, 1);
    for (const { u, du } of away) {
      expect(Math.abs(u) < 0.5 / 21 || Math.abs(u) > 2.5 / 21).toBe(true);
      expect(du).toBe(Math.abs(u) < 0.5 / 21 ? 0.1 : 0.01);
    }
  });
  it('is looked at in those places alone that count', () => {
    const none = new Uint8Array(content.widthCells * content.heightCells);
    const flows = flowsOfPlaces(content, 16 / 9, none, (place) => place === 48 * 5 + 40);
    expect(flows).toHaveLength(12);
    for (const { u, w } of flows) expect(placeOf(u, w, 16 / 9)).toBe(48 * 5 + 40);
  });
});
