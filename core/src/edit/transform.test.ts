import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyMove, anyMoveOf, num } from '../testing/any-move';
import { filmed, WALK } from '../testing/filmed';
import { plainPieces } from '../testing/shoots';
import { MOVE_KINDS, recipeOf } from '../motion';
import { mirroredSite } from '../testing/mirrored-site';
import { mirrored, raised, scaled, turned } from './transform';

const TIMING = {
  durationS: 3,
  holdStartS: 0.2,
  featherInS: 1,
  featherOutS: 1,
  holdEndS: 0.2,
  featherShape: 'minimumJerk' as const,
};
const walkBy = (x: number, k: number) => [
  {
    ...WALK,
    points: WALK.points.map((point) => ({ tS: point.tS, xM: x * k * point.xM, yM: k * point.yM, zM: k * point.zM })),
  },
];
const away = (deg: number) => Math.abs(deg - 360 * Math.round(deg / 360));

describe('mirroring the site', () => {
  it('mirrors the picture, for any move of a subject that stands or walks', () => {
    fc.assert(
      fc.property(anyMove, fc.boolean(), (move, walking) => {
        const given = filmed(move, { timing: TIMING, walks: walking ? walkBy(1, 1) : [] });
        // Straight through the subject a head may turn either way.
        fc.pre(move.kind.startsWith('overhead') || given.rows((row) => given.toSubjectM(row) > 0.3));
        const pieces = plainPieces().map((piece) => ({ ...piece, xM: -piece.xM, headingDeg: -piece.headingDeg }));
        const seen = filmed(mirroredSite(move), { timing: TIMING, walks: walking ? walkBy(-1, 1) : [] }, false, pieces);
        for (const row of [0, 20, 40, given.last]) {
          expect(seen.samples.xM[row]).toBeCloseTo(-given.samples.xM[row], 4);
          expect(seen.samples.yM[row]).toBeCloseTo(given.samples.yM[row], 4);
          expect(seen.samples.rollDeg[row]).toBeCloseTo(-given.samples.rollDeg[row], 6);
          if (Number.isFinite(given.subject.u[row]) && Math.abs(given.subject.u[row]) < 3)
            expect(seen.subject.u[row]).toBeCloseTo(-given.subject.u[row], 4);
          if (Number.isFinite(given.subject.v[row]) && Math.abs(given.subject.v[row]) < 3)
            expect(seen.subject.v[row]).toBeCloseTo(given.subject.v[row], 4);
        }
      }),
      { numRuns: 200 },
    );
  });
});

describe('scaling site and path', () => {
  it('by k with the same time leaves the subject in the picture as it was', () => {
    fc.assert(
      fc.property(anyMove, num(0.6, 1.8), fc.boolean(), (move, k, walking) => {
        fc.pre(!('gapM' in move) && move.kind !== 'zoom');
        const pieces = plainPieces().map((piece) => ({
          ...piece,
          xM: k * piece.xM,
          yM: k * piece.yM,
          lengthM: k * piece.lengthM,
          depthM: k * piece.depthM,
          heightM: k * piece.heightM,
        }));
        const larger = scaled(move, k);
        // Parameters that a limit of the model has cut off are no scaled copies.
        fc.pre(JSON.stringify(scaled(larger, 1 / k), round) === JSON.stringify(move, round));
        const given = filmed(move, { timing: TIMING, walks: walking ? walkBy(1, 1) : [] });
        fc.pre(given.rows((row) => given.toSubjectM(row) > 0.7));
        const seen = filmed(larger, { timing: TIMING, walks: walking ? walkBy(1, k) : [] }, false, pieces);
        for (const row of [0, 30, given.last]) {
          expect(away(seen.samples.panDeg[row] - given.samples.panDeg[row])).toBeLessThan(1e-5);
          expect(seen.samples.tiltDeg[row]).toBeCloseTo(given.samples.tiltDeg[row], 5);
          if (given.subject.height[row] < 5) expect(seen.subject.height[row]).toBeCloseTo(given.subject.height[row], 5);
        }
      }),
      { numRuns: 150 },
    );
  });
});

const round = (_key: string, value: unknown) => (typeof value === 'number' ? Math.round(value * 1e6) / 1e6 + 0 : value);

describe('to the other side', () => {
  it.each(MOVE_KINDS)('%s done twice is the same move', (kind) => {
    fc.assert(
      fc.property(anyMoveOf(kind), (move) => {
        expect(JSON.parse(JSON.stringify(mirrored(mirrored(move)), round))).toEqual(
          JSON.parse(JSON.stringify(move, round)),
        );
      }),
      { numRuns: 10 },
    );
  });
  it('turns a slide, an arc and a walk alongside to the other side', () => {
    const ends = (move: Parameters<typeof mirrored>[0]) => {
      const { samples, last } = filmed(move, { timing: TIMING });
      return [samples.xM[0], samples.xM[last]];
    };
    const arc = {
      kind: 'arc' as const,
      pivotEastM: 0,
      pivotNorthM: 0,
      heightM: 1,
      radiusM: 4,
      startBearingDeg: 180,
      sweepDeg: 60,
    };
    expect(ends(mirrored(arc))[1]).toBeCloseTo(-ends(arc)[1], 9);
    expect(ends(arc)[1]).toBeLessThan(-3);
  });
});

describe('raising', () => {
  it('lifts the whole way by as much, and keeps the ground plan', () => {
    fc.assert(
      fc.property(anyMove, (move) => {
        fc.pre(move.kind !== 'crane');
        const [low, high] = [filmed(move, { timing: TIMING }), filmed(raised(move, 0.5), { timing: TIMING })];
        for (const row of [0, 30, low.last]) {
          expect(high.samples.zM[row]).toBeCloseTo(low.samples.zM[row] + 0.5, 6);
          expect(high.samples.xM[row]).toBeCloseTo(low.samples.xM[row], 2);
        }
        expect(recipeOf(raised(move, 0.5)).stand(raised(move, 0.5)).heightM).toBeCloseTo(
          recipeOf(move).stand(move).heightM + 0.5,
          9,
        );
      }),
      { numRuns: 100 },
    );
  });
});

describe('turning about the pivot', () => {
  it('leaves a look that has gone round twice the same look', () => {
    const look = { panDeg: 715, tiltDeg: -10, rollDeg: 0 };
    const at = (eastM: number) => ({ eastM, northM: -4, heightM: 1, look });
    const move = { kind: 'free' as const, pivotEastM: 0, pivotNorthM: 0, points: [at(0), at(2)] };
    const after = turned(move, 30);
    if (after.kind !== 'free') throw new Error('a drawn path stays one');
    expect(after.points[0].look?.panDeg).toBe(715 + 30 - 360);
  });
});
