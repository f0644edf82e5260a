import { sceneFrom } from '../../scene';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MoveSchema } from '../../model';
import { anyMove, num } from '../../testing/any-move';
import { plainSetup } from '../../testing/shoots';
import { draggedMove, gripsOf, motionOf } from '../legs';
import { stillMoveFrame } from '../move-frame';
import { asKind, EFFECT_KINDS, kindsFor, MOVE_KINDS, recipeOf, RECIPES } from './index';

const STAGE = stillMoveFrame({ xM: 3, yM: -2, zM: 0.5 });

describe('the vocabulary', () => {
  it('has 40 moves or more, each found by what it does on screen, none twice', () => {
    expect(MOVE_KINDS.length).toBeGreaterThanOrEqual(40);
    expect(EFFECT_KINDS.flatMap(kindsFor).sort()).toEqual([...MOVE_KINDS].sort());
    expect(new Set(MOVE_KINDS.map((kind) => RECIPES[kind].title)).size).toBe(MOVE_KINDS.length);
  });
  it.each(MOVE_KINDS)('%s has a title, a sentence when to use it, and the kind it stands under', (kind) => {
    const { title, purpose } = RECIPES[kind];
    expect(RECIPES[kind].kind).toBe(kind);
    expect(title).toMatch(/^[A-Z]/);
    expect(purpose).toMatch(/^[A-Z].*\.$/);
  });
});

describe('dragging', () => {
  it('never leaves what the model allows, for any move and any finger', () => {
    fc.assert(
      fc.property(anyMove, num(-40, 40), num(-40, 40), fc.nat(6), (move, xM, yM, pick) => {
        const [leg] = motionOf(plainSetup((shot) => ({ ...shot, move }))).legs;
        const handles = gripsOf(leg, true);
        const { id } = handles[pick % handles.length];
        expect(MoveSchema.safeParse(draggedMove(leg, id, xM, yM)).success || move.kind === 'free').toBe(true);
      }),
      { numRuns: 400 },
    );
  });
  const PULLED = [
    'slide',
    'angledSlide',
    'slideOutReveal',
    'overheadSlide',
    'follow',
    'lead',
    'alongside',
    'holdDistance',
    'overtake',
    'free',
    'still',
    'rise',
  ] as const;
  it.each(PULLED)('puts the dragged point of %s under the finger', (kind) => {
    fc.assert(
      fc.property(num(1.5, 9), num(0, 1), num(0, 1), fc.nat(6), (distanceM, a, b, pick) => {
        const move = asKind(
          {
            kind: 'slide',
            pivotEastM: 0,
            pivotNorthM: 0,
            heightM: 1,
            distanceM,
            bearingDeg: 200,
            travelM: 2,
            skewDeg: 10,
          },
          kind,
        );
        const scene = plainSetup((shot) => ({ ...shot, move }));
        const [leg] = motionOf(scene).legs;
        const handles = gripsOf(leg, true);
        const handle = handles[pick % handles.length];
        const [xM, yM] = [handle.xM + a - 0.5, handle.yM + b - 0.5];
        const after = draggedMove(leg, handle.id, xM, yM);
        const [now] = motionOf(sceneFrom({ ...scene, shot: { ...scene.shot, move: after } })).legs;
        const held = gripsOf(now, true).find(({ id }) => id === handle.id);
        expect(held?.xM).toBeCloseTo(xM, 6);
        expect(held?.yM).toBeCloseTo(yM, 6);
      }),
      { numRuns: 30 },
    );
  });
});

describe('choosing another move', () => {
  it('gives a move that the model allows, from every other', () => {
    fc.assert(
      fc.property(anyMove, fc.constantFrom(...MOVE_KINDS), (move, kind) => {
        const after = asKind(move, kind);
        expect(after.kind).toBe(kind);
        expect(MoveSchema.safeParse(after).error?.issues ?? []).toEqual([]);
      }),
      { numRuns: 600 },
    );
  });
  const KEEP = [
    'slide',
    'push',
    'pull',
    'arc',
    'orbit',
    'rise',
    'pan',
    'still',
    'dollyZoom',
    'jib',
    'roll',
    'free',
  ] as const;
  it.each(KEEP)('keeps where the camera stood: to %s', (kind) => {
    for (const from of KEEP) {
      const move = asKind(
        {
          kind: 'slide',
          pivotEastM: 1,
          pivotNorthM: 0,
          heightM: 1.3,
          distanceM: 5,
          bearingDeg: 160,
          travelM: 2,
          skewDeg: 0,
        },
        from,
      );
      const [before, after] = [recipeOf(move).stand(move), recipeOf(asKind(move, kind)).stand(asKind(move, kind))];
      expect(after.distanceM).toBeCloseTo(before.distanceM, 1);
      expect((((after.bearingDeg - before.bearingDeg) % 360) + 540) % 360).toBeCloseTo(180, 0);
    }
  });
  it('scaling travel and distance stays valid, and continuing from anywhere does', () => {
    fc.assert(
      fc.property(anyMove, num(0.1, 5), num(-9, 9), num(-9, 9), num(0, 5), (move, share, xM, yM, zM) => {
        const recipe = recipeOf(move);
        for (const after of [
          recipe.scaleTravel(move, share),
          recipe.scaleDistance(move, share),
          recipe.continueFrom(move, { xM, yM, zM }, STAGE),
        ])
          expect(MoveSchema.safeParse(after).error?.issues ?? []).toEqual([]);
      }),
      { numRuns: 400 },
    );
  });
});
