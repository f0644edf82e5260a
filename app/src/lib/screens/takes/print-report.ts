import { type Shoot, TAKE_REASONS } from '@gentle-arc/core/model';
import { type DayReport, taught } from '@gentle-arc/core/take';
import { paper, printPage } from '$lib/ui/print';
import { clockOf, offsetOf, VERDICT_WORDS } from './words';

const STYLE = `
  @page { size: A4 portrait; margin: 13mm; }
  body { margin: 0; font: 10.5pt/1.4 sans-serif; color: #000; }
  h1 { margin: 0 0 1mm; font-size: 17pt; }
  h2 { margin: 5mm 0 1mm; font-size: 12pt; break-after: avoid; }
  p { margin: 0 0 1mm; }
  table { width: 100%; border-collapse: collapse; }
  th, td { padding: 1mm 2mm 1mm 0; border-bottom: 0.25mm solid #777; text-align: left; vertical-align: top; }
  tr { break-inside: avoid; }
`;

/** A day of the log on paper. */
export function printReport(shoot: Shoot, report: DayReport): Promise<void> {
  return printPage(`${shoot.name}, ${report.day}`, STYLE, (body) => {
    body.append(paper('h1', `${shoot.name}: takes of ${report.day}`));
    for (const sentence of report.said) body.append(paper('p', sentence));
    const head = paper(
      'tr',
      '',
      '',
      ...['Shot', 'Take', 'At', 'It was', 'Why', 'Who'].map((text) => paper('th', text)),
    );
    const rows = report.shots.flatMap((row) =>
      row.takes.map((take, i) =>
        paper(
          'tr',
          '',
          '',
          ...[
            i === 0 ? `${row.number ?? '–'} ${row.name}` : '',
            `${i + 1}${take.best ? ' (circled)' : ''}`,
            clockOf(take.at, offsetOf(shoot)),
            VERDICT_WORDS[take.verdict],
            [...take.reasons.map((reason) => TAKE_REASONS[reason]), ...(take.word ? [`“${take.word}”`] : [])].join(
              ', ',
            ),
            take.who,
          ].map((text) => paper('td', text)),
        ),
      ),
    );
    body.append(paper('table', '', '', head, ...rows));
    if (report.stillOpen.length > 0) {
      body.append(paper('h2', 'Still open'));
      body.append(paper('p', report.stillOpen.map(({ number, name }) => `${number} ${name}`).join(', ')));
    }
    const lessons = taught(shoot);
    if (lessons.length > 0)
      body.append(paper('h2', 'What the log has taught'), ...lessons.map((text) => paper('p', text)));
  });
}
