import { Body, Equator, Horizon, Observer, SearchHourAngle, SearchRiseSet } from 'astronomy-engine';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clockAt, lightAt, momentOf, sunAt, towardsSun, windowsOf } from './sun';

const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const moments = fc.date({
  min: new Date('2020-01-01T00:00:00Z'),
  max: new Date('2035-12-31T00:00:00Z'),
  noInvalidDate: true,
});

describe('the sun, against astronomy-engine', () => {
  it('stands within 0.1° of where the second opinion has it, at any place and moment', () => {
    fc.assert(
      fc.property(num(-65, 65), num(-180, 180), moments, (latitudeDeg, longitudeDeg, at) => {
        const observer = new Observer(latitudeDeg, longitudeDeg, 0);
        const { ra, dec } = Equator(Body.Sun, at, observer, true, true);
        const theirs = Horizon(at, observer, ra, dec, 'normal');
        const ours = towardsSun(sunAt({ latitudeDeg, longitudeDeg }, at));
        // Near and below the horizon refraction is a matter of taste.
        fc.pre(theirs.altitude > 1);
        const other = towardsSun({ altitudeDeg: theirs.altitude, azimuthDeg: theirs.azimuth });
        const cos = ours.reduce((sum, value, axis) => sum + value * other[axis], 0);
        expect((Math.acos(Math.min(1, cos)) * 180) / Math.PI).toBeLessThan(0.1);
      }),
      { numRuns: 300 },
    );
  });
  it('rises, sets and culminates within a minute of it', () => {
    const places = [
      { latitudeDeg: 27.02, longitudeDeg: 88.13, utcOffsetH: 5.5 },
      { latitudeDeg: -33, longitudeDeg: -70, utcOffsetH: -4 },
      { latitudeDeg: 52, longitudeDeg: 10, utcOffsetH: 1 },
    ];
    for (const place of places)
      for (const day of ['2026-01-15', '2026-04-12', '2026-06-21', '2026-10-30']) {
        const observer = new Observer(place.latitudeDeg, place.longitudeDeg, 0);
        const start = momentOf(place, day, '00:00');
        const { windows, noon } = windowsOf(place, day);
        const rise = windows.find(({ name }) => name === 'low sun')?.start.getTime() ?? NaN;
        const set = windows.findLast(({ name }) => name === 'low sun')?.end.getTime() ?? NaN;
        const near = (ours: number, theirs: number | undefined) =>
          expect(Math.abs(ours - (theirs ?? NaN)) / 60_000).toBeLessThan(1);
        near(rise, SearchRiseSet(Body.Sun, observer, 1, start, 1)?.date.getTime());
        near(set, SearchRiseSet(Body.Sun, observer, -1, start, 1)?.date.getTime());
        near(noon.getTime(), SearchHourAngle(Body.Sun, observer, 0, start).time.date.getTime());
      }
  });
});

describe('the light of a day', () => {
  const garden = { latitudeDeg: 27.02, longitudeDeg: 88.13, utcOffsetH: 5.5 };
  it('goes from night through the twilights to the sun and back, without a gap, over 24 hours of the clock there', () => {
    const { windows } = windowsOf(garden, '2026-04-12');
    expect(windows.map(({ name }) => name)).toEqual([
      ...['night', 'astronomical twilight', 'nautical twilight', 'civil twilight', 'low sun', 'day', 'high sun'],
      ...['day', 'low sun', 'civil twilight', 'nautical twilight', 'astronomical twilight', 'night'],
    ]);
    windows.forEach(({ start, end }, i) => {
      expect(end.getTime()).toBeGreaterThan(start.getTime());
      if (i > 0) expect(start).toEqual(windows[i - 1].end);
    });
    expect(clockAt(garden, windows[0].start)).toEqual({ day: '2026-04-12', time: '00:00' });
    expect(windows[windows.length - 1].end.getTime() - windows[0].start.getTime()).toBe(24 * 3600 * 1000);
  });
  it('has no sun where it does not rise, and no night where it does not set', () => {
    const north = { latitudeDeg: 78, longitudeDeg: 15, utcOffsetH: 1 };
    expect(windowsOf(north, '2026-12-21').windows.some(({ name }) => name === 'low sun')).toBe(false);
    expect(windowsOf(north, '2026-06-21').windows.every(({ name }) => name === 'day' || name === 'low sun')).toBe(true);
  });
  it('is named by the height of the sun', () => {
    expect([-20, -15, -9, -3, 3, 30, 70].map(lightAt)).toEqual([
      'night',
      'astronomical twilight',
      'nautical twilight',
      'civil twilight',
      'low sun',
      'day',
      'high sun',
    ]);
  });
  it('goes by the clock of the place, there and back', () => {
    expect(clockAt(garden, new Date('2026-04-12T18:45:00Z'))).toEqual({ day: '2026-04-13', time: '00:15' });
    expect(momentOf(garden, '2026-04-13', '00:15').toISOString()).toBe('2026-04-12T18:45:00.000Z');
  });
});
