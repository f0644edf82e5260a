import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shootJsonSchema } from '../formats';
import { MOVE_KINDS, RECIPES } from '../motion';
import { anyMoveOf } from '../testing/any-move';
import { MoveSchema, numbersOf, parametersOf } from './move';
import { problemsOf } from './problems';
import { parseSpeed, saySpeed } from './units';

describe('the parameters of a move', () => {
  it.each(MOVE_KINDS)('%s: each number has a name, a unit, a step and a range, and the schema holds to it', (kind) => {
    for (const { key, label, unit, step, min, max } of numbersOf(kind)) {
      expect(label).toMatch(/^[a-z]/);
      expect(['m', 'deg', 'mm', 'share']).toContain(unit);
      expect(step).toBeGreaterThan(0);
      expect(min).toBeLessThan(max);
      const usual = RECIPES[kind].startingFrom(
        { distanceM: 4, bearingDeg: 180, heightM: 1.2 },
        { pivotEastM: 0, pivotNorthM: 0 },
      );
      for (const [value, least] of [
        [min - 1, true],
        [max + 1, false],
      ] as const) {
        const given = { ...usual, [key]: value };
        const checked = MoveSchema.safeParse(given);
        expect(checked.success).toBe(false);
        if (!checked.success)
          expect(problemsOf(checked.error, given)[0].sentence).toMatch(
            new RegExp(`^${key} must be at ${least ? 'least' : 'most'} `),
          );
      }
    }
  });
  it('say heights last, and every sentence differs from its neighbour’s', () => {
    for (const kind of MOVE_KINDS) {
      const keys = parametersOf(kind).map(({ key }) => key);
      const height = keys.indexOf('heightM');
      if (height >= 0) expect(keys.slice(height + 1).every((key) => key === 'toHeightM')).toBe(true);
    }
    expect(new Set(MOVE_KINDS.map((kind) => RECIPES[kind].purpose)).size).toBe(MOVE_KINDS.length);
  });
  it('lie inside the schema for any move that the tests make', () => {
    fc.assert(
      fc.property(fc.constantFrom(...MOVE_KINDS).chain(anyMoveOf), (move) => MoveSchema.safeParse(move).success),
      { numRuns: 300 },
    );
  });
  it('stand in the JSON Schema with their names and units, for whoever writes a file by hand', () => {
    const text = JSON.stringify(shootJsonSchema());
    expect(text).toContain('"label":"sweep, + clockwise"');
    expect(text).toContain('"unit":"deg"');
  });
});

describe('speeds', () => {
  it.each([
    ['1.5', 'metric', 1.5],
    ['1,5 m/s', 'metric', 1.5],
    ['10', 'imperial', 3.048],
    ['36 km/h', 'metric', 10],
    ['10 ft/s', 'metric', 3.048],
  ] as const)('%s typed in %s is %d m/s', (text, units, mps) => {
    expect(parseSpeed(text, units)).toBeCloseTo(mps, 9);
  });
  it.each(['', 'fast', '-1', '3 knots'])('%j is not a speed', (text) => {
    expect(parseSpeed(text, 'metric')).toBeNull();
  });
  it('come back as they are said', () => {
    expect(parseSpeed(saySpeed(2.75, 'metric'), 'metric')).toBeCloseTo(2.75, 9);
    expect(parseSpeed(saySpeed(3.048, 'imperial'), 'imperial')).toBeCloseTo(3.048, 9);
  });
});
