import { Body, Observer, SearchRiseSet } from 'astronomy-engine';
import { describe, expect, it } from 'vitest';
import { demoShoot } from '../testing/demo';
import { momentOf } from '../light';
import { type Shoot, usualWish, type Wish } from '../model';
import { lightHours, sunGoesDeg, sunOfDay, sunTimes } from './light-hours';
import { ShotLooks } from './shot-facts';

const demo = demoShoot();
const looks = new ShotLooks();
const wants = (shoot: Shoot, shotId: string, change: Partial<Wish>) => {
  const shot = shoot.shots.find(({ id }) => id === shotId);
  if (!shot) throw new RangeError(shotId);
  return lightHours(
    { ...usualWish(shotId), ...change },
    sunOfDay(shoot.site.place, shoot.day.date),
    looks.facts(shoot, shot),
  );
};

describe('the hours of light that a shot wants', () => {
  it.each([
    [27.02, 88.13, 5.5, '2026-04-12'],
    [52.5, 13.4, 2, '2026-06-21'],
    [-33.9, 18.4, 2, '2026-12-21'],
    [0.5, -78, -5, '2026-03-20'],
    [61, 25, 2, '2026-01-15'],
  ])(
    'low sun is the hour after sunrise and before sunset by astronomy-engine, to a minute (%d, %d)',
    (latitudeDeg, longitudeDeg, utcOffsetH, date) => {
      const place = { latitudeDeg, longitudeDeg, utcOffsetH };
      const sun = sunOfDay(place, date);
      if (!sun) throw new RangeError('no sun');
      const { riseMin, setMin } = sunTimes(sun);
      const midnight = momentOf(place, date, '00:00');
      const observer = new Observer(latitudeDeg, longitudeDeg, 0);
      const minuteOf = (direction: 1 | -1) => {
        const found = SearchRiseSet(Body.Sun, observer, direction, midnight, 1);
        return found ? (found.date.getTime() - midnight.getTime()) / 60_000 : NaN;
      };
      expect(Math.abs((riseMin ?? NaN) - minuteOf(1))).toBeLessThan(1);
      expect(Math.abs((setMin ?? NaN) - minuteOf(-1))).toBeLessThan(1);
      const shoot = { ...demo, site: { ...demo.site, place }, day: { ...demo.day, date } };
      const [morning] = wants(shoot, 'shot-quiet', { light: 'morning' }).hours;
      const [evening] = wants(shoot, 'shot-quiet', { light: 'evening' }).hours;
      expect(morning.fromMin).toBe(riseMin);
      expect(morning.toMin - morning.fromMin).toBeCloseTo(60, 6);
      expect(evening.toMin).toBe(setMin);
      expect(evening.toMin - evening.fromMin).toBeCloseTo(60, 6);
    },
  );

  it('the sun goes 15° an hour at the equinox', () => {
    const sun = sunOfDay({ latitudeDeg: 0, longitudeDeg: 0, utcOffsetH: 0 }, '2026-03-20');
    if (!sun) throw new RangeError('no sun');
    expect(sunGoesDeg(sun, 600, 660)).toBeCloseTo(15, 1);
  });

  it('in the polar night there is no daylight, and it says so; what needs none has all day', () => {
    const place = { latitudeDeg: 78, longitudeDeg: 15, utcOffsetH: 1 };
    const polar = { ...demo, site: { ...demo.site, place }, day: { ...demo.day, date: '2026-12-20' } };
    for (const light of ['any', 'morning', 'evening', 'soft', 'sun'] as const) {
      const { hours, note } = wants(polar, 'shot-rows', { light });
      expect(hours).toEqual([]);
      expect(note).toBe('The sun does not rise there on 2026-12-20.');
    }
    expect(wants(polar, 'shot-rows', { light: 'always' }).hours).toEqual([{ fromMin: 0, toMin: 2160 }]);
    expect(wants(polar, 'shot-rows', { light: 'dark' }).hours.length).toBeGreaterThan(0);
    const bright = { ...polar, day: { ...polar.day, date: '2026-06-20' } };
    expect(wants(bright, 'shot-rows', { light: 'evening' }).note).toBe('The sun does not set on that day.');
    expect(wants(bright, 'shot-rows', { light: 'any' }).hours).toEqual([{ fromMin: 0, toMin: 1440 }]);
  });

  it('as its plan says: half an hour before and after the moment of the shot', () => {
    // 01:10 UTC is 6:40 there.
    expect(wants(demo, 'shot-rows', { light: 'planned' }).hours).toEqual([{ fromMin: 370, toMin: 430 }]);
    expect(wants(demo, 'shot-sorting', { light: 'planned' }).note).toContain('says no time');
  });

  it('from a side: in the forenoon from one, in the afternoon from the other, and both are sides', () => {
    const { hours } = wants(demo, 'shot-rows', { light: 'side', side: 'side' });
    expect(hours.length).toBeGreaterThan(0);
    for (const { fromMin, toMin } of hours) expect(fromMin >= 300 && toMin <= 1090).toBe(true);
    expect(wants(demo, 'shot-terraces', { light: 'sun' }).note).toContain('There is no subject');
  });

  it('where nobody has said the place or the day the sun is not counted, and that is said', () => {
    const nowhere = { ...demo, day: { ...demo.day, date: null } };
    expect(wants(nowhere, 'shot-rows', { light: 'morning' })).toMatchObject({
      hours: [{ fromMin: 0, toMin: 2160 }],
      note: 'Nobody has said where and on which day: the sun is not counted.',
    });
  });
});
