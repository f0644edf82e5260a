import { clipped } from '../model';
import { Refusal } from './refusal';

/** The value of a JSON text. Throws a `Refusal` when it is none, in words of ours: each browser has others. */
export function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch (error) {
    throw Refusal.of('(the whole file)', `(the whole file) is not JSON: ${whyNot(text, (error as Error).message)}`);
  }
}

/** What a file of another program that is no text begins with. */
// eslint-disable-next-line no-control-regex -- Such bytes are what is looked for.
const NO_TEXT = /[\u0000-\u0008\u000e-\u001f\ufffd]|^PK/;
const BEGINNING = 20;

function whyNot(text: string, said: string): string {
  const begins = text.trimStart();
  if (begins === '') return 'there is nothing in it.';
  if (NO_TEXT.test(begins.slice(0, 200)))
    return 'it is no text at all. If it is packed, unpack it and choose what was in it.';
  if (!/^[[{"\d-]/.test(begins)) return `it begins with “${clipped(begins, BEGINNING)}”.`;
  const place = Number(/ at position (\d+)(?: \(line \d+ column \d+\))?$/.exec(said)?.[1] ?? NaN);
  if (BREAKS_OFF.test(said) || place >= text.trimEnd().length) return 'it breaks off before its end.';
  const line =
    place >= 0 ? text.slice(0, place).split('\n').length : / line (\d+) column \d+ of the JSON data$/.exec(said)?.[1];
  return line === undefined ? 'something in it is written wrongly.' : `something is written wrongly in line ${line}.`;
}

/** What browsers say of a text that ends too early; they may also quote the text itself. */
const BREAKS_OFF = /^(JSON\.parse: |JSON Parse error: )?(unexpected end|unexpected EOF|unterminated|end of data)/i;
