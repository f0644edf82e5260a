import { Mesh, MeshBasicMaterial, Raycaster, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { groundPlane } from './ground-plane';

describe('level ground', () => {
  const plane = groundPlane();
  const ground = new Mesh(plane, new MeshBasicMaterial());
  const hits = (x: number, y: number) =>
    new Raycaster(new Vector3(x, y, 2), new Vector3(0, 0, -1)).intersectObject(ground);

  it('lies under every place, once, and faces up', () => {
    for (const [x, y] of [
      [0.3, 0.4],
      [-7.3, 22.1],
      [95.2, -95.9],
      [-700.5, 310.5],
      [1499, 1499],
    ]) {
      const found = hits(x, y);
      expect(found, `${x}, ${y}`).toHaveLength(1);
      expect(found[0].point.z).toBeCloseTo(0, 9);
      expect(found[0].face?.normal.z).toBeCloseTo(1, 9);
    }
    expect(hits(1501, 0)).toHaveLength(0);
  });
  it('has tiles of a few metres where people work, so that single precision is a small part of a millimetre', () => {
    const position = plane.getAttribute('position');
    const index = plane.getIndex();
    for (let i = 0; i < (index?.count ?? 0); i += 3) {
      const at = [0, 1, 2].map((k) => new Vector3().fromBufferAttribute(position, index?.getX(i + k) ?? 0));
      if (at.some(({ x, y }) => Math.max(Math.abs(x), Math.abs(y)) > 96)) continue;
      expect(at[0].distanceTo(at[1])).toBeLessThan(12);
    }
  });
});
