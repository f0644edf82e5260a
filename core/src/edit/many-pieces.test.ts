import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { newPiece, newShoot, type Piece, ShootSchema, type Shoot } from '../model';
import {
  ALIGNMENTS,
  type Alignment,
  alignPieces,
  groupPieces,
  lockPieces,
  movePieces,
  removePieces,
  repeatPieces,
  turnPieces,
  withGroups,
} from './many-pieces';
import { addPlace, PLACES, type PlaceKind } from './places';

const withThem = (...pieces: Piece[]): Shoot => {
  const empty = newShoot('s', 'S', 'one');
  return { ...empty, site: { pieces, place: null, underlays: [] } };
};
const at = (id: string, xM: number, yM: number, headingDeg = 0): Piece => ({
  ...newPiece('box', id, id, xM, yM, 0),
  headingDeg,
});
const spots = (shoot: Shoot) => shoot.site.pieces.map(({ xM, yM }) => [xM, yM]);
let count = 0;
const idOf = () => `id-${(count += 1)}`;
const metres = fc.integer({ min: -4000, max: 4000 }).map((cm) => cm / 100);

describe('several pieces at a time', () => {
  const shoot = withThem(at('a', 0, 0), at('b', 4, 1), at('c', 10, -2), at('d', 3, 8, 40));

  it('a group is chosen by any one of it', () => {
    const grouped = groupPieces(shoot, ['a', 'c'], 'g');
    expect(withGroups(grouped, ['c'])).toEqual(['a', 'c']);
    expect(withGroups(grouped, ['b', 'a'])).toEqual(['a', 'b', 'c']);
    expect(withGroups(groupPieces(grouped, ['a', 'c'], null), ['c'])).toEqual(['c']);
  });
  it('move together, all but what is locked', () => {
    const moved = movePieces(lockPieces(shoot, ['b'], true), 'one', ['a', 'b', 'c'], 1.5, -2);
    expect(spots(moved)).toEqual([
      [1.5, -2],
      [4, 1],
      [11.5, -4],
      [3, 8],
    ]);
  });
  it('who rides moves once, with what carries', () => {
    const rider = { ...newPiece('figure', 'r', 'R', 0, 0, 2), on: 'a' };
    const moved = movePieces(withThem(at('a', 0, 0), rider), 'one', ['a', 'r'], 3, 1);
    expect(spots(moved)).toEqual([
      [3, 1],
      [3, 1],
    ]);
  });
  it('turn about their middle: lengths between them stay, four quarters bring them back', () => {
    fc.assert(
      fc.property(metres, metres, metres, metres, (ax, ay, bx, by) => {
        const two = withThem(at('a', ax, ay), at('b', bx, by, 20));
        const quarter = turnPieces(two, ['a', 'b'], 90);
        const [a, b] = quarter.site.pieces;
        expect(Math.hypot(a.xM - b.xM, a.yM - b.yM)).toBeCloseTo(Math.hypot(ax - bx, ay - by), 1);
        expect(b.headingDeg).toBe(110);
        const round = [90, 90, 90].reduce((next, deg) => turnPieces(next, ['a', 'b'], deg), quarter);
        spots(round).forEach(([x, y], i) => {
          const [wx, wy] = spots(two)[i];
          expect(Math.hypot(x - wx, y - wy)).toBeLessThan(0.06);
        });
      }),
    );
  });
  it('in a line they lie on it, evenly apart, the outermost where they were', () => {
    const lined = alignPieces(shoot, 'one', ['a', 'b', 'c'], 'line');
    expect(spots(lined).slice(0, 3)).toEqual([
      [0, 0],
      [5, -1],
      [10, -2],
    ]);
  });
  it('every way of lining up keeps a valid shoot and settles: once more changes nothing', () => {
    for (const how of Object.keys(ALIGNMENTS) as Alignment[]) {
      const once = alignPieces(shoot, 'one', ['a', 'b', 'c', 'd'], how);
      expect(ShootSchema.safeParse(once).success, how).toBe(true);
      expect(alignPieces(once, 'one', ['a', 'b', 'c', 'd'], how), how).toEqual(once);
    }
  });
  it('a row of posts: each as far from the one before, in the direction asked', () => {
    const row = repeatPieces(shoot, ['a'], { times: 4, apartM: 2.5, bearingDeg: 90 }, idOf).site.pieces.slice(4);
    expect(row.map(({ xM, yM }) => [xM, yM])).toEqual([
      [2.5, 0],
      [5, 0],
      [7.5, 0],
      [10, 0],
    ]);
    expect(new Set(row.map(({ id }) => id)).size).toBe(4);
    expect(row[3].name).toBe('a 5');
  });
  it('a copy of a group is a group of its own', () => {
    const twice = repeatPieces(
      groupPieces(shoot, ['a', 'b'], 'g'),
      ['a', 'b'],
      { times: 1, apartM: 9, bearingDeg: 0 },
      idOf,
    );
    const [c1, c2] = twice.site.pieces.slice(4);
    expect(c1.group).toBe(c2.group);
    expect(c1.group).not.toBe('g');
  });
  it('what is locked is not taken away', () => {
    const left = removePieces(lockPieces(shoot, ['b'], true), ['a', 'b']).site.pieces;
    expect(left.map(({ id }) => id)).toEqual(['b', 'c', 'd']);
  });
});

describe('places', () => {
  it.each(Object.keys(PLACES) as PlaceKind[])(
    'a %s is valid, stands on the ground and has names of its own',
    (place) => {
      const twice = addPlace(addPlace(withThem(), place, 1, 2, idOf), place, 20, 2, idOf);
      expect(ShootSchema.safeParse(twice).success).toBe(true);
      const names = twice.site.pieces.map(({ name }) => name);
      expect(new Set(names).size).toBe(names.length);
    },
  );
  it('a room leaves as much free inside as it says, and a door to go through', () => {
    const { pieces } = addPlace(withThem(), 'room', 0, 0, idOf).site;
    const wall = (name: string) => pieces.find((piece) => piece.name.endsWith(name));
    const [left, right] = [wall('left wall'), wall('right wall')];
    expect((right?.xM ?? 0) - (left?.xM ?? 0) - (left?.depthM ?? 0)).toBeCloseTo(4, 6);
    const near = wall('near wall');
    expect(near?.kind === 'wall' && near.openings).toEqual([
      { offsetM: 0, widthM: 0.9, heightM: 2.05, sillM: 0, pane: 'open' },
    ]);
    expect(wall('ceiling')).toMatchObject({ hidden: true, zM: 2.6 });
  });
});
