import { BufferAttribute, BufferGeometry, DoubleSide, Mesh, MeshBasicMaterial, Raycaster, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { type Move, newPiece, type Piece } from '../model';
import { solidOf } from '../site';
import { readShot } from '../reading';
import { filmed, usual } from '../testing/filmed';
import { AROUND } from '../testing/shoots';
import { visibleShare } from './visible-share';

const figure = newPiece('figure', 'figure', 'Ansa', 0, 0, 0);
const screenWall: Piece = {
  kind: 'wall',
  ...pick(newPiece('box', 'wall', 'Screen', -1.6, -2, 0)),
  lengthM: 3,
  depthM: 0.15,
  heightM: 2.4,
  headingDeg: 90,
  openings: [],
};
function pick({ id, name, xM, yM, zM, layer, on, ownParts, group, locked, hidden, surface }: Piece) {
  return { id, name, xM, yM, zM, layer, on, ownParts, group, locked, hidden, surface };
}
const TIMING = {
  durationS: 8,
  holdStartS: 0.6,
  featherInS: 2,
  featherOutS: 2,
  holdEndS: 0.8,
  featherShape: 'minimumJerk' as const,
};
/** Stands behind the screen and slides out to the right of it. */
const slideOut: Move = {
  kind: 'slideOutReveal',
  ...AROUND,
  heightM: 1.2,
  distanceM: 4,
  bearingDeg: 180,
  travelM: 2.6,
  skewDeg: 0,
};
const film = (move: Move, pieces: Piece[]) => filmed(move, { timing: TIMING }, false, pieces);

/** The same by three.js, over a dense grid of its own; x right, y up, z towards the south. */
function byRaycaster({ samples, scene }: ReturnType<typeof filmed>, row: number): number {
  const meshes = scene.pieces
    .filter((piece) => piece.id !== scene.subject?.id)
    .map((piece) => {
      const geometry = new BufferGeometry();
      geometry.setAttribute('position', new BufferAttribute(solidOf(piece).positions, 3));
      const mesh = new Mesh(geometry, new MeshBasicMaterial({ side: DoubleSide }));
      mesh.rotation.set(-Math.PI / 2, 0, (-piece.headingDeg * Math.PI) / 180, 'XYZ');
      mesh.position.set(piece.xM, piece.zM, -piece.yM);
      mesh.updateMatrixWorld();
      return mesh;
    });
  const eye = new Vector3(samples.xM[row], samples.zM[row], -samples.yM[row]);
  const side = new Vector3(-eye.z, 0, eye.x).normalize();
  let seen = 0;
  const [across, up] = [24, 30];
  for (let i = 0; i < across; i += 1)
    for (let k = 0; k < up; k += 1) {
      const target = new Vector3(0, ((k + 0.5) / up) * 1.7, 0).addScaledVector(
        side,
        ((2 * (i + 0.5)) / across - 1) * 0.25 * 0.7,
      );
      const way = target.clone().sub(eye);
      if (
        new Raycaster(eye, way.clone().normalize(), 0.001, way.length() - 0.001).intersectObjects(meshes).length === 0
      )
        seen += 1;
    }
  return seen / (across * up);
}

describe('how much of the subject can be seen', () => {
  it('is all of it on open ground, and nothing is said without a subject', () => {
    const open = film(usual('slide'), [figure]);
    expect(visibleShare(open.scene, open.samples).every((share) => share === 1)).toBe(true);
    const nobody = filmed(usual('slide'), { subjectId: null });
    expect(visibleShare(nobody.scene, nobody.samples).every(Number.isNaN)).toBe(true);
  });
  it(
    'goes from under 0.1 to over 0.9 in a slide from behind a screen, and its moment is that of a dense ray count ' +
      'by three.js within a frame',
    () => {
      const out = film(slideOut, [figure, screenWall]);
      const share = visibleShare(out.scene, out.samples);
      expect(share[0]).toBeLessThan(0.1);
      expect(share[out.last]).toBeGreaterThan(0.9);
      const moment = share.findIndex((value) => value >= 0.5);
      const counted = Array.from(share, (_, row) =>
        Math.abs(row - moment) < 8 ? byRaycaster(out, row) : row < moment ? 0 : 1,
      );
      expect(Math.abs(counted.findIndex((value) => value >= 0.5) - moment)).toBeLessThanOrEqual(1);
    },
  );
  it.each<[string, Piece]>([
    ['a post', { ...newPiece('post', 'p', 'P', -0.1, -2, 0), lengthM: 0.3, depthM: 0.3 }],
    ['a hedge', { ...newPiece('hedge', 'p', 'P', 0, -2, 0), headingDeg: 90 }],
    [
      'a turned box on a step',
      { ...newPiece('box', 'p', 'P', 0.4, -2, 0.2), headingDeg: 35, lengthM: 0.8, depthM: 0.5, heightM: 0.9 },
    ],
    ['a wall with an opening', { ...newPiece('wall', 'p', 'P', 0.3, -2, 0), headingDeg: 90 } as Piece],
    ['a tree', { ...newPiece('tree', 'p', 'P', 0.8, -2.5, 0), heightM: 2.6 }],
    ['a ridge', { ...newPiece('ridge', 'p', 'P', 0, -2, 0), headingDeg: 90, lengthM: 4, depthM: 1, heightM: 1.2 }],
  ])('behind %s it agrees with three.js', (_, piece) => {
    const seen = film({ ...usual('slide'), bearingDeg: 180 }, [figure, piece]);
    const share = visibleShare(seen.scene, seen.samples);
    for (const row of [0, seen.last >> 1, seen.last])
      expect(Math.abs(share[row] - byRaycaster(seen, row))).toBeLessThan(0.13);
  });
});

describe('a reveal', () => {
  const found = (move: Move, pieces: Piece[], timing = TIMING) => {
    const { shoot } = filmed(move, { timing }, false, pieces);
    return readShot(shoot, shoot.shots[0]).findings.find(({ id }) => id === 'reveal');
  };
  it('has a moment and a length', () => {
    const reveal = found(slideOut, [figure, screenWall], { ...TIMING, featherInS: 1, featherOutS: 1 });
    expect(reveal?.grade).toBe('calm');
    expect(reveal?.sentence).toMatch(/^Ansa comes into sight at \d\.\d s, within \d\.\d s\.$/);
    expect(reveal?.screenS).toBeGreaterThan(1);
    expect(reveal?.screenS).toBeLessThan(7);
  });
  it('is told of when all of it lies in a feather', () => {
    const sleepy = found({ ...slideOut, travelM: 5 }, [figure, screenWall], {
      ...TIMING,
      featherInS: 6,
      featherOutS: 0.5,
    });
    expect(sleepy?.grade).toBe('ripple');
    expect(sleepy?.sentence).toMatch(/all of it while the camera is (still starting|already stopping)\.$/);
  });
  it('with nothing in the way is none, and one that never comes is worse', () => {
    expect(found(slideOut, [figure])).toMatchObject({
      grade: 'ripple',
      sentence: 'Nothing hides Ansa at the start: all of it can be seen from the first frame.',
    });
    const closed = { ...screenWall, xM: 0, lengthM: 14 };
    expect(found(slideOut, [figure, closed])).toMatchObject({
      grade: 'jolt',
      sentence: expect.stringMatching(/^Ansa never comes into sight/),
    });
  });
  it('is not asked of a move that hides nothing', () => {
    expect(found(usual('push'), [figure])).toBeUndefined();
  });
  it('a subject that stays covered in another move is told of', () => {
    const slide: Move = { ...usual('slide'), bearingDeg: 180, travelM: 0.4 };
    const { shoot } = filmed(slide, { timing: TIMING }, false, [figure, { ...screenWall, xM: 0 }]);
    const covered = readShot(shoot, shoot.shots[0]).findings.find(({ id }) => id === 'covered');
    expect(covered).toMatchObject({ grade: 'jolt' });
    expect(covered?.sentence).toMatch(/^Ansa is covered for 8\.0 s/);
  });
});
