import Papa from 'papaparse';
import { clipped } from '../model';
import type { FlownPath } from '../rehearse';
import { unwrapped } from '../take';
import { quoted, withoutMark } from './parts-csv';
import { Refusal } from './refusal';

/** What a way must have, and what it may have besides, by the names that `arc path` writes. */
const NEEDED = ['t_s', 'x_m', 'y_m', 'z_m', 'pan_deg', 'tilt_deg'] as const;
type Besides = 'roll_deg' | 'focal_length_mm' | 'focus_distance_m';
const MOST_ROWS = 700_000;
const MOST_S = 90_000;

/** What a number of a column may be. */
const REACH: Record<string, [number, number]> = {
  t_s: [-MOST_S, MOST_S],
  x_m: [-60_000, 60_000],
  y_m: [-60_000, 60_000],
  z_m: [-6_000, 10_000],
  pan_deg: [-100_000, 100_000],
  tilt_deg: [-360, 360],
  roll_deg: [-100_000, 100_000],
  focal_length_mm: [0.5, 6_000],
  focus_distance_m: [0.005, 1e9],
};

/**
 * Reads the way of a camera as `arc path --format csv` writes it: a header with at least `t_s,x_m,y_m,z_m,pan_deg,
 * tilt_deg` in any order, then one row a moment, in order of time. Throws a `Refusal` that names the row and the column.
 */
export function readFlownCsv(text: string): FlownPath {
  const parsed = Papa.parse<string[]>(withoutMark(text).trim(), {
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t'],
  });
  quoted(parsed.errors);
  const [header, ...rows] = parsed.data;
  const names = (header ?? []).map((name) => name.trim().toLowerCase());
  const missing = NEEDED.filter((name) => !names.includes(name));
  if (missing.length > 0)
    throw Refusal.of(
      'header',
      `header must have ${NEEDED.join(', ')}; ${missing.join(', ')} ${missing.length === 1 ? 'is' : 'are'} missing ` +
        `(it is ${names.length ? clipped(names.join(','), 80) : 'empty'}).`,
    );
  const twice = names.find((name, i) => name !== '' && names.indexOf(name) !== i);
  if (twice !== undefined) throw Refusal.of('header', `header has ${clipped(twice)} twice; leave one out.`);
  if (rows.length < 2)
    throw Refusal.of('rows', `a way needs at least two rows; there ${rows.length === 1 ? 'is one' : 'are none'}.`);
  if (rows.length > MOST_ROWS)
    throw Refusal.of(
      'rows',
      `the way has ${rows.length} rows; at most ${MOST_ROWS} are read: leave out every second one.`,
    );
  const column = (name: string): Float64Array => {
    const at = names.indexOf(name);
    const [least, most] = REACH[name];
    return Float64Array.from(rows, (row, i) => {
      const cell = (row[at] ?? '').trim();
      const value = cell === '' ? NaN : Number(cell);
      if (!Number.isFinite(value))
        throw Refusal.of(`row ${i + 2}, ${name}`, `row ${i + 2}, ${name} must be a number; it is "${clipped(cell)}".`);
      if (value < least || value > most)
        throw Refusal.of(
          `row ${i + 2}, ${name}`,
          `row ${i + 2}, ${name} must be from ${least} to ${most}; it is ${clipped(cell)}.`,
        );
      return value;
    });
  };
  const has = (name: Besides) => (names.includes(name) ? column(name) : null);
  const tS = column('t_s');
  tS.forEach((s, i) => {
    if (i > 0 && s <= tS[i - 1])
      throw Refusal.of(
        `row ${i + 2}, t_s`,
        `row ${i + 2}, t_s must come after the row before it (${tS[i - 1]}); put them in order of time.`,
      );
  });
  if (tS[0] < -MOST_S / 2 || tS[tS.length - 1] <= 0)
    throw Refusal.of('t_s', 't_s must be seconds from the start of the shot; the way ends before it begins.');
  return {
    tS,
    xM: column('x_m'),
    yM: column('y_m'),
    zM: column('z_m'),
    panDeg: unwrapped(column('pan_deg')),
    tiltDeg: column('tilt_deg'),
    rollDeg: has('roll_deg') ?? new Float64Array(rows.length),
    focalLengthMm: has('focal_length_mm'),
    focusM: has('focus_distance_m'),
  };
}
