import { describe, expect, it } from 'vitest';
import { DEFAULT_BUILDS, DEFAULT_KIT, type Sled, type SledRound } from '../../model';
import { completeK, GRAVITY } from '../elliptic';
import { balanceOf } from '../balance';
import { setAsTold } from '../../edit';
import { heapOf, partLumps, pitchInertia, sledLumps, type Lump } from '../masses';
import { PLAIN_SLED } from '../../testing/sled';
import { coach } from './coach';
import { learnOffsets } from './learning';
import { solveSled, stackOf } from './solver';

const DEG = 180 / Math.PI;
const lump = (
  name: string,
  on: 'top' | 'bottom',
  massKg: number,
  [xM, yM, zM]: number[],
  [lengthM, widthM, heightM]: number[],
): Lump => ({
  name,
  partId: null,
  on,
  massKg,
  xM,
  yM,
  zM,
  lengthM,
  widthM,
  heightM,
});
const PLACED = [
  lump('camera', 'top', 1.3, [0.02, 0.004, 0.06], [0.16, 0.14, 0.11]),
  lump('monitor and battery', 'bottom', 1, [-0.01, 0, 0.02], [0.12, 0.08, 0.06]),
];
const WEIGHT = lump('weight', 'bottom', 0.2, [0, 0, 0], [0.04, 0.04, 0.02]);

/** A numeric stream that is the same each time (mulberry32), and a bell curve from it (Box and Muller). */
function seeded(seed: number) {
  let state = seed >>> 0;
  const uniform = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return { uniform, bell: () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform()) };
}

/** The sled as it really is, which nobody knows: seen with an eye's and a finger's error. */
function really(sled: Sled, placed: Lump[], hidden: { foreMm: number; sideMm: number; downMm: number }) {
  const lumps = sledLumps(sled, placed);
  const { massKg, xM, yM, zM } = heapOf(lumps);
  const belowM = -zM + hidden.downMm / 1000;
  const about = pitchInertia(lumps, xM, zM) + massKg * belowM ** 2;
  return {
    leanForeDeg: Math.atan2(xM + hidden.foreMm / 1000, belowM) * DEG,
    leanSideDeg: Math.atan2(yM + hidden.sideMm / 1000, belowM) * DEG,
    dropS: belowM > 0 ? completeK(Math.SQRT1_2) * Math.sqrt(about / (massKg * GRAVITY * belowM)) : null,
  };
}

/** What an eye with a level and a tapping finger tell of a sled as it really is, with their errors. */
function seenRound(sled: Sled, truth: ReturnType<typeof really>, bell: () => number): SledRound {
  const look = (deg: number) => Math.max(-170, Math.min(170, deg + bell() * (0.3 + 0.08 * Math.abs(deg))));
  return {
    stageForeMm: sled.stageForeMm,
    stageSideMm: sled.stageSideMm,
    gimbalMm: sled.gimbalMm,
    leanForeDeg: look(truth.leanForeDeg),
    leanSideDeg: look(truth.leanSideDeg),
    dropS: truth.dropS === null || truth.dropS > 20 ? null : Math.max(0.1, truth.dropS + bell() * 0.05),
  };
}

function balanceWithCoach(seed: number): { adjustments: number; leanDeg: number; dropOffS: number } {
  const { uniform, bell } = seeded(seed);
  const solution = solveSled(PLAIN_SLED, PLACED, [WEIGHT]);
  if ('cannot' in solution) throw new Error(solution.cannot);
  const placed = [...PLACED, ...stackOf(solution.added)];
  const hidden = { foreMm: 24 * (uniform() - 0.5), sideMm: 16 * (uniform() - 0.5), downMm: 30 * (uniform() - 0.5) };
  let sled = solution.sled;
  const rounds: SledRound[] = [];
  for (let adjustments = 0; ; adjustments += 1) {
    const truth = really(sled, placed, hidden);
    rounds.push(seenRound(sled, truth, bell));
    const { next } = coach(sled, placed, rounds);
    if (next === null || adjustments === 8)
      return {
        adjustments,
        leanDeg: Math.max(Math.abs(truth.leanForeDeg), Math.abs(truth.leanSideDeg)),
        dropOffS: Math.abs((truth.dropS ?? 99) - sled.wishS),
      };
    sled = { ...sled, [next.what]: next.toMm };
  }
}

describe('the coach of a sled', () => {
  it(
    'ends with a lean under 1° and a drop within 0.2 s of the wish in at most 8 adjustments, in 95% of 200 sleds ' +
      'with hidden offsets',
    () => {
      const ends = Array.from({ length: 200 }, (_, seed) => balanceWithCoach(seed + 1));
      const good = ends.filter(({ leanDeg, dropOffS }) => leanDeg < 1 && dropOffS < 0.2);
      expect(good.length).toBeGreaterThanOrEqual(190);
    },
  );
  it('finds what is hidden from what is seen without error, and is surer with each round', () => {
    const hidden = { foreMm: 6, sideMm: -4, downMm: 6 };
    const solution = solveSled(PLAIN_SLED, PLACED, [WEIGHT]);
    if ('cannot' in solution) throw new Error(solution.cannot);
    const { stageForeMm, stageSideMm } = solution.sled;
    const placed = [...PLACED, ...stackOf(solution.added)];
    const seen = [30, 20, 12].map((raisedMm): SledRound => {
      const sled = { ...solution.sled, gimbalMm: solution.sled.gimbalMm - raisedMm };
      return { stageForeMm, stageSideMm, gimbalMm: sled.gimbalMm, ...really(sled, placed, hidden) };
    });
    const once = learnOffsets(solution.sled, placed, seen.slice(0, 1));
    const thrice = learnOffsets(solution.sled, placed, seen);
    expect(thrice.foreSdMm).toBeLessThan(once.foreSdMm);
    expect(thrice.downSdMm).toBeLessThan(once.downSdMm);
    expect(thrice.foreMm).toBeCloseTo(6, 0);
    expect(thrice.sideMm).toBeCloseTo(-4, 0);
    expect(Math.abs(thrice.downMm - 6)).toBeLessThan(2.5 * thrice.downSdMm);
  });
});

describe('from the bag', () => {
  /**
   * Parts weigh 3% more or less than their papers say, and lie a little elsewhere; it comes out of the bag with the
   * stage in its middle and the pivot high.
   */
  function fromTheBag(seed: number) {
    const { uniform, bell } = seeded(1000 + seed);
    const nominal = [
      lump(
        'camera',
        'top',
        0.9 + 0.8 * uniform(),
        [0.02 * (uniform() - 0.5), 0.008 * (uniform() - 0.5), 0.06],
        [0.16, 0.14, 0.11],
      ),
      lump('monitor and battery', 'bottom', 0.8 + 0.5 * uniform(), [-0.01, 0, 0.02], [0.12, 0.08, 0.06]),
    ];
    const solution = solveSled(PLAIN_SLED, nominal, [WEIGHT]);
    if ('cannot' in solution) throw new Error(solution.cannot);
    const papers = [...nominal, ...stackOf(solution.added)];
    const real = papers.map((row) => ({
      ...row,
      massKg: row.massKg * (1 + 0.03 * bell()),
      xM: row.xM + 0.002 * bell(),
      yM: row.yM + 0.001 * bell(),
    }));
    let sled: Sled = { ...solution.sled, stageForeMm: 0, stageSideMm: 0, gimbalMm: 100 };
    const rounds: SledRound[] = [];
    for (let adjustments = 0; ; adjustments += 1) {
      const truth = really(sled, real, { foreMm: 0, sideMm: 0, downMm: 0 });
      rounds.push(seenRound(sled, truth, bell));
      const { next, workable, said } = coach(sled, papers, rounds);
      const leanDeg = Math.max(Math.abs(truth.leanForeDeg), Math.abs(truth.leanSideDeg));
      const good = leanDeg < 1 && Math.abs((truth.dropS ?? 99) - sled.wishS) < 0.2;
      if (workable || adjustments === 14) return { adjustments, workable, good, leanDeg, said };
      if (next) sled = { ...sled, [next.what]: next.toMm };
    }
  }
  it(
    '80 sleds with 3% in their masses: half are workable by 7 adjustments, 95% by 10, and hardly one is called ' +
      'so that is not',
    () => {
      const ends = Array.from({ length: 80 }, (_, seed) => fromTheBag(seed));
      const sorted = ends.map(({ adjustments, workable }) => (workable ? adjustments : 99)).sort((a, b) => a - b);
      const called = ends.filter(({ workable }) => workable);
      expect(sorted[39]).toBeLessThanOrEqual(7);
      expect(sorted[75]).toBeLessThanOrEqual(10);
      expect(called.filter(({ good }) => !good).length / called.length).toBeLessThan(0.05);
      // Lean of 2.75° is never workable.
      for (const { leanDeg } of called) expect(leanDeg).toBeLessThan(2);
    },
  );
});

describe('what the coach asks for', () => {
  const look = { stageForeMm: 0, stageSideMm: 0, gimbalMm: 140 };
  it('a drop time, where all else is told', () => {
    const { said, next } = coach(PLAIN_SLED, PLACED, [{ ...look, leanForeDeg: 0.5, leanSideDeg: 0.2, dropS: null }]);
    expect(next).toBeNull();
    expect(said).toMatch(/drop and tap twice/);
  });
  it('a lean, where only the drop was told', () => {
    expect(coach(PLAIN_SLED, PLACED, [{ ...look, leanForeDeg: null, leanSideDeg: 1, dropS: 2.4 }]).said).toMatch(
      /whether it leans forward or back/,
    );
  });
  it('never moves anything by nothing, however often the same is told', () => {
    for (let gimbalMm = 60; gimbalMm <= 200; gimbalMm += 4) {
      const rounds: SledRound[] = [];
      let sled = { ...PLAIN_SLED, gimbalMm };
      for (let k = 0; k < 6; k += 1) {
        rounds.push({
          ...look,
          ...{ stageForeMm: sled.stageForeMm, stageSideMm: sled.stageSideMm, gimbalMm: sled.gimbalMm },
          leanForeDeg: 1.5,
          leanSideDeg: -1,
          dropS: 2.5,
        });
        const { said, next } = coach(sled, PLACED, rounds);
        expect(said).not.toMatch(/by 0 mm|NaN/);
        if (next) sled = { ...sled, [next.what]: next.toMm };
      }
    }
  });
  it('a wished lean is brought about like level, and then called workable', () => {
    const sled = { ...PLAIN_SLED, wishLeanDeg: 5 };
    const solution = solveSled(sled, PLACED, [WEIGHT]);
    if ('cannot' in solution) throw new Error(solution.cannot);
    const placed = [...PLACED, ...stackOf(solution.added)];
    const truth = really(solution.sled, placed, { foreMm: 0, sideMm: 0, downMm: 0 });
    // It looks up: what hangs is behind the pivot.
    expect(truth.leanForeDeg).toBeCloseTo(-5, 0);
    expect(truth.dropS).toBeCloseTo(sled.wishS, 1);
    const { stageForeMm, stageSideMm, gimbalMm } = solution.sled;
    expect(coach(solution.sled, placed, [{ stageForeMm, stageSideMm, gimbalMm, ...truth }]).workable).toBe(true);
    const level: SledRound = { stageForeMm, stageSideMm, gimbalMm, leanForeDeg: 0, leanSideDeg: 0, dropS: sled.wishS };
    expect(coach(solution.sled, placed, [level]).workable).toBe(false);
  });
});

describe('advice as it is said', () => {
  /** What a person sets who reads the sentence: the number behind "to", with the side it names. */
  function toldMm(said: string): number | null {
    const stage = /to ([\d.]+) mm (forward|back|to the right|to the left) of its middle/.exec(said);
    if (stage) return Number(stage[1]) * (stage[2] === 'forward' || stage[2] === 'to the right' ? 1 : -1);
    if (/to its middle/.test(said)) return 0;
    const pivot = /to ([\d.]+) mm below the plate/.exec(said);
    return pivot ? Number(pivot[1]) : null;
  }
  it(
    'stays within what the sled can be set to, says the number that is meant, and gives a reason, ' +
      'whatever is seen',
    () => {
      const { uniform } = seeded(7);
      let adjusted = 0;
      for (let i = 0; i < 400; i += 1) {
        const sled = {
          ...PLAIN_SLED,
          stageForeMm: 80 * (uniform() - 0.5),
          stageSideMm: 80 * (uniform() - 0.5),
          gimbalMm: 60 + 390 * uniform(),
        };
        const look = {
          stageForeMm: sled.stageForeMm,
          stageSideMm: sled.stageSideMm,
          gimbalMm: sled.gimbalMm,
          leanForeDeg: 360 * (uniform() - 0.5),
          leanSideDeg: 360 * (uniform() - 0.5),
          dropS: uniform() < 0.3 ? null : 0.1 + 6 * uniform(),
        };
        const { next, said, workable } = coach(sled, PLACED, [look]);
        expect(said).toMatch(/^[A-Z].*\.$/);
        expect(said).not.toMatch(/NaN|Infinity/);
        if (!next) {
          expect(workable || /look again|Put the camera/.test(said), said).toBe(true);
          continue;
        }
        adjusted += 1;
        expect(said).toContain(': ');
        const [least, most] =
          next.what === 'gimbalMm'
            ? [PLAIN_SLED.gimbalMinMm, PLAIN_SLED.postMm - 50]
            : [-PLAIN_SLED.stageTravelMm, PLAIN_SLED.stageTravelMm];
        expect(next.toMm).toBeGreaterThanOrEqual(least - 1e-9);
        expect(next.toMm).toBeLessThanOrEqual(most + 1e-9);
        expect(toldMm(said), said).toBeCloseTo(next.toMm, 2);
      }
      expect(adjusted).toBeGreaterThan(150);
    },
  );
  it('is the only step that is told at a sled that was looked at: nothing pulls the other way', () => {
    const build = DEFAULT_BUILDS.find(({ id }) => id === 'build-sled-35');
    if (build?.support.kind !== 'sled') throw new Error('no sled');
    const look: SledRound = {
      stageForeMm: 0,
      stageSideMm: 0,
      gimbalMm: 105,
      leanForeDeg: 5,
      leanSideDeg: 0,
      dropS: 0.6,
    };
    const looked = { ...build, support: { ...build.support, log: [look] } };
    const { steps } = balanceOf(looked, DEFAULT_KIT, 'metric');
    const advice = coach(looked.support, partLumps(looked, DEFAULT_KIT.parts, DEFAULT_KIT.lenses), [look]);
    expect(steps[0]).toBe(advice.said);
    expect(steps.join(' ').match(/Raise|Lower|Move the stage|Set the pivot/g)).toHaveLength(1);
    const set = setAsTold(looked, DEFAULT_KIT, 'metric');
    if (!advice.next || set?.support.kind !== 'sled') throw new Error('nothing was set');
    expect(set.support[advice.next.what]).toBe(advice.next.toMm);
    expect(balanceOf(set, DEFAULT_KIT, 'metric').steps[0]).toContain('It is set as the coach said');
  });
});
