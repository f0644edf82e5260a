import type { Balance, Fact } from './fact';

type Grade = NonNullable<Fact['grade']>;
const RANK: Record<Grade, number> = { cannot: 0, tight: 1, fits: 2 };

/** The worst grade of what is held against anything; null where nothing is. */
export const worstOf = (balance: Balance): Grade | null =>
  balance.facts.reduce<Grade | null>(
    (worst, { grade }) => (grade && (worst === null || RANK[grade] < RANK[worst]) ? grade : worst),
    null,
  );

/**
 * One sentence on a build: the first thing that cannot be, else what is tight, else that nothing is in its way. Forces
 * on a rope are for a rigger: no verdict.
 */
export function buildVerdict(balance: Balance): string {
  const worst = worstOf(balance);
  if (worst === null) return 'No verdict is given here: these numbers are for the qualified people who decide.';
  if (worst === 'fits') return 'Nothing here is in its way: go through the steps and the checklist.';
  const { label, said, why } = balance.facts.filter(({ grade }) => grade === worst)[0];
  return (
    `${worst === 'cannot' ? 'Not like this' : 'Nearly'}: ${label[0].toLowerCase()}${label.slice(1)} ` +
    `${said}.${why ? ` ${why}` : ''}`
  );
}
