import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_GAITS, DEFAULT_RIGS, USUAL_GAIT } from '../model';
import { filmed, usual } from '../testing/filmed';
import { bodyMotion } from './body';
import { withBody } from './sample';

const gaitOf = (id: string) => DEFAULT_GAITS.find((gait) => gait.id === `gait-${id}`) ?? DEFAULT_GAITS[0];
const rigOf = (id: string) => DEFAULT_RIGS.find((rig) => rig.id === `rig-${id}`) ?? DEFAULT_RIGS[0];
const steady = (speedMps: number) => new Float64Array(1200).fill(speedMps);
const peakToPeak = (column: Float64Array) => Math.max(...column) - Math.min(...column);

describe('a walking body', () => {
  // Gait literature (from memory): about 2 steps a second, 40 to 50 mm peak to peak at 1.4 m/s. A range check only.
  it('goes up and down by 40 to 50 mm, about twice a second, at 1.4 m/s', () => {
    for (let seed = 0; seed < 20; seed += 1) {
      const { bobM } = bodyMotion(gaitOf('walk'), rigOf('hand'), seed, steady(1.4), 120);
      const each = Array.from({ length: 10 }, (_, second) => peakToPeak(bobM.slice(second * 120, second * 120 + 120)));
      expect(each.reduce((a, b) => a + b, 0) / 10).toBeGreaterThan(0.04);
      expect(each.reduce((a, b) => a + b, 0) / 10).toBeLessThan(0.05);
      const rises = bobM.reduce((n, z, i) => n + (i > 0 && bobM[i - 1] <= 0 && z > 0 ? 1 : 0), 0);
      expect(rises / 10).toBeCloseTo(2, 0);
    }
  });
  it('stands still when the camera does, but its hands still tremble', () => {
    const { bobM, panDeg } = bodyMotion(gaitOf('walk'), rigOf('hand'), 3, steady(0), 60);
    expect(peakToPeak(bobM)).toBe(0);
    expect(peakToPeak(panDeg)).toBeGreaterThan(0.1);
  });
  it('bobs less with bent knees, more at a run, and not at all on a tripod', () => {
    const bob = (gait: string, rig: string) =>
      peakToPeak(bodyMotion(gaitOf(gait), rigOf(rig), 5, steady(1.4), 60).bobM);
    expect(bob('knees', 'gimbal')).toBeLessThan(bob('walk', 'gimbal') / 2);
    expect(bob('run', 'hand')).toBeGreaterThan(bob('board', 'hand'));
    expect(bob('walk', 'tripod')).toBe(0);
  });
  it('reaches the picture less turned through a gimbal than through hands, but bobs nearly as much', () => {
    const through = (rig: string) => bodyMotion(gaitOf('walk'), rigOf(rig), 5, steady(1.4), 60);
    expect(peakToPeak(through('gimbal').tiltDeg)).toBeLessThan(peakToPeak(through('hand').tiltDeg) / 10);
    expect(peakToPeak(through('gimbal').bobM)).toBeGreaterThan(peakToPeak(through('hand').bobM) * 0.7);
  });
  it('has the root mean square tremor that the gait says', () => {
    const { panDeg } = bodyMotion(gaitOf('planted'), rigOf('hand'), 11, new Float64Array(60 * 400), 60);
    expect(Math.sqrt(panDeg.reduce((sum, deg) => sum + deg * deg, 0) / panDeg.length)).toBeCloseTo(0.2, 2);
  });
  it('is the same for the same seed and another for another', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 999_999 }), (seed) => {
        const run = (s: number) =>
          Array.from(bodyMotion(gaitOf('walk'), rigOf('hand'), s, steady(1), 60).panDeg.slice(0, 50));
        expect(run(seed)).toEqual(run(seed));
        expect(run(seed)).not.toEqual(run((seed + 1) % 1_000_000));
      }),
      { numRuns: 20 },
    );
  });
  it('every kind of rig has a usual gait that the kit has', () => {
    for (const id of Object.values(USUAL_GAIT)) expect(DEFAULT_GAITS.some((gait) => gait.id === id)).toBe(true);
  });
});

describe('the body in the picture', () => {
  it('is laid over the plan and leaves the plan as it is', () => {
    const { samples } = filmed(usual('push'), { rigId: 'rig-hand', gaitId: 'gait-walk' });
    const shaken = withBody(samples);
    expect(peakToPeak(Float64Array.from(shaken.zM, (z, i) => z - samples.zM[i]))).toBeGreaterThan(0.01);
    expect(shaken.xM.length).toBe(samples.count);
    expect(peakToPeak(samples.zM)).toBeLessThan(1e-9);
  });
  it('tilts the horizon of a head that is free on all axes, later by its smoothing', () => {
    const aim = {
      mode: 'allFollow' as const,
      place: { u: 0, v: 0 },
      smoothingS: 0.2,
      deadBandDeg: 0,
      rateMaxDegps: 360,
    };
    const free = filmed(usual('push'), { rigId: 'rig-gimbal', gaitId: 'gait-walk', aim });
    const kept = filmed(usual('push'), {
      rigId: 'rig-gimbal',
      gaitId: 'gait-walk',
      aim: { ...aim, mode: 'panTiltFollow' },
    });
    expect(peakToPeak(free.samples.rollDeg)).toBeGreaterThan(0.3);
    expect(peakToPeak(kept.samples.rollDeg)).toBe(0);
  });
});
