import { Document, NodeIO } from '@gltf-transform/core';
import { BoxGeometry, SphereGeometry, TorusKnotGeometry, type BufferGeometry } from 'three';
import { describe, expect, it } from 'vitest';
import { MOST_TRIANGLES, newPiece, PieceSchema, type ModelPiece, type Piece } from '../model';
import { solidOf } from '../site';
import { readModelGlb } from './model-glb';

/** A GLB with three.js geometries as its nodes, each moved and turned as told. */
async function glbOf(rows: { geometry: BufferGeometry; at?: [number, number, number]; scale?: number }[]) {
  const document = new Document();
  const buffer = document.createBuffer();
  const scene = document.createScene();
  for (const { geometry, at, scale = 1 } of rows) {
    const index = geometry.getIndex();
    const primitive = document.createPrimitive().setAttribute(
      'POSITION',
      document
        .createAccessor()
        .setType('VEC3')
        .setArray(Float32Array.from(geometry.getAttribute('position').array))
        .setBuffer(buffer),
    );
    if (index)
      primitive.setIndices(
        document.createAccessor().setType('SCALAR').setArray(Uint32Array.from(index.array)).setBuffer(buffer),
      );
    const node = document.createNode().setMesh(document.createMesh().addPrimitive(primitive));
    if (at) node.setTranslation(at);
    scene.addChild(node.setScale([scale, scale, scale]));
  }
  return new NodeIO().writeBinary(document);
}

const pieceOf = async (bytes: Uint8Array): Promise<ModelPiece> => {
  const { mesh, depthM, lengthM, heightM } = await readModelGlb('thing.glb', bytes);
  return { ...(newPiece('model', 'm', 'M', 0, 0, 0) as ModelPiece), mesh, depthM, lengthM, heightM };
};
/** Volume within a closed surface (divergence theorem), m³: negative where it is turned inside out. */
function volumeM3(piece: Piece): number {
  const { positions: p } = solidOf(piece);
  let six = 0;
  for (let i = 0; i < p.length; i += 9)
    six +=
      p[i] * (p[i + 4] * p[i + 8] - p[i + 5] * p[i + 7]) -
      p[i + 1] * (p[i + 3] * p[i + 8] - p[i + 5] * p[i + 6]) +
      p[i + 2] * (p[i + 3] * p[i + 7] - p[i + 4] * p[i + 6]);
  return six / 6;
}

describe('a model of one’s own', () => {
  it('comes in as large as it is, the right way out, its front along the heading', async () => {
    // Two metres wide (x), three high (y), five long (z), with a nose at the front.
    const piece = await pieceOf(
      await glbOf([
        { geometry: new BoxGeometry(2, 3, 5) },
        { geometry: new BoxGeometry(0.2, 0.2, 1), at: [0.5, 0, 3] },
      ]),
    );
    expect([piece.depthM, piece.heightM, piece.lengthM].map((m) => Math.round(m * 1e4) / 1e4)).toEqual([2, 3, 6]);
    expect(volumeM3(piece)).toBeCloseTo(30 + 0.04, 2);
    const { positions } = solidOf(piece);
    let [front, side] = [-Infinity, 0];
    for (let i = 0; i < positions.length; i += 3)
      if (positions[i + 1] > front + 1e-3) [front, side] = [positions[i + 1], positions[i]];
    expect(front).toBeCloseTo(3, 3);
    // +X in glTF is to the left of what looks along +Z.
    expect(side).toBeLessThan(0);
    expect(Math.min(...positions.filter((_, i) => i % 3 === 2))).toBeCloseTo(0, 6);
  });
  it('keeps moves and scales of its nodes, and what a file may hold', async () => {
    const piece = await pieceOf(await glbOf([{ geometry: new SphereGeometry(1, 24, 16), at: [4, 5, 6], scale: 0.3 }]));
    expect(piece.heightM).toBeCloseTo(0.6, 5);
    expect(volumeM3(piece)).toBeCloseTo((4 / 3) * Math.PI * 0.027, 2);
    expect(PieceSchema.safeParse(piece).success).toBe(true);
  });
  it('is refused with what to mend: too many triangles, too large, no triangles, no GLB', async () => {
    const many = new TorusKnotGeometry(1, 0.3, 300, 40);
    expect((many.getIndex()?.count ?? 0) / 3).toBeGreaterThan(MOST_TRIANGLES);
    await expect(readModelGlb('a.glb', await glbOf([{ geometry: many }]))).rejects.toThrow(
      /more than 20,000 triangles/,
    );
    const large = await glbOf([{ geometry: new BoxGeometry(1, 1, 1), scale: 4000 }]);
    await expect(readModelGlb('a.glb', large)).rejects.toThrow(/4000 m large/);
    await expect(readModelGlb('a.glb', await glbOf([]))).rejects.toThrow(/no triangles/);
    await expect(readModelGlb('a.glb', new TextEncoder().encode('{"no":"glb"}'))).rejects.toThrow(/Save it as GLB/);
  });
  it('is refused from a shoot where a corner is not there or it is cut off', () => {
    const cube = newPiece('model', 'm', 'M', 0, 0, 0) as ModelPiece;
    expect(PieceSchema.safeParse(cube).success).toBe(true);
    const broken = (mesh: Partial<ModelPiece['mesh']>) =>
      PieceSchema.safeParse({ ...cube, mesh: { ...cube.mesh, ...mesh } }).error?.issues[0].message;
    expect(broken({ faces: btoa('\xff\x00'.repeat(3)) })).toMatch(/corner that is not there/);
    expect(broken({ corners: cube.mesh.corners.slice(0, -8) })).toMatch(/whole triangles|corner that is not there/);
    expect(broken({ faces: '***' })).toMatch(/base64/);
  });
  it('stands for a cube of its size where none was taken in', () => {
    const cube = newPiece('model', 'm', 'M', 0, 0, 0) as ModelPiece;
    expect(volumeM3({ ...cube, depthM: 2, lengthM: 3, heightM: 4 })).toBeCloseTo(24, 6);
  });
});
