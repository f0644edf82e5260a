import type { Hours } from '../model';

/** A whole day and the night after it, minutes. */
export const ALL_DAY: readonly Hours[] = [{ fromMin: 0, toMin: 2160 }];

/** What two lists of stretches have in common, in order. */
export function both(a: readonly Hours[], b: readonly Hours[]): Hours[] {
  return a
    .flatMap((one) =>
      b.map((other) => ({
        fromMin: Math.max(one.fromMin, other.fromMin),
        toMin: Math.min(one.toMin, other.toMin),
      })),
    )
    .filter(({ fromMin, toMin }) => toMin > fromMin)
    .sort((x, y) => x.fromMin - y.fromMin);
}

/** Stretches that touch or lie in each other made one. */
export function joined(rows: readonly Hours[]): Hours[] {
  const made: Hours[] = [];
  for (const row of [...rows].sort((a, b) => a.fromMin - b.fromMin)) {
    const last = made.at(-1);
    if (last && row.fromMin <= last.toMin) last.toMin = Math.max(last.toMin, row.toMin);
    else made.push({ fromMin: row.fromMin, toMin: row.toMin });
  }
  return made;
}
