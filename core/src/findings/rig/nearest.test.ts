import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Move } from '../../model';
import { filmed, usual } from '../../testing/filmed';
import { rowsLookedAt } from './nearest';

describe('the rows at which clearance is looked at', () => {
  const { samples } = filmed({ ...usual('orbit'), sweepDeg: 300 } as Move);
  it('leave out nothing that is farther than a step or later than a while from the one before', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 5, noNaN: true }),
        fc.double({ min: 0.05, max: 5, noNaN: true }),
        (m, s) => {
          const rows = rowsLookedAt(samples, m, s);
          expect([rows[0], rows[rows.length - 1]]).toEqual([0, samples.count - 1]);
          let [k, farthestM, latestS] = [0, 0, 0];
          for (let row = 0; row < samples.count; row += 1) {
            if (rows[k + 1] === row) k += 1;
            const last = rows[k];
            const wayM = Math.hypot(
              samples.xM[row] - samples.xM[last],
              samples.yM[row] - samples.yM[last],
              samples.zM[row] - samples.zM[last],
            );
            farthestM = Math.max(farthestM, wayM);
            latestS = Math.max(latestS, samples.tS[row] - samples.tS[last]);
          }
          expect(farthestM).toBeLessThanOrEqual(m);
          expect(latestS).toBeLessThanOrEqual(s);
        },
      ),
    );
  });
  it('of nothing are none', () => {
    expect(rowsLookedAt({ ...samples, count: 0 }, 1, 1)).toEqual([]);
  });
});
