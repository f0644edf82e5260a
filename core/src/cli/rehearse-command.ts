import { marksJson, readFlownCsv, Refusal, scoreJson, sticksJson } from '../formats';
import type { Shoot, Shot, StickLayout } from '../model';

/** `arc marks`, `arc sticks` and `arc score`: what is rehearsed of one shot, as a value to be printed. */
export function rehearseCommand(
  command: 'marks' | 'sticks' | 'score',
  shoot: Shoot,
  shot: Shot,
  values: { layout?: string; flown?: string },
  read: (file: string, what: string) => string,
): unknown {
  if (command === 'marks') return marksJson(shoot, shot);
  if (command === 'score') {
    if (values.flown === undefined)
      throw Refusal.of('--flown', '--flown is missing: give the CSV of a way, as arc path writes it.');
    return scoreJson(shoot, shot, readFlownCsv(read(values.flown, '--flown')));
  }
  const layout = values.layout ?? shoot.practice.layout;
  if (!['1', '2', '3', '4'].includes(layout))
    throw Refusal.of('--layout', `--layout must be 1, 2, 3 or 4; it is "${layout}".`);
  return sticksJson(shoot, shot, layout as StickLayout);
}
