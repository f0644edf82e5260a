import { trim, type Units } from '@gentle-arc/core/model';
import type { Count, Marks } from '@gentle-arc/core/rehearse';
import { paper, printPage } from '$lib/ui/print';
import { EDGE_WORDS, markTables } from './mark-tables';

const STYLE = `
  body { font: 11pt/1.35 sans-serif; color: #1e2a2c; margin: 14mm; }
  h1 { font-size: 17pt; margin: 0 0 2mm; }
  h2 { font-size: 12pt; margin: 5mm 0 1mm; }
  table { border-collapse: collapse; width: 100%; break-inside: avoid; }
  th, td { text-align: left; padding: 1mm 3mm 1mm 0; border-bottom: 0.2mm solid #b9b09c; }
  th { font-weight: normal; color: #566466; }
  section { break-inside: avoid; }
  .called { columns: 3; }
`;

const row = (tag: 'th' | 'td', cells: readonly string[]) =>
  paper('tr', '', '', ...cells.map((cell) => paper(tag, cell)));
const table = (title: string, head: readonly string[], rows: readonly (readonly string[])[]): HTMLElement =>
  paper(
    'section',
    '',
    '',
    paper('h2', title),
    paper('table', '', '', row('th', head), ...rows.map((cells) => row('td', cells))),
  );

/** One sheet with all that is put down and called for a shot. */
export function printMarks(name: string, marks: Marks, count: Count, units: Units): Promise<void> {
  const called = count.cues.filter(({ said }) => said !== null);
  return printPage(`Marks: ${name}`, STYLE, (body) => {
    body.append(
      paper('h1', `Marks: ${name}`),
      ...markTables(marks, units).map(({ title, head, rows }) =>
        table(
          title,
          head,
          rows.map(({ cells }) => cells),
        ),
      ),
      ...(marks.edges.length > 0
        ? [
            table(
              'In the frame',
              ['When', 'What stands there'],
              marks.edges.map(({ when, sentence }) => [EDGE_WORDS[when], sentence]),
            ),
          ]
        : []),
      paper('h2', 'What is called'),
      paper('div', '', 'called', ...called.map(({ atS, said }) => paper('div', `${trim(atS, 1)} s  ${said}`))),
      ...marks.notes.map((note) => paper('p', note)),
    );
  });
}
