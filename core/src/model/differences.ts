import { fieldUnit } from './field-unit';
import type { Shoot } from './shoot';
import { clipped } from './text';
import { trim } from './units';

/** What two states of a shoot are called in a sentence: `here` and `in the file`. */
export interface Sides {
  one: string;
  other: string;
}

interface Row {
  id: string;
  name: string;
}

/** `holdStartS` as `hold start` with its unit ` s`. */
function fieldWords(key: string): { words: string; unit: string } {
  const { bare, unit } = fieldUnit(key);
  return {
    words: bare.replace(/Id$/, '').replace(/([a-z\d])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`),
    unit,
  };
}

const said = (value: unknown, unit: string): string => {
  if (typeof value === 'number') return `${trim(value, 3)}${unit}`;
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (value === null || value === undefined || value === '') return 'nothing';
  return typeof value === 'string' ? `“${clipped(value, 30)}”` : 'another';
};

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null;

/** Names of fields that differ between two values of one shape, the first few with both values. */
function leaves(one: unknown, other: unknown, key: string, sides: Sides, found: string[]): void {
  if (one === other) return;
  if (isObject(one) && isObject(other) && Array.isArray(one) === Array.isArray(other)) {
    if (Array.isArray(one) && one.length !== (other as unknown as unknown[]).length) {
      found.push(
        `${fieldWords(key).words} (${one.length} ${sides.one}, ${(other as unknown as unknown[]).length} ` +
          `${sides.other})`,
      );
      return;
    }
    for (const name of new Set([...Object.keys(one), ...Object.keys(other)]))
      leaves(one[name], other[name], /^\d+$/.test(name) ? key : name, sides, found);
    return;
  }
  const { words, unit } = fieldWords(key);
  found.push(`${words} ${said(one, unit)} ${sides.one}, ${said(other, unit)} ${sides.other}`);
}

const MOST_FIELDS = 2;

function fieldsThatDiffer(one: unknown, other: unknown, sides: Sides): string {
  const found: string[] = [];
  leaves(one, other, 'contents', sides, found);
  const unique = [...new Set(found)];
  return (
    unique.slice(0, MOST_FIELDS).join('; ') +
    (unique.length > MOST_FIELDS ? `; and ${unique.length - MOST_FIELDS} more` : '')
  );
}

function lists(what: string, one: readonly Row[], other: readonly Row[], sides: Sides): string[] {
  if (one === other) return [];
  const [inOne, inOther] = [new Map(one.map((row) => [row.id, row])), new Map(other.map((row) => [row.id, row]))];
  const sentences: string[] = [];
  for (const row of one) {
    const same = inOther.get(row.id);
    if (!same) sentences.push(`${what} “${clipped(row.name, 40)}” is only ${sides.one}`);
    else if (same !== row) {
      const fields = fieldsThatDiffer(row, same, sides);
      if (fields) sentences.push(`${what} “${clipped(row.name, 40)}”: ${fields}`);
    }
  }
  for (const row of other)
    if (!inOne.has(row.id)) sentences.push(`${what} “${clipped(row.name, 40)}” is only ${sides.other}`);
  const order = (rows: readonly Row[], known: Map<string, Row>) =>
    rows.filter(({ id }) => known.has(id)).map(({ id }) => id);
  const [first, second] = [order(one, inOther), order(other, inOne)];
  if (first.some((id, i) => id !== second[i])) sentences.push(`${what}s stand in another order`);
  return sentences;
}

/** What differs between two states of a shoot, a sentence a thing, shots first; empty when nothing does. */
export function differencesOf(one: Shoot, other: Shoot, sides: Sides): string[] {
  const plain = (key: 'name' | 'note') =>
    one[key] === other[key]
      ? []
      : [`${key} ${said(one[key], '')} ${sides.one}, ${said(other[key], '')} ${sides.other}`];
  const whole = (key: 'delivery' | 'story' | 'day' | 'practice' | 'log' | 'limits') => {
    const fields = fieldsThatDiffer(one[key], other[key], sides);
    return fields ? [`${key}: ${fields}`] : [];
  };
  const place = () => {
    const fields = fieldsThatDiffer(one.site.place ?? {}, other.site.place ?? {}, sides);
    return fields ? [`place on earth: ${fields}`] : [];
  };
  return [
    ...plain('name'),
    ...plain('note'),
    ...lists('shot', one.shots, other.shots, sides),
    ...lists('piece', one.site.pieces, other.site.pieces, sides),
    ...lists('camera', one.kit.cameras, other.kit.cameras, sides),
    ...lists('lens', one.kit.lenses, other.kit.lenses, sides).map((row) => row.replace(/^lenss/, 'lenses')),
    ...lists('rig', one.kit.rigs, other.kit.rigs, sides),
    ...lists('gait', one.kit.gaits, other.kit.gaits, sides),
    ...lists('filter', one.kit.filters, other.kit.filters, sides),
    ...lists('part', one.kit.parts, other.kit.parts, sides),
    ...lists('build', one.kit.builds, other.kit.builds, sides),
    ...whole('delivery'),
    ...whole('story'),
    ...whole('day'),
    ...whole('practice'),
    ...whole('log'),
    ...whole('limits'),
    ...place(),
  ];
}

/** The first few differences as one sentence; what is not said is counted. */
export function sayDifferences(differences: readonly string[], most = 4): string {
  if (differences.length === 0) return 'Nothing differs.';
  const more = differences.length - most;
  const text = `${differences.slice(0, most).join('. ')}${more > 0 ? `. And ${more} more` : ''}.`;
  return text[0].toUpperCase() + text.slice(1);
}
