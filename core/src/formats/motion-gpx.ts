import * as z from 'zod';
import type { SitePlace } from '../model';
import { onPlan } from '../site';
import { emptyRecord, type MotionRecord } from '../take';
import { gpxOf } from './gpx';
import { Refusal } from './refusal';

const number = z.coerce.number();
const PointSchema = z.object({
  '@lat': number.min(-90).max(90),
  '@lon': number.min(-180).max(180),
  ele: number.optional(),
  time: z.iso.datetime({ offset: true }),
});

/**
 * Reads the first track of a GPX 1.1 file as places of a camera: metres on the site where the site has a place on earth,
 * else from the track’s first point on. Heights are those of the file, from its first on. Throws a `Refusal` that names
 * the track point.
 */
export function readMotionGpx(text: string, name: string, place: SitePlace | null): MotionRecord {
  const raw = (gpxOf(text).trk[0]?.trkseg ?? []).flatMap((segment) => segment.trkpt);
  if (raw.length < 2) throw Refusal.of('trk', 'trk needs at least two track points with times; record a track.');
  const track = raw.map((value, i) => {
    const point = PointSchema.safeParse(value);
    if (point.success) return point.data;
    const field = String(point.error.issues[0].path[0] ?? '').replace('@', '');
    throw Refusal.of(
      `trkpt ${i + 1}, ${field}`,
      `trkpt ${i + 1}, ${field} must be ${field === 'time' ? 'a date and time such as 2026-04-02T06:30:00Z' : 'a number'}.`,
    );
  });
  const [first] = track;
  const from = place ?? { latitudeDeg: first['@lat'], longitudeDeg: first['@lon'] };
  const startMs = Date.parse(first.time);
  const tS = Float64Array.from(track, ({ time }) => (Date.parse(time) - startMs) / 1000);
  const late = tS.findIndex((s, i) => i > 0 && s <= tS[i - 1]);
  if (late > 0)
    throw Refusal.of(`trkpt ${late + 1}, time`, `trkpt ${late + 1}, time must come after the point before it.`);
  const places = track.map((point) => onPlan(from, { latitudeDeg: point['@lat'], longitudeDeg: point['@lon'] }));
  const record = emptyRecord('file', name, tS);
  record.placeM = [
    Float64Array.from(places, ({ xM }) => xM),
    Float64Array.from(places, ({ yM }) => yM),
    Float64Array.from(track, ({ ele }) => (ele ?? 0) - (first.ele ?? 0)),
  ];
  return record;
}
