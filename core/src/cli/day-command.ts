import { planDay } from '../day';
import { dayJson, Refusal, writeDayCsv, writeDayIcs } from '../formats';
import type { Shoot } from '../model';

/** `arc day`: the day in the order asked for, as text. */
export function dayCommand(shoot: Shoot, values: { order?: string; late?: string; format?: string }): string {
  const kept = shoot.day.order.length > 0;
  const order = values.order ?? (kept ? 'kept' : 'best');
  if (order !== 'story' && order !== 'best' && !(order === 'kept' && values.order === undefined))
    throw Refusal.of('--order', `--order must be story or best; it is "${order}".`);
  const lateMin = values.late === undefined ? 0 : Number(values.late);
  if (values.late?.trim() === '' || !(lateMin >= 0 && lateMin <= 1440))
    throw Refusal.of('--late', `--late must be minutes from 0 to 1440; it is "${values.late}".`);
  const format = values.format ?? 'json';
  if (format !== 'json' && format !== 'ics' && format !== 'csv')
    throw Refusal.of('--format', `--format must be json, ics or csv; it is "${format}".`);
  const planned = planDay(shoot, order, { lateMin });
  if (format === 'ics') return writeDayIcs(planned);
  if (format === 'csv') return writeDayCsv(planned);
  return JSON.stringify(dayJson(planned, order), null, 1) + '\n';
}
