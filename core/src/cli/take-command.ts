import { basename } from 'node:path';
import { type MotionChoices, readMotionCsv, readMotionGpx, Refusal, takeJson } from '../formats';
import type { Shoot, Shot } from '../model';
import { MOUNTS } from '../take';

/** `arc take`: a recording of motion held against the plan of one shot, as a value to be printed. */
export function takeCommand(
  shoot: Shoot,
  shot: Shot,
  values: { motion?: string; columns?: string; units?: string; mount?: string },
  read: (file: string, what: string) => string,
): unknown {
  const { motion } = values;
  if (motion === undefined)
    throw Refusal.of('--motion', '--motion is missing: give the CSV or GPX of a recording, or what arc path writes.');
  const text = read(motion, '--motion');
  const record = /\.gpx$/i.test(motion)
    ? readMotionGpx(text, basename(motion), shoot.site.place)
    : readMotionCsv(text, basename(motion), {
        columns: pairs('--columns', values.columns) as MotionChoices['columns'],
        units: pairs('--units', values.units) as MotionChoices['units'],
        mount: mountOf(values.mount),
      });
  return takeJson(shoot, shot, record);
}

/** `gyro=degps,accel=g` as pairs. */
function pairs(option: string, text: string | undefined): Record<string, string> {
  if (text === undefined) return {};
  return Object.fromEntries(
    text.split(',').map((part) => {
      const [key, ...rest] = part.split('=');
      if (key.trim() === '' || rest.length === 0)
        throw Refusal.of(
          option,
          `${option} must be pairs such as gyro=degps with commas between them; it is "${text}".`,
        );
      return [key.trim(), rest.join('=').trim()];
    }),
  );
}

function mountOf(text: string | undefined): MotionChoices['mount'] {
  if (text === undefined) return undefined;
  if (!(text in MOUNTS))
    throw Refusal.of('--mount', `--mount must be ${Object.keys(MOUNTS).join(', ')}; it is "${text}".`);
  return text as MotionChoices['mount'];
}
