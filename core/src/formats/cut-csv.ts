import Papa from 'papaparse';
import type { Shoot } from '../model';
import { framesOf, filmRateHz, kindWords, timecode } from '../sequence';
import { plainCell } from './csv-text';

/** The cut as CSV, one row a shot: where it stands in the film and what of it is shown, as timecodes and seconds. */
export function writeCutCsv(shoot: Shoot): string {
  const filmHz = filmRateHz(shoot);
  let at = 0;
  const rows = shoot.shots.map((shot, i) => {
    const { first, end, rateHz } = framesOf(shot);
    const from = at;
    at += Math.round(((end - first) / rateHz) * filmHz);
    const to = at;
    if (shot.join.kind === 'black') at += Math.round(shot.join.blackS * filmHz);
    return {
      number: i + 1,
      name: plainCell(shot.name),
      scene: plainCell(shot.sceneName),
      film_in: timecode(from, filmHz),
      film_out: timecode(to, filmHz),
      shot_in: timecode(first, rateHz),
      shot_out: timecode(end, rateHz),
      rate_hz: rateHz,
      seconds: ((end - first) / rateHz).toFixed(3),
      meets_next: kindWords(shot.join.kind),
    };
  });
  return Papa.unparse(rows, { newline: '\n' }) + '\n';
}
