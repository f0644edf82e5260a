import Papa from 'papaparse';
import type { PlannedDay } from '../day';
import { sayClock } from '../model';
import { plainCell } from './csv-text';

/** The shooting order as CSV, one row a shot, breaks among them; times by the clock of the place. */
export function writeDayCsv({ plan }: PlannedDay): string {
  const minutes = (s: number) => (s / 60).toFixed(1);
  const rows = [
    ...plan.entries.map((entry) => ({
      atS: entry.startS,
      row: {
        begins: sayClock(entry.startS / 60),
        takes_from: sayClock(entry.takesFromS / 60),
        ends: sayClock(entry.endS / 60),
        number: `${entry.number}`,
        name: plainCell(entry.name),
        rig: plainCell(entry.work.rigName),
        lens: plainCell(entry.work.lensName),
        focal_mm: `${entry.work.focalLengthMm}`,
        change_min: minutes(entry.changeS),
        set_up_min: minutes(entry.setUpS),
        wait_min: minutes(entry.waitS),
        takes_min: minutes(entry.takesS),
        tries: `${entry.tries}`,
        who: plainCell(entry.who.map(({ name, what }) => `${name} ${what}`).join('; ')),
        why: plainCell(entry.reasons.join(' ')),
      },
    })),
    ...plan.breaks.map(({ name, startS, forS }) => ({
      atS: startS,
      row: {
        begins: sayClock(startS / 60),
        takes_from: '',
        ends: sayClock((startS + forS) / 60),
        number: '',
        name: plainCell(name),
        ...{ rig: '', lens: '', focal_mm: '', change_min: '', set_up_min: '', wait_min: '', takes_min: '' },
        ...{ tries: '', who: '', why: '' },
      },
    })),
  ].sort((a, b) => a.atS - b.atS);
  return (
    Papa.unparse(
      rows.map(({ row }) => row),
      { newline: '\n' },
    ) + '\n'
  );
}
