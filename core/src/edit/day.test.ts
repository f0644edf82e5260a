import { describe, expect, it } from 'vitest';
import { demoShoot } from '../testing/demo';
import { problemsIn, wishOf } from '../model';
import { changeWish, moveInDay } from './day';
import { removeShots } from './shots';

const demo = demoShoot();

describe('edits of a day', () => {
  it('a wish is kept once a shot, and the others stay as they are', () => {
    const once = changeWish(demo, 'shot-rows', { tries: 9 });
    const twice = changeWish(once, 'shot-rows', { setUpMin: 4 });
    expect(twice.day.wishes).toHaveLength(demo.day.wishes.length);
    expect(wishOf(twice.day, 'shot-rows')).toMatchObject({ tries: 9, setUpMin: 4, light: 'morning' });
    expect(problemsIn(twice)).toEqual([]);
    const bare = changeWish({ ...demo, day: { ...demo.day, wishes: [] } }, 'shot-rows', { tries: 9 });
    expect(bare.day.wishes).toHaveLength(1);
  });
  it('a shot goes before another one, or to the end', () => {
    const order = ['a', 'b', 'c', 'd'];
    expect(moveInDay(demo, order, 'd', 'b').day.order).toEqual(['a', 'd', 'b', 'c']);
    expect(moveInDay(demo, order, 'a', null).day.order).toEqual(['b', 'c', 'd', 'a']);
    expect(moveInDay(demo, order, 'b', 'b').day.order).toEqual(['a', 'c', 'd', 'b']);
  });
  it('a shot that is removed takes its wishes, its place and what was pinned to it along', () => {
    const gone = removeShots(demo, ['shot-follow', 'shot-rows']);
    expect(gone.day.order).not.toContain('shot-rows');
    expect(gone.day.wishes.some(({ shotId }) => shotId === 'shot-rows')).toBe(false);
    expect(wishOf(gone.day, 'shot-overtake')).toMatchObject({ pin: 'none', afterId: null });
    expect(wishOf(gone.day, 'shot-leaves')).toMatchObject({ light: 'any', sameAsId: null });
    expect(problemsIn(gone)).toEqual([]);
    expect(removeShots(demo, []).day).toBe(demo.day);
  });
});
