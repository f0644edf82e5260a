import fc from 'fast-check';
import {
  BufferAttribute,
  BufferGeometry,
  DoubleSide,
  Frustum,
  Matrix4,
  Mesh,
  MeshBasicMaterial,
  Raycaster,
  Sphere,
  Vector2,
  Vector3,
} from 'three';
import { describe, expect, it } from 'vitest';
import { newPiece, PIECE_KINDS, type Piece, type PieceKind } from '../model';
import { CAMERA_SIZE } from '../optics';
import { solidOf } from '../site';
import { filmed } from '../testing/filmed';
import { AROUND } from '../testing/shoots';
import { threeCameraAt } from '../testing/three-camera';
import { depthRasterOf, isWithin, NOTHING, seenDepthM } from './depth-raster';

/** One of each kind, in a ring about the subject, turned all ways. */
const ring = (Object.keys(PIECE_KINDS) as PieceKind[]).map((kind, i): Piece => {
  const angle = (i * 2 * Math.PI) / 8;
  return {
    ...newPiece(kind, `p${i}`, kind, 4 * Math.sin(angle), 4 * Math.cos(angle), 0),
    headingDeg: 37 * i,
    lengthM: 1.2 + (i % 3),
    depthM: 0.6 + (i % 2),
  };
});

function meshes(pieces: readonly Piece[]): Mesh[] {
  return pieces.map((piece, index) => {
    const geometry = new BufferGeometry();
    geometry.setAttribute('position', new BufferAttribute(solidOf(piece).positions, 3));
    const mesh = new Mesh(geometry, new MeshBasicMaterial({ side: DoubleSide }));
    // The site has z up; three.js has y up.
    mesh.rotation.set(-Math.PI / 2, 0, (-piece.headingDeg * Math.PI) / 180, 'XYZ');
    mesh.position.set(piece.xM, piece.zM, -piece.yM);
    mesh.updateMatrixWorld();
    mesh.userData = { index };
    return mesh;
  });
}

describe('a raster at the site', () => {
  const { scene, samples } = filmed(
    { kind: 'orbit', ...AROUND, heightM: 2.2, radiusM: 5.5, startBearingDeg: 0, sweepDeg: 360 },
    {},
    false,
    [newPiece('figure', 'figure', 'Ansa', 0, 0, 0), ...ring],
  );
  const raster = depthRasterOf(scene, samples, 48);

  it('finds the same piece in every cell as three.js Raycaster, but for a few on outlines, and as near', () => {
    const solids = meshes(scene.pieces);
    const caster = new Raycaster();
    let [cells, other, met] = [0, 0, 0];
    for (const row of [0, 31, 77, 120, 160]) {
      const { widthCells, heightCells, pieceAt, nearness } = raster(row);
      const camera = threeCameraAt(samples, row);
      for (let r = 0; r < heightCells; r += 1)
        for (let k = 0; k < widthCells; k += 1) {
          caster.setFromCamera(
            new Vector2(((k + 0.5) / widthCells) * 2 - 1, 1 - ((r + 0.5) / heightCells) * 2),
            camera,
          );
          const [hit] = caster.intersectObjects(solids).filter(({ distance }) => distance > 0.06);
          cells += 1;
          const index = hit ? (hit.object.userData as { index: number }).index : NOTHING;
          if (pieceAt[r * widthCells + k] !== index) other += 1;
          else if (hit) {
            met += 1;
            const depth = -hit.point.clone().applyMatrix4(camera.matrixWorldInverse).z;
            expect(Math.abs(nearness[r * widthCells + k] * depth - 1)).toBeLessThan(0.02);
          }
        }
    }
    expect(met).toBeGreaterThan(cells / 4);
    expect(other / cells).toBeLessThan(0.004);
  });

  it(
    'tells how deep a point may lie and still be seen: as far as the wall before it, and any depth ' +
      'beside the wall',
    () => {
      const wall = { ...newPiece('box', 'wall', 'Wall', 0, 0, 0), lengthM: 4, depthM: 0.4, heightM: 5, headingDeg: 90 };
      const still = filmed({ kind: 'still', ...AROUND, heightM: 1.5, distanceM: 6, bearingDeg: 180 }, {}, false, [
        wall,
      ]);
      const seen = depthRasterOf(still.scene, still.samples, 64)(0);
      const depthM = seenDepthM(seen);
      const at = (u: number, v: number) =>
        depthM[Math.floor((0.5 - v) * seen.heightCells) * seen.widthCells + Math.floor((u + 0.5) * seen.widthCells)];
      expect(at(0, 0)).toBeGreaterThan(5.8);
      expect(at(0, 0)).toBeLessThan(6.1);
      expect(at(0.49, 0.05)).toBe(Infinity);
    },
  );
});

describe('a ball and what the camera sees', () => {
  const { samples } = filmed(
    { kind: 'orbit', ...AROUND, heightM: 2.2, radiusM: 5.5, startBearingDeg: 0, sweepDeg: 360 },
    {},
  );
  const aspect = samples.frameWidthMm / samples.frameHeightMm;
  const reach = Math.hypot(0.5, 0.5 / aspect);
  const rows = [0, 31, 77, 120, 160].map((row) => {
    const camera = threeCameraAt(samples, row);
    const seen = new Matrix4().multiplyMatrices(camera.projectionMatrix, camera.matrixWorldInverse);
    return { row, frustum: new Frustum().setFromProjectionMatrix(seen) };
  });
  const metres = (most: number) => fc.integer({ min: -most * 100, max: most * 100 }).map((n) => n / 100);
  const ball = fc.record({
    x: metres(12),
    y: metres(12),
    z: metres(6),
    radiusM: fc.integer({ min: 1, max: 400 }).map((n) => n / 100),
  });
  const within = (row: number, { x, y, z, radiusM }: { x: number; y: number; z: number; radiusM: number }) =>
    isWithin(
      samples.cameras,
      row * CAMERA_SIZE,
      x,
      y,
      z,
      radiusM,
      samples.focalLengthMm[row] / samples.frameWidthMm,
      reach,
    );

  it('it is within whenever three.js sees a point of it', () => {
    const unit = fc.integer({ min: -100, max: 100 }).map((n) => n / 100);
    let seenOften = 0;
    fc.assert(
      fc.property(fc.constantFrom(...rows), ball, fc.tuple(unit, unit, unit), ({ row, frustum }, about, [a, b, c]) => {
        const from = new Vector3(a, b, c).clampLength(0, 1).multiplyScalar(about.radiusM);
        // The site has z up; three.js has y up.
        const point = new Vector3(about.x, about.z, -about.y).add(from);
        if (!frustum.containsPoint(point)) return;
        seenOften += 1;
        expect(within(row, about)).toBe(true);
      }),
      { numRuns: 2000 },
    );
    expect(seenOften).toBeGreaterThan(100);
  });

  it('most of what three.js leaves out is left out', () => {
    let [out, alsoOut] = [0, 0];
    fc.assert(
      fc.property(fc.constantFrom(...rows), ball, ({ row, frustum }, about) => {
        const { x, y, z, radiusM } = about;
        if (frustum.intersectsSphere(new Sphere(new Vector3(x, z, -y), radiusM))) return;
        out += 1;
        if (!within(row, about)) alsoOut += 1;
      }),
      { numRuns: 2000 },
    );
    // A cone about the frame is looked at: it holds more than the frame, above and below it most of all.
    expect(alsoOut).toBeGreaterThan(0.7 * out);
    expect(out).toBeGreaterThan(400);
  });
});
