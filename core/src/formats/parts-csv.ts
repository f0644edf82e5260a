import Papa from 'papaparse';
import { clipped, type Part, PartSchema, problemsOf } from '../model';
import { cellText, plainCell } from './csv-text';
import { partsOnce } from './parts-json';
import { Refusal } from './refusal';

const COLUMNS = [
  'id',
  'name',
  'kind',
  'of',
  'massG',
  'lengthMm',
  'widthMm',
  'heightMm',
  'centreForeMm',
  'centreSideMm',
  'centreUpMm',
  'carriesG',
  'zoomShiftMm',
] as const;
const WORDS = new Set<string>(['id', 'name', 'kind', 'of']);
/** What may be left out: a part's centre of mass is then its middle, and it is nothing of the kit. */
const USUAL: Partial<Record<(typeof COLUMNS)[number], unknown>> = {
  of: null,
  centreForeMm: 0,
  centreSideMm: 0,
  centreUpMm: 0,
  carriesG: 0,
  zoomShiftMm: 0,
};

/** Parts as CSV (RFC 4180), one a row, under the names of their fields. */
export const writePartsCsv = (parts: readonly Part[]): string =>
  Papa.unparse(
    {
      fields: [...COLUMNS],
      data: parts.map((part) =>
        COLUMNS.map((column) => (WORDS.has(column) ? plainCell(String(part[column] ?? '')) : part[column])),
      ),
    },
    { newline: '\r\n' },
  ) + '\r\n';

/** The byte order mark that table programs write first. */
export const withoutMark = (text: string): string => text.replace(/^\uFEFF/, '');

/** Refuses a text whose quotes do not close. Throws a `Refusal` with the row. */
export function quoted(errors: readonly Papa.ParseError[]): void {
  const broken = errors.find(({ type }) => type === 'Quotes');
  if (broken)
    throw Refusal.of(
      `row ${(broken.row ?? 0) + 1}`,
      `row ${(broken.row ?? 0) + 1} has a quote that does not close; close it, or write two for one in a text.`,
    );
}

/**
 * Reads parts from CSV with a header; columns in any order, and those with a usual value may be missing. Throws a
 * `Refusal` that names row and column.
 */
export function readPartsCsv(text: string): Part[] {
  const parsed = Papa.parse<Record<string, string>>(withoutMark(text), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => name.trim(),
    delimitersToGuess: [',', ';', '\t'],
  });
  quoted(parsed.errors);
  const [twice] = Object.values(parsed.meta.renamedHeaders ?? {});
  if (twice !== undefined) throw Refusal.of('header', `header has "${clipped(twice)}" twice; name each column once.`);
  const missing = COLUMNS.filter((column) => !(column in USUAL) && !parsed.meta.fields?.includes(column));
  if (missing.length > 0)
    throw Refusal.of('header', `header lacks ${missing.join(', ')}; the columns are ${COLUMNS.join(',')}.`);
  const unknown = parsed.meta.fields?.find((name) => !COLUMNS.some((column) => column === name));
  if (unknown !== undefined)
    throw Refusal.of(
      'header',
      `header has "${clipped(unknown)}", which is no column; the columns are ${COLUMNS.join(',')}.`,
    );
  const parts = parsed.data.map((row, i) => {
    const value = Object.fromEntries(
      COLUMNS.map((column) => {
        const cell = row[column] ?? '';
        if (cell.trim() === '' && column in USUAL) return [column, USUAL[column]];
        return [column, WORDS.has(column) ? cellText(cell) : numberIn(cell)];
      }),
    );
    const checked = PartSchema.safeParse(value);
    if (checked.success) return checked.data;
    const { path, sentence } = problemsOf(checked.error, value)[0];
    throw Refusal.of(`row ${i + 2}, ${path}`, `row ${i + 2}, ${sentence}`);
  });
  return partsOnce(parts, (i) => `row ${i + 2}`);
}

/** A cell as a number; as it stands when it is none, so that the refusal says what is there. */
const numberIn = (cell: string): number | string | undefined => {
  const text = cell.trim();
  return text === '' ? undefined : Number.isNaN(Number(text)) ? text : Number(text);
};
