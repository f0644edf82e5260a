import { XMLParser, XMLValidator } from 'fast-xml-parser';
import geodesic from 'geographiclib-geodesic';
import * as z from 'zod';
import { clipped, type WalkPoint } from '../model';
import { Refusal } from './refusal';
import { checkWalk } from './walk-csv';

const number = z.coerce.number();
const TrackPointSchema = z.object({
  '@lat': number.min(-90).max(90),
  '@lon': number.min(-180).max(180),
  ele: number.optional(),
  time: z.iso.datetime({ offset: true }),
});
const GpxSchema = z.object({
  gpx: z.object({
    trk: z
      .array(z.object({ trkseg: z.array(z.object({ trkpt: z.array(z.unknown()).default([]) })).default([]) }))
      .default([]),
  }),
});

/** Where the first point of a track goes on the site, metres. */
export interface Landing {
  xM: number;
  yM: number;
  zM: number;
}

/** Twenty thousand points with all that devices write about each. */
const MOST_TAGS = 360_000;

function tagsIn(text: string): number {
  let count = 0;
  for (let i = text.indexOf('<'); i >= 0; i = text.indexOf('<', i + 1)) count += 1;
  return count;
}

const damaged = (error: unknown) =>
  Refusal.of(
    '(the whole file)',
    `(the whole file) is no track that can be read: ${clipped((error as Error).message)}.`,
  );

/** What the parser throws (too deep, a tag that is no name) is said as a refusal. */
function parsed(parser: XMLParser, text: string): unknown {
  try {
    return parser.parse(text);
  } catch (error) {
    throw damaged(error);
  }
}
function validated(text: string): ReturnType<typeof XMLValidator.validate> {
  try {
    return XMLValidator.validate(text);
  } catch (error) {
    throw damaged(error);
  }
}

/**
 * Reads the first track of a GPX 1.1 file as a walk. Longitude and latitude become site metres by geodesic distance and
 * azimuth on WGS 84 from the first point, which is laid on `landing` at time 0; heights count from the first point's,
 * or stay level when the file has none. Throws a `Refusal` that names the track point.
 */
export function readWalkGpx(text: string, landing: Landing): WalkPoint[] {
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
  const valid = validated(text);
  if (valid !== true)
    throw Refusal.of(
      '(the whole file)',
      `(the whole file) is not XML: ${clipped(valid.err.msg)} (line ${valid.err.line}).`,
    );
  const many = new Set(['trk', 'trkseg', 'trkpt']);
  const parser = new XMLParser({
    ignoreAttributes: false,
    attributeNamePrefix: '@',
    parseTagValue: false,
    removeNSPrefix: true,
    isArray: (name) => many.has(name),
    processEntities: false,
  });
  const gpx = GpxSchema.safeParse(parsed(parser, text));
  if (!gpx.success) throw Refusal.of('gpx', 'gpx is missing: this is not a GPX file.');
  const raw = (gpx.data.gpx.trk[0]?.trkseg ?? []).flatMap((segment) => segment.trkpt);
  if (raw.length === 0) throw Refusal.of('trk', 'trk has no track points: record a track, not a route or waypoints.');
  const track = raw.map((value, i) => {
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
  const first = track[0];
  const startMs = Date.parse(first.time);
  const points = track.map((point) => {
    const { s12 = 0, azi1 = 0 } = geodesic.Geodesic.WGS84.Inverse(
      first['@lat'],
      first['@lon'],
      point['@lat'],
      point['@lon'],
    );
    const azimuth = (azi1 * Math.PI) / 180;
    const rise = point.ele !== undefined && first.ele !== undefined ? point.ele - first.ele : 0;
    return {
      tS: (Date.parse(point.time) - startMs) / 1000,
      xM: landing.xM + s12 * Math.sin(azimuth),
      yM: landing.yM + s12 * Math.cos(azimuth),
      zM: landing.zM + rise,
    };
  });
  return checkWalk(points, (i) => `trkpt ${i + 1}`);
}
