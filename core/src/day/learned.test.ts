import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { changeTake, countTake, endReady, startReady } from '../edit';
import type { Shoot } from '../model';
import { demoShoot } from '../testing/demo';
import { byMove, byRig, learnedFrom, middleWithInterval } from './learned';
import { ShotLooks } from './shot-facts';
import { shotWork } from './shot-work';

const at = (minutes: number) => new Date(Date.UTC(2026, 3, 11, 6) + minutes * 60_000).toISOString();

describe('the middle of what was logged', () => {
  it('of ten rows lies between the second and the ninth with 97.9% (worked from the binomial of a fair coin)', () => {
    const found = middleWithInterval([12, 7, 9, 15, 11, 8, 20, 10, 14, 6]);
    expect(found).toMatchObject({ count: 10, middle: 10.5, low: 7, high: 15 });
    // 1 − 2·(C(10,0) + C(10,1))/2¹⁰ = 1 − 22/1024.
    expect(found?.sure).toBeCloseTo(1 - 22 / 1024, 12);
  });
  it('of five is all five with 93.75%, of one nothing sure', () => {
    expect(middleWithInterval([3, 1, 2, 5, 4])).toEqual({ count: 5, middle: 3, low: 1, high: 5, sure: 0.9375 });
    expect(middleWithInterval([3])).toEqual({ count: 1, middle: 3, low: 3, high: 3, sure: 0 });
    expect(middleWithInterval([])).toBeNull();
  });
  it('is always between its bounds, and surer of more rows is never less than 95% where that can be', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 6, maxLength: 60 }), (values) => {
        const found = middleWithInterval(values);
        return found !== null && found.low <= found.middle && found.middle <= found.high && found.sure >= 0.95;
      }),
    );
  });
});

describe('what a log teaches', () => {
  const shoot = demoShoot();
  const plain: Shoot = { ...shoot, log: { who: '', takes: [], readies: [] } };
  const sliders = plain.shots
    .filter(({ rigId, move }) => rigId === 'rig-slider-120' && move.kind === 'slide')
    .slice(0, 3);

  /** Three shots on the slider: so many tries each, the last of which was good; ten minutes of setting up each. */
  const logged = sliders.reduce((made, shot, n) => {
    let next = endReady(startReady(made, 'setUp', shot.id, `r${n}`, at(60 * n)), at(60 * n + 20 + n));
    for (let k = 0; k < 6 + n; k += 1) {
      next = countTake(next, shot.id, `t${n}.${k}`, at(60 * n + 30 + 2 * k));
      if (k === 5 + n) next = changeTake(next, `t${n}.${k}`, { verdict: 'good' });
    }
    return next;
  }, plain);

  it('counts tries until the good one, setting up, and from take to take', () => {
    const { tries, setUpMin, betweenS } = learnedFrom(logged.log);
    expect(tries.get(byRig('rig-slider-120'))).toMatchObject({ count: 3, middle: 7, low: 6, high: 8 });
    expect(tries.get(byMove('rig-slider-120', 'slide'))?.middle).toBe(7);
    expect(setUpMin.get(byRig('rig-slider-120'))?.middle).toBe(21);
    expect(betweenS.get(byRig('rig-slider-120'))?.middle).toBe(120);
    expect(learnedFrom(logged.log)).toBe(learnedFrom(logged.log));
  });
  it('is what the day reckons with from then on, and says so', () => {
    const looks = new ShotLooks();
    const work = (given: typeof shoot) => shotWork(given, looks.facts(given, sliders[0]), 1, null);
    const free = { ...logged, day: { ...logged.day, wishes: [], rigTimes: [] } };
    expect(work(free).tries).toBe(7);
    expect(work(free).triesWhy.join()).toMatch(/7 in the middle of 3 logged/);
    expect(work(free).setUpS).toBe(21 * 60);
    expect(work({ ...free, log: plain.log }).tries).not.toBe(7);
  });
  it('of two is nothing yet, and what was left running all night is left out', () => {
    const two = { ...logged.log, readies: logged.log.readies.slice(0, 2) };
    expect(learnedFrom(two).setUpMin.size).toBe(0);
    const night = { ...logged.log, readies: logged.log.readies.map((row) => ({ ...row, toAt: at(6000) })) };
    expect(learnedFrom(night).setUpMin.size).toBe(0);
  });
});
