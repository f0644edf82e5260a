import { BufferAttribute, BufferGeometry, DoubleSide, Mesh, MeshBasicMaterial, Raycaster, Vector2 } from 'three';
import { describe, expect, it } from 'vitest';
import { newPiece, PIECE_KINDS, type Piece, type PieceKind } from '../model';
import { solidOf } from '../site';
import { filmed } from '../testing/filmed';
import { AROUND } from '../testing/shoots';
import { threeCameraAt } from '../testing/three-camera';
import { depthRasterOf, NOTHING, seenDepthM } from './depth-raster';

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
