import * as z from 'zod';
import {
  migrated,
  MOST_SHOOT_LETTERS,
  problemsOf,
  type Shoot,
  SHOOT_FORMAT,
  SHOOT_VERSION,
  ShootSchema,
} from '../model';
import { jsonOf } from './json';
import { Refusal } from './refusal';

export const SHOOT_FILE_ENDING = '.arc.json';

/**
 * Writes a shoot as a file of our own open format: JSON, UTF-8, a line break at the end; with two spaces unless it is
 * very large.
 */
export function writeShootFile(shoot: Shoot): string {
  const text = JSON.stringify(shoot, null, 2) + '\n';
  // Spaces are for people: what is too large with them is written without, so that it can always be opened again.
  return text.length <= MOST_SHOOT_LETTERS ? text : JSON.stringify(shoot) + '\n';
}

/**
 * Reads a shoot file. Throws a `Refusal` for text that is not JSON, another format, a newer version, or any field out
 * of order.
 */
export function readShootFile(text: string): Shoot {
  return checkShoot(jsonOf(text));
}

/** Checks a value that claims to be a shoot, after bringing an older version to the present one. Throws a `Refusal`. */
export function checkShoot(value: unknown): Shoot {
  const head = z.object({ format: z.unknown(), version: z.unknown() }).safeParse(value);
  if (!head.success)
    throw Refusal.of(
      '(the whole file)',
      '(the whole file) must be a shoot: a JSON object with format, version, site, kit and shots.',
    );
  if (head.data.format !== SHOOT_FORMAT)
    throw Refusal.of('format', `format must be "${SHOOT_FORMAT}"; this is another kind of file.`);
  if (typeof head.data.version === 'number' && head.data.version > SHOOT_VERSION)
    throw Refusal.of(
      'version',
      `version must be at most ${SHOOT_VERSION}; this file is version ${head.data.version}, made by a newer ` +
        'Gentle Arc: update this one.',
    );
  if (typeof head.data.version === 'number' && head.data.version < 1)
    throw Refusal.of('version', `version must be at least 1; this file says ${head.data.version}.`);
  const current = migrated(value);
  const parsed = ShootSchema.safeParse(current);
  if (!parsed.success) throw new Refusal(problemsOf(parsed.error, current));
  return parsed.data;
}

/** The JSON Schema (draft 2020-12) of a shoot file, from the same definitions that check it. */
export function shootJsonSchema(): object {
  return z.toJSONSchema(ShootSchema, { target: 'draft-2020-12', reused: 'ref' });
}
