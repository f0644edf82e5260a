import { describe, expect, it } from 'vitest';
import { MoveSchema, newPiece, newShoot, type Shoot, ShootSchema, ShotSchema } from '../model';
import { withVariant } from './ways';
import { asKind } from '../motion';
import { addLeg, addPathPoint, removeLeg } from './legs';
import { addPiece, movePiece, putMeasured, removePiece, spotFor } from './pieces';
import { addWalkPoint, changeWalk, moveWalkPoint } from './walks';

const slab = { ...newPiece('slab', 'slab', 'Slab', 10, 0, 0), lengthM: 6, depthM: 6, heightM: 0.8 };

function shoot(): Shoot {
  const empty = newShoot('s', 'S', 'one');
  const pieces = [newPiece('figure', 'figure', 'Ansa', 0, 0, 0), slab];
  return {
    ...empty,
    site: { pieces, place: null, underlays: [] },
    shots: [{ ...empty.shots[0], subjectId: 'figure' }],
  };
}
const piece = (from: Shoot, id: string) => from.site.pieces.find((row) => row.id === id);
const walk = (from: Shoot) => from.shots[0].walks[0]?.points;

describe('changes on the plan', () => {
  it('what was measured in a photograph stands as far away as it was, where the camera looks, on the ground there', () => {
    const at = { xM: 4, yM: 1, panDeg: 90 };
    const put = putMeasured(shoot(), 'seen', at, { awayM: 6, heightM: 2.2 });
    expect(piece(put, 'seen')).toMatchObject({ xM: 10, yM: 1, zM: 0.8, heightM: 2.2, name: 'Measured, 6 m' });
    expect(ShootSchema.safeParse(put).success).toBe(true);
  });
  it('a figure dragged onto a slab stands on it, and comes down again', () => {
    const up = movePiece(shoot(), 'one', 'figure', 10, 0);
    expect(piece(up, 'figure')).toMatchObject({ xM: 10, zM: 0.8 });
    expect(piece(movePiece(up, 'one', 'figure', 0, 0), 'figure')?.zM).toBe(0);
  });
  it('a walk goes along when its walker is dragged', () => {
    const walking = addWalkPoint(shoot(), 'one', newPiece('figure', 'figure', 'Ansa', 0, 0, 0), 2.4, 0);
    expect(walk(walking)).toEqual([
      { tS: 0, xM: 0, yM: 0, zM: 0 },
      { tS: 2, xM: 2.4, yM: 0, zM: 0 },
    ]);
    const moved = movePiece(walking, 'one', 'figure', -1, 3);
    expect(walk(moved)?.map(({ xM, yM }) => [xM, yM])).toEqual([
      [-1, 3],
      [1.4, 3],
    ]);
    expect(piece(moved, 'figure')?.xM).toBe(0);
    expect(walk(moveWalkPoint(moved, 'one', 'figure', 1, 10, 0))?.[1]).toMatchObject({ xM: 10, zM: 0.8 });
    expect(walk(changeWalk(moved, 'one', 'figure', []))).toBeUndefined();
  });
  it('a focus that rested on a piece that is taken away rests on the subject, in both ways of the shot', () => {
    const from = shoot();
    const on = (pieceId: string) => ({ on: 'piece' as const, pieceId, part: 'whole' });
    const focus = {
      mode: 'racks' as const,
      from: on('slab'),
      racks: [
        { atS: 1, overS: 1, to: on('figure') },
        { atS: 3, overS: 1, to: on('slab') },
      ],
    };
    const [shot] = from.shots;
    const racked = { ...from, shots: [withVariant({ ...shot, focus })] };
    const after = removePiece(racked, 'slab');
    expect(ShootSchema.safeParse(after).success).toBe(true);
    for (const plan of [after.shots[0], after.shots[0].other])
      expect(plan?.focus).toEqual({
        mode: 'racks',
        from: { on: 'subject' },
        racks: [
          { atS: 1, overS: 1, to: on('figure') },
          { atS: 3, overS: 1, to: { on: 'subject' } },
        ],
      });
  });
  it('taking the subject away leaves a shoot in order', () => {
    const walking = addWalkPoint(shoot(), 'one', newPiece('figure', 'figure', 'Ansa', 0, 0, 0), 3, 0);
    const after = removePiece(walking, 'figure');
    expect(after.shots[0].subjectId).toBeNull();
    expect(after.shots[0].walks).toEqual([]);
    expect(ShootSchema.safeParse(after).success).toBe(true);
  });
  it('a new piece stands on the ground there and has a name of its own', () => {
    const after = addPiece(shoot(), 'figure', 'new', 10, 1);
    expect(piece(after, 'new')).toMatchObject({ name: 'Figure 2', zM: 0.8 });
  });
  it('a new piece goes where it helps: a post near the lens, a figure at the pivot, a wall behind it', () => {
    const camera = { xM: 0, yM: -5 };
    const pivot = { xM: 0, yM: 0 };
    expect(spotFor('figure', camera, pivot, [])).toEqual(pivot);
    expect(spotFor('post', camera, pivot, []).yM).toBeLessThan(-2);
    expect(Math.abs(spotFor('post', camera, pivot, []).xM)).toBeGreaterThan(0.3);
    expect(spotFor('wall', camera, pivot, []).yM).toBeGreaterThan(2);
    const taken = [newPiece('figure', 'a', 'A', 0, 0, 0)];
    expect(
      Math.hypot(spotFor('figure', camera, pivot, taken).xM, spotFor('figure', camera, pivot, taken).yM),
    ).toBeGreaterThan(1);
    expect(Number.isFinite(spotFor('box', pivot, pivot, []).xM)).toBe(true);
  });
});

describe('the moves of a shot', () => {
  const given = newShoot('s', 'S', 'shot');
  const [shot] = given.shots;
  it('are added from where the last one ends, after a pause, and taken out again', () => {
    const two = addLeg(shot);
    expect(two.then).toHaveLength(1);
    expect(two.then[0].timing.holdStartS).toBeGreaterThan(0);
    expect(ShotSchema.safeParse(two).success).toBe(true);
    expect(addLeg(two).then).toHaveLength(2);
    expect(removeLeg(two, 1)).toEqual(shot);
  });
  it('when the first goes, the next takes its place; the only one stays', () => {
    const two = addLeg(shot);
    const left = removeLeg(two, 0);
    expect(left.move).toEqual(two.then[0].move);
    expect(left.then).toEqual([]);
    expect(removeLeg(shot, 0)).toEqual(shot);
  });
  it('no longer name a piece that has gone', () => {
    const posted = addPiece(given, 'post', 'post-1', 1, 1);
    const racked = {
      ...posted,
      shots: posted.shots.map((row) => ({
        ...row,
        move: { ...asKind(row.move, 'rackFocus'), fromPieceId: 'post-1' } as typeof row.move,
      })),
    };
    expect(ShootSchema.safeParse(racked).success).toBe(true);
    const gone = removePiece(racked, 'post-1');
    expect(gone.shots[0].move).toMatchObject({ kind: 'rackFocus', fromPieceId: null });
    expect(ShootSchema.safeParse(gone).success).toBe(true);
  });
  it('a drawn path grows by a press on the plan, not twice in one place, and not without end', () => {
    const path = asKind(shot.move, 'free');
    const grown = addPathPoint(path, 3, 4);
    expect(grown).toHaveProperty('points.length', 4);
    expect(grown.kind === 'free' && grown.points[3]).toMatchObject({ eastM: 3, northM: 4, look: null });
    expect(addPathPoint(grown, 3, 4)).toBe(grown);
    let long = path;
    for (let i = 0; i < 100; i += 1) long = addPathPoint(long, i, 10 + i);
    expect(MoveSchema.safeParse(long).success).toBe(true);
    expect(addPathPoint(shot.move, 1, 1)).toBe(shot.move);
  });
});
