/**
 * A closed surface for drawing and export: triangles with flat normals, in the piece's own frame (x across to the
 * right, y along the heading, z up), metres.
 */
export interface Solid {
  /** xyz of every corner of every triangle. */
  positions: Float32Array;
  /** xyz of the normal at every corner. */
  normals: Float32Array;
  /** How light every corner is beside the colour of the piece: 1 as it is, less darker, more lighter. */
  tones: Float32Array;
}

export type Point = readonly [number, number, number];

/** A level ring about a middle: how high, how wide across and along; the middle is x, y. */
export interface Ring {
  zM: number;
  acrossM: number;
  alongM: number;
  xM?: number;
  yM?: number;
}

export const ring = (zM: number, acrossM: number, alongM: number): Ring => ({ zM, acrossM, alongM });

/** The usual tones of things: rubber, glass, iron, a face and what shines. */
export const TONE = { rubber: 0.34, glass: 0.55, iron: 0.7, plain: 1, face: 1.5, bright: 1.7 };

/** Puts solids together out of closed convex bodies. */
export class MeshBuilder {
  private readonly corners: number[] = [];
  private readonly directions: number[] = [];
  private readonly lightness: number[] = [];
  /** Of the faces that follow. */
  tone = TONE.plain;
  /** Where the points that follow come to lie: a rotation and a move, no mirror. */
  place: (point: Point) => Point = (point) => point;

  /** `coarse`: what is round has half of its sides, at least four, as is enough from afar. */
  constructor(private readonly coarse = false) {}

  private sides(fine: number): number {
    return this.coarse ? Math.max(4, Math.round(fine / 2)) : fine;
  }

  /** A flat convex face, corners counter-clockwise seen from outside. */
  face(...given: Point[]): void {
    const points = given.map(this.place);
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
        this.lightness.push(this.tone);
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

  /** A convex outline in the plane of y and z, counter-clockwise seen from the right (+x), from x0 to x1. */
  prism(outline: readonly (readonly [number, number])[], x0: number, x1: number): void {
    const at = (x: number) => outline.map(([y, z]): Point => [x, y, z]);
    this.face(...at(x1));
    this.face(...at(x0).reverse());
    for (let i = 0; i < outline.length; i += 1) {
      const [a, b] = [outline[i], outline[(i + 1) % outline.length]];
      this.face([x0, a[0], a[1]], [x0, b[0], b[1]], [x1, b[0], b[1]], [x1, a[0], a[1]]);
    }
  }

  /** A turned body: rings of half-widths (across, along) at heights, closed at both ends. */
  turned(rings: readonly Ring[], fineSides: number): void {
    const sides = this.sides(fineSides);
    const at = (row: Ring, k: number): Point => {
      const angle = (k / sides) * 2 * Math.PI;
      return [(row.xM ?? 0) + row.acrossM * Math.cos(angle), (row.yM ?? 0) + row.alongM * Math.sin(angle), row.zM];
    };
    for (let i = 0; i + 1 < rings.length; i += 1)
      for (let k = 0; k < sides; k += 1) {
        const [a, b] = [rings[i], rings[i + 1]];
        if (a.acrossM < 1e-9) this.face(at(b, k + 1), at(b, k), at(a, k));
        else if (b.acrossM < 1e-9) this.face(at(a, k), at(a, k + 1), at(b, k));
        else this.face(at(a, k), at(a, k + 1), at(b, k + 1), at(b, k));
      }
    const [first, last] = [rings[0], rings[rings.length - 1]];
    if (first.acrossM > 1e-9) this.face(...Array.from({ length: sides }, (_, k) => at(first, sides - k)));
    if (last.acrossM > 1e-9) this.face(...Array.from({ length: sides }, (_, k) => at(last, k)));
  }

  /** An egg about a middle with half-widths across, along and up. */
  egg([x, y, z]: Point, acrossM: number, alongM: number, upM: number, sides = 9): void {
    const level = (share: number): Ring => {
      const wide = Math.sqrt(1 - share * share);
      return { zM: z + share * upM, acrossM: wide * acrossM, alongM: wide * alongM, xM: x, yM: y };
    };
    this.turned((this.coarse ? [-1, -0.5, 0.5, 1] : [-1, -0.75, -0.25, 0.3, 0.75, 1]).map(level), sides);
  }

  /** A round limb from one point to another, as thick as two radii. */
  limb(a: Point, b: Point, fromM: number, toM: number, fineSides = 7): void {
    const sides = this.sides(fineSides);
    const d = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
    const length = Math.hypot(d[0], d[1], d[2]);
    if (length < 1e-9) return;
    const [x, y, z] = d.map((value) => value / length);
    // Any direction square to the limb will do; the axis it leans on least is farthest from it.
    const away: Point = Math.abs(x) < 0.8 ? [1, 0, 0] : [0, 1, 0];
    const dot = away[0] * x + away[1] * y + away[2] * z;
    const raw = [away[0] - dot * x, away[1] - dot * y, away[2] - dot * z];
    const size = Math.hypot(raw[0], raw[1], raw[2]);
    const u = raw.map((value) => value / size);
    const v = [y * u[2] - z * u[1], z * u[0] - x * u[2], x * u[1] - y * u[0]];
    const at = (middle: Point, radiusM: number, k: number): Point => {
      const [cos, sin] = [Math.cos((k / sides) * 2 * Math.PI), Math.sin((k / sides) * 2 * Math.PI)];
      const out = (axis: number) => middle[axis] + radiusM * (cos * u[axis] + sin * v[axis]);
      return [out(0), out(1), out(2)];
    };
    for (let k = 0; k < sides; k += 1)
      this.face(at(a, fromM, k), at(a, fromM, k + 1), at(b, toM, k + 1), at(b, toM, k));
    this.face(...Array.from({ length: sides }, (_, k) => at(a, fromM, sides - k)));
    this.face(...Array.from({ length: sides }, (_, k) => at(b, toM, k)));
  }

  /** A wheel on an axle across: tyre, and a bar over the hub that shows how far it has turned (share of a turn). */
  wheel([x, y, z]: Point, radiusM: number, widthM: number, turned: number, open = false): void {
    const sides = this.sides(14);
    const tone = this.tone;
    const on = (share: number, k: number, side: number): Point => {
      const angle = (k / sides) * 2 * Math.PI;
      return [x + (side * widthM) / 2, y + share * radiusM * Math.cos(angle), z + share * radiusM * Math.sin(angle)];
    };
    this.tone = TONE.rubber;
    const inner = open ? 0.86 : 0;
    for (let k = 0; k < sides; k += 1) {
      this.face(on(1, k, -1), on(1, k + 1, -1), on(1, k + 1, 1), on(1, k, 1));
      if (!open) continue;
      this.face(on(inner, k, 1), on(inner, k + 1, 1), on(inner, k + 1, -1), on(inner, k, -1));
      this.face(on(1, k, 1), on(1, k + 1, 1), on(inner, k + 1, 1), on(inner, k, 1));
      this.face(on(inner, k, -1), on(inner, k + 1, -1), on(1, k + 1, -1), on(1, k, -1));
    }
    if (!open) {
      this.face(...Array.from({ length: sides }, (_, k) => on(1, k, 1)));
      this.face(...Array.from({ length: sides }, (_, k) => on(1, sides - k, -1)));
    }
    this.tone = TONE.bright;
    const bars = open ? 3 : 2;
    for (let k = 0; k < bars; k += 1) {
      const angle = (turned + k / (2 * bars)) * 2 * Math.PI;
      const reach = radiusM * (open ? 0.9 : 0.62);
      const [dy, dz] = [reach * Math.sin(angle), reach * Math.cos(angle)];
      const thin = open ? widthM * 0.12 : widthM * 0.54;
      const wide = radiusM * (open ? 0.02 : 0.1);
      const [sy, sz] = [(wide * dz) / reach, (-wide * dy) / reach];
      this.prismAt(x, thin, [
        [y - dy - sy, z - dz - sz],
        [y + dy - sy, z + dz - sz],
        [y + dy + sy, z + dz + sz],
        [y - dy + sy, z - dz + sz],
      ]);
    }
    this.tone = tone;
  }

  private prismAt(x: number, halfM: number, outline: (readonly [number, number])[]): void {
    let twice = 0;
    outline.forEach(([y, z], i) => {
      const next = outline[(i + 1) % outline.length];
      twice += y * next[1] - next[0] * z;
    });
    this.prism(twice > 0 ? outline : [...outline].reverse(), x - halfM, x + halfM);
  }

  /** Stretched in height so that it stands on the ground and is as high as it is said to be. */
  standing(heightM: number): void {
    const { corners } = this;
    let [low, high] = [Infinity, -Infinity];
    for (let i = 2; i < corners.length; i += 3) {
      low = Math.min(low, corners[i]);
      high = Math.max(high, corners[i]);
    }
    const share = heightM / (high - low);
    for (let i = 2; i < corners.length; i += 3) corners[i] = (corners[i] - low) * share;
  }

  done(): Solid {
    return {
      positions: Float32Array.from(this.corners),
      normals: Float32Array.from(this.directions),
      tones: Float32Array.from(this.lightness),
    };
  }
}
