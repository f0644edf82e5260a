import type { Shoot } from '@gentle-arc/core/model';
import { trim } from '@gentle-arc/core/model';
import type { HandFigures, MyHands } from '@gentle-arc/core/take';

/** The figures of hands, as they are said. */
export const FIGURES: {
  key: Exclude<keyof HandFigures, 'at' | 'speedMps'>;
  name: string;
  say: (value: number) => string;
}[] = [
  { key: 'bobMm', name: 'Up and down', say: (value) => `${trim(value, 0)} mm` },
  { key: 'swayMm', name: 'Side to side', say: (value) => `${trim(value, 0)} mm` },
  { key: 'stepRateHz', name: 'Steps a second', say: (value) => trim(value, 2) },
  { key: 'leanDeg', name: 'Lean', say: (value) => `${trim(value, 1)}°` },
  { key: 'shakeDeg', name: 'Trembling', say: (value) => `${trim(value, 2)}°` },
];

/** Recordings of one person, the earliest first. */
export function figuresOf(
  shoot: Shoot,
  rows: readonly { id: string; figures: HandFigures }[],
  who: string,
): HandFigures[] {
  const byId = new Map(rows.map(({ id, figures }) => [id, figures]));
  return shoot.log.takes
    .filter((take) => take.who === who)
    .flatMap(({ id }) => byId.get(id) ?? [])
    .sort((a, b) => a.at.localeCompare(b.at));
}

/** Whoever has recordings, the one who has the rig first. */
export function peopleRecorded(shoot: Shoot): string[] {
  const all = new Set(shoot.log.takes.filter(({ recorded }) => recorded).map(({ who }) => who));
  return [...all].sort((a, b) => Number(b === shoot.log.who) - Number(a === shoot.log.who) || a.localeCompare(b));
}

export const isMeasured = (hands: MyHands): boolean => hands.bobMm !== null || hands.shakeDeg !== null;
