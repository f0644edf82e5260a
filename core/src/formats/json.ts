import { clipped } from '../model';
import { Refusal } from './refusal';

/** The value of a JSON text. Throws a `Refusal` when it is none. */
export function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch (error) {
    throw Refusal.of('(the whole file)', `(the whole file) is not JSON: ${clipped((error as Error).message)}.`);
  }
}
