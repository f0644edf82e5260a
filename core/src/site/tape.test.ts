import { describe, expect, it } from 'vitest';
import { newPiece } from '../model';
import { groundPieces } from './ground';
import { tapeBetween } from './tape';

describe('a tape', () => {
  it('measures level, through the air, up, and by the compass (3, 4 and 12 make 13)', () => {
    const slab = { ...newPiece('slab', 's', 'S', 3, 4, 0), lengthM: 2, depthM: 2, heightM: 12 };
    const tape = tapeBetween(groundPieces([slab]), { xM: 0, yM: 0 }, { xM: 3, yM: 4 });
    expect(tape).toMatchObject({ lengthM: 5, riseM: 12, airM: 13, slopePercent: 240 });
    expect(tape.bearingDeg).toBeCloseTo((Math.atan2(3, 4) * 180) / Math.PI, 9);
    const back = tapeBetween(groundPieces([slab]), { xM: 3, yM: 4 }, { xM: 0, yM: 0 });
    expect(back.riseM).toBe(-12);
    expect(back.bearingDeg).toBeCloseTo(tape.bearingDeg + 180, 9);
  });
  it('of no length has no slope', () => {
    expect(tapeBetween([], { xM: 1, yM: 1 }, { xM: 1, yM: 1 })).toMatchObject({ lengthM: 0, slopePercent: 0 });
  });
});
