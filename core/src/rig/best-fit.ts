/** A point as x, y, z in metres. */
export type Point = readonly [number, number, number];

/** How far a path leaves the shape that fits it best, m, and at which of its points. */
export interface Misfit {
  value: number;
  index: number;
}

/** Rounds of Lawson's algorithm: weights grow where the misfit is, until the largest is as small as it can be (C. L. Lawson 1961, from memory). */
const ROUNDS = 14;
const STEPS = 12;
/** Directions from the middle of the path in which the centre is looked for first. */
const DIRECTIONS: Point[] = [-1, 0, 1].flatMap((x) => [-1, 0, 1].flatMap((y) => [-1, 0, 1].map((z): Point => [x, y, z]))).filter((d) => d.some((v) => v !== 0));

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
 * The sphere of a given radius, with its centre no lower than `leastZM` and no higher than `mostZM`, that a path leaves least.
 * Gauss-Newton on weighted distances from many first guesses; the weights make the largest misfit least.
 */
export function sphereMisfit(points: readonly Point[], radiusM: number, leastZM: number, mostZM: number): Misfit {
  const middle = middleOf(points);
  let best: Misfit = { value: Infinity, index: 0 };
  for (const d of DIRECTIONS) {
    const long = Math.hypot(...d);
    let centre: Point = [middle[0] + (d[0] / long) * radiusM, middle[1] + (d[1] / long) * radiusM, middle[2] + (d[2] / long) * radiusM];
    const weights = new Float64Array(points.length).fill(1);
    for (let round = 0; round < ROUNDS; round += 1) {
      for (let step = 0; step < (round === 0 ? STEPS : 3); step += 1) centre = clampZ(stepSphere(points, weights, radiusM, centre), leastZM, mostZM);
      const now = worstOf(points, (p) => Math.abs(Math.hypot(p[0] - centre[0], p[1] - centre[1], p[2] - centre[2]) - radiusM));
      if (now.value < best.value) best = now;
      if (now.value > 3 * best.value || now.value < 1e-6) break;
      points.forEach((p, i) => (weights[i] *= Math.abs(Math.hypot(p[0] - centre[0], p[1] - centre[1], p[2] - centre[2]) - radiusM) / now.value + 1e-3));
    }
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
    a[5] += w * uz * uz; // prettier-ignore
    b[0] += w * ux * r;
    b[1] += w * uy * r;
    b[2] += w * uz * r; // prettier-ignore
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

/** The ring of a given radius in a level plane, or in the upright plane that suits best, that a path leaves least. */
export function ringMisfit(points: readonly Point[], radiusM: number, plane: 'level' | 'upright'): Misfit {
  const turns = plane === 'level' ? [null] : Array.from({ length: 36 }, (_, k) => (k * Math.PI) / 36);
  let best: Misfit = { value: Infinity, index: 0 };
  for (const turn of turns) {
    // Across the plane last.
    const flat = points.map(([x, y, z]): Point => (turn === null ? [x, y, z] : [x * Math.cos(turn) + y * Math.sin(turn), z, -x * Math.sin(turn) + y * Math.cos(turn)]));
    const across = flat.map((p) => p[2]);
    const level = (Math.min(...across) + Math.max(...across)) / 2;
    if (Math.max(...across) - level >= best.value) continue;
    const inPlane = flat.map((p): Point => [p[0], p[1], 0]);
    const fitted = circleCentre(inPlane, radiusM);
    const now = worstOf(flat, (p) => Math.hypot(Math.hypot(p[0] - fitted[0], p[1] - fitted[1]) - radiusM, p[2] - level));
    if (now.value < best.value) best = now;
  }
  return best;
}

/** Middle of the circle of a given radius that points of a plane leave least. */
function circleCentre(points: readonly Point[], radiusM: number): Point {
  const middle = middleOf(points);
  let best: { value: number; centre: Point } = { value: Infinity, centre: middle };
  for (let k = 0; k < 8; k += 1) {
    const angle = (k * Math.PI) / 4;
    let centre: Point = [middle[0] + radiusM * Math.cos(angle), middle[1] + radiusM * Math.sin(angle), 0];
    const weights = new Float64Array(points.length).fill(1);
    for (let round = 0; round < ROUNDS; round += 1) {
      for (let step = 0; step < (round === 0 ? STEPS : 3); step += 1) centre = stepSphere(points, weights, radiusM, centre);
      const { value } = worstOf(points, (p) => Math.abs(Math.hypot(p[0] - centre[0], p[1] - centre[1]) - radiusM));
      if (value < best.value) best = { value, centre };
      if (value > 3 * best.value || value < 1e-6) break;
      points.forEach((p, i) => (weights[i] *= Math.abs(Math.hypot(p[0] - centre[0], p[1] - centre[1]) - radiusM) / value + 1e-3));
    }
  }
  return best.centre;
}

/** Radius of the smallest ball about a path, to about half a per cent, and the point of the path farthest from its middle (Bădoiu & Clarkson 2003, from memory). */
export function ballAbout(points: readonly Point[]): Misfit {
  let centre: Point = points[0];
  const away = (p: Point) => Math.hypot(p[0] - centre[0], p[1] - centre[1], p[2] - centre[2]);
  for (let k = 1; k <= 200; k += 1) {
    const { index } = worstOf(points, away);
    const far = points[index];
    centre = [centre[0] + (far[0] - centre[0]) / (k + 1), centre[1] + (far[1] - centre[1]) / (k + 1), centre[2] + (far[2] - centre[2]) / (k + 1)];
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
    const along = chord > 1e-9 ? ((p[0] - a[0]) * (b[0] - a[0]) + (p[1] - a[1]) * (b[1] - a[1]) + (p[2] - a[2]) * (b[2] - a[2])) / chord : 0;
    return Math.sqrt(Math.max(0, away(p, a) ** 2 - along ** 2));
  });
}
