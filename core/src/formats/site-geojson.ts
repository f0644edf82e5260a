import * as z from 'zod';
import { clipped, type Piece, PieceSchema, type Shoot, type SitePlace } from '../model';
import { motionOf } from '../motion';
import { sceneOf } from '../scene';
import { onEarth, onPlan, toSite } from '../site';
import { jsonOf } from './json';
import { Refusal } from './refusal';
import { crossingRings, isInside } from './rings';
import { type Feature, MOST_FEATURES, siteFrom, type SiteFromEarth } from './site-features';

/** GeoJSON (RFC 7946): places on earth in longitude and latitude, degrees on WGS 84. */

const Position = z.array(z.number()).min(2);
const GeometrySchema = z.discriminatedUnion('type', [
  z.object({ type: z.literal('Point'), coordinates: Position }),
  z.object({ type: z.literal('MultiPoint'), coordinates: z.array(Position) }),
  z.object({ type: z.literal('LineString'), coordinates: z.array(Position).min(2) }),
  z.object({ type: z.literal('MultiLineString'), coordinates: z.array(z.array(Position).min(2)) }),
  z.object({ type: z.literal('Polygon'), coordinates: z.array(z.array(Position)).min(1) }),
  z.object({ type: z.literal('MultiPolygon'), coordinates: z.array(z.array(z.array(Position)).min(1)) }),
]);
type Geometry = z.infer<typeof GeometrySchema>;
const FeatureSchema = z.object({
  type: z.literal('Feature'),
  geometry: z.unknown(),
  properties: z.record(z.string(), z.unknown()).nullish(),
});
const CollectionSchema = z.object({ type: z.literal('FeatureCollection'), features: z.array(z.unknown()) });

/** A name a person knows a thing by in a file, and where it is in it. */
interface Where {
  at: string;
  name: string;
}
const named = ({ at, name }: Where) => (name ? `${at} (“${clipped(name, 40)}”)` : at);
/** Corners of one shape: what a person drew has far fewer. */
const MOST_CORNERS = 5000;

/**
 * Reads places as pieces of a site: points, lines and areas, each as what its properties say it is. A file that this
 * app wrote comes back piece for piece. Throws a `Refusal` that names the feature.
 */
export function readSiteGeoJson(text: string, place: SitePlace | null): SiteFromEarth {
  const value = jsonOf(text);
  const collection = CollectionSchema.safeParse(value);
  const rows = collection.success ? collection.data.features : [value];
  if (!collection.success && !FeatureSchema.safeParse(value).success && !GeometrySchema.safeParse(value).success)
    throw Refusal.of('type', 'type must be FeatureCollection, Feature or a geometry: this is no GeoJSON.');
  if (rows.length > MOST_FEATURES)
    throw Refusal.of(
      'features',
      `There are ${rows.length} features; at most ${MOST_FEATURES} are taken in: cut out what is near the shoot.`,
    );
  const own: { piece: Piece; at: { latitudeDeg: number; longitudeDeg: number } }[] = [];
  const features = rows.flatMap((row, i): Feature[] => {
    const at = collection.success ? `features ${i + 1}` : 'the feature';
    const feature = FeatureSchema.safeParse(row);
    const tags = (feature.success && feature.data.properties) || {};
    // A path of a camera goes out for others to see; it does not come back as a fence.
    if (tags.what === 'camera path') return [];
    const where = { at, name: typeof tags.name === 'string' ? tags.name : '' };
    const geometry = geometryOf(feature.success ? feature.data.geometry : row, where);
    const piece = PieceSchema.safeParse(tags.piece);
    if (piece.success && geometry?.type === 'Polygon') {
      checkRings(geometry.coordinates, where);
      const corners = geometry.coordinates[0].slice(0, -1);
      const mean = (axis: number) => corners.reduce((sum, corner) => sum + corner[axis] / corners.length, 0);
      own.push({ piece: piece.data, at: { longitudeDeg: mean(0), latitudeDeg: mean(1) } });
      return [];
    }
    return geometry ? shapesOf(geometry, where).map((shape) => ({ ...shape, name: where.name, tags })) : [];
  });
  if (own.length === 0) return siteFrom(features, place);
  const asDots = own.map(({ at }): Feature => ({ name: '', shape: 'point', points: [at], tags: {} }));
  const kept = place ?? ownPlace(value) ?? siteFrom(asDots, null).place;
  const others = features.length > 0 ? siteFrom(features, kept) : { pieces: [], notes: [] };
  const pieces = own.map(({ piece, at }): Piece => {
    const { xM, yM } = kept ? onPlan(kept, at) : piece;
    return { ...piece, xM: Math.round(xM * 1000) / 1000, yM: Math.round(yM * 1000) / 1000 };
  });
  return { pieces: [...pieces, ...others.pieces], place: place ? null : kept, notes: others.notes };
}

const OwnPlace = z.object({
  site: z.object({
    latitudeDeg: z.number().min(-90).max(90),
    longitudeDeg: z.number().min(-180).max(180),
    utcOffsetH: z.number().min(-12).max(14),
  }),
});
const ownPlace = (value: unknown): SitePlace | null => {
  const found = OwnPlace.safeParse(value);
  return found.success ? found.data.site : null;
};

function geometryOf(value: unknown, where: Where): Geometry | null {
  if (value === null) return null;
  const geometry = GeometrySchema.safeParse(value);
  if (geometry.success) return geometry.data;
  throw Refusal.of(
    `${where.at}, geometry`,
    `${named(where)}, geometry must be a Point, a LineString or a Polygon (or several of them) with coordinates as ` +
      '[longitude, latitude].',
  );
}

function pointOf([longitudeDeg, latitudeDeg]: number[], where: Where) {
  if (Math.abs(latitudeDeg) > 90 || Math.abs(longitudeDeg) > 180)
    throw Refusal.of(
      `${where.at}, coordinates`,
      `${named(where)}, coordinates must be [longitude, latitude] in degrees; [${longitudeDeg}, ${latitudeDeg}] is not ` +
        'on earth.',
    );
  return { longitudeDeg, latitudeDeg };
}

function shapesOf(geometry: Geometry, where: Where): Pick<Feature, 'shape' | 'points'>[] {
  const line = (positions: number[][]) => {
    few(positions.length, where);
    return { shape: 'line' as const, points: positions.map((row) => pointOf(row, where)) };
  };
  const point = (position: number[]) => ({ shape: 'point' as const, points: [pointOf(position, where)] });
  const area = (rings: number[][][]) => {
    checkRings(rings, where);
    return { shape: 'area' as const, points: rings[0].map((row) => pointOf(row, where)) };
  };
  switch (geometry.type) {
    case 'Point':
      return [point(geometry.coordinates)];
    case 'MultiPoint':
      return geometry.coordinates.map(point);
    case 'LineString':
      return [line(geometry.coordinates)];
    case 'MultiLineString':
      return geometry.coordinates.map(line);
    case 'Polygon':
      return [area(geometry.coordinates)];
    case 'MultiPolygon':
      return geometry.coordinates.map(area);
  }
}

function few(corners: number, where: Where): void {
  if (corners > MOST_CORNERS)
    throw Refusal.of(
      `${where.at}, coordinates`,
      `${named(where)} has ${corners} corners; at most ${MOST_CORNERS} are read: simplify it.`,
    );
}

/** Rings are closed, have three corners at least, do not cross, and holes lie inside (RFC 7946, 3.1.6). */
function checkRings(rings: number[][][], where: Where): void {
  const refuse = (what: string): never => {
    throw Refusal.of(`${where.at}, coordinates`, `${named(where)}, ${what}.`);
  };
  few(
    rings.reduce((sum, ring) => sum + ring.length, 0),
    where,
  );
  const called = (index: number) => (index === 0 ? 'its outline' : `hole ${index}`);
  const spots = rings.map((ring, index) => {
    const [first, last] = [ring[0], ring[ring.length - 1]];
    if (ring.length < 4) refuse(`${called(index)} has fewer than three corners`);
    if (first[0] !== last[0] || first[1] !== last[1])
      refuse(`${called(index)} is not closed: its last position must be its first again`);
    return ring.map(([x, y]) => [x, y] as const);
  });
  const crossing = crossingRings(spots);
  if (crossing) {
    const [one, other] = crossing;
    refuse(
      one === other
        ? `${called(one)} crosses itself: draw it once round`
        : `${called(one)} and ${called(other)} cross: draw holes inside the outline and apart from each other`,
    );
  }
  const outside = spots.slice(1).findIndex((hole) => !isInside(hole[0], spots[0]));
  if (outside >= 0) refuse(`hole ${outside + 1} lies outside the outline`);
}

/** Digits of a degree that are less than a millimetre. */
const rounded = (deg: number) => Math.round(deg * 1e9) / 1e9;
const PATH_POINTS = 60;

/**
 * The site and every camera path as GeoJSON: each piece the area it covers, with what it is. Null where nobody has said
 * where the site is.
 */
export function writeSiteGeoJson(shoot: Shoot): string | null {
  const { place, pieces } = shoot.site;
  if (!place) return null;
  const at = (xM: number, yM: number): [number, number] => {
    const { longitudeDeg, latitudeDeg } = onEarth(place, xM, yM);
    return [rounded(longitudeDeg), rounded(latitudeDeg)];
  };
  const piece = (row: Piece) => {
    const [y, x] = [row.lengthM / 2, row.depthM / 2];
    // Counter-clockwise, as the format asks.
    const ring = [
      [-y, -x],
      [-y, x],
      [y, x],
      [y, -x],
      [-y, -x],
    ].map(([along, across]) => {
      const { xM, yM } = toSite(row, along, across);
      return at(xM, yM);
    });
    const { name, kind, heightM, zM } = row;
    return {
      type: 'Feature',
      properties: { name, kind, heightM, baseM: zM, piece: row },
      geometry: { type: 'Polygon', coordinates: [ring] },
    };
  };
  const paths = shoot.shots.map((shot) => {
    const { placeAt, durationS } = motionOf(sceneOf(shoot, shot));
    const spot = new Float64Array(3);
    const coordinates = Array.from({ length: PATH_POINTS + 1 }, (_, k) => {
      placeAt((durationS * k) / PATH_POINTS, spot);
      return [...at(spot[0], spot[1]), Math.round(spot[2] * 1000) / 1000];
    });
    return {
      type: 'Feature',
      properties: { name: shot.name, what: 'camera path', durationS },
      geometry: { type: 'LineString', coordinates },
    };
  });
  return `${JSON.stringify({ type: 'FeatureCollection', site: place, features: [...pieces.map(piece), ...paths] }, null, 1)}\n`;
}
