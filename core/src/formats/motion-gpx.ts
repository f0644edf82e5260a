import type { SitePlace } from '../model';
import { onPlan } from '../site';
import { emptyRecord, type MotionRecord } from '../take';
import { trackOf } from './gpx';
import { Refusal } from './refusal';

/**
 * Reads the first track of a GPX 1.1 file as places of a camera: metres on the site where the site has a place on earth,
 * else from the track’s first point on. Heights are those of the file, from its first on. Throws a `Refusal` that names
 * the track point.
 */
export function readMotionGpx(text: string, name: string, place: SitePlace | null): MotionRecord {
  const track = trackOf(text);
  if (track.length < 2) throw Refusal.of('trk', 'trk has one track point; a motion needs at least two.');
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
