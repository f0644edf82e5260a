import { describe, expect, it } from 'vitest';
import { evOfLux, luxFrom, luxOfEv } from './lamp';

const lamp = { luxAt1M: 2000, beamDeg: 60 };

describe('a lamp', () => {
  it('gives a quarter at twice the distance: 2000 lux at 1 m are 500 at 2 m and 125 at 4 m, two stops each', () => {
    expect([1, 2, 4].map((m) => luxFrom(lamp, m, 0))).toEqual([2000, 500, 125]);
    expect(evOfLux(2000) - evOfLux(500)).toBeCloseTo(2, 12);
  });
  it('is read by EV100 = log2(lux / 2.5): 2560 lux are EV 10, there and back', () => {
    expect(evOfLux(2560)).toBeCloseTo(10, 12);
    expect(luxOfEv(10)).toBeCloseTo(2560, 9);
    expect(evOfLux(0)).toBe(-Infinity);
  });
  it('is full within its beam, fades beyond its edge, and is out behind it', () => {
    expect(luxFrom(lamp, 1, 29)).toBe(2000);
    expect(luxFrom(lamp, 1, 33.75)).toBeCloseTo(1000, 6);
    expect(luxFrom(lamp, 1, 40)).toBe(0);
    expect(luxFrom({ luxAt1M: 10, beamDeg: 360 }, 1, 180)).toBe(10);
  });
});
