import * as z from 'zod';

/**
 * What a person is told of a field stands with its schema: its name, its unit, the step of an arrow key, its options in
 * words. The screens, the terminal, the check of a file and the docs read it from there.
 */

/**
 * How a number is said and typed. `m`, `mps`, `g`, `size`: lengths, speeds, masses and millimetres of a rig or a part,
 * in the person's own units; `mm`: of a lens, which nobody says in inches; `tenth`: degrees as fine as a tenth;
 * `clock`: a time of day, minutes after midnight; `share`: a part of the whole, said in per cent; `fine`: as many digits
 * as it has; `count`: what can be counted only; `shutter`: degrees, or a time such as 1/50.
 */
export const QUANTITIES = [
  'm',
  'mps',
  'g',
  'size',
  'mm',
  'deg',
  'tenth',
  'degps',
  's',
  'clock',
  'hz',
  'share',
  'percent',
  'newton',
  'shutter',
  'fine',
  'count',
  'plain',
] as const;
export type Quantity = (typeof QUANTITIES)[number];

export interface NumberFacts {
  label: string;
  unit: Quantity;
  step: number;
  /** What turns over when left and right change places: `side` always, `site` only when the whole site is mirrored. */
  mirror?: 'side' | 'site';
}
export interface ChoiceFacts {
  label: string;
  /** Each option in words. */
  names: Record<string, string>;
}

/** A number that a person reads and types. */
export interface NumberFact extends NumberFacts {
  type: 'number';
  min: number;
  max: number;
}
export interface ChoiceFact extends ChoiceFacts {
  type: 'choice';
}
/** A piece of the site that is named; null stands for the subject. */
export interface PieceFact {
  type: 'piece';
  label: string;
}
export type Fact = NumberFact | ChoiceFact | PieceFact;

/** A number from `min` to `max` with what is told of it. */
export const number = (
  label: string,
  unit: Quantity,
  min: number,
  max: number,
  step: number,
  more: Partial<NumberFacts> = {},
) =>
  z
    .number()
    .min(min)
    .max(max)
    .meta({ label, unit, step, ...more });

/** The same for what can be counted only. */
export const whole = (label: string, min: number, max: number, step = 1) =>
  z.number().int().min(min).max(max).meta({ label, unit: 'count', step });

/** One of several options, each with its words. */
export function choice<const T extends Record<string, string>>(label: string, names: T) {
  return z.enum(Object.keys(names) as [keyof T & string, ...(keyof T & string)[]]).meta({ label, names });
}

/** Yes or no, each said in words. */
export const yesNo = (label: string, yes: string, no: string) =>
  z.boolean().meta({ label, names: { true: yes, false: no } });

/** A piece of the site, or null for the subject. */
export const pieceOrSubject = (label: string) => z.string().min(1).nullable().meta({ label, piece: true });

/** What a person is told of one field; null where the schema says nothing. */
export function factOf(field: z.ZodType): Fact | null {
  // What may be missing is told as what it is when it is there.
  if (field instanceof z.ZodNullable && !field.meta()) return factOf(field.unwrap() as z.ZodType);
  const facts = field.meta();
  if (!facts) return null;
  if (field instanceof z.ZodNumber)
    return {
      type: 'number',
      min: field.minValue ?? -Infinity,
      max: field.maxValue ?? Infinity,
      ...(facts as unknown as NumberFacts),
    };
  if (facts.names) return { type: 'choice', ...(facts as unknown as ChoiceFacts) };
  return facts.piece ? { type: 'piece', label: String(facts.label) } : null;
}

/**
 * What a person is told of the fields of a schema, by their keys, in the order of the schema.
 *
 * @example
 * factsOf(TimingSchema).durationS; // { type: 'number', label: 'Duration', unit: 's', step: 0.5, min: 0.2, max: 600 }
 */
export function factsOf(schema: { shape: object }): Record<string, Fact> {
  const facts: Record<string, Fact> = {};
  for (const [key, field] of Object.entries(schema.shape as Record<string, z.ZodType>)) {
    const fact = factOf(field);
    if (fact) facts[key] = fact;
  }
  return facts;
}

/** The fact of a number; throws a RangeError where the schema has none under that key. */
export function numberFact(facts: Record<string, Fact>, key: string): NumberFact {
  const fact = facts[key];
  if (fact?.type !== 'number') throw new RangeError(`No number is known by the name of ${key}.`);
  return fact;
}

/** An option of a choice in words; the option itself where its schema has none. */
export function optionWords(field: z.ZodType, option: string): string {
  const fact = factOf(field);
  return fact?.type === 'choice' ? (fact.names[option] ?? option) : option;
}
