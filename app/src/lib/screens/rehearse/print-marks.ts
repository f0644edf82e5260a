import { sayExactLength, sayLength, trim, type Units } from '@gentle-arc/core/model';
import type { Count, Marks } from '@gentle-arc/core/rehearse';
import { paper, printPage } from '$lib/ui/print';

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
const table = (title: string, head: readonly string[], rows: readonly (readonly string[])[]): HTMLElement[] =>
  rows.length === 0
    ? []
    : [
        paper(
          'section',
          '',
          '',
          paper('h2', title),
          paper('table', '', '', row('th', head), ...rows.map((cells) => row('td', cells))),
        ),
      ];

/** One sheet with all that is put down and called for a shot. */
export function printMarks(name: string, marks: Marks, count: Count, units: Units): Promise<void> {
  const s = (atS: number) => `${trim(atS, 1)} s`;
  const mm = (m: number) => sayExactLength(Math.round(m * 1000) / 1000, units);
  return printPage(`Marks: ${name}`, STYLE, (body) => {
    body.append(
      paper('h1', `Marks: ${name}`),
      ...table(
        'On the rail',
        ['When', 'What', 'Pointer stands at', 'Seen from the helper'],
        marks.rail.map((r) => [s(r.atS), r.said, mm(r.placeM), mm(r.readM)]),
      ),
      ...table(
        'On the floor',
        ['When', 'What', 'From the start', 'Steps', 'Foot'],
        marks.floor.map((r) => [s(r.atS), r.said, sayLength(r.goneM, units), String(r.steps), r.foot ?? '']),
      ),
      ...table(
        'On the head',
        ['When', 'What', 'Turned, right of the start', 'Tilt', 'Roll'],
        marks.aim.map((r) => [
          s(r.atS),
          r.said,
          `${trim(r.panDeg, 1)}°`,
          `${trim(r.tiltDeg, 1)}°`,
          `${trim(r.rollDeg, 1)}°`,
        ]),
      ),
      ...table(
        'On the focus ring',
        ['When', 'Distance', 'Ring from ∞'],
        marks.ring.map((r) => [s(r.atS), sayLength(r.distanceM, units), `${trim(r.ringDeg, 0)}°`]),
      ),
      ...table(
        'In the frame',
        ['When', 'What stands there'],
        marks.edges.map((r) => [{ start: 'start', soon: 'soon the end', end: 'end' }[r.when], r.sentence]),
      ),
      paper('h2', 'What is called'),
      paper(
        'div',
        '',
        'called',
        ...count.cues.filter(({ said }) => said !== null).map(({ atS, said }) => paper('div', `${s(atS)}  ${said}`)),
      ),
      ...marks.notes.map((note) => paper('p', note)),
    );
  });
}
