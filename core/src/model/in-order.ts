import * as z from 'zod';
import { sayClock } from './day';
import { factAt, keysOf } from './fact-at';
import type { Quantity } from './facts';
import { fieldUnit } from './field-unit';
import { KitSchema } from './kit';
import { pathText, problemsOf, type Problem } from './problems';
import { checkReferences } from './references';
import { LogSchema } from './log';
import { PracticeSchema } from './practice';
import { ShootSchema, SiteSchema, type Shoot } from './shoot';
import { clipped } from './text';
import { trim } from './units';

/**
 * Whether a shoot that the app has changed is still one that can be read back. The same rules as `ShootSchema`, but
 * what was in order before (pieces, shots, things of the kit, the day, the limits) is not looked at again: a shoot is never changed
 * in place, so what is the same object is the same.
 */

/** A list as long as it may be, whatever its rows are. */
const lengthOnly = (list: z.ZodArray): z.ZodArray =>
  z.array(z.unknown()).check(...((list._zod.def.checks ?? []) as z.core.$ZodCheck<unknown[]>[]));

const LISTS: { path: string[]; list: z.ZodArray; rowsOf: (shoot: Shoot) => readonly object[] }[] = [
  { path: ['site', 'pieces'], list: SiteSchema.shape.pieces, rowsOf: ({ site }) => site.pieces },
  { path: ['shots'], list: ShootSchema.shape.shots, rowsOf: ({ shots }) => shots },
  {
    path: ['practice', 'tries'],
    list: PracticeSchema.shape.tries,
    rowsOf: ({ practice }) => practice.tries,
  },
  { path: ['log', 'takes'], list: LogSchema.shape.takes, rowsOf: ({ log }) => log.takes },
  { path: ['log', 'readies'], list: LogSchema.shape.readies, rowsOf: ({ log }) => log.readies },
  ...(Object.keys(KitSchema.shape) as (keyof Shoot['kit'])[]).map((name) => ({
    path: ['kit', name],
    list: KitSchema.shape[name] as z.ZodArray,
    rowsOf: ({ kit }: Shoot) => kit[name] as readonly object[],
  })),
];

/** The rows of each of its lists. */
export const rowsIn = (shoot: Shoot): (readonly object[])[] => LISTS.map(({ rowsOf }) => rowsOf(shoot));

/** The parts of a shoot without their rows: these are looked at one by one. */
const PARTS = {
  ...ShootSchema.shape,
  site: z.strictObject({ ...SiteSchema.shape, pieces: lengthOnly(SiteSchema.shape.pieces) }),
  kit: z.strictObject(
    Object.fromEntries(Object.entries(KitSchema.shape).map(([name, list]) => [name, lengthOnly(list as z.ZodArray)])),
  ),
  shots: lengthOnly(ShootSchema.shape.shots),
  practice: z.strictObject({ ...PracticeSchema.shape, tries: lengthOnly(PracticeSchema.shape.tries) }),
  log: z.strictObject({
    ...LogSchema.shape,
    takes: lengthOnly(LogSchema.shape.takes),
    readies: lengthOnly(LogSchema.shape.readies),
  }),
};
const ShellSchema = z.strictObject(PARTS);

/** Rows, and parts without their rows. */
const inOrder = new WeakSet<object>();
const partsInOrder = new WeakSet<object>();

/** Whether nothing but rows can be out of order. */
function shellInOrder(shoot: Shoot): boolean {
  if (Object.keys(shoot).some((key) => !(key in PARTS))) return false;
  return Object.entries(PARTS).every(([key, part]) => {
    const value: unknown = shoot[key as keyof Shoot];
    const known = typeof value === 'object' && value !== null;
    if (known && partsInOrder.has(value)) return true;
    if (!part.safeParse(value).success) return false;
    if (known) partsInOrder.add(value);
    return true;
  });
}

/**
 * Every problem of a shoot, in sentences that name the field; empty when it can be kept. `before`: one in order that it
 * was made from, of which what is the same object is not looked at again.
 */
export function problemsIn(shoot: Shoot, before: Shoot | null = null): Problem[] {
  if (!shellInOrder(shoot)) {
    const shell = ShellSchema.safeParse(shoot);
    if (!shell.success) return problemsOf(shell.error, shoot);
  }
  for (const { path, list, rowsOf } of LISTS)
    for (const [i, row] of rowsOf(shoot).entries()) {
      if (inOrder.has(row)) continue;
      const checked = z.safeParse(list.element, row);
      if (!checked.success)
        return problemsOf(
          new z.ZodError(checked.error.issues.map((issue) => ({ ...issue, path: [...path, i, ...issue.path] }))),
          shoot,
        );
      inOrder.add(row);
    }
  const found: Problem[] = [];
  const refuse = (path: (string | number)[], message: string) =>
    found.push({ path: pathText(path), sentence: `${pathText(path)} ${message}.` });
  checkReferences(shoot, refuse, before);
  return found;
}

/** The label of such a number says what it counts, or its unit in words. */
const WITHOUT_UNIT: readonly Quantity[] = ['plain', 'count', 'fine'];

/** What a number must at least or at most be, as a person reads it: with its unit, a share in per cent, by the clock. */
function withUnits(sentence: string, key: string, unit: Quantity): string {
  const said = (digits: string) =>
    unit === 'clock'
      ? sayClock(Number(digits))
      : unit === 'share'
        ? `${trim(100 * Number(digits), 4)}%`
        : digits.replace('-', '−') + (WITHOUT_UNIT.includes(unit) ? '' : fieldUnit(key).unit);
  if (!/ at (least|most) /.test(sentence)) return sentence;
  return sentence.replace(
    /(at least |at most |it is )(-?\d+(?:\.\d+)?(?:e[+-]\d+)?)(?=; |\.$)/g,
    (_, words: string, digits: string) => words + said(digits),
  );
}

/**
 * A problem by what a person calls its field and the thing it belongs to: `shots[2].timing.durationS must …` is
 * `“The stair”: Duration must be at least 0.2 s; …`. As it is where nothing is told of the field.
 */
export function saidOf(shoot: Shoot, { path, sentence }: Problem): string {
  const keys = keysOf(path);
  const fact = factAt(ShootSchema, keys);
  const told = fact && sentence.startsWith(path) ? fact.label + sentence.slice(path.length) : null;
  const rest =
    told && fact?.type === 'number'
      ? withUnits(told, keys.findLast((key) => !/^\d+$/.test(key)) ?? '', fact.unit)
      : told;
  for (const { path: list, rowsOf } of LISTS) {
    const start = `${list.join('.')}[`;
    if (!path.startsWith(start)) continue;
    const index = Number.parseInt(path.slice(start.length), 10);
    const row = rowsOf(shoot)[index] as { name?: string } | undefined;
    const whole = `${start}${index}]`;
    if (!row?.name?.trim()) continue;
    const name = `“${clipped(row.name)}”`;
    return rest ? `${name}: ${rest}` : sentence.replace(whole, name).replace('”.', '”: ');
  }
  return rest ?? sentence;
}
