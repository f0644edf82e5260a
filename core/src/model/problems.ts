import type * as z from 'zod';
import { clipped } from './text';

/**
 * One thing wrong with a value that crossed a border: the path to the field, and a sentence that names it and the mend.
 */
export interface Problem {
  path: string;
  sentence: string;
}

/** `['shots', 1, 'timing', 'durationS']` as `shots[1].timing.durationS`; the whole value is `(the whole file)`. */
export function pathText(path: readonly PropertyKey[]): string {
  let text = '';
  for (const key of path) text += typeof key === 'number' ? `[${key}]` : (text ? '.' : '') + clipped(String(key), 40);
  return text || '(the whole file)';
}

function valueAt(root: unknown, path: readonly PropertyKey[]): unknown {
  let value: unknown = root;
  for (const key of path) {
    if (typeof value !== 'object' || value === null) return undefined;
    value = (value as Record<PropertyKey, unknown>)[key];
  }
  return value;
}

const said = (value: unknown): string => {
  if (value === undefined) return 'missing';
  const text =
    typeof value === 'string'
      ? `"${clipped(value, 57)}"`
      : Array.isArray(value)
        ? `a list of ${value.length}`
        : value !== null && typeof value === 'object'
          ? 'an object'
          : String(value);
  return clipped(text, 60);
};

/** Turns what Zod reports into sentences, in the order Zod found them. `value` is what was checked. */
export function problemsOf(error: z.ZodError, value: unknown): Problem[] {
  return error.issues.map((issue) => {
    const path = pathText(issue.path);
    const found = valueAt(value, issue.path);
    switch (issue.code) {
      case 'too_small':
        return { path, sentence: `${path} must ${ofSize('at least', issue.minimum, issue.origin, found)}.` };
      case 'too_big':
        return { path, sentence: `${path} must ${ofSize('at most', issue.maximum, issue.origin, found)}.` };
      case 'invalid_type':
        return { path, sentence: `${path} must be ${article(issue.expected)}; it is ${said(found)}.` };
      case 'invalid_value':
        return { path, sentence: `${path} must be ${issue.values.map(said).join(' or ')}; it is ${said(found)}.` };
      case 'unrecognized_keys':
        return { path, sentence: `${path} has ${listed(issue.keys)}, which this format does not know; take it out.` };
      case 'invalid_union':
        return { path, sentence: `${path} is ${said(found)}, which is not one of the kinds this format knows.` };
      default:
        return { path, sentence: `${path} ${issue.message}.` };
    }
  });
}

/** Keys that this format does not know, the first few of them. */
const listed = (keys: readonly string[]): string =>
  keys.slice(0, 3).map(said).join(' and ') + (keys.length > 3 ? ` and ${keys.length - 3} more` : '');

/** What a number must be, a list must have, or a text must be long. */
function ofSize(bound: string, size: number | bigint, origin: string, found: unknown): string {
  const counted = Array.isArray(found) ? found.length : 0;
  if (origin === 'array') return `have ${bound} ${size} ${size === 1 ? 'entry' : 'entries'}; it has ${counted}`;
  const unit = origin === 'string' ? (size === 1 ? ' character' : ' characters') : '';
  return `be ${bound} ${size}${unit}; it is ${said(found)}`;
}
const article = (type: string): string =>
  type === 'int' ? 'a whole number' : /^[aeiou]/.test(type) ? `an ${type}` : `a ${type}`;
