import { type Lens, MOST_FOCALS } from '@gentle-arc/core/model';

/** Focal lengths that people speak of, mm. */
const USUAL = [12, 16, 20, 24, 28, 35, 50, 70, 85, 100, 135, 200, 300];
const SPREAD = 13;

/** Up to six focal lengths that the kit reaches, spread from short to long, the shot's own among them. */
export function usualFocals(lenses: readonly Lens[], ownMm: number): number[] {
  const reached = USUAL.filter((mm) =>
    lenses.some((lens) => mm >= lens.focalLengthMinMm && mm <= lens.focalLengthMaxMm),
  );
  const picked = new Set([ownMm]);
  const wanted = Math.min(MOST_FOCALS, reached.length);
  for (let k = 0; picked.size < wanted && k < wanted; k += 1)
    picked.add(reached[Math.round((k * (reached.length - 1)) / Math.max(1, wanted - 1))]);
  return [...picked].sort((a, b) => a - b);
}

/** Focal lengths from the kit's shortest to its longest, evenly in ratio, whole millimetres. */
export function rangeOf(lenses: readonly Lens[]): number[] {
  const least = Math.min(...lenses.map((lens) => lens.focalLengthMinMm));
  const most = Math.max(...lenses.map((lens) => lens.focalLengthMaxMm));
  return [
    ...new Set(Array.from({ length: SPREAD }, (_, i) => Math.round(least * (most / least) ** (i / (SPREAD - 1))))),
  ];
}
