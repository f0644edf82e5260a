import * as z from 'zod';
import { Refusal } from '@gentle-arc/core/formats/refusal';
import { PartSchema, type Part } from '@gentle-arc/core/model/build';
import { problemsOf } from '@gentle-arc/core/model/problems';

const PartsFileSchema = z.strictObject({ parts: z.array(PartSchema).min(1).max(300) });

/** Reads `{ "parts": [ … ] }`. Throws a `Refusal` that names the field. */
export function readPartsJson(text: string): Part[] {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    throw Refusal.of('(the whole file)', `The file is not JSON: ${(error as Error).message}.`);
  }
  const checked = PartsFileSchema.safeParse(value);
  if (!checked.success) throw new Refusal(problemsOf(checked.error, value));
  return checked.data.parts;
}
