import { describe, expect, it } from 'vitest';
import { filmed, usual } from '../../testing/filmed';
import { MOVE_KINDS } from './index';

/** What makes each move that move, on a subject that stands and on one that walks. */
type Film = ReturnType<typeof filmed>;
const spread = (column: Float64Array) => Math.max(...column) - Math.min(...column);
const level = ({ samples }: Film) => spread(samples.zM);
const first = 0;

const CHECKS: Record<string, (film: Film, walking: boolean) => void> = {
  slide: (film) => {
    expect(level(film)).toBeLessThan(1e-9);
    straight(film);
    expect(Math.abs(film.samples.panDeg[film.last] - film.samples.panDeg[0])).toBeGreaterThan(5);
  },
  angledSlide: (film) => {
    straight(film);
    const rise = film.samples.zM[film.last] - film.samples.zM[first];
    expect(Math.atan2(rise, ground(film)) * (180 / Math.PI)).toBeCloseTo(20, 6);
    expect(film.samples.rollDeg.every((deg) => deg === 0)).toBe(true);
  },
  push: (film) => expect(film.toPivotM(film.last)).toBeLessThan(film.toPivotM(0) * 0.6),
  pull: (film) => expect(film.toPivotM(film.last)).toBeGreaterThan(film.toPivotM(0) * 1.7),
  pushRise: (film) => {
    expect(film.toPivotM(film.last)).toBeLessThan(film.toPivotM(0));
    expect(film.samples.zM[film.last] - film.samples.zM[0]).toBeCloseTo(1, 9);
  },
  scoop: (film) => {
    const { zM } = film.samples;
    const middle = film.last >> 1;
    const way = (film.toPivotM(0) - film.toPivotM(middle)) / (film.toPivotM(0) - film.toPivotM(film.last));
    const up = (zM[middle] - zM[0]) / (zM[film.last] - zM[0]);
    // Low while it goes in, up at the end.
    expect(way).toBeGreaterThan(up + 0.2);
    expect(zM[film.last]).toBeGreaterThan(zM[0]);
  },
  arc: (film) => {
    expect(film.rows((row) => Math.abs(film.toPivotM(row) - 5) < 1e-9)).toBe(true);
    expect(level(film)).toBeLessThan(1e-9);
  },
  orbit: (film) => {
    expect(film.rows((row) => Math.abs(film.toPivotM(row) - 5) < 1e-9)).toBe(true);
    expect(
      Math.hypot(film.samples.xM[film.last] - film.samples.xM[0], film.samples.yM[film.last] - film.samples.yM[0]),
    ).toBeLessThan(1e-9);
  },
  lowOrbit: (film) => {
    expect(film.rows((row) => Math.abs(film.toPivotM(row) - 5) < 1e-9)).toBe(true);
    expect(film.samples.tiltDeg.every((deg) => deg > 0)).toBe(true);
  },
  tableTopArm: (film) => {
    // Always looks at one fixed point, from one distance.
    const { samples, motion } = film;
    expect(film.rows((row) => Math.abs(film.toPivotM(row) - 0.6) < 1e-9)).toBe(true);
    const down = Math.atan2(1.3 - 0.95, 0.6) * (180 / Math.PI);
    expect(film.rows((row) => Math.abs(samples.tiltDeg[row] + down) < 1e-9)).toBe(true);
    const bearing = Math.atan2(motion.pivot.xM - samples.xM[40], motion.pivot.yM - samples.yM[40]) * (180 / Math.PI);
    expect((((samples.panDeg[40] - bearing) % 360) + 540) % 360).toBeCloseTo(180, 9);
  },
  driftingOrbit: (film, walking) => {
    // Optical axes at the start, the middle and the end do not meet in one point.
    const [a, b] = [meeting(film, 0, film.last >> 1), meeting(film, film.last >> 1, film.last)];
    expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(0.5);
    if (!walking)
      expect(
        Math.max(...film.subject.u.filter(Number.isFinite)) - Math.min(...film.subject.u.filter(Number.isFinite)),
      ).toBeGreaterThan(0.1);
  },
  spiralOverhead: (film, walking) => {
    expect(film.toPivotM(film.last)).toBeCloseTo(0.3, 9);
    if (!walking) expect(film.samples.tiltDeg[film.last]).toBeLessThan(-85);
    expect(film.samples.zM[film.last]).toBeGreaterThan(film.samples.zM[0] + 5);
  },
  helix: (film) => {
    expect(film.samples.zM[film.last]).toBeGreaterThan(film.samples.zM[0]);
    expect(film.toPivotM(film.last)).toBeGreaterThan(film.toPivotM(0) * 1.5);
    expect(Math.abs(film.samples.panDeg[film.last] - film.samples.panDeg[0])).toBeGreaterThan(150);
  },
  rise: (film) => {
    upright(film);
    expect(film.samples.zM[film.last] - film.samples.zM[0]).toBeCloseTo(1, 9);
    expect(film.samples.tiltDeg[film.last]).toBe(film.samples.tiltDeg[0]);
  },
  drop: (film, walking) => {
    upright(film);
    expect(film.samples.zM[film.last] - film.samples.zM[0]).toBeCloseTo(-1, 9);
    expect(film.subject.v[film.last]).toBeCloseTo(0, walking ? 1 : 6);
  },
  dropTiltUp: (film) => {
    upright(film);
    expect(film.samples.zM[film.last]).toBeLessThan(film.samples.zM[0]);
    expect(film.samples.tiltDeg[film.last]).toBeGreaterThan(film.samples.tiltDeg[0]);
    centred(film);
  },
  riseTiltDown: (film) => {
    upright(film);
    expect(film.samples.zM[film.last]).toBeGreaterThan(film.samples.zM[0]);
    expect(film.samples.tiltDeg[film.last]).toBeLessThan(film.samples.tiltDeg[0]);
    centred(film);
  },
  crane: (film) => {
    const { zM } = film.samples;
    expect(zM[0]).toBeCloseTo(film.motion.pivot.zM + 0.4, 9);
    expect(zM[film.last]).toBeCloseTo(film.motion.pivot.zM + 2.1, 9);
    const nearest = Math.min(...Array.from(zM, (_, row) => film.toPivotM(row)));
    expect(nearest).toBeCloseTo(4.7, 3);
    expect(film.toPivotM(film.last)).toBeCloseTo(5, 6);
  },
  jib: (film) => {
    // The camera stays on the circle of its arm.
    const { xM, yM, zM } = film.samples;
    const base = film.motion.legs[0].recipe.armStand?.(film.motion.legs[0].move, film.motion.legs[0].moveFrame);
    expect(base).toBeDefined();
    if (base)
      expect(
        film.rows((row) => Math.abs(Math.hypot(xM[row] - base.xM, yM[row] - base.yM, zM[row] - base.zM) - 2.2) < 1e-9),
      ).toBe(true);
    expect(zM[film.last]).toBeGreaterThan(zM[0] + 1);
  },
  riseOverReveal: (film) => {
    upright(film);
    expect(film.samples.zM[0]).toBeCloseTo(film.motion.pivot.zM + 0.4, 9);
    expect(film.samples.zM[film.last]).toBeGreaterThan(film.motion.pivot.zM + 1.8);
    centred(film);
  },
  slideOutReveal: (film) => {
    straight(film);
    // It ends where the person stands it, square-on to the subject.
    expect(film.toPivotM(film.last)).toBeCloseTo(5, 9);
    expect(film.toPivotM(0)).toBeGreaterThan(5.2);
  },
  enterLeave: (film, walking) => {
    expect(spread(film.samples.panDeg)).toBeLessThan(1e-9);
    expect(ground(film)).toBeLessThan(1e-9);
    if (walking) expect(spread(film.subject.u)).toBeGreaterThan(0.3);
  },
  backAwayReveal: (film, walking) => {
    // From beyond the subject, looking one way; the subject comes in from below.
    expect(spread(film.samples.tiltDeg)).toBeLessThan(1e-9);
    expect(film.samples.panDeg[film.last]).toBeCloseTo(film.samples.panDeg[0], 9);
    if (walking) return;
    expect(Number.isNaN(film.subject.v[0])).toBe(true);
    const seen = film.subject.v.findIndex((v) => v > -0.5);
    expect(seen).toBeGreaterThan(0);
    expect(film.subject.v[seen]).toBeLessThan(-0.4);
    expect(film.subject.v[film.last]).toBeCloseTo(0, 6);
  },
  tiltToHorizon: (film) => {
    expect(film.subject.v[0]).toBeCloseTo(0, 6);
    expect(film.samples.tiltDeg[film.last]).toBeCloseTo(0, 9);
    expect(film.samples.tiltDeg[film.last >> 1]).toBeLessThan(-5);
    expect(film.samples.zM[film.last]).toBeGreaterThan(film.samples.zM[0] + 3);
  },
  approachTiltDown: (film) => {
    expect(film.samples.tiltDeg[0]).toBeCloseTo(0, 9);
    expect(film.subject.v[film.last]).toBeCloseTo(0, 6);
    expect(film.samples.tiltDeg[film.last]).toBeLessThan(-15);
  },
  darkStart: (film) => {
    // The subject fills the whole frame at the start.
    expect(film.subject.topV[0] - film.subject.baseV[0]).toBeGreaterThan(1);
    expect(film.subject.halfWidth[0]).toBeGreaterThan(0.5);
    expect(film.toPivotM(film.last)).toBeCloseTo(5, 9);
  },
  darkEnd: (film, walking) => {
    expect(film.toPivotM(0)).toBeCloseTo(5, 9);
    if (!walking) expect(film.subject.halfWidth[film.last]).toBeGreaterThan(0.5);
  },
  follow: (film) => {
    expect(
      film.rows((row) => Math.abs(film.beside(row).alongM + 5) < 1e-6 && Math.abs(film.beside(row).sideM) < 1e-6),
    ).toBe(true);
    centred(film);
  },
  lead: (film) => {
    expect(film.rows((row) => Math.abs(film.beside(row).alongM - 5) < 1e-6)).toBe(true);
    centred(film);
  },
  alongside: (film) => {
    expect(
      film.rows((row) => Math.abs(film.beside(row).sideM - 5) < 1e-6 && Math.abs(film.beside(row).alongM) < 1e-6),
    ).toBe(true);
    centred(film);
  },
  holdDistance: (film) => {
    expect(film.rows((row) => Math.abs(film.toSubjectM(row) - 5) < 1e-9)).toBe(true);
    expect(Math.abs(film.subject.height[film.last] / film.subject.height[0] - 1)).toBeLessThan(1e-6);
  },
  overtake: (film) => {
    expect(film.beside(0).alongM).toBeLessThan(-2);
    expect(film.beside(film.last).alongM).toBeGreaterThan(2);
    centred(film);
  },
  carried: (film) => {
    // What it is fixed to holds still: the same way off in the subject's own frame, all the while.
    const [first, last] = [film.beside(0), film.beside(film.last)];
    expect(last.alongM).toBeCloseTo(first.alongM, 9);
    expect(last.sideM).toBeCloseTo(first.sideM, 9);
    expect(first.alongM).toBeCloseTo(0.3, 9);
  },
  overheadStill: (film) => down(film),
  overheadSlide: (film) => {
    down(film);
    expect(ground(film)).toBeCloseTo(2, 9);
  },
  overheadSpin: (film) => {
    down(film);
    expect(film.samples.panDeg[film.last] - film.samples.panDeg[0]).toBeCloseTo(90, 9);
  },
  still: (film) => {
    expect(ground(film)).toBeLessThan(1e-9);
    expect(spread(film.samples.panDeg)).toBeLessThan(1e-9);
  },
  pan: (film) => {
    expect(film.samples.panDeg[film.last] - film.samples.panDeg[0]).toBeCloseTo(30, 9);
    expect(spread(film.samples.tiltDeg)).toBeLessThan(1e-9);
    expect(Math.abs(film.subject.u[film.samples.count - 13])).toBeLessThan(0.25);
  },
  whipPan: (film) => {
    const { panDeg, captureRateHz } = film.samples;
    expect(panDeg[film.last] - panDeg[0]).toBeCloseTo(60, 9);
    const fastest = Math.max(...Array.from(panDeg.slice(1), (deg, i) => (deg - panDeg[i]) * captureRateHz));
    expect(fastest).toBeGreaterThan(200);
  },
  tilt: (film) => {
    expect(film.samples.tiltDeg[film.last] - film.samples.tiltDeg[0]).toBeCloseTo(-20, 9);
    expect(spread(film.samples.panDeg)).toBeLessThan(1e-9);
  },
  roll: (film) => {
    expect(film.samples.rollDeg[0]).toBe(0);
    expect(film.samples.rollDeg[film.last]).toBeCloseTo(30, 9);
    centred(film);
  },
  pushRoll: (film) => {
    expect(film.samples.rollDeg[0]).toBeCloseTo(25, 9);
    expect(film.samples.rollDeg[film.last]).toBeCloseTo(0, 9);
    expect(film.toPivotM(film.last)).toBeLessThan(film.toPivotM(0));
  },
  tumble: (film) => {
    expect(film.samples.rollDeg[film.last] - film.samples.rollDeg[0]).toBeCloseTo(180, 9);
    const top = Math.max(...film.samples.zM);
    expect(top - film.samples.zM[0]).toBeCloseTo(0.6, 2);
    expect(ground(film)).toBeCloseTo(1.2, 9);
  },
  groundStart: (film) => {
    expect(film.samples.tiltDeg[0]).toBeCloseTo(-75, 9);
    expect(film.subject.v[film.last]).toBeCloseTo(0, 6);
  },
  skyEnd: (film) => {
    expect(film.subject.v[0]).toBeCloseTo(0, 6);
    expect(film.samples.tiltDeg[film.last]).toBeCloseTo(60, 9);
  },
  zoom: (film) => {
    expect(film.samples.focalLengthMm[0]).toBe(35);
    expect(film.samples.focalLengthMm[film.last]).toBeCloseTo(70, 9);
    expect(ground(film)).toBeLessThan(1e-9);
  },
  dollyZoom: (film, walking) => {
    expect(film.rows((row) => Math.abs(film.subject.height[row] / film.subject.height[0] - 1) < 1e-9)).toBe(true);
    if (!walking) expect(film.samples.focalLengthMm[film.last] / film.samples.focalLengthMm[0]).toBeGreaterThan(1.5);
  },
  standingDollyZoom: (film, walking) => {
    expect(ground(film)).toBeLessThan(1e-9);
    expect(film.rows((row) => Math.abs(film.subject.height[row] / film.subject.height[0] - 1) < 1e-9)).toBe(true);
    if (walking) expect(film.samples.focalLengthMm[film.last]).toBeGreaterThan(film.samples.focalLengthMm[0] * 1.3);
  },
  rackFocus: (film, walking) => {
    const { focusDistanceM, subjectDistanceM } = film.samples;
    expect(Math.abs(focusDistanceM[0] - subjectDistanceM[0])).toBeGreaterThan(1);
    if (!walking) expect(focusDistanceM[film.last]).toBeCloseTo(subjectDistanceM[film.last], 9);
    expect(ground(film)).toBeLessThan(1e-9);
  },
  free: (film) => {
    // Runs through every point that was drawn.
    const { move } = film.motion.legs[0];
    if (move.kind !== 'free') throw new Error('not free');
    for (const point of move.points) {
      const nearest = Math.min(
        ...Array.from(film.samples.xM, (x, row) =>
          Math.hypot(
            x - film.motion.pivot.xM - point.eastM,
            film.samples.yM[row] - film.motion.pivot.yM - point.northM,
          ),
        ),
      );
      expect(nearest).toBeLessThan(0.03);
    }
  },
};

function ground({ samples, last }: Film): number {
  return Math.hypot(samples.xM[last] - samples.xM[0], samples.yM[last] - samples.yM[0]);
}

function straight(film: Film): void {
  const { xM, yM, zM } = film.samples;
  const d = [xM[film.last] - xM[0], yM[film.last] - yM[0], zM[film.last] - zM[0]];
  const size = Math.hypot(...d);
  expect(size).toBeGreaterThan(0.5);
  expect(
    film.rows((row) => {
      const a = [xM[row] - xM[0], yM[row] - yM[0], zM[row] - zM[0]];
      const along = (a[0] * d[0] + a[1] * d[1] + a[2] * d[2]) / size;
      return Math.hypot(...a) ** 2 - along ** 2 < 1e-12;
    }),
  ).toBe(true);
}

function upright(film: Film): void {
  expect(
    film.rows(
      (row) =>
        Math.abs(film.samples.xM[row] - film.samples.xM[0]) + Math.abs(film.samples.yM[row] - film.samples.yM[0]) <
        1e-9,
    ),
  ).toBe(true);
}

function centred(film: Film): void {
  expect(film.rows((row) => Math.abs(film.subject.u[row]) < 1e-6 && Math.abs(film.subject.v[row]) < 1e-6)).toBe(true);
}

function down(film: Film): void {
  expect(film.samples.tiltDeg.every((deg) => deg === -90)).toBe(true);
  expect(film.samples.zM[0] - film.motion.pivot.zM).toBeGreaterThanOrEqual(4);
}

/** Where the optical axes of two rows cross on the ground. */
function meeting({ samples }: Film, a: number, b: number): { x: number; y: number } {
  const [pa, pb] = [(samples.panDeg[a] * Math.PI) / 180, (samples.panDeg[b] * Math.PI) / 180];
  const [dx, dy] = [samples.xM[b] - samples.xM[a], samples.yM[b] - samples.yM[a]];
  const cross = Math.sin(pa) * Math.cos(pb) - Math.cos(pa) * Math.sin(pb);
  const t = (dx * Math.cos(pb) - dy * Math.sin(pb)) / cross;
  return { x: samples.xM[a] + t * Math.sin(pa), y: samples.yM[a] + t * Math.cos(pa) };
}

const kinds = MOVE_KINDS.flatMap((kind) => [
  { kind, walking: false, how: 'stands' },
  { kind, walking: true, how: 'walks' },
]);

describe('what makes each move that move', () => {
  it.each(kinds)('$kind, the subject $how', ({ kind, walking }) => {
    const move = kind === 'rackFocus' ? { ...usual(kind), fromPieceId: 'post' } : usual(kind);
    const timing = {
      durationS: 8,
      holdStartS: 0.5,
      featherInS: 1.5,
      featherOutS: 1.5,
      holdEndS: 0.5,
      featherShape: 'minimumJerk' as const,
    };
    const whip =
      kind === 'whipPan'
        ? { timing: { ...timing, holdStartS: 3.8, holdEndS: 3.8, featherInS: 0.15, featherOutS: 0.2 } }
        : { timing };
    const check = CHECKS[kind];
    expect(check, `a check for ${kind}`).toBeDefined();
    check(filmed(move, whip, walking), walking);
  });
});
