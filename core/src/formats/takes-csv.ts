import Papa from 'papaparse';
import { type Shoot, TAKE_REASONS } from '../model';
import { tallyOf } from '../take';
import { plainCell } from './csv-text';

export const TAKE_COLUMNS = [
  'shot',
  'name',
  'take',
  'at',
  'verdict',
  'best',
  'reasons',
  'word',
  'who',
  'rig',
  'move',
] as const;

/** The log as CSV (RFC 4180): one row a take, in the order of the shots and of time. `day`: only takes of these ids. */
export function writeTakesCsv(shoot: Shoot, only: ReadonlySet<string> | null = null): string {
  const data = tallyOf(shoot).flatMap(({ number, name, takes }) =>
    takes.flatMap((take, i) =>
      only && !only.has(take.id)
        ? []
        : [
            [
              number ?? '',
              plainCell(name),
              i + 1,
              take.at,
              take.verdict,
              take.best ? 'yes' : '',
              take.reasons.map((reason) => TAKE_REASONS[reason]).join('; '),
              plainCell(take.word),
              plainCell(take.who),
              plainCell(take.rigName),
              take.move,
            ],
          ],
    ),
  );
  return Papa.unparse({ fields: [...TAKE_COLUMNS], data }, { newline: '\r\n' }) + '\r\n';
}
