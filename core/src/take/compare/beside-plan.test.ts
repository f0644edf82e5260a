import { describe, expect, it } from 'vitest';
import type { Taken } from '../recorded/taken';
import { type Turned, turnedEvenly } from '../recorded/turned';
import { layBearings, planAtBeat, turnedFromPlan } from './beside-plan';

const rows = (count: number, of: (i: number) => number) => Float64Array.from({ length: count }, (_, i) => of(i));
const turned = (panDeg: number, tiltDeg: number, rollDeg: number, count = 5): Turned => ({
  panDeg: rows(count, () => panDeg),
  tiltDeg: rows(count, () => tiltDeg),
  rollDeg: rows(count, () => rollDeg),
});

describe('a take beside its plan', () => {
  it('small turns about the camera’s own axes are told as such, level and looking down', () => {
    for (const tilt of [0, -60]) {
      const plan = turned(30, tilt, 0);
      const [about] = turnedFromPlan(plan, turned(30, tilt + 1, 0));
      expect(about[2]).toBeCloseTo(1, 3);
      const [, , aboutBack] = turnedFromPlan(plan, turned(30, tilt, 1));
      // Clockwise for whoever stands behind the camera.
      expect(aboutBack[2]).toBeCloseTo(-1, 3);
      const [, aboutUp] = turnedFromPlan(plan, turned(31, tilt, 0));
      expect(aboutUp[2]).toBeCloseTo(-Math.cos((tilt * Math.PI) / 180), 3);
    }
  });
  it('bearings that count from anywhere are laid on the plan’s, whatever it looks at', () => {
    for (const tilt of [0, -45, -89, 88]) {
      const take = turned(17, tilt, 0);
      layBearings(turned(200, tilt, 0), take, false);
      expect(take.panDeg[3]).toBeCloseTo(200, 6);
      expect(take.rollDeg[3]).toBeCloseTo(0, 6);
    }
  });
  it('looking straight down, what is a bearing here and a roll there is nothing that differs', () => {
    const plan = turned(0, -90, 0);
    const take = { panDeg: rows(5, (i) => 70 * i), tiltDeg: rows(5, () => -90), rollDeg: rows(5, (i) => -70 * i) };
    layBearings(plan, take, true);
    for (const column of [take.panDeg, take.rollDeg]) for (const deg of column) expect(deg).toBeCloseTo(0, 6);
  });
  it('looking down all the way and turned by two degrees all the way, it leans by two', () => {
    const take = turned(0, -90, -2);
    layBearings(turned(0, -90, 0), take, true);
    expect(take.rollDeg[2]).toBeCloseTo(-2, 6);
    expect(take.panDeg[2]).toBeCloseTo(0, 6);
  });
  it('a degree of lean is no great turn of the bearing where it looks steeply down', () => {
    const plan = turned(10, -85, 0);
    // Leaning by one degree about the level line ahead: bearing and roll change by eleven each.
    const lean = 1 / Math.sin((5 * Math.PI) / 180);
    const take = turned(10 + lean, -85, -lean);
    layBearings(plan, take, true);
    expect(Math.abs(take.panDeg[1] - 10)).toBeLessThan(0.3);
    expect(Math.abs(take.rollDeg[1])).toBeLessThan(1.5);
  });
  it('a plan that sways up and down at the beat of steps does so itself', () => {
    const [count, rateHz] = [1000, 50];
    const wave = (hz: number) => rows(count, (i) => 0.05 * Math.sin((2 * Math.PI * hz * i) / rateHz));
    const still = rows(count, () => 0);
    const plan = { xM: still, yM: still, zM: wave(2), panDeg: still } as unknown as Taken;
    const { bobM } = planAtBeat(plan, rateHz, 1);
    const wanted = wave(2);
    for (let i = 200; i < 800; i += 50) expect(bobM[i]).toBeCloseTo(wanted[i], 2);
    // So slow that nobody steps like it.
    expect(Math.max(...planAtBeat({ ...plan, zM: wave(0.2) }, rateHz, 1).bobM.slice(200, 800))).toBeLessThan(0.005);
  });
});

describe('turning at even times', () => {
  it('lies between attitudes, not between angles', () => {
    const tS = rows(6, (i) => i / 10);
    // The same look straight down, told in other words each row.
    const told = { panDeg: rows(6, (i) => 100 * i), tiltDeg: rows(6, () => -90), rollDeg: rows(6, (i) => -100 * i) };
    const even = turnedEvenly(tS, told, 37, 18);
    for (let i = 0; i < 18; i += 1) {
      const sum = even.panDeg[i] + even.rollDeg[i];
      expect(Math.abs(sum - 360 * Math.round(sum / 360))).toBeLessThan(1e-4);
      expect(even.tiltDeg[i]).toBeCloseTo(-90, 4);
    }
  });
  it('goes on counting whole turns', () => {
    const tS = rows(41, (i) => i / 10);
    const panDeg = rows(41, (i) => 500 + 20 * i);
    const even = turnedEvenly(tS, { panDeg, tiltDeg: rows(41, () => -10), rollDeg: rows(41, () => 3) }, 20, 81);
    even.panDeg.forEach((deg, i) => expect(deg).toBeCloseTo(500 + 10 * i, 1));
    even.rollDeg.forEach((deg) => expect(deg).toBeCloseTo(3, 1));
  });
});
