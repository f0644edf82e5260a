import Papa from 'papaparse';
import { clipped, MOST_GRID, newPiece, type SitePlace } from '../model';
import { onPlan } from '../site';
import { quoted, withoutMark } from './parts-csv';
import { Refusal } from './refusal';
import type { SiteFromEarth } from './site-features';

const HEADERS = ['x,y,z', 'lat,lon,z'];
/** Columns of a grid are as far apart as this, or farther, m. */
const SAME_M = 0.01;

/**
 * Reads heights of the ground from CSV: a row for each crossing of a grid, as `x,y,z` (site metres) or `lat,lon,z`
 * (degrees, metres), in any order. They count from the lowest. Throws a `Refusal` that names the row.
 */
export function readHeightsCsv(text: string, place: SitePlace | null): SiteFromEarth {
  const parsed = Papa.parse<string[]>(withoutMark(text).trim(), {
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t'],
  });
  quoted(parsed.errors);
  const [header, ...rows] = parsed.data;
  const names = (header ?? []).map((name) => name.trim().toLowerCase()).join(',');
  if (!HEADERS.includes(names))
    throw Refusal.of('header', `header must be x,y,z or lat,lon,z; it is ${names ? clipped(names) : 'missing'}.`);
  const onEarth = names === 'lat,lon,z';
  if (onEarth && !place)
    throw Refusal.of('header', 'header is lat,lon,z: say first where on earth the middle of the site is.');
  if (rows.length > MOST_GRID * MOST_GRID)
    throw Refusal.of('rows', `There are ${rows.length} rows; a grid of ${MOST_GRID} by ${MOST_GRID} is read at most.`);
  const given = rows.map((row, i) =>
    names.split(',').map((name, k) => {
      const cell = (row[k] ?? '').trim();
      const value = Number(cell);
      const most = name === 'lat' ? 90 : name === 'lon' ? 180 : 10_000;
      if (cell === '' || !Number.isFinite(value) || Math.abs(value) > most)
        throw Refusal.of(
          `row ${i + 2}, ${name}`,
          `row ${i + 2}, ${name} must be a number from −${most} to ${most}; it is "${clipped(cell)}".`,
        );
      return value;
    }),
  );
  // Lines of a grid are told apart in what the file counts in, and measured in metres.
  const [northAxis, eastAxis] = onEarth ? [0, 1] : [1, 0];
  const lines = (axis: number, finest: number) => {
    const sorted = [...new Set(given.map((row) => row[axis]))].sort((a, b) => a - b);
    return sorted.filter((value, i) => i === 0 || value - sorted[i - 1] > finest);
  };
  const finest = onEarth ? SAME_M / 111_000 : SAME_M;
  const [easts, norths] = [lines(eastAxis, finest), lines(northAxis, finest)];
  if (easts.length < 2 || norths.length < 2)
    throw Refusal.of('rows', 'rows must make a grid: two columns and two rows of heights at least.');
  if (easts.length > MOST_GRID || norths.length > MOST_GRID)
    throw Refusal.of(
      'rows',
      `The rows make a grid of ${easts.length} by ${norths.length}; ${MOST_GRID} by ${MOST_GRID} is read at most.`,
    );
  even(easts, onEarth ? 'lon' : 'x');
  even(norths, onEarth ? 'lat' : 'y');
  const cells: (number | null)[] = Array.from({ length: easts.length * norths.length }, () => null);
  const at = (sorted: number[], value: number) =>
    Math.round(((value - sorted[0]) / (sorted[sorted.length - 1] - sorted[0])) * (sorted.length - 1));
  given.forEach((row, i) => {
    const cell = at(norths, row[northAxis]) * easts.length + at(easts, row[eastAxis]);
    if (cells[cell] !== null) throw Refusal.of(`row ${i + 2}`, `row ${i + 2} gives a height that is given before it.`);
    cells[cell] = row[2];
  });
  const heights = cells.map((height, cell) => {
    if (height !== null) return height;
    const [e, n] = [easts[cell % easts.length], norths[Math.floor(cell / easts.length)]];
    throw Refusal.of(
      'rows',
      `The height at ${onEarth ? `${n},${e}` : `${e},${n}`} is missing: the grid must be whole.`,
    );
  });
  const corner = (e: number, n: number) =>
    onEarth && place ? onPlan(place, { latitudeDeg: n, longitudeDeg: e }) : { xM: e, yM: n };
  const [from, to] = [corner(easts[0], norths[0]), corner(easts[easts.length - 1], norths[norths.length - 1])];
  const low = heights.reduce((a, b) => Math.min(a, b), Infinity);
  const highM = Math.max(0.01, heights.reduce((a, b) => Math.max(a, b), -Infinity) - low);
  if (highM > 500) throw Refusal.of('z', `z rises by ${Math.round(highM)} m; ground of up to 500 m is read.`);
  const piece = newPiece(
    'terrain',
    'heights',
    'Heights of the ground',
    (from.xM + to.xM) / 2,
    (from.yM + to.yM) / 2,
    0,
  );
  if (piece.kind !== 'terrain') throw new TypeError('A ground is made as a ground.');
  const size = { lengthM: to.yM - from.yM, depthM: to.xM - from.xM };
  if (Math.max(size.lengthM, size.depthM) > 2000)
    throw Refusal.of(
      'rows',
      `The grid is ${Math.round(Math.max(size.lengthM, size.depthM))} m long; up to 2,000 m are read.`,
    );
  return {
    pieces: [
      {
        ...piece,
        ...size,
        headingDeg: 0,
        heightM: highM,
        columns: easts.length,
        levels: heights.map((height) => Math.round(((height - low) / highM) * 1e5) / 1e5),
        locked: true,
      },
    ],
    place: null,
    notes: low === 0 ? [] : [`Heights count from the lowest, ${Math.round(low * 100) / 100} m.`],
  };
}

/** Lines of a grid are evenly apart. */
function even(lines: readonly number[], name: string): void {
  const step = (lines[lines.length - 1] - lines[0]) / (lines.length - 1);
  const odd = lines.findIndex((value, i) => Math.abs(value - lines[0] - i * step) > step * 0.05);
  if (odd >= 0)
    throw Refusal.of(
      name,
      `${name} must go up evenly; ${lines[odd]} does not fit steps of ${Math.round(step * 1e6) / 1e6}.`,
    );
}
