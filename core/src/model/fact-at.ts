import * as z from 'zod';
import { type Fact, factOf } from './facts';

/** The keys of a path such as `shots[1].timing.durationS`. */
export const keysOf = (path: string): string[] => path.split(/[.[\]]/).filter((key) => key !== '');

/**
 * What a person is told of the field at a path of a value of this schema (`timing`, `durationS`; rows of a list by any
 * number); null where nothing is told of it. Of several kinds that a value may be, the first that has such a field.
 */
export function factAt(schema: z.ZodType, keys: readonly string[]): Fact | null {
  if (schema instanceof z.ZodNullable || schema instanceof z.ZodOptional || schema instanceof z.ZodDefault) {
    const told = keys.length === 0 && schema.meta() ? factOf(schema) : null;
    return told ?? factAt(schema.unwrap() as z.ZodType, keys);
  }
  if (keys.length === 0) return factOf(schema);
  const [key, ...rest] = keys;
  if (schema instanceof z.ZodArray) return factAt(schema.element as z.ZodType, rest);
  if (schema instanceof z.ZodRecord) return factAt(schema.valueType as z.ZodType, rest);
  if (schema instanceof z.ZodUnion) {
    for (const option of schema.options as z.ZodType[]) {
      const fact = factAt(option, keys);
      if (fact) return fact;
    }
    return null;
  }
  const field =
    schema instanceof z.ZodObject ? (schema.shape as Record<string, z.ZodType | undefined>)[key] : undefined;
  return field ? factAt(field, rest) : null;
}
