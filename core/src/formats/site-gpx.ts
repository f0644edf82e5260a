import { XMLBuilder } from 'fast-xml-parser';
import * as z from 'zod';
import type { Shoot, SitePlace } from '../model';
import { motionOf } from '../motion';
import { sceneOf } from '../scene';
import { onEarth } from '../site';
import { gpxOf } from './gpx';
import { Refusal } from './refusal';
import { type Feature, siteFrom, type SiteFromEarth } from './site-features';

const number = z.coerce.number();
const PointSchema = z.object({
  '@lat': number.min(-90).max(90),
  '@lon': number.min(-180).max(180),
  name: z.coerce.string().optional(),
});

function pointOf(value: unknown, at: string) {
  const point = PointSchema.safeParse(value);
  if (!point.success)
    throw Refusal.of(
      at,
      `${at}, ${String(point.error.issues[0].path[0] ?? 'lat').replace('@', '')} must be a number of degrees on earth.`,
    );
  return { latitudeDeg: point.data['@lat'], longitudeDeg: point.data['@lon'], name: point.data.name ?? '' };
}

/**
 * Reads the waypoints of a GPX 1.1 file as posts and its routes and tracks as ways, where they are on earth. Throws a
 * `Refusal` that names the point.
 */
export function readSiteGpx(text: string, place: SitePlace | null): SiteFromEarth {
  const { wpt, rte, trk } = gpxOf(text);
  const spots = wpt.map((value, i): Feature => {
    const { name, ...point } = pointOf(value, `wpt ${i + 1}`);
    return { name: name || `Waypoint ${i + 1}`, shape: 'point', points: [point], tags: {} };
  });
  const way = (name: string | undefined, raw: unknown[], at: string): Feature[] => {
    const points = raw.map((value, i) => pointOf(value, `${at} ${i + 1}`));
    if (points.length < 2) return [];
    return [{ name: name ?? 'Way', shape: 'line', points, tags: { kind: 'road', width: 1.2 } }];
  };
  const ways = [
    ...rte.flatMap(({ name, rtept }) => way(name, rtept, 'rtept')),
    ...trk.flatMap(({ name, trkseg }) => trkseg.flatMap(({ trkpt }) => way(name, trkpt, 'trkpt'))),
  ];
  if (spots.length + ways.length === 0)
    throw Refusal.of('gpx', 'gpx has no waypoints, routes or tracks: there is nothing to take in.');
  return siteFrom([...spots, ...ways], place);
}

const PATH_POINTS = 60;
const rounded = (deg: number) => Math.round(deg * 1e9) / 1e9;

/** Pieces as waypoints and camera paths as tracks (GPX 1.1). Null where nobody has said where the site is. */
export function writeSiteGpx(shoot: Shoot): string | null {
  const { place, pieces } = shoot.site;
  if (!place) return null;
  const at = (xM: number, yM: number) => {
    const { latitudeDeg, longitudeDeg } = onEarth(place, xM, yM);
    return { '@lat': rounded(latitudeDeg), '@lon': rounded(longitudeDeg) };
  };
  const trk = shoot.shots.map((shot) => {
    const { placeAt, durationS } = motionOf(sceneOf(shoot, shot));
    const spot = new Float64Array(3);
    const fromMs = shot.light.at === null ? null : Date.parse(shot.light.at);
    const trkpt = Array.from({ length: PATH_POINTS + 1 }, (_, k) => {
      const tS = (durationS * k) / PATH_POINTS;
      placeAt(tS, spot);
      const time = fromMs === null ? {} : { time: new Date(fromMs + tS * 1000).toISOString() };
      return { ...at(spot[0], spot[1]), ele: Math.round(spot[2] * 1000) / 1000, ...time };
    });
    return { name: shot.name, trkseg: { trkpt } };
  });
  const gpx = {
    '@version': '1.1',
    '@creator': 'Gentle Arc',
    '@xmlns': 'http://www.topografix.com/GPX/1/1',
    wpt: pieces.map(({ name, xM, yM, zM }) => ({ ...at(xM, yM), ele: zM, name })),
    trk,
  };
  const xml = new XMLBuilder({ ignoreAttributes: false, attributeNamePrefix: '@', format: true }).build({ gpx });
  return `<?xml version="1.0" encoding="UTF-8"?>\n${xml}`;
}
