import type { Shoot } from './shoot';

// Rows are never changed in place.
const known = new WeakMap<object, string>();

/** A row of a shoot as JSON without spaces, made once. */
export function rowText(row: object): string {
  let text = known.get(row);
  if (text === undefined) known.set(row, (text = JSON.stringify(row)));
  return text;
}

/**
 * A shoot as JSON without spaces, letter by letter what `JSON.stringify` makes of it. Only rows that were not there
 * before are written anew, so that it costs little while one thing is changed many times a second.
 */
export const shootText = (shoot: Shoot): string => textOf(shoot);

const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null;

function textOf(value: unknown): string {
  if (Array.isArray(value))
    return `[${value.map((row) => (isObject(row) ? rowText(row) : (JSON.stringify(row) ?? 'null'))).join()}]`;
  if (!isObject(value)) return JSON.stringify(value);
  const entries = Object.entries(value).filter(([, own]) => own !== undefined);
  return `{${entries.map(([key, own]) => `${JSON.stringify(key)}:${textOf(own)}`).join()}}`;
}
