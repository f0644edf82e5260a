import { Mesh, MeshBasicMaterial, Raycaster, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { GroundNet } from './ground-net';

const NEAR_M = 60;

describe('level ground', () => {
  const net = new GroundNet(NEAR_M);
  const ground = new Mesh(net.geometry, new MeshBasicMaterial());
  const hits = (x: number, y: number) => {
    net.geometry.computeBoundingSphere();
    return new Raycaster(new Vector3(x, y, 2), new Vector3(0, 0, -1)).intersectObject(ground);
  };

  it.each([
    [0, 0],
    [-312.7, 88.1],
  ])('lies under every place about a camera at %d, %d, once, and faces up', (cameraX, cameraY) => {
    net.under(cameraX, cameraY, 1.6);
    for (const [x, y] of [
      [0.3, 0.4],
      [-7.3, 22.1],
      [95.2, -95.9],
      [-700.5, 310.5],
      [1499, 1499],
    ]) {
      const found = hits(cameraX + x, cameraY + y);
      expect(found, `${x}, ${y}`).toHaveLength(1);
      expect(found[0].point.z).toBeCloseTo(0, 9);
      expect(found[0].face?.normal.z).toBeCloseTo(1, 9);
    }
    expect(hits(cameraX + 1501, cameraY)).toHaveLength(0);
  });

  it('has tiles whose far end is at most twelve times as far away as their near one: single precision is enough for that', () => {
    net.under(12.3, -45.6, 1.6);
    const position = net.geometry.getAttribute('position');
    const index = net.geometry.getIndex();
    const camera = new Vector3(12.3, -45.6, 1.6);
    for (let i = 0; i < (index?.count ?? 0); i += 3) {
      const at = [0, 1, 2].map((k) => new Vector3().fromBufferAttribute(position, index?.getX(i + k) ?? 0));
      const farM = Math.max(...at.map((corner) => corner.distanceTo(camera)));
      const nearM = Math.min(...at.map((corner) => corner.distanceTo(camera)));
      expect(farM / nearM).toBeLessThan(12);
    }
  });

  it('tells what is near from what is not: everything where the camera is low, nothing where it is high', () => {
    const parts = () => net.geometry.groups.map(({ start, count }) => [start, start + count]);
    net.under(0, 0, 1.6);
    const all = net.geometry.getIndex()?.count ?? 0;
    const [[from, near], [beyond, to]] = parts();
    expect([from, beyond, to]).toEqual([0, near, all]);
    const position = net.geometry.getAttribute('position');
    const awayM = (i: number) => {
      const corner = net.geometry.getIndex()?.getX(i) ?? 0;
      return Math.hypot(position.getX(corner), position.getY(corner));
    };
    for (let i = 0; i < near; i += 1) expect(awayM(i)).toBeLessThanOrEqual(NEAR_M);
    net.under(0, 0, 80);
    expect(parts()).toEqual([
      [0, 0],
      [0, all],
    ]);
  });
});
