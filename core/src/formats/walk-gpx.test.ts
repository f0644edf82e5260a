import fc from 'fast-check';
import geodesic from 'geographiclib-geodesic';
import { describe, expect, it } from 'vitest';
import { readWalkGpx } from './walk-gpx';
import { refusal } from '../testing/refusal';

const gpx = (points: string) =>
  '<?xml version="1.0" encoding="UTF-8"?><gpx version="1.1" creator="test" ' +
  `xmlns="http://www.topografix.com/GPX/1/1"><trk><name>W</name><trkseg>${points}</trkseg></trk></gpx>`;
const point = (lat: number, lon: number, time: string, ele = '') =>
  `<trkpt lat="${lat}" lon="${lon}">${ele && `<ele>${ele}</ele>`}<time>${time}</time></trkpt>`;

describe('walk from GPX 1.1', () => {
  it('keeps distances within 1 cm inside 1 km (geographiclib-geodesic, WGS 84), from where it is laid', () => {
    const inKilometre = fc.double({ min: -0.006, max: 0.006, noNaN: true });
    fc.assert(
      fc.property(
        fc.double({ min: -65, max: 65, noNaN: true }),
        fc.double({ min: -179, max: 179, noNaN: true }),
        inKilometre,
        inKilometre,
        inKilometre,
        inKilometre,
        (lat, lon, a, b, c, d) => {
          const spots = [
            [lat, lon],
            [lat + a, lon + b],
            [lat + c, lon + d],
          ];
          const text = gpx(spots.map(([y, x], i) => point(y, x, `2026-04-02T06:30:${10 + i}Z`)).join(''));
          const walk = readWalkGpx(text, { xM: 5, yM: 7, zM: 1 });
          expect(walk[0]).toEqual({ tS: 0, xM: 5, yM: 7, zM: 1 });
          const between =
            geodesic.Geodesic.WGS84.Inverse(spots[1][0], spots[1][1], spots[2][0], spots[2][1]).s12 ?? NaN;
          const far = Math.max(...walk.map((row) => Math.hypot(row.xM - 5, row.yM - 7)));
          fc.pre(far < 1000);
          expect(Math.abs(Math.hypot(walk[1].xM - walk[2].xM, walk[1].yM - walk[2].yM) - between)).toBeLessThan(0.01);
        },
      ),
    );
  });
  it('has north up, east right, heights from the first point and seconds from the first time', () => {
    const text = gpx(
      point(45, 7, '2026-04-02T06:30:00Z', '512') +
        point(45.001, 7, '2026-04-02T06:30:30.5Z', '514.5') +
        point(45.001, 7.001, '2026-04-02T08:31:00+02:00', '511'),
    );
    const [, north, east] = readWalkGpx(text, { xM: 0, yM: 0, zM: 0 });
    expect(north.tS).toBe(30.5);
    expect(north.yM).toBeCloseTo(111.13, 1);
    expect(Math.abs(north.xM)).toBeLessThan(0.01);
    expect(north.zM).toBe(2.5);
    expect(east.tS).toBe(60);
    expect(east.xM).toBeGreaterThan(70);
  });
  it.each([
    ['not XML', '<gpx><trk></gpx>', /is not XML/],
    ['another XML', '<kml/>', /^gpx is missing/],
    ['no track', '<gpx version="1.1"><wpt lat="1" lon="2"/></gpx>', /^trk has no track points/],
    ['no times', gpx('<trkpt lat="45" lon="7"></trkpt>'), /^trkpt 1, time must be a date and time/],
    ['a bad latitude', gpx(point(95, 7, '2026-04-02T06:30:00Z')), /^trkpt 1, lat must be a number of degrees/],
    [
      'times out of order',
      gpx(point(45, 7, '2026-04-02T06:30:00Z') + point(45, 7, '2026-04-02T06:29:00Z')),
      /^trkpt 2, t must come after/,
    ],
  ])('refuses %s with a sentence', (_, text, sentence) => {
    expect(refusal(() => readWalkGpx(text, { xM: 0, yM: 0, zM: 0 }))).toMatch(sentence);
  });
});
