import * as z from 'zod';
import type { SitePlace, WalkPoint } from '../model';
import { onPlan } from '../site';
import { gpxOf } from './gpx';
import { Refusal } from './refusal';
import { checkWalk } from './walk-csv';

const number = z.coerce.number();
const TrackPointSchema = z.object({
  '@lat': number.min(-90).max(90),
  '@lon': number.min(-180).max(180),
  ele: number.optional(),
  time: z.iso.datetime({ offset: true }),
});
/** Where the first point of a track goes on the site, metres. */
export interface Landing {
  xM: number;
  yM: number;
  zM: number;
  /** Where the site is: what is given by coordinates goes there. */
  place?: SitePlace | null;
}

/**
 * Reads the first track of a GPX 1.1 file as a walk. Longitude and latitude become site metres by geodesic distance and
 * azimuth on WGS 84 from the first point, which is laid on `landing` at time 0; heights count from the first point's,
 * or stay level when the file has none. Throws a `Refusal` that names the track point.
 */
export function readWalkGpx(text: string, landing: Landing): WalkPoint[] {
  const raw = (gpxOf(text).trk[0]?.trkseg ?? []).flatMap((segment) => segment.trkpt);
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
    const { xM, yM } = onPlan(
      { latitudeDeg: first['@lat'], longitudeDeg: first['@lon'] },
      { latitudeDeg: point['@lat'], longitudeDeg: point['@lon'] },
    );
    const rise = point.ele !== undefined && first.ele !== undefined ? point.ele - first.ele : 0;
    return {
      tS: (Date.parse(point.time) - startMs) / 1000,
      xM: landing.xM + xM,
      yM: landing.yM + yM,
      zM: landing.zM + rise,
    };
  });
  return checkWalk(points, (i) => `trkpt ${i + 1}`);
}
