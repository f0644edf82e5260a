import { parametersOf, type MoveKind, type NumberParameter } from '../../model';

/** Which two numbers say where a move goes from and to: the first pair that a move has both of. */
const FROM_TO = [
  ['fromDistanceM', 'toDistanceM'],
  ['fromDeg', 'toDeg'],
  ['fromAlongM', 'toAlongM'],
  ['beyondM', 'toDistanceM'],
  ['gapM', 'toDistanceM'],
  ['gapM', 'fromDistanceM'],
  ['radiusM', 'sweepDeg'],
  ['distanceM', 'travelM'],
  ['heightM', 'toHeightM'],
  ['distanceM', 'spinDeg'],
  ['distanceM', 'rollDeg'],
  ['distanceM', 'toFocalLengthMm'],
  ['distanceM', 'fromTiltDeg'],
  ['distanceM', 'toTiltDeg'],
  ['distanceM', 'sideM'],
  ['sideM', 'alongM'],
  ['distanceM', 'heightM'],
] as const;

/**
 * The numbers that say a move in a few words, two at most: from where to where. Empty for a drawn path, which is seen
 * on the plan.
 */
export function gistOf(kind: MoveKind): NumberParameter[] {
  const numbers = parametersOf(kind).filter((row): row is NumberParameter => row.type === 'number');
  const named = (key: string) => numbers.find((row) => row.key === key);
  for (const keys of FROM_TO) {
    const found = keys.flatMap((key) => named(key) ?? []);
    if (found.length === keys.length) return found;
  }
  return [];
}
