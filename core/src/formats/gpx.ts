import { XMLParser, XMLValidator } from 'fast-xml-parser';
import * as z from 'zod';
import { clipped } from '../model';
import { Refusal } from './refusal';

/** The trees of GPX 1.1 files, and what a file of them may not hold. */

/** Twenty thousand points with all that devices write about each. */
const MOST_TAGS = 360_000;
const Points = z.array(z.unknown()).default([]);
const name = z.coerce.string().optional();
const GpxSchema = z.object({
  gpx: z.object({
    wpt: Points,
    rte: z.array(z.object({ name, rtept: Points })).default([]),
    trk: z.array(z.object({ name, trkseg: z.array(z.object({ trkpt: Points })).default([]) })).default([]),
  }),
});
export type Gpx = z.infer<typeof GpxSchema>['gpx'];

function tagsIn(text: string): number {
  let count = 0;
  for (let i = text.indexOf('<'); i >= 0; i = text.indexOf('<', i + 1)) count += 1;
  return count;
}

/** What the parser throws (too deep, a tag that is no name) is said as a refusal. */
function asked<Answer>(work: () => Answer): Answer {
  try {
    return work();
  } catch (error) {
    throw Refusal.of(
      '(the whole file)',
      `(the whole file) is no track that can be read: ${clipped((error as Error).message)}.`,
    );
  }
}

/** Reads a GPX file as far as its points. Throws a `Refusal`. */
export function gpxOf(text: string): Gpx {
  if (/<!(DOCTYPE|ENTITY)/i.test(text))
    throw Refusal.of(
      '(the whole file)',
      '(the whole file) declares a document type or entities, which no track needs; take the declaration out.',
    );
  if (tagsIn(text) > MOST_TAGS)
    throw Refusal.of(
      '(the whole file)',
      `(the whole file) has more than ${MOST_TAGS} tags; record fewer points, or take extensions out.`,
    );
  const valid = asked(() => XMLValidator.validate(text));
  if (valid !== true)
    throw Refusal.of(
      '(the whole file)',
      `(the whole file) is not XML: ${clipped(valid.err.msg)} (line ${valid.err.line}).`,
    );
  const many = new Set(['trk', 'trkseg', 'trkpt', 'wpt', 'rte', 'rtept']);
  const parser = new XMLParser({
    ignoreAttributes: false,
    attributeNamePrefix: '@',
    parseTagValue: false,
    removeNSPrefix: true,
    isArray: (tag) => many.has(tag),
    processEntities: false,
  });
  const gpx = GpxSchema.safeParse(asked(() => parser.parse(text) as unknown));
  if (!gpx.success) throw Refusal.of('gpx', 'gpx is missing: this is not a GPX file.');
  return gpx.data.gpx;
}
