import type { Point3 } from '../site';

const RAD = Math.PI / 180;

/**
 * Where the camera travels: a place for every share s in 0..1 of the move and every moment t (s). Tracks that go with a
 * subject read t; the others do not. Metres.
 */
export interface Track {
  /** Writes x, y, z into `out` from `offset` on. */
  write(s: number, tS: number, out: Float64Array, offset?: number): void;
}

const mix = (a: number, b: number, s: number): number => a + (b - a) * s;

/**
 * A straight run from one point to another; `reached` bends the pace along it (share of the way at share s of the
 * move).
 */
export function line(from: Point3, to: Point3, reached: (s: number) => number = (s) => s): Track {
  return {
    write(s, _tS, out, offset = 0) {
      const way = reached(s);
      out[offset] = mix(from.xM, to.xM, way);
      out[offset + 1] = mix(from.yM, to.yM, way);
      out[offset + 2] = mix(from.zM, to.zM, way);
    },
  };
}

/**
 * A ring about a point that may grow, rise and slip sideways: bearing, radius, height and slip all go evenly with s.
 * Sweep is clockwise seen from above when positive.
 */
export function ring(
  pivot: Point3,
  run: {
    startBearingDeg: number;
    sweepDeg: number;
    fromRadiusM: number;
    toRadiusM: number;
    fromHeightM: number;
    toHeightM: number;
    slip?: { xM: number; yM: number };
  },
): Track {
  return {
    write(s, _tS, out, offset = 0) {
      const bearing = (run.startBearingDeg + run.sweepDeg * s) * RAD;
      const radiusM = mix(run.fromRadiusM, run.toRadiusM, s);
      out[offset] = pivot.xM + radiusM * Math.sin(bearing) + (run.slip?.xM ?? 0) * s;
      out[offset + 1] = pivot.yM + radiusM * Math.cos(bearing) + (run.slip?.yM ?? 0) * s;
      out[offset + 2] = pivot.zM + mix(run.fromHeightM, run.toHeightM, s);
    },
  };
}

/** A point that never moves. */
export function spot(at: Point3): Track {
  return line(at, at);
}

const TABLE_STEPS = 96;

/**
 * Any curve, travelled evenly: `place` gives the point for its own parameter u in 0..1, which is turned into the share
 * of the length by a table that is interpolated with cubic Hermite pieces (slopes du/ds = length / |place′|), so that
 * the speed has no steps. A curve of no length stands at its start.
 */
export function evenly(place: (u: number, out: Float64Array, offset: number) => void): Track {
  const points = new Float64Array((TABLE_STEPS + 1) * 3);
  const lengths = new Float64Array(TABLE_STEPS + 1);
  const fine = 8;
  const here = new Float64Array(6);
  for (let i = 0; i <= TABLE_STEPS; i += 1) {
    place(i / TABLE_STEPS, points, i * 3);
    if (i === 0) continue;
    let lengthM = 0;
    here.set(points.subarray(i * 3 - 3, i * 3), 0);
    for (let k = 1; k <= fine; k += 1) {
      place((i - 1 + k / fine) / TABLE_STEPS, here, 3);
      lengthM += Math.hypot(here[3] - here[0], here[4] - here[1], here[5] - here[2]);
      here.copyWithin(0, 3, 6);
    }
    lengths[i] = lengths[i - 1] + lengthM;
  }
  const wholeM = lengths[TABLE_STEPS];
  const speed = (u: number): number => {
    const h = 1e-5;
    const [a, b] = [Math.max(0, u - h), Math.min(1, u + h)];
    place(a, here, 0);
    place(b, here, 3);
    return Math.hypot(here[3] - here[0], here[4] - here[1], here[5] - here[2]) / (b - a);
  };
  const slopes = Float64Array.from(
    { length: TABLE_STEPS + 1 },
    (_, i) => wholeM / Math.max(speed(i / TABLE_STEPS), wholeM * 1e-3),
  );
  return {
    write(s, _tS, out, offset = 0) {
      if (!(wholeM > 1e-12)) {
        place(0, out, offset);
        return;
      }
      const wantedM = Math.min(1, Math.max(0, s)) * wholeM;
      let low = 0;
      let high = TABLE_STEPS;
      while (high - low > 1) {
        const middle = (low + high) >> 1;
        if (lengths[middle] <= wantedM) low = middle;
        else high = middle;
      }
      const gap = (lengths[high] - lengths[low]) / wholeM;
      const x = gap > 0 ? (wantedM - lengths[low]) / wholeM / gap : 0;
      const [u0, u1] = [low / TABLE_STEPS, high / TABLE_STEPS];
      const [m0, m1] = [Math.min(slopes[low] * gap, 3 * (u1 - u0)), Math.min(slopes[high] * gap, 3 * (u1 - u0))];
      const x2 = x * x;
      const x3 = x2 * x;
      place((2 * x3 - 3 * x2 + 1) * u0 + (x3 - 2 * x2 + x) * m0 + (3 * x2 - 2 * x3) * u1 + (x3 - x2) * m1, out, offset);
    },
  };
}
