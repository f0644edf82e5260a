import type { Piece } from '../model';

/**
 * A closed surface for drawing and export: triangles with flat normals, in the piece's own frame (x across to the
 * right, y along the heading, z up), metres.
 */
export interface Solid {
  /** xyz of every corner of every triangle. */
  positions: Float32Array;
  /** xyz of the normal at every corner. */
  normals: Float32Array;
}

type Point = [number, number, number];

class Builder {
  private readonly corners: number[] = [];
  private readonly directions: number[] = [];

  /** A flat convex face, corners counter-clockwise seen from outside. */
  face(...points: Point[]): void {
    const [a, b, c] = points;
    const u = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
    const v = [c[0] - a[0], c[1] - a[1], c[2] - a[2]];
    const n = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
    const size = Math.hypot(n[0], n[1], n[2]);
    if (size === 0) return;
    for (let i = 1; i + 1 < points.length; i += 1)
      for (const p of [points[0], points[i], points[i + 1]]) {
        this.corners.push(...p);
        this.directions.push(n[0] / size, n[1] / size, n[2] / size);
      }
  }

  box(x0: number, x1: number, y0: number, y1: number, z0: number, z1: number): void {
    if (x1 - x0 <= 1e-9 || y1 - y0 <= 1e-9 || z1 - z0 <= 1e-9) return;
    this.face([x0, y0, z0], [x0, y1, z0], [x1, y1, z0], [x1, y0, z0]);
    this.face([x0, y0, z1], [x1, y0, z1], [x1, y1, z1], [x0, y1, z1]);
    this.face([x0, y0, z0], [x1, y0, z0], [x1, y0, z1], [x0, y0, z1]);
    this.face([x1, y0, z0], [x1, y1, z0], [x1, y1, z1], [x1, y0, z1]);
    this.face([x1, y1, z0], [x0, y1, z0], [x0, y1, z1], [x1, y1, z1]);
    this.face([x0, y1, z0], [x0, y0, z0], [x0, y0, z1], [x0, y1, z1]);
  }

  /** A turned body: rings of half-widths (across, along) at heights, closed at both ends. */
  turned(rings: readonly { zM: number; acrossM: number; alongM: number; xM?: number }[], sides: number): void {
    const at = (ring: (typeof rings)[number], k: number): Point => {
      const angle = (k / sides) * 2 * Math.PI;
      return [(ring.xM ?? 0) + ring.acrossM * Math.cos(angle), ring.alongM * Math.sin(angle), ring.zM];
    };
    for (let i = 0; i + 1 < rings.length; i += 1)
      for (let k = 0; k < sides; k += 1) {
        const [a, b] = [rings[i], rings[i + 1]];
        if (a.acrossM < 1e-9) this.face(at(b, k + 1), at(b, k), at(a, k));
        else if (b.acrossM < 1e-9) this.face(at(a, k), at(a, k + 1), at(b, k));
        else this.face(at(a, k), at(a, k + 1), at(b, k + 1), at(b, k));
      }
    const first = rings[0];
    const last = rings[rings.length - 1];
    if (first.acrossM > 1e-9) this.face(...Array.from({ length: sides }, (_, k) => at(first, sides - k)));
    if (last.acrossM > 1e-9) this.face(...Array.from({ length: sides }, (_, k) => at(last, k)));
  }

  done(): Solid {
    return { positions: Float32Array.from(this.corners), normals: Float32Array.from(this.directions) };
  }
}

/** The solid of a piece. Every kind fills its bounding size exactly, standing on z = 0. */
export function solidOf(piece: Piece): Solid {
  const build = new Builder();
  const x = piece.depthM / 2;
  const y = piece.lengthM / 2;
  const h = piece.heightM;
  switch (piece.kind) {
    case 'box':
    case 'slab':
      build.box(-x, x, -y, y, 0, h);
      break;
    case 'hedge':
      hedge(build, x, y, h);
      break;
    case 'post':
      build.turned([ring(0, x, y), ring(h, x, y)], 10);
      break;
    case 'wall':
      wall(build, piece.opening, x, y, h);
      break;
    case 'ridge':
      build.face([-x, -y, 0], [-x, y, 0], [x, y, 0], [x, -y, 0]);
      build.face([x, -y, 0], [x, y, 0], [0, y, h], [0, -y, h]);
      build.face([-x, y, 0], [-x, -y, 0], [0, -y, h], [0, y, h]);
      build.face([-x, -y, 0], [x, -y, 0], [0, -y, h]);
      build.face([x, y, 0], [-x, y, 0], [0, y, h]);
      break;
    case 'tree':
      build.turned([ring(0, x * 0.09, y * 0.09), ring(h * 0.5, x * 0.06, y * 0.06)], 7);
      build.turned(
        [
          ring(h * 0.34, 0, 0),
          ring(h * 0.46, x * 0.78, y * 0.78),
          ring(h * 0.62, x, y),
          ring(h * 0.84, x * 0.7, y * 0.7),
          ring(h, 0, 0),
        ],
        9,
      );
      break;
    case 'figure':
      figure(build, x, y, h);
      break;
  }
  return build.done();
}

const ring = (zM: number, acrossM: number, alongM: number) => ({ zM, acrossM, alongM });

/** Clipped like tea: a flat-topped loaf with sloped shoulders. */
function hedge(build: Builder, x: number, y: number, h: number): void {
  const inset = Math.min(x, y) * 0.35;
  const waist = h * 0.6;
  const low: Point[] = [
    [-x, -y, waist],
    [x, -y, waist],
    [x, y, waist],
    [-x, y, waist],
  ];
  const top: Point[] = [
    [-x + inset, -y + inset, h],
    [x - inset, -y + inset, h],
    [x - inset, y - inset, h],
    [-x + inset, y - inset, h],
  ];
  const foot = low.map(([across, along]): Point => [across, along, 0]);
  for (let i = 0; i < 4; i += 1) {
    build.face(foot[i], foot[(i + 1) % 4], low[(i + 1) % 4], low[i]);
    build.face(low[i], low[(i + 1) % 4], top[(i + 1) % 4], top[i]);
  }
  build.face(foot[3], foot[2], foot[1], foot[0]);
  build.face(...top);
}

function wall(
  build: Builder,
  opening: { offsetM: number; widthM: number; heightM: number; sillM: number },
  x: number,
  y: number,
  h: number,
): void {
  const from = Math.max(-y, opening.offsetM - opening.widthM / 2);
  const to = Math.min(y, opening.offsetM + opening.widthM / 2);
  const head = Math.min(h, opening.heightM);
  const sill = Math.min(head, opening.sillM);
  if (to <= from || head <= sill) {
    build.box(-x, x, -y, y, 0, h);
    return;
  }
  build.box(-x, x, -y, from, 0, h);
  build.box(-x, x, to, y, 0, h);
  build.box(-x, x, from, to, 0, sill);
  build.box(-x, x, from, to, head, h);
}

/** A simple standing person facing along the heading: legs, coat, arms at the sides, head, and a brimmed hat. */
function figure(build: Builder, x: number, y: number, h: number): void {
  for (const side of [-1, 1]) {
    build.turned(
      shifted(
        [ring(0, x * 0.2, y * 0.34), ring(h * 0.05, x * 0.17, y * 0.24), ring(h * 0.48, x * 0.27, y * 0.42)],
        side * x * 0.3,
      ),
      8,
    );
    build.turned(
      shifted(
        [ring(h * 0.42, x * 0.13, y * 0.2), ring(h * 0.6, x * 0.14, y * 0.22), ring(h * 0.8, x * 0.19, y * 0.3)],
        side * x * 0.74,
      ),
      8,
    );
  }
  build.turned(
    [
      ring(h * 0.42, x * 0.62, y * 0.62),
      ring(h * 0.6, x * 0.56, y * 0.54),
      ring(h * 0.78, x * 0.74, y * 0.6),
      ring(h * 0.83, x * 0.5, y * 0.44),
      ring(h * 0.85, x * 0.2, y * 0.28),
    ],
    12,
  );
  build.turned(
    [ring(h * 0.84, x * 0.17, y * 0.24), ring(h * 0.875, x * 0.27, y * 0.4), ring(h * 0.94, x * 0.3, y * 0.46)],
    10,
  );
  build.turned([ring(h * 0.93, x * 0.62, y), ring(h * 0.945, x * 0.6, y * 0.96), ring(h, x * 0.12, y * 0.2)], 14);
}

const shifted = (rings: ReturnType<typeof ring>[], xM: number) => rings.map((row) => ({ ...row, xM }));
