import { describe, expect, it } from 'vitest';
import { type Move, type Shot } from '../model';
import { shotOf, shootOf, whip } from '../testing/joined';
import { boardShot, coverageOf, filmFindings, judgeJoin, tell } from '.';

describe('the film as a whole', () => {
  const near = (id: string, distanceM: number, change: Partial<Shot> = {}) =>
    shotOf(id, { kind: 'still', distanceM } as Move, change);
  const told = (shots: Shot[]) => {
    const shoot = shootOf(shots);
    const rows = shots.map((shot) => tell(shoot, shot));
    const board = rows.map((row, i) => boardShot(row, i + 1));
    return { shoot, board, findings: filmFindings(shoot, rows, board) };
  };
  it('one size after the other, no place shown, an ending that rests', () => {
    const { findings } = told([near('a', 4), near('b', 4), near('c', 4), near('d', 4)]);
    expect(findings.find(({ id }) => id === 'sizes')?.numbers).toEqual([1, 2, 3, 4]);
    expect(findings.some(({ id }) => id === 'establishing')).toBe(true);
    expect(findings.find(({ id }) => id === 'ending')?.grade).toBe('calm');
    const opened = told([near('a', 4, { purpose: 'establishes' }), near('b', 12)]).findings;
    expect(opened.some(({ id }) => id === 'establishing' || id === 'sizes')).toBe(false);
  });
  it('a shot that comes closer on the way is a step: those about it are no row of one size', () => {
    const push = shotOf('c', { kind: 'push', fromDistanceM: 9, toDistanceM: 1.5 } as Move);
    const { board, findings } = told([near('a', 4), near('b', 4), push, near('d', 4), near('e', 4)]);
    expect(new Set(board[2].sizes).size).toBeGreaterThan(1);
    expect(findings.some(({ id }) => id === 'sizes')).toBe(false);
  });
  it('three whips in a row are a habit, and the last one is no ending', () => {
    const { findings } = told(['a', 'b', 'c'].map((id) => whip(id, 80)));
    expect(findings.find(({ id }) => id === 'showy')?.numbers).toEqual([1, 2, 3]);
    expect(findings.find(({ id }) => id === 'ending')?.grade).toBe('ripple');
  });
  it('what is seen of whom from where is ticked off', () => {
    const { shoot, board } = told([near('a', 4), near('b', 1.2)]);
    const cells = coverageOf(shoot, board)?.cells.filter(({ numbers }) => numbers.length > 0);
    expect(cells?.map(({ side, numbers }) => [side, numbers])).toEqual([
      ['front', [1]],
      ['front', [2]],
    ]);
  });
  it('the direction on screen is the camera’s own, or that of who walks', () => {
    expect(told([shotOf('s', { kind: 'slide', travelM: 2 } as Move)]).board[0].direction).toBe('right');
    expect(told([shotOf('s', { kind: 'slide', travelM: -2 } as Move)]).board[0].direction).toBe('left');
    expect(told([near('n', 4)]).board[0].direction).toBe('none');
    const push = told([shotOf('p', { kind: 'push' })]);
    expect(push.board[0].direction).toBe('in');
  });
  it('judging a join twice says the same', () => {
    const shoot = shootOf([near('a', 4), near('b', 8)]);
    const [one, other] = shoot.shots.map((shot) => tell(shoot, shot));
    expect(judgeJoin(one, other, 1)).toEqual(judgeJoin(one, other, 1));
  });
});
