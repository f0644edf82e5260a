import { describe, expect, it } from 'vitest';
import { newPiece, PatternSchema, problemsIn } from '../model';
import { ANSA, shootOf } from '../testing/joined';
import { boardShot, edgeOf, layOut, patternFrom, PATTERNS, tell } from '.';

describe('a first set from a pattern', () => {
  const answers = { who: 'Mira', where: 'Harbour', happens: 'She mends a net', ending: 'She leaves' };
  const pieces = [ANSA, newPiece('lorry', 'lorry', 'Lorry', 20, 5, 0), newPiece('tin', 'tin', 'Tin', -6, 2, 0.8)];
  it.each(PATTERNS.flatMap((row) => pieces.map((piece) => [row.name, row, piece] as const)))(
    '%s is planned in order about whatever stands there',
    (_name, pattern, piece) => {
      const empty = { ...shootOf([], pieces), shots: [] };
      let count = 0;
      const { shoot, ids } = layOut(empty, pattern, piece.id, answers, () => `new-${(count += 1)}`);
      expect(ids).toHaveLength(pattern.shots.length);
      expect(problemsIn(shoot)).toEqual([]);
      // Seen, where it is framed at all, and from about where the pattern wants it.
      shoot.shots.forEach((shot, i) => {
        const told = tell(shoot, shot);
        const first = edgeOf(told, 'in');
        expect(boardShot(told, 1).sizes.some((size) => size !== null)).toBe(true);
        if (pattern.shots[i].move === 'overheadSlide') return;
        const off =
          (((((first.subject?.fromFrontDeg ?? NaN) - pattern.shots[i].fromDeg + 540) % 360) + 360) % 360) - 180;
        expect(Math.abs(off)).toBeLessThan(12);
      });
      expect(shoot.shots[0].note).toBe('Harbour');
      expect(shoot.shots.at(-1)?.note).toBe('She leaves');
    },
  );
  it('of a figure the sizes come as they were asked for', () => {
    const pattern = PATTERNS.find(({ id }) => id === 'arrival') ?? PATTERNS[0];
    let count = 0;
    const { shoot } = layOut({ ...shootOf([]), shots: [] }, pattern, 'ansa', answers, () => `n-${(count += 1)}`);
    const sizes = shoot.shots.map((shot, i) => {
      const which = pattern.shots[i].move === 'push' ? 'out' : 'in';
      return edgeOf(tell(shoot, shot), which).subject?.size;
    });
    expect(sizes[0]).toBe('wide');
    expect(sizes[4]).toMatch(/close-up/);
  });
  it('a board becomes a pattern that lays out the like', () => {
    let count = 0;
    const idOf = () => `n-${(count += 1)}`;
    const { shoot, ids } = layOut({ ...shootOf([]), shots: [] }, PATTERNS[0], 'ansa', answers, idOf);
    const own = patternFrom(shoot, ids, 'own', 'Own');
    expect(PatternSchema.safeParse(own).success).toBe(true);
    expect(own.shots.map(({ move, purpose }) => [move, purpose])).toEqual(
      PATTERNS[0].shots.map(({ move, purpose }) => [move, purpose]),
    );
  });
});
