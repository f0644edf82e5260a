import type { Samples } from '../../motion';

/** The numbers of a way that vary from row to row and that hands are to follow. */
export type WayColumn =
  | 'xM'
  | 'yM'
  | 'zM'
  | 'panDeg'
  | 'tiltDeg'
  | 'rollDeg'
  | 'focalLengthMm'
  | 'focusDistanceM'
  | 'subjectXM'
  | 'subjectYM'
  | 'subjectZM';

/**
 * A column of a filmed way at any moment of action: a cubic through the rows about it (Catmull & Rom), so that speeds
 * are continuous; before the first and after the last row it stays there.
 */
export function planAt(filmed: Samples, column: WayColumn): (tS: number) => number {
  const rows = filmed[column];
  const { count, captureRateHz } = filmed;
  const t0 = filmed.tS[0];
  return (tS) => {
    const at = Math.min(count - 1, Math.max(0, (tS - t0) * captureRateHz));
    const i = Math.min(count - 2, Math.floor(at));
    if (count < 2) return rows[0];
    const f = at - i;
    const [p1, p2] = [rows[i], rows[i + 1]];
    const p0 = i > 0 ? rows[i - 1] : p1;
    const p3 = i + 2 < count ? rows[i + 2] : p2;
    return p1 + 0.5 * f * (p2 - p0 + f * (2 * p0 - 5 * p1 + 4 * p2 - p3 + f * (3 * (p1 - p2) + p3 - p0)));
  };
}

/** Its change each second at a moment, over a short time about it. */
export function planRate(at: (tS: number) => number, tS: number, fromS: number, toS: number, h = 0.01): number {
  const [a, b] = [Math.max(fromS, tS - h), Math.min(toS, tS + h)];
  return b > a ? (at(b) - at(a)) / (b - a) : 0;
}
