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

const number = z.coerce.number();
const TrackPointSchema = z.object({
  '@lat': number.min(-90).max(90),
  '@lon': number.min(-180).max(180),
  ele: number.optional(),
  time: z.iso.datetime({ offset: true }),
});
export type TrackPoint = z.infer<typeof TrackPointSchema>;

/** The points of a file’s first track, each with its time. Throws a `Refusal` that names the track point. */
export function trackOf(text: string): TrackPoint[] {
  const raw = (gpxOf(text).trk[0]?.trkseg ?? []).flatMap((segment) => segment.trkpt);
  if (raw.length === 0) throw Refusal.of('trk', 'trk has no track points: record a track, not a route or waypoints.');
  return raw.map((value, i) => {
    const point = TrackPointSchema.safeParse(value);
    if (point.success) return point.data;
    const field = String(point.error.issues[0].path[0] ?? '').replace('@', '');
    const hint =
      field === 'time'
        ? 'must be a date and time such as 2026-04-02T06:30:00Z; a track without times has no pace'
        : 'must be a number of degrees';
    throw Refusal.of(
      `trkpt ${i + 1}, ${field}`,
      `trkpt ${i + 1}, ${field} ${field === 'ele' ? 'must be a number of metres' : hint}.`,
    );
  });
}
