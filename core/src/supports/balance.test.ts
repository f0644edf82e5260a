import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { MotorGimbal, Sled } from '../model';
import { completeK, GRAVITY, K_FROM_LEVEL } from './elliptic';
import { heapOf, pitchInertia, sledLumps, type Lump } from './masses';
import { PLAIN_SLED } from '../testing/sled';
import { gimbalBalance, gimbalSlides } from './motor-gimbal/statics';
import { dropTimeS, sledBalance, swing, swingOnStopDeg } from './sled/statics';
import { pivotAboveM, solveSled, stackOf } from './sled/solver';
import { beaufort, windAtHeightMps, windForceN, windPressurePa } from './wind';

const DEG = 180 / Math.PI;
const lump = (on: Lump['on'], massKg: number, [xM, yM, zM]: number[], size = [0, 0, 0]): Lump => ({
  name: on,
  partId: null,
  on,
  massKg,
  xM,
  yM,
  zM,
  lengthM: size[0],
  widthM: size[1],
  heightM: size[2],
});
const SLED: Sled = { ...PLAIN_SLED, postMassG: 1, gimbalMinMm: 40 };

describe('complete elliptic integral', () => {
  it('has the table values of Abramowitz & Stegun 17.3', () => {
    expect(completeK(0)).toBeCloseTo(Math.PI / 2, 14);
    expect(K_FROM_LEVEL).toBeCloseTo(1.8540746773, 10);
    expect(completeK(0.5)).toBeCloseTo(1.6857503548, 10);
  });
  it('is what Simpson’s rule makes of its integral', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.98, noNaN: true }), (k) => {
        const n = 4000;
        const h = Math.PI / 2 / n;
        let sum = 0;
        for (let i = 0; i <= n; i += 1)
          sum += (i === 0 || i === n ? 1 : i % 2 ? 4 : 2) / Math.sqrt(1 - (k * Math.sin(i * h)) ** 2);
        expect(completeK(k)).toBeCloseTo((sum * h) / 3, 9);
      }),
      { numRuns: 40 },
    );
  });
  it('says nothing beyond one', () => expect(completeK(1.2)).toBeNaN());
});

describe('drop time', () => {
  /** By another method: velocity Verlet in small steps until upright, the last step by straight line. */
  function droppedS(massKg: number, belowM: number, inertia: number): number {
    const step = 2e-4;
    const turn = (angle: number) => -((massKg * GRAVITY * belowM) / inertia) * Math.sin(angle);
    let [angle, rate, t] = [Math.PI / 2, 0, 0];
    for (;;) {
      const next = angle + rate * step + 0.5 * turn(angle) * step * step;
      if (next <= 0) return t + (step * angle) / (angle - next);
      rate += 0.5 * (turn(angle) + turn(next)) * step;
      angle = next;
      t += step;
    }
  }
  it('is what stepping the equation of motion gives', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 6, noNaN: true }),
        fc.double({ min: 0.003, max: 0.2, noNaN: true }),
        fc.double({ min: 0.02, max: 0.6, noNaN: true }),
        (massKg, belowM, inertia) => {
          expect(dropTimeS(massKg, belowM, inertia) / droppedS(massKg, belowM, inertia)).toBeCloseTo(1, 4);
        },
      ),
      { numRuns: 25 },
    );
  });
  it('is where the shown swing comes upright', () => {
    const omega = 1.2;
    const rows = swing(omega, 90, 4, 0);
    const i = rows.findIndex((deg) => deg <= 0);
    expect(i / 120).toBeCloseTo(K_FROM_LEVEL / omega, 1.9);
  });
  it('of a swing without damping keeps its energy', () => {
    const rows = swing(3, 60, 20, 0);
    expect(Math.max(...rows.slice(-600))).toBeCloseTo(60, 1);
  });
});

describe('a sled', () => {
  // By hand: 2 kg 100 mm above the pivot and 3 kg 400 mm below, 1 g of post. Moments: 2·0.1 − 3·0.4 = −1.0 kg m over 5
  // kg: 200 mm below. I = 2·0.01 + 3·0.16 = 0.5 kg m².
  const placed = [lump('top', 2, [0.01, 0, 0]), lump('bottom', 3, [0, 0, 0])];
  it('is balanced as by hand', () => {
    const found = sledBalance(SLED, placed);
    expect(found.massKg).toBeCloseTo(5.001, 9);
    expect(found.dropMm).toBeCloseTo(200, 0);
    expect(found.inertiaKgM2).toBeCloseTo(0.5, 2);
    // 2 kg 10 mm forward of 5 kg: 4 mm forward, 200 mm below: atan(4/200) = 1.146°.
    expect(found.leanForeDeg).toBeCloseTo(1.146, 2);
    expect(found.leanSideDeg).toBeCloseTo(0, 9);
    expect(found.degPerMm).toBeCloseTo(Math.atan(0.4 / 200) * DEG, 3);
  });
  it('stopped at once swings as the energy of its spin says', () => {
    // A point mass keeps all its speed: v²/2g of height on a string of 0.5 m.
    const v = 1.4;
    expect(swingOnStopDeg(2, 0.5, 2 * 0.25, v)).toBeCloseTo(Math.acos(1 - (v * v) / (2 * GRAVITY * 0.5)) * DEG, 9);
    expect(swingOnStopDeg(2, 0.5, 2 * 0.25, 9)).toBe(180);
  });
  it('says nothing where it turns over', () => {
    const found = sledBalance({ ...SLED, gimbalMm: 400 }, placed);
    expect([found.leanForeDeg, found.dropS, found.stopSwingDeg, found.windLeanDeg]).toEqual([null, null, null, null]);
  });
  it('leans in the wind by the force on what is above and below: a 0.2 × 0.2 m face 0.1 m above, at 10 m/s', () => {
    const faced = [lump('top', 2, [0, 0, 0], [0.2, 0, 0.2]), lump('bottom', 3, [0, 0, 0])];
    const found = sledBalance({ ...SLED, windMps: 10 }, faced);
    // 61.25 Pa × 1.2 × 0.04 m² = 2.94 N at 0.1 m, less the post of 0.03 × 0.5 m hanging 0.15 m below: 1.1025 N.
    const nm = 2.94 * 0.1 - 61.25 * 1.2 * 0.015 * 0.15;
    expect(found.windLeanDeg).toBeCloseTo(Math.atan(nm / ((5.001 * GRAVITY * found.dropMm) / 1000)) * DEG, 2);
  });
});

describe('the solver of a sled', () => {
  it('puts the pivot where the drop takes as long as wished', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 0.4, noNaN: true }),
        fc.double({ min: 1, max: 5, noNaN: true }),
        fc.double({ min: 2, max: 3, noNaN: true }),
        (inertia, massKg, wishS) => {
          const above = pivotAboveM(inertia, massKg, wishS);
          if (above === null) return;
          expect(dropTimeS(massKg, above, inertia + massKg * above ** 2)).toBeCloseTo(wishS, 6);
        },
      ),
    );
  });
  it('levels and times any sled within its travel, with the lightest weights', () => {
    const weight = lump('bottom', 0.2, [0, 0, 0]);
    fc.assert(
      fc.property(
        fc.double({ min: 0.6, max: 2.4, noNaN: true }),
        fc.double({ min: -0.01, max: 0.01, noNaN: true }),
        fc.double({ min: 2, max: 3, noNaN: true }),
        (cameraKg, foreM, wishS) => {
          const sled = { ...SLED, postMassG: 500, wishS };
          const placed = [
            lump('top', cameraKg, [foreM, 0.004, 0.06], [0.16, 0.13, 0.1]),
            lump('bottom', 0.7, [0, 0, 0.02]),
          ];
          const solution = solveSled(sled, placed, [weight]);
          if ('cannot' in solution) throw new Error(solution.cannot);
          const all = [...placed, ...stackOf(solution.added)];
          const found = sledBalance(solution.sled, all);
          // What is set is what is printed: to the tenth of a millimetre, or finer where that matters.
          expect(Math.abs(found.leanForeDeg ?? 9)).toBeLessThan(0.3);
          expect(Math.abs(found.leanSideDeg ?? 9)).toBeLessThan(0.3);
          expect(Math.abs((found.dropS ?? 9) - wishS)).toBeLessThan(0.05);
          if (solution.added.length > 0)
            expect(solveSled({ ...sled, postMinMm: sled.postMaxMm }, all.slice(0, -1), [])).toHaveProperty('cannot');
        },
      ),
      { numRuns: 60 },
    );
  });
  it('tells why when it cannot', () => {
    const heavy = [lump('top', 6, [0, 0, 0.1])];
    expect(solveSled(SLED, heavy, [])).toMatchObject({ cannot: expect.stringContaining('top-heavy') as string });
    expect(solveSled(SLED, [lump('top', 1, [0.3, 0, 0]), lump('bottom', 2, [0, 0, 0])], [])).toMatchObject({
      cannot: expect.stringContaining('stage') as string,
    });
    expect(solveSled(SLED, [], [])).toMatchObject({ cannot: expect.stringContaining('camera') as string });
  });
});

describe('a motor gimbal', () => {
  const GIMBAL: MotorGimbal = {
    kind: 'motorGimbal',
    plateForeMm: 0,
    plateUpMm: 0,
    cageSideMm: 0,
    armForeMm: 0,
    cageMassG: 500,
    armMassG: 500,
    payloadMaxG: 2500,
    torqueMaxNm: 1,
    runMin: 300,
  };
  const placed = [lump('top', 1, [0.02, 0.006, 0.03]), lump('top', 1, [0.04, 0, 0.03])];
  it('is off by the moments over the masses, by hand', () => {
    const [fore, up, roll, pan] = gimbalBalance(GIMBAL, placed).axes;
    // 1·20 + 1·40 over 2 kg; 30 up; 1·6 over 2.5 kg; 60 over 3 kg.
    expect([fore.slideMm, up.slideMm, roll.slideMm, pan.slideMm].map((mm) => Math.round(mm * 10) / 10)).toEqual([
      -30, -30, -2.4, -20,
    ]);
    expect(fore.leftoverNm).toBeCloseTo(2 * GRAVITY * 0.03, 9);
  });
  it('slid as told, each axis stays where it is left, and the battery lasts', () => {
    const set = gimbalBalance(gimbalSlides(GIMBAL, placed, 'metric').set, placed);
    for (const { leftoverNm } of set.axes) expect(leftoverNm).toBeCloseTo(0, 9);
    expect(set.runShare).toBeCloseTo(1, 9);
    expect(gimbalBalance(GIMBAL, placed).runShare).toBeLessThan(0.5);
  });
});

describe('wind', () => {
  it('presses as ½ρv² says: 61.25 Pa at 10 m/s (ISA sea level)', () => {
    expect(windPressurePa(10)).toBeCloseTo(61.25, 9);
    expect(windForceN(10, 0.5)).toBeCloseTo(36.75, 9);
  });
  it('has the names of the Beaufort scale: force 4 from 5.5 to 7.9 m/s (WMO manual, from memory)', () => {
    expect([5.5, 7.9].map((v) => beaufort(v).force)).toEqual([4, 4]);
    expect(beaufort(8)).toEqual({ force: 5, name: 'fresh breeze' });
    expect(beaufort(0)).toEqual({ force: 0, name: 'calm' });
    expect(beaufort(60).force).toBe(12);
  });
  it('grows with height and is what was forecast at 10 m', () => {
    expect(windAtHeightMps(6, 10)).toBe(6);
    expect(windAtHeightMps(6, 80)).toBeGreaterThan(7.5);
  });
});

describe('masses', () => {
  it('inertia is least about the centre of mass (Steiner)', () => {
    const lumps = sledLumps(SLED, [lump('top', 2, [0.01, 0, 0.05], [0.1, 0.1, 0.1]), lump('bottom', 1, [0, 0, 0])]);
    const { xM, zM, massKg } = heapOf(lumps);
    const own = pitchInertia(lumps, xM, zM);
    expect(pitchInertia(lumps, xM + 0.1, zM - 0.2)).toBeCloseTo(own + massKg * 0.05, 9);
  });
});
