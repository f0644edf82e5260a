import * as z from 'zod';
import { MOST_PARTS, type Part, PartSchema, problemsOf } from '../model';
import { jsonOf } from './json';
import { Refusal } from './refusal';

const PartsFileSchema = z.strictObject({ parts: z.array(PartSchema).min(1) });

/** Files of before parts said what they carry. */
const carrying = (value: unknown): unknown =>
  typeof value === 'object' && value !== null && 'parts' in value && Array.isArray(value.parts)
    ? {
        ...value,
        parts: value.parts.map((part: unknown) =>
          typeof part === 'object' && part !== null ? { carriesG: 0, ...part } : part,
        ),
      }
    : value;

/** Parts as JSON: `{ "parts": [ … ] }`. */
export const writePartsJson = (parts: readonly Part[]): string => `${JSON.stringify({ parts }, null, 1)}\n`;

/** Reads parts from JSON. Throws a `Refusal` that names the field. */
export function readPartsJson(text: string): Part[] {
  const value = carrying(jsonOf(text));
  const checked = PartsFileSchema.safeParse(value);
  if (!checked.success) throw new Refusal(problemsOf(checked.error, value));
  return partsOnce(checked.data.parts, (i) => `parts[${i}]`);
}

/**
 * Parts under ids of their own, no more than a kit holds. `rowName` says where part i came from. Throws a `Refusal`.
 */
export function partsOnce(parts: Part[], rowName: (index: number) => string): Part[] {
  if (parts.length === 0)
    throw Refusal.of('parts', 'The file has no parts: it needs at least one row below its header.');
  if (parts.length > MOST_PARTS)
    throw Refusal.of('parts', `The file has ${parts.length} parts; a kit holds at most ${MOST_PARTS}.`);
  const seen = new Map<string, number>();
  parts.forEach(({ id }, i) => {
    const first = seen.get(id);
    if (first !== undefined)
      throw Refusal.of(`${rowName(i)}, id`, `${rowName(i)}, id repeats that of ${rowName(first)}; give each its own.`);
    seen.set(id, i);
  });
  return parts;
}
