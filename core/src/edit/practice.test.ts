import { describe, expect, it } from 'vitest';
import { salvageShoot } from '../formats';
import { differencesOf, type Flown, MOST_TRIES_KEPT, problemsIn, type Shoot, type Try } from '../model';
import { demoShoot } from '../testing/demo';
import { plainShoot } from '../testing/shoots';
import { patchBetween, patched } from './patch';
import { addTry, changePractice, MOST_WAYS_KEPT, removeTry } from './practice';
import { removeShots } from './shots';

const WAY: Flown = {
  rateHz: 10,
  xM: [0, 1],
  yM: [0, 0],
  zM: [1, 1],
  panDeg: [0, 0],
  tiltDeg: [0, 0],
  rollDeg: [0, 0],
  focalLengthMm: [35, 35],
  focusM: [5, 5],
};
const made = (id: string, more: Partial<Try> = {}): Try => ({
  id,
  at: '2026-04-10T08:00:00Z',
  shotId: null,
  exercise: 'oneMotion',
  held: 'drone',
  pace: 1,
  windShare: 0,
  score: 70,
  parts: [{ part: 'path', score: 70 }],
  said: 'Again.',
  flown: WAY,
  ...more,
});
const many = (count: number): Shoot =>
  Array.from({ length: count }, (_, i) => made(`try-${i}`)).reduce(addTry, plainShoot());

describe('tries that are kept', () => {
  it('are kept in order, the ways of the latest only, and never more than a shoot may hold', () => {
    const shoot = many(MOST_TRIES_KEPT + 5);
    const { tries } = shoot.practice;
    expect(tries.length).toBe(MOST_TRIES_KEPT);
    expect([tries[0].id, tries.at(-1)?.id]).toEqual(['try-5', `try-${MOST_TRIES_KEPT + 4}`]);
    expect(tries.filter(({ flown }) => flown !== null).length).toBe(MOST_WAYS_KEPT);
    expect(tries.slice(-MOST_WAYS_KEPT).every(({ flown }) => flown !== null)).toBe(true);
    expect(problemsIn(shoot)).toEqual([]);
  });

  it('go with the shot they are of, and no others', () => {
    const shoot = addTry(addTry(demoShoot(), made('a', { shotId: 'shot-rows', exercise: null })), made('b'));
    const without = removeShots(shoot, ['shot-rows']);
    expect(without.practice.tries.map(({ id }) => id)).toEqual([
      ...demoShoot().practice.tries.map(({ id }) => id),
      'b',
    ]);
    expect(removeTry(without, 'b').practice.tries.map(({ id }) => id)).not.toContain('b');
  });

  it('are refused where columns are not equally long, a score is none, or an id is there twice', () => {
    const with_ = (row: Try) => problemsIn({ ...plainShoot(), practice: { ...plainShoot().practice, tries: [row] } });
    expect(with_(made('a'))).toEqual([]);
    expect(with_(made('a', { flown: { ...WAY, xM: [0, 1, 2] } }))[0].sentence).toContain('as many rows');
    expect(with_(made('a', { score: 120 }))[0].sentence).toContain('practice.tries[0].score must be at most 100');
    const twice = { ...plainShoot().practice, tries: [made('a'), made('a')] };
    expect(problemsIn({ ...plainShoot(), practice: twice })[0].sentence).toContain('repeats "a"');
  });

  it('are left out of a file where they are out of order; the rest opens', () => {
    const shoot = addTry(addTry(demoShoot(), made('good')), made('bad', { flown: { ...WAY, xM: [0, 1, 2] } }));
    const saved = salvageShoot(JSON.parse(JSON.stringify(shoot)));
    const ids = saved?.shoot.practice.tries.map(({ id }) => id);
    expect(ids).toContain('good');
    expect(ids).not.toContain('bad');
    expect(saved?.left.join(' ')).toContain('practice.tries');
  });

  it('cross to a worker as what changed, and what did not stays the same object', () => {
    const before = many(3);
    const after = addTry(before, made('new'));
    const patch = patchBetween(before, after);
    if (!patch || 'whole' in patch) throw new RangeError('no patch');
    expect(patch.lists.tries.rows.map((row) => row.id)).toEqual(['new']);
    const there = patched(before, patch);
    expect(there).toEqual(after);
    expect(there.practice.tries[0]).toBe(before.practice.tries[0]);
    const renamed = { ...before, name: 'Another' };
    const named = patchBetween(before, renamed);
    expect(named && patched(before, named).practice).toBe(before.practice);
    const counted = changePractice(before, { countIn: 5 });
    const count = patchBetween(before, counted);
    expect(count && patched(before, count)).toEqual(counted);
  });

  it('and how it is rehearsed are told where two states differ', () => {
    const before = many(1);
    const sides = { one: 'here', other: 'in the file' };
    expect(differencesOf(before, changePractice(before, { countIn: 5 }), sides).join()).toContain('practice: count in');
    expect(differencesOf(before, addTry(before, made('b')), sides).join()).toContain('tries (1 here, 2 in the file)');
    const later = { ...before, day: { ...before.day, callMin: 500 } };
    expect(differencesOf(before, later, sides).join()).toContain('day: call');
  });
});
