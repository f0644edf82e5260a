/** A point as x, y, z in metres. */
export type Point = readonly [number, number, number];

/** How far a path leaves the shape that fits it best, m, and at which of its points. */
export interface Misfit {
  value: number;
  index: number;
}

/**
 * Rounds of Lawson's algorithm: weights grow where the misfit is, until the largest is as small as it can be (C. L.
 * Lawson 1961, from memory).
 */
const ROUNDS = 10;
const STEPS = 8;
/** Directions square to the path in which the centre is looked for first. */
const STARTS = 8;

const middleOf = (points: readonly Point[]): Point => {
  const sum = points.reduce<[number, number, number]>((a, p) => [a[0] + p[0], a[1] + p[1], a[2] + p[2]], [0, 0, 0]);
  return [sum[0] / points.length, sum[1] / points.length, sum[2] / points.length];
};

/** Largest of the misfits and where. */
function worstOf(points: readonly Point[], misfit: (point: Point) => number): Misfit {
  let worst = { value: 0, index: 0 };
  points.forEach((point, index) => {
    const value = misfit(point);
    if (value > worst.value) worst = { value, index };
  });
  return worst;
}

/**
 * The two points of a path that lie farthest apart, near enough: the farthest from the first, and the farthest from
 * that.
 */
function chordOf(points: readonly Point[]): [Point, Point] {
  const farthest = (from: Point) =>
    points[worstOf(points, (p) => Math.hypot(p[0] - from[0], p[1] - from[1], p[2] - from[2])).index];
  const a = farthest(points[0]);
  return [a, farthest(a)];
}

/**
 * First guesses of a centre: off the middle of the chord by as much as the radius asks, in directions square to it.
 * Null where the chord is longer than the sphere is wide: then nothing fits.
 */
function firstCentres(points: readonly Point[], radiusM: number, starts: number): Point[] | null {
  const [a, b] = chordOf(points);
  const d: Point = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
  const long = Math.hypot(...d);
  if (long > 2 * radiusM) return null;
  const away = Math.sqrt(Math.max(0, radiusM ** 2 - (long / 2) ** 2));
  // Two directions square to the chord and to each other; a path that hardly moves has any.
  const along: Point = long > 1e-9 ? [d[0] / long, d[1] / long, d[2] / long] : [1, 0, 0];
  const seed: Point = Math.abs(along[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0];
  const e = cross(along, seed);
  const size = Math.hypot(...e);
  const first: Point = [e[0] / size, e[1] / size, e[2] / size];
  const second = cross(along, first);
  const middle = middleOf([a, b]);
  return Array.from({ length: starts }, (_, k) => {
    const angle = (2 * Math.PI * k) / starts;
    const at = (axis: 0 | 1 | 2) =>
      middle[axis] + away * (Math.cos(angle) * first[axis] + Math.sin(angle) * second[axis]);
    return [at(0), at(1), at(2)];
  });
}

const cross = (a: Point, b: Point): Point => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

/** Half of what a path is too long for a sphere is the least by which it leaves it, at one of its ends. */
function tooLong(points: readonly Point[], radiusM: number): Misfit {
  const [a, b] = chordOf(points);
  return { value: (Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2]) - 2 * radiusM) / 2, index: points.indexOf(b) };
}

/**
 * The sphere of a given radius, with its centre no lower than `leastZM` and no higher than `mostZM`, that a path leaves
 * least. Gauss-Newton on weighted distances from several first guesses; the weights make the largest misfit least.
 * Where the path is longer than the sphere is wide: at least by how much.
 */
export function sphereMisfit(points: readonly Point[], radiusM: number, leastZM: number, mostZM: number): Misfit {
  const starts = firstCentres(points, radiusM, STARTS);
  if (!starts) return tooLong(points, radiusM);
  let best: Misfit = { value: Infinity, index: 0 };
  for (const start of starts) {
    const found = fitted(points, radiusM, clampZ(start, leastZM, mostZM), (centre) => clampZ(centre, leastZM, mostZM));
    if (found.value < best.value) best = found;
    if (best.value < 1e-4) break;
  }
  return best;
}

/** From a first guess of the centre to the least largest misfit. */
function fitted(points: readonly Point[], radiusM: number, start: Point, within: (centre: Point) => Point): Misfit {
  let centre = start;
  let best: Misfit = { value: Infinity, index: 0 };
  const weights = new Float64Array(points.length).fill(1);
  const misfit = (p: Point) => Math.abs(Math.hypot(p[0] - centre[0], p[1] - centre[1], p[2] - centre[2]) - radiusM);
  for (let round = 0; round < ROUNDS; round += 1) {
    for (let step = 0; step < (round === 0 ? STEPS : 2); step += 1)
      centre = within(stepSphere(points, weights, radiusM, centre));
    const now = worstOf(points, misfit);
    if (now.value < best.value) best = now;
    if (now.value > 3 * best.value || now.value < 1e-6) break;
    points.forEach((p, i) => (weights[i] *= misfit(p) / now.value + 1e-3));
  }
  return best;
}

const clampZ = ([x, y, z]: Point, least: number, most: number): Point => [x, y, Math.min(most, Math.max(least, z))];

function stepSphere(points: readonly Point[], weights: Float64Array, radiusM: number, [cx, cy, cz]: Point): Point {
  // Normal equations JᵀWJ d = JᵀW r, lightly damped.
  const a = [1e-9, 0, 0, 1e-9, 0, 1e-9];
  const b = [0, 0, 0];
  points.forEach(([x, y, z], i) => {
    const [dx, dy, dz] = [x - cx, y - cy, z - cz];
    const long = Math.hypot(dx, dy, dz) || 1e-9;
    const [ux, uy, uz] = [dx / long, dy / long, dz / long];
    const w = weights[i];
    const r = long - radiusM;
    a[0] += w * ux * ux;
    a[1] += w * ux * uy;
    a[2] += w * ux * uz;
    a[3] += w * uy * uy;
    a[4] += w * uy * uz;
    a[5] += w * uz * uz;
    b[0] += w * ux * r;
    b[1] += w * uy * r;
    b[2] += w * uz * r;
  });
  const damp = 1e-3 * (a[0] + a[3] + a[5]);
  const d = solve3([a[0] + damp, a[1], a[2], a[3] + damp, a[4], a[5] + damp], b);
  return [cx + d[0], cy + d[1], cz + d[2]];
}

/** Solves a symmetric 3 × 3 system by Cramer's rule. */
function solve3([a, b, c, d, e, f]: readonly number[], [x, y, z]: readonly number[]): Point {
  const det = a * (d * f - e * e) - b * (b * f - c * e) + c * (b * e - c * d) || 1e-30;
  return [
    (x * (d * f - e * e) - b * (y * f - z * e) + c * (y * e - z * d)) / det,
    (a * (y * f - z * e) - x * (b * f - c * e) + c * (b * z - c * y)) / det,
    (a * (d * z - e * y) - b * (b * z - c * y) + x * (b * e - c * d)) / det,
  ];
}

/**
 * The ring of a given radius in a level plane, or in the upright plane that the path lies in most nearly, that a path
 * leaves least.
 */
export function ringMisfit(points: readonly Point[], radiusM: number, plane: 'level' | 'upright'): Misfit {
  const turn = plane === 'level' ? null : mainBearing(points);
  // Across the plane last.
  const flat = points.map(([x, y, z]): Point =>
    turn === null ? [x, y, z] : [x * Math.cos(turn) + y * Math.sin(turn), z, -x * Math.sin(turn) + y * Math.cos(turn)],
  );
  const across = flat.map((p) => p[2]);
  const level = (Math.min(...across) + Math.max(...across)) / 2;
  const inPlane = flat.map((p): Point => [p[0], p[1], 0]);
  const starts = firstCentres(inPlane, radiusM, 4);
  if (!starts) return tooLong(points, radiusM);
  const keep = ([x, y]: Point): Point => [x, y, 0];
  let best: Misfit = { value: Infinity, index: 0 };
  for (const start of starts) {
    const { value, index } = fitted(inPlane, radiusM, keep(start), keep);
    const off = worstOf(flat, (p) => Math.abs(p[2] - level));
    const found =
      Math.hypot(value, off.value) < best.value
        ? { value: Math.hypot(value, off.value), index: value > off.value ? index : off.index }
        : best;
    best = found;
    if (best.value < 1e-4) break;
  }
  return best;
}

/**
 * The bearing on the ground, radians from x to y, along which points spread most (principal axis of their covariance).
 */
function mainBearing(points: readonly Point[]): number {
  const [mx, my] = middleOf(points);
  const sum = points.reduce(
    (a, [x, y]) => [a[0] + (x - mx) ** 2, a[1] + (y - my) ** 2, a[2] + (x - mx) * (y - my)],
    [0, 0, 0],
  );
  return Math.atan2(2 * sum[2], sum[0] - sum[1]) / 2;
}

/**
 * Radius of the smallest ball about a path, to about half a per cent, and the point of the path farthest from its
 * middle (Bădoiu & Clarkson 2003, from memory).
 */
export function ballAbout(points: readonly Point[]): Misfit {
  let centre: Point = points[0];
  const away = (p: Point) => Math.hypot(p[0] - centre[0], p[1] - centre[1], p[2] - centre[2]);
  for (let k = 1; k <= 200; k += 1) {
    const { index } = worstOf(points, away);
    const far = points[index];
    centre = [
      centre[0] + (far[0] - centre[0]) / (k + 1),
      centre[1] + (far[1] - centre[1]) / (k + 1),
      centre[2] + (far[2] - centre[2]) / (k + 1),
    ];
  }
  return worstOf(points, away);
}

/** Farthest that a path leaves the straight line through its two most distant points. */
export function lineMisfit(points: readonly Point[]): Misfit {
  const away = (p: Point, q: Point) => Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]);
  const a = points[worstOf(points, (p) => away(p, points[0])).index];
  const b = points[worstOf(points, (p) => away(p, a)).index];
  const chord = away(a, b);
  return worstOf(points, (p) => {
    const along =
      chord > 1e-9
        ? ((p[0] - a[0]) * (b[0] - a[0]) + (p[1] - a[1]) * (b[1] - a[1]) + (p[2] - a[2]) * (b[2] - a[2])) / chord
        : 0;
    return Math.sqrt(Math.max(0, away(p, a) ** 2 - along ** 2));
  });
}
