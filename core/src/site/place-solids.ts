import type { Terrain } from '../model';
import { stepsOf } from './ground';
import { type MeshBuilder, type Point, ring } from './mesh-builder';

/** Half of a thing's depth and length, and its height, metres. */
interface Box {
  x: number;
  y: number;
  h: number;
}

/** What a place is made of, in its own frame. Every one fills its bounding size exactly. */
export const PLACE_SOLIDS = {
  stair(build: MeshBuilder, { x, y, h }: Box) {
    const steps = stepsOf({ heightM: h });
    for (let k = 0; k < steps; k += 1) {
      const [from, to] = [-y + (2 * y * k) / steps, -y + (2 * y * (k + 1)) / steps];
      build.box(-x, x, from, to, 0, (h * (k + 1)) / steps);
    }
  },
  fence(build: MeshBuilder, { x, y, h }: Box) {
    const gaps = Math.min(400, Math.max(1, Math.round((2 * y) / 2)));
    const postM = Math.min(0.1, y);
    for (let k = 0; k <= gaps; k += 1) {
      const at = -y + postM / 2 + ((2 * y - postM) * k) / gaps;
      build.box(-x, x, at - postM / 2, at + postM / 2, 0, h);
    }
    for (const share of [0.3, 0.62, 0.94])
      build.box(-x * 0.4, x * 0.4, -y, y, Math.max(0, share * h - 0.05), Math.min(h, share * h + 0.04));
  },
  water(build: MeshBuilder, { x, y, h }: Box) {
    build.box(-x, x, -y, y, 0, h);
  },
  road(build: MeshBuilder, { x, y, h }: Box) {
    build.box(-x, x, -y, y, 0, h * 0.9);
    // Lines at both sides, and a broken one in the middle: 3 m and 3 m apart.
    build.tone = 1.9;
    const wide = Math.min(0.06, x * 0.1);
    const line = (at: number, from: number, to: number) =>
      build.box(at - wide, at + wide, Math.max(-y, from), Math.min(y, to), h * 0.9, h);
    for (const at of [-0.94 * x, 0.94 * x]) line(at, -y, y);
    for (let from = -y; from < y && from < -y + 1200; from += 6) line(0, from + 1.5, from + 4.5);
    build.tone = 1;
  },
  rock(build: MeshBuilder, { x, y, h }: Box) {
    const row = (share: number, wide: number) => ring(share * h, wide * x, wide * y);
    build.turned([row(0, 0.86), row(0.3, 1), row(0.66, 0.8), row(0.92, 0.42), row(1, 0.2)], 7);
  },
  bush(build: MeshBuilder, { x, y, h }: Box) {
    const row = (share: number, wide: number) => ring(share * h, wide * x, wide * y);
    build.turned([row(0, 0.55), row(0.25, 0.94), row(0.5, 1), row(0.8, 0.7), row(1, 0)], 9);
  },
  platform(build: MeshBuilder, { x, y, h }: Box) {
    const thickM = Math.min(0.15, h);
    build.box(-x, x, -y, y, h - thickM, h);
    const legM = Math.min(0.08, x / 2, y / 2);
    for (const [sx, sy] of [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ]) {
      const [cx, cy] = [sx * (x - legM), sy * (y - legM)];
      build.box(cx - legM, cx + legM, cy - legM, cy + legM, 0, h - thickM);
    }
  },
};

/** The ground as two triangles between four crossings, with skirts down to its base. */
export function terrainSolid(build: MeshBuilder, { columns, levels, lengthM, depthM, heightM }: Terrain): void {
  const rows = levels.length / columns;
  const at = (i: number, j: number): Point => [
    (i / (columns - 1) - 0.5) * depthM,
    (j / (rows - 1) - 0.5) * lengthM,
    levels[j * columns + i] * heightM,
  ];
  for (let j = 0; j + 1 < rows; j += 1)
    for (let i = 0; i + 1 < columns; i += 1) {
      build.face(at(i, j), at(i + 1, j), at(i, j + 1));
      build.face(at(i + 1, j + 1), at(i, j + 1), at(i + 1, j));
    }
  const skirt = (a: Point, b: Point) => {
    // A corner at the base is one point, not two.
    if (b[2] > 0) build.face([a[0], a[1], 0], [b[0], b[1], 0], b, ...(a[2] > 0 ? [a] : []));
    else if (a[2] > 0) build.face([a[0], a[1], 0], b, a);
  };
  for (let i = 0; i + 1 < columns; i += 1) {
    skirt(at(i, 0), at(i + 1, 0));
    skirt(at(i + 1, rows - 1), at(i, rows - 1));
  }
  for (let j = 0; j + 1 < rows; j += 1) {
    skirt(at(columns - 1, j), at(columns - 1, j + 1));
    skirt(at(0, j + 1), at(0, j));
  }
  const [x, y] = [depthM / 2, lengthM / 2];
  build.face([-x, -y, 0], [-x, y, 0], [x, y, 0], [x, -y, 0]);
}
