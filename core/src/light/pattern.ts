import type { Lamp } from '../model';

type Pattern = Lamp['pattern'];

/** What stands before a lamp, as light or dark at a place across (-1 left to 1 right) and up (-1 to 1) its beam. */
export function letsThrough(pattern: Pattern, across: number, up: number): boolean {
  const folded = (value: number, apart: number) => Math.abs((((value % apart) + apart) % apart) - apart / 2);
  switch (pattern) {
    case 'none':
      return true;
    case 'bars':
      // A window of panes.
      return folded(across, 0.5) < 0.21 && folded(up, 0.66) < 0.28;
    case 'slats':
      return folded(up, 0.25) < 0.0625;
    case 'leaves':
      // Waves across each other: spots of no order that an eye would see.
      return (
        Math.sin(7.1 * across + 2.3 * Math.sin(4.3 * up)) + Math.sin(8.3 * up + 1.9 * Math.sin(5.7 * across) + 1) > 0.1
      );
  }
}

const LOOKS = 512;
const known = new Map<Pattern, number>();

/** How much of a lamp's light its pattern lets through on the whole, 0 to 1. */
export function throughShare(pattern: Pattern): number {
  const before = known.get(pattern);
  if (before !== undefined) return before;
  let open = 0;
  for (let row = 0; row < LOOKS; row += 1)
    for (let column = 0; column < LOOKS; column += 1)
      if (letsThrough(pattern, (2 * (column + 0.5)) / LOOKS - 1, (2 * (row + 0.5)) / LOOKS - 1)) open += 1;
  const share = open / LOOKS ** 2;
  known.set(pattern, share);
  return share;
}
