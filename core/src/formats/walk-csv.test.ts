import { describe, expect, it } from 'vitest';
import { readWalkCsv } from './walk-csv';
import { refusal } from '../testing/refusal';

describe('walk from CSV', () => {
  it('reads t,x,y,z', () => {
    expect(readWalkCsv('t,x,y,z\r\n0,1,2,0\r\n"2.5",1.5,-3,0.2\r\n')).toEqual([
      { tS: 0, xM: 1, yM: 2, zM: 0 },
      { tS: 2.5, xM: 1.5, yM: -3, zM: 0.2 },
    ]);
  });
  it.each([
    ['', 'header must be t,x,y,z; it is missing.'],
    ['a,b\n1,2', 'header must be t,x,y,z; it is a,b.'],
    ['t,x,y,z', 'row 2 is missing: a walk needs at least one row of t,x,y,z.'],
    ['t,x,y,z\n0,0,0,0\n1,east,0,0', 'row 3, x must be a number; it is "east".'],
    ['t,x,y,z\n3,0,0,0\n1,0,0,0', 'row 3, t must come after the one before it (3 s); put them in order of time.'],
  ])('refuses %j with a sentence', (text, sentence) => {
    expect(refusal(() => readWalkCsv(text))).toBe(sentence);
  });
});
