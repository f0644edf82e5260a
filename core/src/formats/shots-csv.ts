import Papa from 'papaparse';
import * as z from 'zod';
import type { ShotRow } from '../edit';
import { clipped, CutSchema, JoinSchema, type Shoot, ShotSchema, TimingSchema } from '../model';
import { cellText, plainCell } from './csv-text';
import { quoted, withoutMark } from './parts-csv';
import { Refusal } from './refusal';

/** The shot list: what a person says of shots in a table. What is planned of them stays in the shoot. */
const COLUMNS = [
  'shot',
  'id',
  'name',
  'scene',
  'purpose',
  'duration_s',
  'focal_mm',
  'cut_in_s',
  'cut_out_s',
  'meets_next',
  'black_s',
  'note',
] as const;
const MOST_ROWS = 500;

/** The shots as CSV (RFC 4180), one a row in the order of the story. */
export const writeShotsCsv = ({ shots }: Shoot): string =>
  Papa.unparse(
    {
      fields: [...COLUMNS],
      data: shots.map((shot, i) => [
        i + 1,
        plainCell(shot.id),
        plainCell(shot.name),
        plainCell(shot.sceneName),
        shot.purpose,
        shot.timing.durationS,
        shot.focalLengthMm,
        shot.cut?.inS ?? '',
        shot.cut?.outS ?? '',
        shot.join.kind,
        shot.join.blackS,
        plainCell(shot.note),
      ]),
    },
    { newline: '\r\n' },
  ) + '\r\n';

const { shape } = ShotSchema;
const FIELDS: Partial<Record<(typeof COLUMNS)[number], z.ZodType>> = {
  id: shape.id,
  name: shape.name,
  scene: shape.sceneName,
  purpose: shape.purpose,
  duration_s: TimingSchema.shape.durationS,
  focal_mm: shape.focalLengthMm,
  cut_in_s: CutSchema.shape.inS,
  cut_out_s: CutSchema.shape.outS,
  meets_next: JoinSchema.shape.kind,
  black_s: JoinSchema.shape.blackS,
  note: shape.note,
};
const NUMBERS = new Set<string>(['duration_s', 'focal_mm', 'cut_in_s', 'cut_out_s', 'black_s']);

/**
 * Reads a shot list: a header with `name` and any of the other columns, in any order. An empty cell leaves what is
 * planned. Throws a `Refusal` that names row and column.
 */
export function readShotsCsv(text: string): ShotRow[] {
  const parsed = Papa.parse<Record<string, string>>(withoutMark(text), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => name.trim().toLowerCase(),
    delimitersToGuess: [',', ';', '\t'],
  });
  quoted(parsed.errors);
  const header = parsed.meta.fields ?? [];
  if (!header.includes('name'))
    throw Refusal.of('header', `header must have a column name; it is ${clipped(header.join(',') || 'empty', 80)}.`);
  const unknown = header.find((name) => name !== '' && !COLUMNS.some((column) => column === name));
  if (unknown !== undefined)
    throw Refusal.of('header', `header has a column “${clipped(unknown, 40)}”; known are ${COLUMNS.join(', ')}.`);
  if (parsed.data.length === 0) throw Refusal.of('rows', 'There is no row under the header: write one for each shot.');
  if (parsed.data.length > MOST_ROWS)
    throw Refusal.of('rows', `There are ${parsed.data.length} rows; ${MOST_ROWS} shots are read at most.`);
  const known = new Set<string>();
  return parsed.data.map((cells, i) => {
    const cell = (column: (typeof COLUMNS)[number]): unknown => {
      const text = cellText((cells[column] ?? '').trim());
      if (text === '') return null;
      const value = NUMBERS.has(column) ? Number(text.replace(',', '.')) : text;
      const checked = FIELDS[column]?.safeParse(value);
      if (!checked || checked.success) return value;
      throw Refusal.of(
        `row ${i + 2}, ${column}`,
        `row ${i + 2}, ${column} ${wantedOf(column)}; it is "${clipped(text, 40)}".`,
      );
    };
    const name = cell('name');
    if (name === null) throw Refusal.of(`row ${i + 2}, name`, `row ${i + 2}, name is empty: give the shot a name.`);
    const id = cell('id') as string | null;
    if (id !== null && known.has(id))
      throw Refusal.of(
        `row ${i + 2}, id`,
        `row ${i + 2}, id "${clipped(id, 40)}" is there twice: leave one of them empty.`,
      );
    if (id !== null) known.add(id);
    const [inS, outS] = [cell('cut_in_s') as number | null, cell('cut_out_s') as number | null];
    if (inS !== null && outS !== null && outS <= inS)
      throw Refusal.of(
        `row ${i + 2}, cut_out_s`,
        `row ${i + 2}, cut_out_s must come after cut_in_s (${inS}); it is ${outS}.`,
      );
    return {
      id,
      name: name as string,
      sceneName: cell('scene') as string | null,
      purpose: cell('purpose') as ShotRow['purpose'],
      durationS: cell('duration_s') as number | null,
      focalLengthMm: cell('focal_mm') as number | null,
      cutInS: inS,
      cutOutS: outS,
      kind: cell('meets_next') as ShotRow['kind'],
      blackS: cell('black_s') as number | null,
      note: cell('note') as string | null,
    };
  });
}

function wantedOf(column: (typeof COLUMNS)[number]): string {
  const field = FIELDS[column];
  if (field instanceof z.ZodNumber) return `must be a number from ${field.minValue} to ${field.maxValue}`;
  if (field instanceof z.ZodEnum) return `must be one of ${field.options.join(', ')}`;
  return 'must be shorter';
}
