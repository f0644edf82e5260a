import Papa from 'papaparse';
import type * as z from 'zod';
import { clipped, drawnWalk, MOST_WALK_POINTS, type WalkPoint, WalkSchema } from '../model';
import { quoted, withoutMark } from './parts-csv';
import { Refusal } from './refusal';

const HEADER = ['t', 'x', 'y', 'z'];

/**
 * Reads a subject's walk from CSV with the header `t,x,y,z`: seconds from the start of the shot, site metres. Throws a
 * `Refusal` that names the row and the column.
 */
export function readWalkCsv(text: string): WalkPoint[] {
  const parsed = Papa.parse<string[]>(withoutMark(text).trim(), {
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t'],
  });
  quoted(parsed.errors);
  const [header, ...rows] = parsed.data;
  const names = (header ?? []).map((name) => name.trim().toLowerCase());
  if (names.join(',') !== HEADER.join(','))
    throw Refusal.of('header', `header must be t,x,y,z; it is ${names.length ? clipped(names.join(',')) : 'missing'}.`);
  if (rows.length === 0) throw Refusal.of('row 2', 'row 2 is missing: a walk needs at least one row of t,x,y,z.');
  const points = rows.map((row, i) => {
    const [tS, xM, yM, zM] = HEADER.map((name, k) => {
      const cell = (row[k] ?? '').trim();
      const value = Number(cell);
      if (cell === '' || !Number.isFinite(value))
        throw Refusal.of(`row ${i + 2}, ${name}`, `row ${i + 2}, ${name} must be a number; it is "${clipped(cell)}".`);
      return value;
    });
    return { tS, xM, yM, zM };
  });
  return checkWalk(points, (i) => `row ${i + 2}`);
}

/** Checks the points of a walk against the model; `rowName` says where point i came from. */
export function checkWalk(points: WalkPoint[], rowName: (index: number) => string): WalkPoint[] {
  if (points.length > MOST_WALK_POINTS)
    throw Refusal.of(
      'points',
      `The walk has ${points.length} points; at most ${MOST_WALK_POINTS} are kept: leave out every ` +
        'second one, or more.',
    );
  const checked = WalkSchema.safeParse(drawnWalk('walk', points));
  if (checked.success) return checked.data.points;
  const issue = checked.error.issues[0] as z.core.$ZodIssue;
  const index = typeof issue.path[1] === 'number' ? issue.path[1] : 0;
  const column = { tS: 't', xM: 'x', yM: 'y', zM: 'z' }[String(issue.path[2])] ?? 'points';
  const where = `${rowName(index)}, ${column}`;
  throw Refusal.of(
    where,
    `${where} ${issue.code === 'custom' ? issue.message : `is out of reach (${issue.message})`}.`,
  );
}
