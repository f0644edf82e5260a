import type { Flown } from '../../model';
import type { Samples } from '../../motion';

/** The camera's way in a try, as rows in time: seconds of action, site metres, degrees, millimetres. */
export interface FlownPath {
  tS: Float64Array;
  xM: Float64Array;
  yM: Float64Array;
  zM: Float64Array;
  panDeg: Float64Array;
  tiltDeg: Float64Array;
  rollDeg: Float64Array;
  /** Null: nobody recorded it; then it is as planned. */
  focalLengthMm: Float64Array | null;
  focusM: Float64Array | null;
}

const COLUMNS = ['xM', 'yM', 'zM', 'panDeg', 'tiltDeg', 'rollDeg'] as const;

/** A planned way as a try that did just that. */
export const asFlown = (filmed: Samples): FlownPath => ({
  tS: filmed.tS,
  ...(Object.fromEntries(COLUMNS.map((key) => [key, filmed[key]])) as Record<(typeof COLUMNS)[number], Float64Array>),
  focalLengthMm: filmed.focalLengthMm,
  focusM: filmed.focusDistanceM,
});

/** A try that was kept, as rows in time. */
export const fromKept = (kept: Flown): FlownPath => ({
  tS: Float64Array.from(kept.xM, (_, i) => i / kept.rateHz),
  ...(Object.fromEntries(COLUMNS.map((key) => [key, Float64Array.from(kept[key])])) as Record<
    (typeof COLUMNS)[number],
    Float64Array
  >),
  focalLengthMm: Float64Array.from(kept.focalLengthMm),
  focusM: Float64Array.from(kept.focusM),
});

/** A column between its rows, at even times from 0 on: straight from row to row, and staying before and after them. */
export function evenly(tS: Float64Array, column: Float64Array, rateHz: number, count: number): Float64Array {
  const out = new Float64Array(count);
  let k = 0;
  for (let i = 0; i < count; i += 1) {
    const at = i / rateHz;
    while (k + 2 < tS.length && tS[k + 1] < at) k += 1;
    const span = tS[Math.min(k + 1, tS.length - 1)] - tS[k];
    const share = span > 0 ? Math.min(1, Math.max(0, (at - tS[k]) / span)) : 0;
    out[i] = column[k] + (column[Math.min(k + 1, column.length - 1)] - column[k]) * share;
  }
  return out;
}

/** The same way at even rows, to be kept with a try: millimetres and hundredths of a degree. */
export function toKeep(path: FlownPath, rateHz: number, most = 1200): Flown {
  const lengthS = path.tS[path.tS.length - 1];
  const rate = Math.min(rateHz, (most - 1) / Math.max(0.1, lengthS));
  const count = Math.max(2, Math.min(most, Math.floor(lengthS * rate + 1e-6) + 1));
  const rounded = (column: Float64Array, digits: number) =>
    [...evenly(path.tS, column, rate, count)].map((v) => Number(v.toFixed(digits)));
  const filled = (column: Float64Array | null, value: number) =>
    column ? rounded(column, 2) : Array.from({ length: count }, () => value);
  return {
    rateHz: rate,
    xM: rounded(path.xM, 3),
    yM: rounded(path.yM, 3),
    zM: rounded(path.zM, 3),
    panDeg: rounded(path.panDeg, 2),
    tiltDeg: rounded(path.tiltDeg, 2),
    rollDeg: rounded(path.rollDeg, 2),
    focalLengthMm: filled(path.focalLengthMm, 35),
    focusM: filled(path.focusM, 3).map((m) => Math.max(0.01, m)),
  };
}
