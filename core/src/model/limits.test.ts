import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { LIMIT_NAMES, LIMITS, limitRange, limitsOf, OwnLimitsSchema, shownLimit, smoothSpeed } from './limits';

describe('the table of limits', () => {
  it('names a source, a unit in words and a group for each, and every value is above 0', () => {
    for (const name of LIMIT_NAMES) {
      expect(LIMITS[name].value, name).toBeGreaterThan(0);
      expect(LIMITS[name].source, name).toMatch(/from memory|common practice, no published source/);
    }
  });
  it('stands in docs/checks.md as it is here (npm run docs writes it)', () => {
    const docs = readFileSync(new URL('../../../docs/checks.md', import.meta.url), 'utf8');
    for (const name of LIMIT_NAMES) {
      const { label, value, source, group } = LIMITS[name];
      const shown = shownLimit(LIMITS[name]);
      expect(docs).toContain(
        `| \`${name}\` | ${group} | ${label} | ${Number((value * shown.times).toPrecision(6))} ` +
          `${shown.unit} | ${source} |`,
      );
    }
  });
  it('holds the user’s own numbers where there are some', () => {
    const limits = limitsOf({ crossingTimeAt24S: 5 });
    expect(limits.crossingTimeAt24S).toBe(5);
    expect(limits.growthRate).toBe(LIMITS.growthRate.value);
    expect(smoothSpeed(24, limits)).toBeCloseTo(1 / 5, 12);
  });
  it('takes a number from a hundredth to a hundred times what ships, and says so of any other', () => {
    const [least, most] = limitRange('crossingTimeAt24S');
    expect([least, most]).toEqual([0.07, 700]);
    expect(OwnLimitsSchema.safeParse({ crossingTimeAt24S: least }).success).toBe(true);
    for (const wrong of [0, -1, 701])
      expect(OwnLimitsSchema.safeParse({ crossingTimeAt24S: wrong }).error?.issues[0].message).toMatch(
        /^must be from 0.07 to 700; it is/,
      );
    expect(OwnLimitsSchema.safeParse({ nonsense: 1 }).success).toBe(false);
  });
});
