import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Arm, Drone, Jib, Slider } from '../model';
import { GRAVITY } from './elliptic';
import type { Lump } from './masses';
import { armStand } from './arm/statics';
import { batteriesFor, droneFlight } from './drone/statics';
import { jibStand } from './jib/statics';
import { ropeSwing } from './rope/statics';
import { sliderStand } from './slider/statics';
import { feetAround, leastBagKg, tippingMarginM, worstMarginM } from './feet';
import { outlineOf, type Spot } from '../site';
import { wheelsStop } from './wheels/statics';

const g = GRAVITY;
const camera = (massKg: number, lengthM = 0.2, heightM = 0.15): Lump => ({
  name: 'camera',
  partId: null,
  on: 'top',
  massKg,
  xM: 0,
  yM: 0,
  zM: 0,
  lengthM,
  widthM: 0.1,
  heightM,
});

describe('the edge of support', () => {
  it('of three feet on a circle is half the radius from the middle', () => {
    expect(tippingMarginM(feetAround(3, 0.5), [0, 0])).toBeCloseTo(0.25, 12);
    expect(tippingMarginM(feetAround(3, 0.5), [0, 0.5])).toBeCloseTo(0, 12);
    expect(tippingMarginM(feetAround(3, 0.5), [0, -0.3])).toBeCloseTo(-0.05, 12);
  });
  it('a bag brings the wished margin, by its moments', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 0.6, noNaN: true }),
        fc.double({ min: 0, max: 360, noNaN: true }),
        fc.double({ min: 0.01, max: 0.2, noNaN: true }),
        (outM, deg, wishM) => {
          const feet = feetAround(3, 0.5);
          const centre: Spot = [outM * Math.cos(deg), outM * Math.sin(deg)];
          const marginWith = (kg: number) =>
            tippingMarginM(feet, [(10 * centre[0]) / (10 + kg), (10 * centre[1]) / (10 + kg)]);
          const bag = leastBagKg(marginWith, wishM);
          const after = marginWith(bag);
          expect(after).toBeGreaterThanOrEqual(wishM - 1e-6);
          if (bag > 0) expect(after).toBeCloseTo(wishM, 5);
        },
      ),
    );
  });
  it('no bag is enough where the feet are too near', () =>
    expect(leastBagKg((kg) => tippingMarginM(feetAround(3, 0.1), [1 / (5 + kg), 0]), 0.06)).toBe(Infinity));
});

describe('the outline of feet', () => {
  it('leaves out what lies inside, in whatever order the feet are given', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: -9, max: 9 }), fc.integer({ min: -9, max: 9 })), {
          minLength: 3,
          maxLength: 12,
        }),
        (spots) => {
          const outline = outlineOf(spots);
          fc.pre(outline.length >= 3);
          // Every foot is within the outline, and the outline turns one way.
          for (const spot of spots) expect(tippingMarginM(outline, spot)).toBeGreaterThan(-1e-6);
        },
      ),
    );
  });
  it('two stands nearer to each other than their feet stand on the feet that are outermost', () => {
    // Feet 0.6 m from each middle, the middles 0.2 m apart: the inner feet of each, 0.3 m back, lie beyond the other's
    // middle.
    const near: Slider = {
      kind: 'slider',
      railMm: 200,
      railMassG: 1000,
      stiffnessNm2: 5000,
      carriageMassG: 300,
      stands: 'two',
      heightMm: 800,
      standMassG: 2000,
      footMm: 600,
      tiltDeg: 0,
      friction: 0.05,
      bagG: 0,
    };
    const found = sliderStand(near, 1.5);
    // By hand: the outer feet are at x = ±0.7, the others at x = ±0.2, y = ±0.52: the outline is a hexagon, its edge
    // from (0.7, 0) to (0.2, 0.52) is 0.504 m from the middle.
    const [ax, ay, bx, by] = [0.7, 0, 0.2, 0.6 * Math.sin(Math.PI / 3)];
    const fromMiddle = Math.abs(ax * by - ay * bx) / Math.hypot(bx - ax, by - ay);
    expect(found.rows[20].marginM).toBeCloseTo(fromMiddle, 3);
    expect(found.worst.marginM).toBeGreaterThan(0.45);
  });
  it('at worst of a whole turn is the way straight at an edge', () => {
    expect(worstMarginM(feetAround(3, 0.5), 0.1)).toBeCloseTo(0.15, 9);
    expect(worstMarginM(feetAround(4, 0.5), 0.1)).toBeCloseTo(0.5 * Math.SQRT1_2 - 0.1, 9);
  });
});

describe('a jib', () => {
  const JIB: Jib = {
    kind: 'jib',
    frontMm: 2000,
    rearMm: 500,
    beamMassG: 4000,
    pivotMm: 1500,
    angleDeg: 0,
    counterG: 0,
    parallel: true,
    tubeMm: 50,
    wallMm: 3,
    footMm: 600,
  };
  it('wants the weight that the moments about its pivot ask for', () => {
    // By hand: 2.5 kg at 2 m and 4 kg of beam whose middle is (2 − 0.5)/2 = 0.75 m in front: 5 + 3 = 8 kg m over 0.5 m:
    // 16 kg.
    expect(jibStand(JIB, 2.5).counterKg).toBeCloseTo(16, 9);
    expect(jibStand({ ...JIB, counterG: 16_000 }, 2.5).tipForceN).toBeCloseTo(0, 9);
    // Without it the camera end pulls with 8 kg m over 2 m: 4 kg.
    expect(jibStand(JIB, 2.5).tipForceN).toBeCloseTo(4 * g, 9);
  });
  it('droops as F L³ / 3EI and q L⁴ / 8EI say', () => {
    const i = (Math.PI / 64) * (0.05 ** 4 - 0.044 ** 4);
    const line = (4 / 2.5) * g; // N per metre of beam
    expect(jibStand(JIB, 2.5).deflectionMm).toBeCloseTo(
      ((2.5 * g * 8) / (3 * 69e9 * i) + (line * 16) / (8 * 69e9 * i)) * 1000,
      9,
    );
  });
  it('reaches up and less far out with its angle', () => {
    const up = jibStand({ ...JIB, angleDeg: 30 }, 2.5);
    expect([up.reachM, up.cameraHeightM]).toEqual([2 * Math.cos(Math.PI / 6), expect.closeTo(2.5, 9) as number]);
    expect(jibStand({ ...JIB, angleDeg: 30, parallel: false }, 2.5).cameraTiltDeg).toBe(30);
  });
});

describe('a slider', () => {
  const SLIDER: Slider = {
    kind: 'slider',
    railMm: 1000,
    railMassG: 2000,
    stiffnessNm2: 1000,
    carriageMassG: 500,
    stands: 'two',
    heightMm: 800,
    standMassG: 3000,
    footMm: 400,
    tiltDeg: 0,
    friction: 0,
    bagG: 0,
  };
  it('on two stands shares the load as a beam: moments about either end', () => {
    // 2 kg of camera and carriage over the right stand: all of it there, and half of the rail on each, and the stands
    // themselves.
    const right = sliderStand(SLIDER, 1.5).rows.at(-1);
    expect(right?.reactionsN[1]).toBeCloseTo((2 + 1 + 3) * g, 9);
    expect(right?.reactionsN[0]).toBeCloseTo((1 + 3) * g, 9);
  });
  it('carries all there is at every place of the carriage', () => {
    const found = sliderStand(SLIDER, 1.5);
    for (const { reactionsN } of found.rows) expect(reactionsN[0] + reactionsN[1]).toBeCloseTo(found.massKg * g, 9);
  });
  it('on one tripod tips when the moment over the edge outweighs the rest', () => {
    // By hand: centre of mass 0.5·2/(2+2+3) = 0.1429 m out, turned straight at an edge, which is half of 0.4 m from the
    // middle.
    const one = sliderStand({ ...SLIDER, stands: 'one' }, 1.5);
    expect(one.worst.marginM).toBeCloseTo(0.2 - 1 / 7, 9);
    expect(Math.abs(one.worst.alongM)).toBe(0.5);
    expect(sliderStand({ ...SLIDER, stands: 'one', footMm: 150 }, 4).worst.marginM).toBeLessThan(0);
  });
  it('slopes under a load at a quarter as a beam in tables: F a b (b − a) / 3EIl', () => {
    const quarter = sliderStand({ ...SLIDER, railMassG: 0.001 }, 1.5).rows[10];
    expect(quarter.alongM).toBeCloseTo(-0.25, 12);
    expect(quarter.slopeDeg).toBeCloseTo((((2 * g * 0.25 * 0.75 * 0.5) / (3 * 1000)) * 180) / Math.PI, 6);
    expect(sliderStand(SLIDER, 1.5).rows[20].slopeDeg).toBeCloseTo(0, 9);
  });
  // An evenly loaded beam on two ends slopes by w l³ / 24EI at them; half a rail on one stand by w h³ / 6EI at its end
  // (any table of beams).
  it('slopes by its own weight as well', () => {
    const bare = { ...SLIDER, carriageMassG: 1 };
    const end = sliderStand(bare, 0).rows[0];
    expect(end.slopeDeg).toBeCloseTo((((2 * g * 1 ** 2) / (24 * 1000)) * 180) / Math.PI, 5);
    const one = sliderStand({ ...bare, stands: 'one' }, 0).rows[0];
    expect(one.slopeDeg).toBeCloseTo(((((2 * g) / 1) * 0.5 ** 3) / (6 * 1000) / Math.PI) * 180, 3);
  });
  it('a bag that hangs there counts: all that is asked for is the same with and without it', () => {
    const none = sliderStand({ ...SLIDER, stands: 'one', footMm: 300 }, 3);
    const hung = sliderStand({ ...SLIDER, stands: 'one', footMm: 300, bagG: Math.ceil(none.bagKg * 1000) }, 3);
    expect(none.bagKg).toBeGreaterThan(0);
    expect(hung.bagKg).toBeCloseTo(none.bagKg, 6);
    expect(hung.worst.marginM).toBeGreaterThanOrEqual(0.05 - 1e-6);
    expect(none.worst.marginM).toBeLessThan(0.05);
  });
  it('runs down a slope with m g sin less friction', () => {
    const tilted = sliderStand({ ...SLIDER, tiltDeg: 30, friction: 0.1 }, 1.5);
    expect(tilted.slipN).toBeCloseTo(g, 9);
    expect(tilted.dragNeededN).toBeCloseTo(g - 0.1 * 2 * g * Math.cos(Math.PI / 6), 9);
    expect(sliderStand({ ...SLIDER, tiltDeg: 3, friction: 0.2 }, 1.5).dragNeededN).toBe(0);
  });
});

describe('an arm on three legs', () => {
  const ARM: Arm = {
    kind: 'arm',
    reachMm: 600,
    armMassG: 1000,
    armDeg: 0,
    legMm: 1000,
    spreadDeg: 30,
    columnMm: 100,
    legsMassG: 3000,
    bagG: 0,
    marginMm: 50,
    stiffnessNmPerDeg: 10,
    windMps: 0,
  };
  it('stands by the sum of its moments', () => {
    // Feet 0.5 m out. 1 kg at 0.6 m and 1 kg of arm at 0.3 m over 5 kg: 0.18 m out. Over a leg: the edges beside it are
    // 0.25 + 0.18/2 away, the far one 0.25 + 0.18; between two legs 0.25 − 0.18.
    const found = armStand(ARM, [camera(1)]);
    expect(found.footM).toBeCloseTo(0.5, 12);
    expect(found.headHeightM).toBeCloseTo(Math.cos(Math.PI / 6) + 0.1, 12);
    expect(found.marginM).toBeCloseTo(0.25 - 0.18 * Math.cos(Math.PI / 3), 9);
    expect(found.worst.marginM).toBeCloseTo(0.07, 9);
    expect([60, 180, 300]).toContain(found.worst.deg);
    expect([0, 120, 240]).toContain(found.best.deg);
  });
  it('is pushed over by the gust that makes the margin naught', () => {
    const { tipsAtMps, worst } = armStand(ARM, [camera(1)]);
    const gust = armStand({ ...ARM, windMps: tipsAtMps }, [camera(1)]);
    expect(worst.marginM).toBeGreaterThan(0);
    expect(gust.worst.marginM).toBeCloseTo(0, 9);
  });
  it('with the bag it asks for keeps its margin all round', () => {
    const reaching = { ...ARM, reachMm: 1000 };
    const { bagKg } = armStand(reaching, [camera(1)]);
    expect(bagKg).toBeGreaterThan(0);
    expect(armStand({ ...reaching, bagG: bagKg * 1000 }, [camera(1)]).worst.marginM).toBeCloseTo(0.05, 6);
  });
});

describe('a rope', () => {
  it('of 5 m swings in 4.486 s (2π√(L/g))', () =>
    expect(
      ropeSwing({ kind: 'rope', lengthMm: 5000, swingDeg: 0, lines: 'two', secondLine: true }, 2).periodS,
    ).toBeCloseTo(4.486, 3));
  it('swung wide takes longer: 1.0174 times at 30° (series 1 + φ²/16 + 11φ⁴/3072)', () => {
    const wide = ropeSwing({ kind: 'rope', lengthMm: 5000, swingDeg: 30, lines: 'one', secondLine: true }, 2);
    const phi = Math.PI / 6;
    expect(wide.periodS / wide.smallPeriodS).toBeCloseTo(1 + phi ** 2 / 16 + (11 * phi ** 4) / 3072, 4);
  });
  it('pulls three times its weight at the bottom when let go from level', () => {
    const level = ropeSwing({ kind: 'rope', lengthMm: 3000, swingDeg: 90, lines: 'one', secondLine: true }, 2);
    expect(level.lowestN).toBeCloseTo(3 * 2 * g, 9);
    expect(level.endN).toBeCloseTo(0, 9);
    expect(level.speedMaxMps).toBeCloseTo(Math.sqrt(2 * g * 3), 9);
  });
});

describe('a drone', () => {
  const DRONE: Drone = {
    kind: 'drone',
    bodyMassG: 1000,
    bodyMaxG: 1500,
    thrustMaxN: 20,
    batteryWh: 60,
    hoverW: 120,
    speedMaxMps: 15,
    heightM: 10,
    windMps: 0,
    reserveShare: 0.25,
  };
  it('hovers on its battery: 45 Wh at 120 W are 22.5 minutes', () =>
    expect(droneFlight(DRONE, 0).enduranceMin).toBeCloseTo(22.5, 9));
  it('with mass asks for power to the 3/2 (momentum theory)', () => {
    expect(droneFlight(DRONE, 0.44).stillMin).toBeCloseTo(22.5 / 1.44 ** 1.5, 9);
    expect(droneFlight(DRONE, 1).overMassKg).toBeCloseTo(0.5, 9);
    expect(droneFlight(DRONE, 1).hoverShare).toBeCloseTo((2 * g) / 20, 9);
  });
  it('in wind lasts shorter, and is blown away above its speed', () => {
    expect(droneFlight({ ...DRONE, windMps: 8 }, 0).enduranceMin).toBeLessThan(22.5);
    expect(droneFlight({ ...DRONE, windMps: 30 }, 0).upwindMps).toBeLessThan(0);
  });
  it('counts batteries', () => {
    expect(batteriesFor(30, 16.5)).toBe(2);
    expect(batteriesFor(31, 1)).toBe(Infinity);
  });
});

describe('wheels', () => {
  it('stop in v t and v² / 2μg', () => {
    const stop = wheelsStop({ speedMps: 5, reactionS: 1, grip: 0.5, massKg: 90, wheelMm: 200, downhillDeg: 0 });
    expect(stop.thinkingM).toBe(5);
    expect(stop.brakingM).toBeCloseTo(25 / g, 9);
    expect(stop.wheelHz).toBeCloseTo(5 / (Math.PI * 0.2), 9);
  });
  it('downhill, gravity pushes: v² / 2g(μ cos φ − sin φ), and never where the slope is steeper than the grip', () => {
    const down = (downhillDeg: number) =>
      wheelsStop({ speedMps: 5, reactionS: 0, grip: 0.5, massKg: 90, wheelMm: 200, downhillDeg }).stoppingM;
    expect(down(10)).toBeCloseTo(25 / (2 * g * (0.5 * Math.cos(Math.PI / 18) - Math.sin(Math.PI / 18))), 9);
    expect(down((Math.atan(0.5) * 180) / Math.PI + 0.01)).toBe(Infinity);
  });
});
