import { XMLParser } from 'fast-xml-parser';
import geodesic from 'geographiclib-geodesic';
import { describe, expect, it } from 'vitest';
import { addPlace, takeInPieces } from '../edit';
import { AS_ON_SITE, newPiece, newShoot, newShot, type Piece, type Shoot } from '../model';
import { groundHeightM, groundPieces } from '../site';
import { readHeightsCsv } from './heights-csv';
import { readPieces, writePieces } from './pieces-json';
import { Refusal } from './refusal';
import { readSiteGeoJson, writeSiteGeoJson } from './site-geojson';
import { readSiteGpx, writeSiteGpx } from './site-gpx';
import { writeSiteSvg } from './site-svg';

const PLACE = { latitudeDeg: 27.02, longitudeDeg: 88.13, utcOffsetH: 5.5 };
const OTHER = { latitudeDeg: 27.0235, longitudeDeg: 88.1275, utcOffsetH: 5.5 };
let count = 0;
const idOf = () => `new-${(count += 1)}`;

function shootWith(...pieces: Piece[]): Shoot {
  const empty = newShoot('s', 'Tea & <garden>', 'one');
  return { ...empty, site: { pieces, place: PLACE, underlays: [] }, shots: [newShot(empty.kit, 'one', 'In', null)] };
}
const pieces = [
  { ...newPiece('figure', 'ansa', 'Ansa', 3, -40, 0), headingDeg: 211 },
  { ...newPiece('wall', 'wall', 'Long wall', -210.5, 333.25, 1.5), headingDeg: 37, lengthM: 12.4 },
  { ...newPiece('tree', 'tree', 'Tree', 480, -460, 0) },
];
const refused = (work: () => unknown): string => {
  try {
    work();
  } catch (error) {
    if (error instanceof Refusal) return error.message;
    throw error;
  }
  return 'not refused';
};
const feature = (geometry: unknown, properties: Record<string, unknown> = {}) => ({
  type: 'Feature',
  properties,
  geometry,
});
const collection = (...features: unknown[]) => JSON.stringify({ type: 'FeatureCollection', features });
/** A closed ring about a middle, degrees. */
const ring = (lon: number, lat: number, half: number) => [
  [lon - half, lat - half],
  [lon + half, lat - half],
  [lon + half, lat + half],
  [lon - half, lat + half],
  [lon - half, lat - half],
];

describe('places on earth', () => {
  it('GeoJSON of the site comes back piece for piece, to a centimetre in a kilometre', () => {
    const text = writeSiteGeoJson(shootWith(...pieces)) ?? '';
    const { pieces: back } = readSiteGeoJson(text, PLACE);
    expect(back.map(({ name }) => name)).toEqual(['Ansa', 'Long wall', 'Tree']);
    back.forEach((piece, i) => {
      expect(Math.hypot(piece.xM - pieces[i].xM, piece.yM - pieces[i].yM)).toBeLessThan(0.01);
      expect({ ...piece, xM: 0, yM: 0 }).toEqual({ ...pieces[i], xM: 0, yM: 0 });
    });
  });
  it('comes to lie elsewhere in a site with another middle, by as much as geographiclib says', () => {
    const text = writeSiteGeoJson(shootWith(...pieces)) ?? '';
    const { pieces: there } = readSiteGeoJson(text, OTHER);
    const { s12 = 0 } = geodesic.Geodesic.WGS84.Inverse(27.02, 88.13, 27.0235, 88.1275);
    const shift = Math.hypot(there[0].xM - pieces[0].xM, there[0].yM - pieces[0].yM);
    expect(Math.abs(shift - s12)).toBeLessThan(0.01);
  });
  it('rings run counter-clockwise, as RFC 7946 asks, and longitude comes first', () => {
    const file = JSON.parse(writeSiteGeoJson(shootWith(...pieces)) ?? '') as {
      features: { geometry: { coordinates: number[][][] } }[];
    };
    const [outline] = file.features[1].geometry.coordinates;
    const area = outline.slice(1).reduce((sum, [x, y], i) => sum + outline[i][0] * y - x * outline[i][1], 0);
    expect(area).toBeGreaterThan(0);
    expect(outline[0][0]).toBeCloseTo(88.13, 1);
  });
  it('keeps the place of its own site where there was none, and who rides stays on what carries', () => {
    const cart = newPiece('bicycle', 'bike', 'Bicycle', 1, 1, 0);
    const rider = { ...newPiece('figure', 'rider', 'Rider', 1, 1, 0.3), on: 'bike' };
    const site = readSiteGeoJson(writeSiteGeoJson(shootWith(cart, rider)) ?? '', null);
    expect(site.place).toEqual(PLACE);
    const empty = newShoot('t', 'T', 'one');
    const taken = takeInPieces(empty, site, idOf).site;
    expect(taken.place).toEqual(PLACE);
    expect(taken.pieces[1].on).toBe(taken.pieces[0].id);
  });
  it('takes open map data for what its tags say it is', () => {
    const { pieces: found, notes } = readSiteGeoJson(
      collection(
        feature(
          { type: 'Polygon', coordinates: [ring(88.13, 27.02, 0.0001)] },
          { building: 'yes', height: '6.5 m', name: 'Mill' },
        ),
        feature({ type: 'Point', coordinates: [88.1301, 27.0201] }, { natural: 'tree' }),
        feature(
          {
            type: 'LineString',
            coordinates: [
              [88.13, 27.02],
              [88.131, 27.02],
              [88.131, 27.021],
            ],
          },
          { highway: 'track', width: '3' },
        ),
        feature(
          {
            type: 'Polygon',
            coordinates: [
              [
                [88.13, 27.02],
                [88.1302, 27.02],
                [88.13, 27.0202],
                [88.13, 27.02],
              ],
            ],
          },
          { natural: 'water', name: 'Pond' },
        ),
      ),
      PLACE,
    );
    expect(found.map(({ kind }) => kind)).toEqual(['box', 'tree', 'road', 'road', 'water']);
    expect(found[0]).toMatchObject({ name: 'Mill', heightM: 6.5 });
    // A degree of longitude is 99.2 km here, one of latitude 110.8 (WGS 84, from memory).
    expect(Math.max(found[0].lengthM, found[0].depthM)).toBeCloseTo(22.16, 1);
    expect(Math.min(found[0].lengthM, found[0].depthM)).toBeCloseTo(19.85, 1);
    expect(found[2].group).toBe(found[3].group);
    expect(found[2]).toMatchObject({ depthM: 3, headingDeg: expect.closeTo(90, 1) as number });
    expect(notes).toEqual(['“Pond” is no rectangle: it came in as the smallest one about it.']);
  });
  it.each([
    [
      'features 1 (“Court”), hole 1 and hole 2 cross: draw holes inside the outline and apart from each other.',
      [ring(0, 0, 0.01), ring(0.001, 0, 0.003), ring(-0.001, 0.001, 0.003)],
    ],
    [
      'features 1 (“Court”), its outline and hole 1 cross: draw holes inside the outline and apart from each other.',
      [ring(0, 0, 0.01), ring(0.009, 0, 0.003)],
    ],
    ['features 1 (“Court”), hole 1 lies outside the outline.', [ring(0, 0, 0.01), ring(0.03, 0, 0.003)]],
    [
      'features 1 (“Court”), its outline crosses itself: draw it once round.',
      [
        [
          [0, 0],
          [0.01, 0.01],
          [0.01, 0],
          [0, 0.008],
          [0, 0],
        ],
      ],
    ],
    [
      'features 1 (“Court”), its outline is not closed: its last position must be its first again.',
      [
        ring(0, 0, 0.01)
          .slice(0, -1)
          .concat([[0.5, 0.5]]),
      ],
    ],
    [
      'features 1 (“Court”), coordinates must be [longitude, latitude] in degrees; [19.5, 99.5] is not on earth.',
      [ring(20, 100, 0.5)],
    ],
  ])('%s', (sentence, coordinates) => {
    expect(
      refused(() => readSiteGeoJson(collection(feature({ type: 'Polygon', coordinates }, { name: 'Court' })), null)),
    ).toBe(sentence);
  });
  it('a file from far away is told, not drawn', () => {
    const text = collection(feature({ type: 'Point', coordinates: [10, 50] }));
    expect(refused(() => readSiteGeoJson(text, PLACE))).toMatch(/more than 5 km from the middle/);
  });
  it('GPX: waypoints come back where they were, to a centimetre', () => {
    const text = writeSiteGpx(shootWith(...pieces)) ?? '';
    expect(text).toContain('<?xml');
    const { pieces: back } = readSiteGpx(text, PLACE);
    pieces.forEach(({ name, xM, yM }) => {
      const found = back.find((piece) => piece.name === name);
      expect(Math.hypot((found?.xM ?? 1e9) - xM, (found?.yM ?? 1e9) - yM)).toBeLessThan(0.015);
    });
    expect(refused(() => readSiteGpx('<gpx><metadata/></gpx>', PLACE))).toMatch(/no waypoints, routes or tracks/);
    expect(refused(() => readSiteGpx('<gpx><wpt lat="95" lon="3"/></gpx>', PLACE))).toBe(
      'wpt 1, lat must be a number of degrees on earth.',
    );
  });
});

describe('heights of the ground', () => {
  const rows = (z: (x: number, y: number) => number, step = 5) =>
    ['x,y,z', ...[-10, -5, 0, 5, 10].flatMap((x) => [-step, 0, step].map((y) => `${x},${y},${z(x, y)}`))].join('\n');
  it('a slope of 10 % is one everywhere, whatever the order of the rows', () => {
    const text = rows((x) => 100 + 0.1 * x);
    const [head, ...rest] = text.split('\n');
    const { pieces: found, notes } = readHeightsCsv([head, ...rest.reverse()].join('\n'), null);
    const ground = groundPieces(found);
    for (const [x, y] of [
      [-9.9, 4.9],
      [-3.3, 0.7],
      [0, 0],
      [7.7, -4.4],
    ])
      expect(groundHeightM(ground, x, y)).toBeCloseTo(1 + 0.1 * x, 3);
    expect(groundHeightM(ground, 11, 0)).toBe(0);
    expect(notes).toEqual(['Heights count from the lowest, 99 m.']);
  });
  it('what is put on it stands on it', () => {
    const shoot = takeInPieces(
      newShoot('s', 'S', 'one'),
      readHeightsCsv(
        rows((_x, y) => 2 + y / 5),
        null,
      ),
      idOf,
    );
    const room = addPlace(shoot, 'room', 0, 0, idOf).site.pieces.slice(1);
    expect(room.map(({ zM }) => zM)).toEqual([1, 1, 1, 1, 3.6]);
    expect(new Set(room.map(({ group }) => group)).size).toBe(1);
  });
  it('what stood there stands on it, rides along and walks on it', () => {
    const platform = { ...newPiece('slab', 'p', 'Platform', -5, 0, 0), lengthM: 2, depthM: 2, heightM: 1 };
    const hers = { ...newPiece('figure', 'f', 'On the platform', -5, 0, 0), zM: 1 };
    const lamp = { ...newPiece('post', 'l', 'On the table', 4, 0, 0), zM: 0.8, on: 't' };
    const shoot = shootWith(newPiece('box', 't', 'Table', 4, 0, 0), platform, hers, lamp);
    const [shot] = shoot.shots;
    const point = (tS: number, xM: number) => ({ tS, xM, yM: 0, zM: 0 });
    const walk = { pieceId: 'f', points: [point(0, 0), point(4, 8)], footing: 'drawn' as const, jumps: [] };
    const staging = [{ ...AS_ON_SITE, pieceId: 't', place: { xM: 2, yM: 1, zM: 0 } }];
    const { site, shots } = takeInPieces(
      { ...shoot, shots: [{ ...shot, walks: [walk], staging }] },
      readHeightsCsv(
        rows((x) => 10 + 0.1 * x),
        null,
      ),
      idOf,
    );
    // The lowest, at x = −10, counts as 0: the ground at x is (x + 10) / 10.
    const heights = Object.fromEntries(site.pieces.map(({ id, zM }) => [id, zM]));
    expect(heights).toMatchObject({ t: 1.4, l: 2.2, p: 0.5, f: 1.5 });
    expect(shots[0].walks[0].points.map(({ zM }) => zM)).toEqual([1, 1.8]);
    expect(shots[0].staging[0].place?.zM).toBe(1.2);
  });
  it.each([
    ['header must be x,y,z or lat,lon,z; it is a,b.', 'a,b\n1,2'],
    ['row 3, z must be a number from −10000 to 10000; it is "high".', 'x,y,z\n0,0,1\n1,0,high'],
    ['The height at 1,1 is missing: the grid must be whole.', 'x,y,z\n0,0,1\n1,0,1\n0,1,1'],
    ['row 4 gives a height that is given before it.', 'x,y,z\n0,0,1\n1,1,1\n0,0,2'],
    ['rows must make a grid: two columns and two rows of heights at least.', 'x,y,z\n0,0,1'],
    ['x must go up evenly; 1 does not fit steps of 4.5.', 'x,y,z\n0,0,1\n1,0,1\n9,0,1\n0,1,1\n1,1,1\n9,1,1'],
    ['header is lat,lon,z: say first where on earth the middle of the site is.', 'lat,lon,z\n1,2,3'],
  ])('%s', (sentence, text) => {
    expect(refused(() => readHeightsCsv(text, null))).toBe(sentence);
  });
});

describe('a plan to scale', () => {
  it('a wall of ten metres at 1:100 is a hundred millimetres long, and its name cannot break the drawing', () => {
    const wall = { ...newPiece('box', 'w', 'Wall <A> & "B"', 0, 0, 0), lengthM: 10, depthM: 1 };
    const { svg, scale } = writeSiteSvg(shootWith(wall), 'metric', 100);
    expect(scale).toBe(100);
    const parsed = new XMLParser({ ignoreAttributes: false, attributeNamePrefix: '' }).parse(svg) as {
      svg: {
        title: string;
        width: string;
        viewBox: string;
        g: { transform: string; path: { d: string; title: string } };
      };
    };
    expect(parsed.svg.title).toBe('Tea & <garden>, 1:100');
    const [, , width] = parsed.svg.viewBox.split(' ').map(Number);
    // A unit of the drawing is a millimetre of the sheet.
    expect(parsed.svg.width).toBe(`${width}mm`);
    const times = Number(/scale\(([\d.]+)/.exec(parsed.svg.g.transform)?.[1]);
    const [, from, to] = /M[-\d.]+ ([-\d.]+)H[-\d.]+V([-\d.]+)/.exec(parsed.svg.g.path.d) ?? [];
    expect((Number(to) - Number(from)) * times).toBeCloseTo(100, 6);
    expect(parsed.svg.g.path.title).toBe('Wall <A> & "B"');
  });
  it('takes the largest usual scale that fits the sheet', () => {
    const far = [newPiece('post', 'a', 'A', 0, 0, 0), newPiece('post', 'b', 'B', 40, 0, 0)];
    expect(writeSiteSvg(shootWith(...far), 'metric').scale).toBe(200);
  });
});

describe('pieces from one shoot to another', () => {
  it('come as they are, under new names, and nothing else is taken for them', () => {
    expect(readPieces(writePieces(pieces))).toEqual(pieces);
    expect(refused(() => readPieces('{"pieces": 1}'))).toMatch(/format/);
    expect(refused(() => readPieces('hello'))).toMatch(/not JSON/);
  });
});
