import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MoveSchema, type Move } from '../../model/move';
import { AROUND } from '../../testing/shoots';
import { asKind, MOVE_KINDS, recipeOf } from './index';

const PIVOT = { xM: 3, yM: -2, zM: 0.5 };
const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const around = { pivotEastM: fc.constant(0), pivotNorthM: fc.constant(0), heightM: num(0, 5) };
const moves: fc.Arbitrary<Move> = fc.oneof(
  fc.record({ kind: fc.constant('slide' as const), ...around, distanceM: num(1, 30), bearingDeg: num(-180, 180), travelM: num(-10, 10), skewDeg: num(-80, 80) }),
  fc.record({ kind: fc.constant('push' as const), ...around, fromDistanceM: num(1, 30), toDistanceM: num(1, 30), bearingDeg: num(-180, 180) }),
  fc.record({ kind: fc.constant('arc' as const), ...around, radiusM: num(1, 30), startBearingDeg: num(-180, 180), sweepDeg: num(-360, 360) }),
  fc.record({ kind: fc.constant('dollyZoom' as const), ...around, fromDistanceM: num(1, 30), toDistanceM: num(1, 30), bearingDeg: num(-180, 180) }),
);

function along(move: Move, share: number): [number, number, number] {
  const at = new Float64Array(3);
  recipeOf(move).track(move, PIVOT).write(share, at);
  return [at[0], at[1], at[2]];
}
const fromPivot = ([x, y]: number[]) => Math.hypot(x - PIVOT.xM, y - PIVOT.yM);

describe('what makes each move that move', () => {
  it('an arc keeps its radius and height, and sweeps what it says', () => {
    const move: Move = { kind: 'arc', ...AROUND, radiusM: 4, startBearingDeg: 0, sweepDeg: 90 };
    for (const share of [0, 0.3, 0.7, 1]) expect(fromPivot(along(move, share))).toBeCloseTo(4, 12);
    expect(along(move, 0)).toEqual([3, 2, 1.7]);
    // Clockwise seen from above: from north to east.
    expect(along(move, 1)[0]).toBeCloseTo(7, 12);
    expect(along(move, 1)[1]).toBeCloseTo(-2, 12);
    expect(recipeOf(move).track(move, PIVOT).lengthM).toBeCloseTo(2 * Math.PI, 12);
  });
  it('a full orbit ends where it began', () => {
    const move: Move = { kind: 'arc', ...AROUND, radiusM: 4, startBearingDeg: 33, sweepDeg: -360 };
    along(move, 1).forEach((value, axis) => expect(value).toBeCloseTo(along(move, 0)[axis], 9));
  });
  it('a push comes nearer on one bearing', () => {
    const move: Move = { kind: 'push', ...AROUND, fromDistanceM: 5, toDistanceM: 2, bearingDeg: 120 };
    expect(fromPivot(along(move, 0))).toBeCloseTo(5, 12);
    expect(fromPivot(along(move, 1))).toBeCloseTo(2, 12);
  });
  it('a slide with positive travel goes to the camera’s right', () => {
    // The camera stands south and looks north: its right is east.
    const move: Move = { kind: 'slide', ...AROUND, distanceM: 4, bearingDeg: 180, travelM: 2, skewDeg: 0 };
    expect(along(move, 1)[0] - along(move, 0)[0]).toBeCloseTo(2, 9);
    expect(along(move, 1)[1] - along(move, 0)[1]).toBeCloseTo(0, 9);
    expect(fromPivot(along(move, 0.5))).toBeCloseTo(4, 12);
  });
});

describe('dragging', () => {
  it('puts the end under the finger and leaves the other where it was on a slide', () => {
    fc.assert(
      fc.property(moves, num(-20, 20), num(-20, 20), fc.constantFrom('start', 'end'), (move, xM, yM, id) => {
        fc.pre(move.kind === 'slide' && Math.abs(move.travelM) > 0.1 && Math.hypot(xM - PIVOT.xM, yM - PIVOT.yM) > 0.5);
        const recipe = recipeOf(move);
        const other = recipe.handles(move, PIVOT).find((handle) => handle.id !== id);
        const after = recipe.drag(move, id, xM, yM, PIVOT);
        const handles = recipe.handles(after, PIVOT);
        const held = handles.find((handle) => handle.id === id);
        fc.pre(after.kind === 'slide' && after.distanceM > 0.11);
        expect(held?.xM).toBeCloseTo(xM, 6);
        expect(held?.yM).toBeCloseTo(yM, 6);
        const left = handles.find((handle) => handle.id === other?.id);
        expect(left?.xM).toBeCloseTo(other?.xM ?? NaN, 6);
      }),
    );
  });
  it('puts an end of every other move at the distance of the finger, and the move stays valid', () => {
    fc.assert(
      fc.property(moves, num(-20, 20), num(-20, 20), fc.constantFrom('start', 'end'), (move, xM, yM, id) => {
        fc.pre(move.kind !== 'slide' && Math.hypot(xM - PIVOT.xM, yM - PIVOT.yM) > 0.2);
        const after = recipeOf(move).drag(move, id, xM, yM, PIVOT);
        expect(fromPivot(along(after, id === 'start' ? 0 : 1))).toBeCloseTo(Math.hypot(xM - PIVOT.xM, yM - PIVOT.yM), 6);
        expect(MoveSchema.safeParse(after).success).toBe(true);
      }),
    );
  });
});

describe('choosing another move', () => {
  it('keeps where the camera stood, for every pair', () => {
    fc.assert(
      fc.property(moves, fc.constantFrom(...MOVE_KINDS), (move, kind) => {
        const before = recipeOf(move).stand(move);
        const after = asKind(move, kind);
        expect(after.kind).toBe(kind);
        expect(recipeOf(after).stand(after).distanceM).toBeCloseTo(before.distanceM, 9);
        expect(after.heightM).toBe(move.heightM);
        expect(MoveSchema.safeParse(after).success).toBe(true);
      }),
    );
  });
  it('scaling travel and distance stays valid', () => {
    fc.assert(
      fc.property(moves, num(0.1, 5), (move, share) => {
        const recipe = recipeOf(move);
        expect(MoveSchema.safeParse(recipe.scaleTravel(move, share)).success).toBe(true);
        expect(MoveSchema.safeParse(recipe.scaleDistance(move, share)).success).toBe(true);
      }),
    );
  });
});
