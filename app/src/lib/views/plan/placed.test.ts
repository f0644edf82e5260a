import { describe, expect, it } from 'vitest';
import type { Shoot } from '@gentle-arc/core/model';
import { movePiece } from '@gentle-arc/core/edit';
import { sceneOf } from '@gentle-arc/core/scene';
import { drawingOrder } from '@gentle-arc/core/site';
import { demoShoot } from '@gentle-arc/core/testing/demo';
import { placedAt } from './placed';

const shoot = demoShoot();
const of = (from: Shoot, id: string) => sceneOf(from, from.shots.find((shot) => shot.id === id) ?? from.shots[0]);

describe('what is seen on the plan', () => {
  it('is all that is not hidden, in drawing order, with its subject', () => {
    const scene = of(shoot, 'shot-sorting');
    const placed = placedAt(scene, 0, []);
    expect(placed.map(({ piece }) => piece)).toEqual(drawingOrder(scene.pieces.filter(({ hidden }) => !hidden)));
    expect(placed.filter(({ isSubject }) => isSubject).map(({ piece }) => piece.id)).toEqual([scene.subject?.id]);
  });

  it('is the same list as long as nobody is anywhere else, and keeps each that stays', () => {
    const before = placedAt(of(shoot, 'shot-sorting'), 0, []);
    expect(placedAt(of({ ...shoot }, 'shot-sorting'), 0, before)).toBe(before);
    const { id } = before[5].piece;
    const moved = placedAt(of(movePiece(shoot, 'shot-sorting', id, 1, 2, false), 'shot-sorting'), 0, before);
    const changed = moved.filter((placed) => !before.includes(placed));
    expect(changed.map(({ piece }) => piece.id)).toEqual([id]);
    expect(changed[0].at).toMatchObject({ xM: 1, yM: 2 });
  });

  it('has walkers where they are then', () => {
    const scene = of(shoot, 'shot-follow');
    const walker = scene.things.find(({ walks }) => walks);
    if (!walker) throw new Error('Nobody walks there.');
    const at = (tS: number, before: ReturnType<typeof placedAt>) => placedAt(scene, tS, before);
    const [first, later] = [at(0, []), at(2, at(0, []))];
    const there = (list: typeof first) => list.find(({ piece }) => piece === walker.piece)?.at;
    const spot = new Float64Array(3);
    walker.at(2, spot);
    expect([there(later)?.xM, there(later)?.yM]).toEqual([spot[0], spot[1]]);
    expect(there(later)).not.toEqual(there(first));
  });
});
