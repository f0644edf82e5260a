/**
 * Natural cubic spline through rows of values (each `width` numbers), so that speed and bend run on smoothly through
 * every point: continuous second derivative, zero at both ends (any numerical-analysis text). Knots stand at chordal
 * distances to the power one half (centripetal), which keeps the curve from looping between uneven points. The first
 * three values are the place in metres that the distances are taken from.
 */
export interface Spline {
  /** Writes the row at parameter u in 0..1 into `out`. */
  at(u: number, out: Float64Array, offset: number): void;
  /** Where each point stands, u in 0..1. */
  knots: Float64Array;
}

/**
 * Throws a RangeError for fewer than two points. Two points give a straight line. Points that coincide share a
 * hundredth of the mean distance.
 */
export function naturalSpline(rows: readonly (readonly number[])[], width: number): Spline {
  const count = rows.length;
  if (count < 2) throw new RangeError('A spline needs at least two points.');
  const gaps = Array.from({ length: count - 1 }, (_, i) =>
    Math.sqrt(Math.hypot(...[0, 1, 2].map((axis) => rows[i + 1][axis] - rows[i][axis]))),
  );
  const mean = gaps.reduce((sum, gap) => sum + gap, 0) / gaps.length || 1;
  const knots = new Float64Array(count);
  for (let i = 1; i < count; i += 1) knots[i] = knots[i - 1] + Math.max(gaps[i - 1], mean / 100);
  const whole = knots[count - 1];
  for (let i = 0; i < count; i += 1) knots[i] /= whole;
  const bends = Array.from({ length: width }, (_, axis) =>
    secondDerivatives(
      knots,
      rows.map((row) => row[axis]),
    ),
  );
  return {
    knots,
    at(u, out, offset) {
      let i = 0;
      while (i < count - 2 && u > knots[i + 1]) i += 1;
      const h = knots[i + 1] - knots[i];
      const b = (u - knots[i]) / h;
      const a = 1 - b;
      for (let axis = 0; axis < width; axis += 1) {
        const bend = bends[axis];
        out[offset + axis] =
          a * rows[i][axis] +
          b * rows[i + 1][axis] +
          (((a * a * a - a) * bend[i] + (b * b * b - b) * bend[i + 1]) * h * h) / 6;
      }
    },
  };
}

/** The second derivatives at the knots: a tridiagonal system, solved by elimination. */
function secondDerivatives(knots: Float64Array, values: readonly number[]): Float64Array {
  const count = values.length;
  const bend = new Float64Array(count);
  const carried = new Float64Array(count);
  for (let i = 1; i < count - 1; i += 1) {
    const [before, after] = [knots[i] - knots[i - 1], knots[i + 1] - knots[i]];
    const share = before / (before + after);
    const pivot = share * bend[i - 1] + 2;
    bend[i] = (share - 1) / pivot;
    const turn = (values[i + 1] - values[i]) / after - (values[i] - values[i - 1]) / before;
    carried[i] = ((6 * turn) / (before + after) - share * carried[i - 1]) / pivot;
  }
  bend[count - 1] = 0;
  for (let i = count - 2; i >= 0; i -= 1) bend[i] = bend[i] * bend[i + 1] + carried[i];
  bend[0] = 0;
  return bend;
}
