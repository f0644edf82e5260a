import type { Balance, Fact } from '@gentle-arc/core/rig/build/fact';

type Grade = NonNullable<Fact['grade']>;
const RANK: Record<Grade, number> = { cannot: 0, tight: 1, fits: 2 };

/** The worst grade of what is held against anything. */
export const worstOf = (balance: Balance): Grade => balance.facts.reduce<Grade>((worst, { grade }) => (grade && RANK[grade] < RANK[worst] ? grade : worst), 'fits');

/** One sentence on a build: the first thing that cannot be, else what is tight, else that it fits. */
export function verdictOf(balance: Balance): string {
  const worst = worstOf(balance);
  const rows = balance.facts.filter(({ grade }) => grade === worst);
  if (worst === 'fits') return 'Nothing here is in its way: go through the steps and the checklist.';
  const [{ label, said, why }] = rows;
  return `${worst === 'cannot' ? 'Not like this' : 'Nearly'}: ${label[0].toLowerCase()}${label.slice(1)} ${said}.${why ? ` ${why}` : ''}`;
}
