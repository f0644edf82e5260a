/**
 * A place on the strip that goes round a focus ring: where its line is, what is written below it, and in which row, so
 * that no two words lie on each other.
 */
export interface StripPlace {
  atMm: number;
  text: string;
  row: number;
}

/** Lines nearer than this are one line. */
const SAME_PLACE_MM = 1.5;
const EDGE_MM = 12;
const LETTER_MM = 2.7;
const APART_MM = 1.2;

/**
 * Lays out marks (degrees of the ring, in their order) on a strip. Marks at one place are written once, with all their
 * numbers.
 */
export function stripOf(
  ringDegs: readonly number[],
  mmPerDeg: number,
): { places: StripPlace[]; rows: number; lengthMm: number } {
  const least = ringDegs.reduce((a, b) => Math.min(a, b), Infinity);
  const found: { atMm: number; numbers: number[] }[] = [];
  ringDegs.forEach((deg, i) => {
    const atMm = EDGE_MM + (deg - least) * mmPerDeg;
    const same = found.find((row) => Math.abs(row.atMm - atMm) < SAME_PLACE_MM);
    if (same) same.numbers.push(i + 1);
    else found.push({ atMm, numbers: [i + 1] });
  });
  const endsMm: number[] = [];
  const places = found
    .sort((a, b) => a.atMm - b.atMm)
    .map(({ atMm, numbers }) => {
      const text = numbers.join(' ');
      const halfMm = (text.length * LETTER_MM) / 2;
      let row = endsMm.findIndex((endMm) => atMm - halfMm >= endMm + APART_MM);
      if (row < 0) row = endsMm.push(0) - 1;
      endsMm[row] = atMm + halfMm;
      return { atMm, text, row };
    });
  const last = places.reduce((most, { atMm }) => Math.max(most, atMm), EDGE_MM);
  return { places, rows: Math.max(1, endsMm.length), lengthMm: Math.max(24, last + EDGE_MM) };
}
