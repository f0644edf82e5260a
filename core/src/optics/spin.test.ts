import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { spinning } from './spin';

const wheel = { turnsPerS: 2, repeats: 12, heightShare: 0.5 };

describe('what turns, on film', () => {
  it('stands still when a spoke comes to where the one before it was: 24 spokes a second at 24 frames', () => {
    expect(spinning(wheel, 24, 1 / 48, 0.02).seenTurnsPerS).toBeCloseTo(0, 12);
    expect(spinning(wheel, 24, 1 / 48, 0.02).standsStillAtHz).toEqual([24]);
  });
  it('goes backwards a little above that rate and forwards a little below, worked by hand', () => {
    // At 25 frames a spoke comes 1/25 of a gap short each frame: one gap a second backwards, a twelfth of a turn.
    expect(spinning(wheel, 25, 1 / 50, 0.02).seenTurnsPerS).toBeCloseTo(-1 / 12, 12);
    expect(spinning(wheel, 23, 1 / 50, 0.02).seenTurnsPerS).toBeCloseTo(1 / 12, 12);
  });
  it('bends by what it turns while its lines are read, and smears by what passes while the shutter is open', () => {
    const found = spinning({ turnsPerS: 20, repeats: 2, heightShare: 0.5 }, 25, 1 / 50, 0.02);
    expect(found.bendDeg).toBeCloseTo(72, 9);
    expect(found.smearShare).toBeCloseTo(0.8, 9);
  });
  it('is what frame after frame shows: each catches it where it seems to be', () => {
    const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(num(0.1, 90), fc.integer({ min: 1, max: 20 }), num(10, 240), (turnsPerS, repeats, rateHz) => {
        const { seenTurnsPerS } = spinning({ turnsPerS, repeats, heightShare: 1 }, rateHz, 0.01, 0.01);
        const gap = 1 / repeats;
        const off = (turnsPerS - seenTurnsPerS) / rateHz / gap;
        expect(Math.abs(off - Math.round(off))).toBeLessThan(1e-6);
        expect(Math.abs(seenTurnsPerS)).toBeLessThanOrEqual(rateHz / repeats / 2 + 1e-9);
      }),
    );
  });
});
