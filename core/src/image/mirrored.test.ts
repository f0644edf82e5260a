import fc from 'fast-check';
import { BoxGeometry, DoubleSide, Mesh, MeshBasicMaterial, PlaneGeometry, Raycaster, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { newPiece, type Piece } from '../model';
import { plannedFilm } from '../motion';
import { readShot } from '../reading';
import { AROUND, moved, plainSetup, plainShoot } from '../testing/shoots';
import { mirrored, mirroredIn } from './mirrored';
import { skyShare } from './sky-share';

const side: Piece = {
  ...newPiece('box', 'side', 'Side', 0, 0, 0),
  lengthM: 6,
  depthM: 2,
  heightM: 2.5,
  surface: 'paint',
};
const metres = (from: number, to: number) => fc.integer({ min: from * 100, max: to * 100 }).map((n) => n / 100);
const point = fc.record({ xM: metres(1.2, 8), yM: metres(-7, 7), zM: metres(0, 3) });

describe('mirror images', () => {
  it('the ray that leaves a camera for the place that is found is thrown on to the point, as three.js reflects it', () => {
    // The piece stands along north: three.js looks at it in the same axes, z up.
    const box = new Mesh(new BoxGeometry(2, 6, 2.5), new MeshBasicMaterial());
    box.position.z = 1.25;
    box.updateMatrixWorld();
    fc.assert(
      fc.property(point, point, (camera, seen) => {
        const found = mirroredIn(side, camera, seen);
        if (!found) return;
        // On an edge it is a matter of taste which side it is.
        const planes = [Math.abs(found.xM) - 1, Math.abs(found.yM) - 3, found.zM, found.zM - 2.5];
        fc.pre(planes.filter((off) => Math.abs(off) < 1e-6).length === 1);
        const from = new Vector3(camera.xM, camera.yM, camera.zM);
        const towards = new Vector3(found.xM, found.yM, found.zM).sub(from).normalize();
        const [hit] = new Raycaster(from, towards).intersectObject(box);
        expect(hit?.point.distanceTo(new Vector3(found.xM, found.yM, found.zM))).toBeLessThan(1e-6);
        const onwards = towards.clone().reflect(hit.face?.normal ?? new Vector3());
        const wanted = new Vector3(seen.xM, seen.yM, seen.zM).sub(hit.point).normalize();
        expect(onwards.distanceTo(wanted)).toBeLessThan(1e-6);
        const angle = (Math.acos(Math.abs(towards.dot(hit.face?.normal ?? new Vector3()))) * 180) / Math.PI;
        expect(found.angleDeg).toBeCloseTo(angle, 4);
      }),
    );
  });
  it('a camera square before a painted side sees itself, and its operator; one aside of its end does not', () => {
    const before = (bearingDeg: number, surface: Piece['surface'], headingDeg = 90) =>
      readMirror({ ...side, surface, headingDeg, depthM: 0.5 }, bearingDeg);
    expect(before(180, 'paint')).toEqual(['camera', 'operator']);
    expect(before(180, 'dull')).toEqual([]);
    expect(before(180, 'paint', 45)).toEqual([]);
  });
  it('shows in the glass of a window from both sides, as three.js reflects it in a sheet, and not beside it', () => {
    const sheet = new Mesh(new PlaneGeometry(1.6, 1.2), new MeshBasicMaterial({ side: DoubleSide }));
    sheet.rotation.set(Math.PI / 2, Math.PI / 2, 0);
    sheet.position.set(0, 0.5, 1.5);
    sheet.updateMatrixWorld();
    const glazed = { ...windowed('glass'), headingDeg: 0, xM: 0, yM: 0 };
    fc.assert(
      fc.property(point, point, fc.boolean(), (camera, seen, behind) => {
        const [from, to] = [camera, seen].map((one) => ({ ...one, xM: behind ? -one.xM : one.xM }));
        const image = new Vector3(-to.xM, to.yM, to.zM);
        const origin = new Vector3(from.xM, from.yM, from.zM);
        const hit = new Raycaster(origin, image.sub(origin).normalize()).intersectObject(sheet).at(0);
        const found = mirroredIn(glazed, from, to, true);
        expect(found === null).toBe(hit === undefined);
        if (found && hit) expect(hit.point.distanceTo(new Vector3(found.xM, found.yM, found.zM))).toBeLessThan(1e-6);
        expect(mirroredIn(windowed('open'), from, to, true)).toBeNull();
      }),
    );
  });
  it('a window before the camera shows it, an empty one does not, nor one that something hides', () => {
    const before = (...pieces: Piece[]) => {
      const scene = plainSetup(moved({ kind: 'still', ...AROUND, distanceM: 5, bearingDeg: 180 }), pieces);
      return mirrored(scene, plannedFilm(scene).samples, false).map(({ who, glass }) => `${who} ${glass}`);
    };
    expect(before(windowed('glass'))).toEqual(['camera true']);
    expect(before(windowed('open'))).toEqual([]);
    const board: Piece = {
      ...newPiece('box', 'board', 'Board', 0, -1, 0),
      ...{ headingDeg: 90, lengthM: 4, depthM: 0.1, heightM: 3 },
    };
    expect(before(windowed('glass'), board)).toEqual([]);
  });
  it('is told of a window as of its glass', () => {
    const shoot = plainShoot(moved({ kind: 'still', ...AROUND, distanceM: 5, bearingDeg: 180 }), [windowed('glass')]);
    const { findings } = readShot(shoot, shoot.shots[0]);
    const finding = findings.find(({ id }) => id === 'mirrored');
    expect(finding?.sentence).toMatch(/ is seen in the glass in Gallery wall .* about 56°\.$/);
    expect(finding?.reason).toMatch(/where what lies behind the glass is darker\.$/);
  });
  it('is told with what a polariser does', () => {
    const shoot = plainShoot(moved({ kind: 'still', ...AROUND, distanceM: 5, bearingDeg: 180 }), [
      { ...side, depthM: 0.5, headingDeg: 90, name: 'Tea lorry' },
    ]);
    const { findings } = readShot(shoot, shoot.shots[0]);
    expect(findings.find(({ id }) => id === 'mirrored')?.sentence).toMatch(
      /^The operator is seen in Tea lorry .*straight on: a polariser takes hardly more than half of it; .* at about 56°\.$/,
    );
  });
});

/** A wall across the view with a window in it. */
function windowed(pane: 'open' | 'glass'): Piece {
  const wall = newPiece('wall', 'wall', 'Gallery wall', 0, 0, 0);
  if (wall.kind !== 'wall') throw new Error('no wall');
  const opening = { offsetM: 0.5, widthM: 1.6, heightM: 2.1, sillM: 0.9, pane };
  return { ...wall, headingDeg: 90, lengthM: 6, heightM: 2.6, openings: [opening] };
}

function readMirror(piece: Piece, bearingDeg: number) {
  const scene = plainSetup(moved({ kind: 'still', ...AROUND, distanceM: 5, bearingDeg }), [piece]);
  return mirrored(scene, plannedFilm(scene).samples, true).map(({ who }) => who);
}

describe('how much of the sky reaches somebody', () => {
  const figure = newPiece('figure', 'figure', 'Ansa', 0, 0, 0);
  const share = (...pieces: Piece[]) => {
    const scene = plainSetup(moved({ kind: 'still', ...AROUND, distanceM: 4, bearingDeg: 180 }), [figure, ...pieces]);
    return skyShare(scene, plannedFilm(scene).samples, [0])[0];
  };
  const roof = (halfM: number): Piece => ({
    ...newPiece('slab', 'roof', 'Roof', 0, 0, 2.6),
    ...{ lengthM: 2 * halfM, depthM: 2 * halfM, heightM: 0.1 },
  });
  it('all of it on open ground, next to none of it in a closed box', () => {
    expect(share()).toBe(1);
    const walls = [0, 90, 180, 270].map((deg, i): Piece => {
      const [x, y] = [2 * Math.sin((deg * Math.PI) / 180), 2 * Math.cos((deg * Math.PI) / 180)];
      return { ...newPiece('box', `w${i}`, 'W', x, y, 0), lengthM: 5, depthM: 0.2, heightM: 3, headingDeg: deg + 90 };
    });
    expect(share(roof(3), ...walls)).toBe(0.02);
  });
  it('under a square roof as much less as its configuration factor says (Hottel, from memory: a disc gives R²/(R²+h²))', () => {
    // A roof of half-width R at height h above the part covers about R²/(R²+h²) of what level ground gets.
    const h = 2.6 - figure.heightM / 2;
    for (const halfM of [1, 2, 4]) {
      const radius = halfM * Math.sqrt(4 / Math.PI);
      expect(Math.abs(1 - share(roof(halfM)) - radius ** 2 / (radius ** 2 + h ** 2))).toBeLessThan(0.1);
    }
  });
});
