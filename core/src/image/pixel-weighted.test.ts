import { plannedFilm } from '../motion';
import { describe, expect, it } from 'vitest';
import {
  BufferAttribute,
  BufferGeometry,
  DoubleSide,
  Mesh,
  MeshBasicMaterial,
  Raycaster,
  Vector3,
  type Object3D,
} from 'three';
import { type Move, newPiece, type Piece, type Shot } from '../model';
import { usual, filmed } from '../testing/filmed';
import { AROUND } from '../testing/shoots';
import { solidOf } from '../site';
import { measurePicture } from './picture';
import { FAR_SHARE, NEAR_SHARE } from './layer-speed';

/**
 * The speed of a layer against a ray cast that knows nothing of it: three.js sends a ray through the middle of every
 * pixel of a coarse picture, hits the drawn solids or the plain ground, and what is hit is followed back one frame
 * through three's own camera.
 */
const ACROSS = 96;

/** The pieces of a site as three.js meshes in the site's own coordinates: east, north, up. */
function meshesOf(pieces: readonly Piece[]): Mesh[] {
  return pieces.map((piece) => {
    const { positions } = solidOf(piece);
    const turned = new Float32Array(positions.length);
    const [sin, cos] = [Math.sin((piece.headingDeg * Math.PI) / 180), Math.cos((piece.headingDeg * Math.PI) / 180)];
    for (let i = 0; i < positions.length; i += 3) {
      turned[i] = positions[i] * cos + positions[i + 1] * sin + piece.xM;
      turned[i + 1] = -positions[i] * sin + positions[i + 1] * cos + piece.yM;
      turned[i + 2] = positions[i + 2] + piece.zM;
    }
    const geometry = new BufferGeometry();
    geometry.setAttribute('position', new BufferAttribute(turned, 3));
    const mesh = new Mesh(geometry, new MeshBasicMaterial({ side: DoubleSide }));
    mesh.userData = { id: piece.id };
    mesh.updateMatrixWorld();
    return mesh;
  });
}

function rayCast(move: Move, more: Partial<Shot>, pieces: Piece[]) {
  const film = filmed(move, { rigId: 'rig-drone', gaitId: 'gait-stand', ...more }, false, pieces);
  const { scene } = film;
  const picture = measurePicture(plannedFilm(scene), 'metric');
  const { samples } = picture;
  const meshes: Object3D[] = meshesOf(pieces);
  const caster = new Raycaster();
  const tall = Math.round((ACROSS * samples.frameHeightMm) / samples.frameWidthMm);
  const axes = (row: number) => {
    const [pan, tilt] = [(samples.panDeg[row] * Math.PI) / 180, (samples.tiltDeg[row] * Math.PI) / 180];
    const forward = new Vector3(Math.sin(pan) * Math.cos(tilt), Math.cos(pan) * Math.cos(tilt), Math.sin(tilt));
    const right = new Vector3(Math.cos(pan), -Math.sin(pan), 0);
    return {
      eye: new Vector3(samples.xM[row], samples.yM[row], samples.zM[row]),
      forward,
      right,
      up: new Vector3().crossVectors(right, forward),
    };
  };
  const scale = (row: number) => samples.focalLengthMm[row] / samples.frameWidthMm;
  const seenAt = (row: number, point: Vector3): [number, number] => {
    const { eye, forward, right, up } = axes(row);
    const to = point.clone().sub(eye);
    return [(to.dot(right) / to.dot(forward)) * scale(row), (to.dot(up) / to.dot(forward)) * scale(row)];
  };
  return {
    picture,
    at: (row: number) => {
      const { eye, forward, right, up } = axes(row);
      const sums = { near: [0, 0], far: [0, 0] };
      for (let line = 0; line < tall; line += 1)
        for (let column = 0; column < ACROSS; column += 1) {
          const u = (column + 0.5) / ACROSS - 0.5;
          const w = ((0.5 - (line + 0.5) / tall) * samples.frameHeightMm) / samples.frameWidthMm;
          const direction = forward
            .clone()
            .addScaledVector(right, u / scale(row))
            .addScaledVector(up, w / scale(row));
          const long = direction.length();
          caster.set(eye, direction.clone().divideScalar(long));
          const [hit] = caster.intersectObjects(meshes, false);
          let depthM = hit ? hit.distance / long : Infinity;
          if (!hit && direction.z < 0) depthM = -eye.z / direction.z;
          if (!Number.isFinite(depthM) || (hit && hit.object.userData.id === scene.subject?.id)) continue;
          const layer =
            depthM < NEAR_SHARE * picture.depthM[row]
              ? 'near'
              : depthM > FAR_SHARE * picture.depthM[row]
                ? 'far'
                : null;
          if (!layer) continue;
          const point = eye.clone().addScaledVector(direction, depthM);
          const [now, before] = [seenAt(row, point), seenAt(row - 1, point)];
          sums[layer][0] += 1;
          sums[layer][1] += (now[0] - before[0]) ** 2 + (now[1] - before[1]) ** 2;
        }
      const of = (name: 'near' | 'far') => ({
        share: sums[name][0] / (ACROSS * tall),
        speed: Math.sqrt(sums[name][1] / sums[name][0]) * samples.frameRateHz,
      });
      return { near: of('near'), far: of('far') };
    },
  };
}

const at = (
  kind: 'post' | 'tree' | 'hedge' | 'wall' | 'box' | 'ridge' | 'slab',
  id: string,
  x: number,
  y: number,
  more: object = {},
) => ({ ...newPiece(kind, id, id, x, y, 0), ...more }) as Piece;
const GARDEN: Piece[] = [
  newPiece('figure', 'figure', 'Ansa', 0, 0, 0),
  at('hedge', 'row 1', -1, -2, { lengthM: 9 }),
  at('hedge', 'row 2', 1, 3, { lengthM: 14, headingDeg: 20 }),
  at('post', 'pole', -0.6, -2.6),
  at('tree', 'tree', 5, 9),
  at('box', 'shed', -7, 12, { headingDeg: 30 }),
  at('wall', 'wall', 6, -3, { headingDeg: 60 }),
  at('ridge', 'hill', 0, 60, { lengthM: 120, depthM: 40, heightM: 14 }),
];
const TIMING = {
  durationS: 6,
  holdStartS: 0.5,
  featherInS: 1.5,
  featherOutS: 1.5,
  holdEndS: 0.5,
  featherShape: 'minimumJerk' as const,
};
const MOVES: [string, Move, Partial<Shot>][] = [
  [
    'a slide past a hedge',
    { kind: 'slide', ...AROUND, heightM: 1.1, distanceM: 5, bearingDeg: 180, travelM: 3, skewDeg: 0 },
    {},
  ],
  ['a low push', { kind: 'push', ...AROUND, heightM: 0.5, fromDistanceM: 7, toDistanceM: 3.2, bearingDeg: 170 }, {}],
  ['an arc on a long lens', { ...usual('arc'), radiusM: 7, sweepDeg: 80, heightM: 1.5 } as Move, { focalLengthMm: 70 }],
  ['a rise over the hedge', { ...usual('rise'), heightM: 0.6, toHeightM: 3 } as Move, {}],
  ['a pan across all of it', { ...usual('pan'), fromDeg: -60, toDeg: 60 } as Move, {}],
  [
    'a flight high up',
    { kind: 'push', ...AROUND, heightM: 12, fromDistanceM: 30, toDistanceM: 12, bearingDeg: 160 },
    { focalLengthMm: 24 },
  ],
];

describe('layer speed by what fills the frame', () => {
  it(
    'is within 10% of a pixel-weighted ray cast in 95 of 100 rows, and within 20% always where the layer fills ' +
      'over 2% of the frame',
    () => {
      const offs: { off: number; share: number; what: string }[] = [];
      for (const [what, move, more] of MOVES) {
        const { picture, at: castAt } = rayCast(
          move,
          { timing: TIMING, lensId: 'lens-fern-2470', focalLengthMm: 35, ...more },
          GARDEN,
        );
        for (let row = 20; row < picture.samples.count - 14; row += 12) {
          const cast = castAt(row);
          for (const layer of ['near', 'far'] as const) {
            const { share, speed } = cast[layer];
            if (share < 0.005 || !(speed > 0.002)) continue;
            offs.push({
              off: Math.abs(picture.site[layer].speed[row] / speed - 1),
              share,
              what: `${what}, ${layer}, row ${row}: ${picture.site[layer].speed[row]} for ${speed} over ${share}`,
            });
          }
        }
      }
      expect(offs.length).toBeGreaterThan(80);
      const sorted = offs.map(({ off }) => (Number.isNaN(off) ? 1 : off)).sort((a, b) => a - b);
      expect(sorted[Math.floor(0.95 * offs.length)]).toBeLessThan(0.1);
      for (const { off, share, what } of offs) if (share > 0.02) expect(off, what).toBeLessThan(0.2);
    },
  );
  it('what stands wholly behind a wall moves nothing', () => {
    const wall = at('wall', 'wall', 0, 4, {
      lengthM: 60,
      heightM: 30,
      headingDeg: 90,
      openings: [],
    });
    const slide: Move = {
      kind: 'slide',
      ...AROUND,
      heightM: 1.1,
      distanceM: 2,
      bearingDeg: 180,
      travelM: 1,
      skewDeg: 0,
    };
    const speed = (pieces: Piece[]) =>
      measurePicture(plannedFilm(filmed(slide, { timing: TIMING }, false, pieces).scene), 'metric').site.far.speed;
    const [alone, hiding] = [
      speed([GARDEN[0], wall]),
      speed([
        GARDEN[0],
        wall,
        ...GARDEN.slice(4, 6),
        at('ridge', 'hill', 0, 60, { lengthM: 120, depthM: 40, heightM: 14 }),
      ]),
    ];
    for (let row = 1; row < alone.length; row += 1) expect(hiding[row]).toBe(alone[row]);
  });
});
