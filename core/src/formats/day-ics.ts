import { sayCount } from '../model';
import { momentOf } from '../light';
import type { PlannedDay } from '../day';
import { Refusal } from './refusal';

/**
 * A planned day as iCalendar (RFC 5545): an event a shot, and the breaks. Moments are in UTC, so that no change of a
 * clock moves them; where nobody has said where the site is, they are by whatever clock reads them. A day without a date
 * is refused.
 */
export function writeDayIcs({ given, plan }: PlannedDay): string {
  const { shoot } = given;
  const { date } = shoot.day;
  const { place } = shoot.site;
  if (date === null)
    throw Refusal.of('date', 'date is missing: say on which day it is shot, then it can be a calendar.');
  const zone = place ?? { utcOffsetH: 0 };
  const stamp = (ms: number) =>
    `${new Date(ms).toISOString().slice(0, 19).replaceAll('-', '').replaceAll(':', '')}${place ? 'Z' : ''}`;
  const midnightMs = momentOf(zone, date, '00:00').getTime();
  const at = (s: number) => stamp(midnightMs + Math.round(s) * 1000);
  const event = (uid: string, fromS: number, toS: number, summary: string, description: string) => [
    'BEGIN:VEVENT',
    `UID:${escaped(uid)}@${escaped(shoot.id)}.gentle-arc`,
    `DTSTAMP:${new Date(midnightMs).toISOString().slice(0, 19).replaceAll('-', '').replaceAll(':', '')}Z`,
    `DTSTART:${at(fromS)}`,
    `DTEND:${at(toS)}`,
    `SUMMARY:${escaped(summary)}`,
    ...(description === '' ? [] : [`DESCRIPTION:${escaped(description)}`]),
    ...(place ? [`GEO:${place.latitudeDeg};${place.longitudeDeg}`] : []),
    'END:VEVENT',
  ];
  const lines = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Gentle Arc//Day//EN',
    'CALSCALE:GREGORIAN',
    ...plan.entries.flatMap((entry) =>
      event(
        entry.shotId,
        entry.startS,
        entry.endS,
        `${entry.number} ${entry.name}`,
        [
          `${entry.work.rigName}, ${entry.work.lensName}, ${entry.work.focalLengthMm} mm; about ${sayCount(entry.tries, 'try', 'tries')}.`,
          ...entry.reasons,
          ...entry.notes,
        ].join('\n'),
      ),
    ),
    ...plan.breaks.flatMap(({ id, name, startS, forS }) => event(`break-${id}`, startS, startS + forS, name, '')),
    'END:VCALENDAR',
  ];
  return lines.map(folded).join('\r\n') + '\r\n';
}

/** RFC 5545, 3.3.11. */
const escaped = (text: string): string =>
  text
    .replace(/\\/g, '\\\\')
    .replace(/;/g, '\\;')
    .replace(/,/g, '\\,')
    .replace(/\r\n|\r|\n/g, '\\n');

/** A line of more than 75 octets goes on in the next, behind a space (RFC 5545, 3.1); letters are never parted. */
function folded(line: string): string {
  const MOST = 74;
  const rows: string[] = [];
  let [row, octets] = ['', 0];
  for (const letter of line) {
    const code = letter.codePointAt(0) ?? 0;
    const size = code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x10000 ? 3 : 4;
    if (octets + size > MOST) {
      rows.push(row);
      [row, octets] = ['', 1];
    }
    row += letter;
    octets += size;
  }
  return [...rows, row].join('\r\n ');
}
