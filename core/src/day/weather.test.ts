import { describe, expect, it } from 'vitest';
import { changeDay } from '../edit';
import type { WeatherHour } from '../model';
import { demoShoot } from '../testing/demo';
import { sunOfDay } from './light-hours';
import { ShotLooks } from './shot-facts';
import { shotWork, type ShotWork } from './shot-work';
import { gustLimit, weatherHours, weatherNotes, weatherOfDay } from './weather';

const demo = demoShoot();
const looks = new ShotLooks();
const sun = sunOfDay(demo.site.place, demo.day.date);
function workOf(shotId: string): ShotWork {
  const at = demo.shots.findIndex(({ id }) => id === shotId);
  return shotWork(demo, looks.facts(demo, demo.shots[at]), at + 1, sun);
}
const weather = (of: (hour: number) => Partial<WeatherHour>): WeatherHour[] =>
  Array.from({ length: 24 }, (_, hour) => ({
    hour,
    windMps: 1,
    gustMps: 2,
    rainMmph: 0,
    cloudShare: 0.1,
    ...of(hour),
  }));
const ALL_DAY = [{ fromMin: 0, toMin: 2160 }];

describe('what the weather lets be shot', () => {
  it('on a fair day everything, and nothing is blamed', () => {
    for (const id of ['shot-map', 'shot-rows', 'shot-jib', 'shot-sorting'])
      expect(
        weatherHours(
          demo,
          workOf(id),
          weather(() => ({})),
        ),
      ).toEqual({ hours: ALL_DAY, why: null });
  });
  it('in rain nothing flies, and the rain is blamed; what stands is shot all the same', () => {
    const wet = weather((hour) => ({ rainMmph: hour >= 10 && hour < 12 ? 2 : 0 }));
    expect(weatherHours(demo, workOf('shot-map'), wet)).toEqual({
      hours: [
        { fromMin: 0, toMin: 600 },
        { fromMin: 720, toMin: 2160 },
      ],
      why: 'rain',
    });
    expect(weatherHours(demo, workOf('shot-rows'), wet)).toEqual({ hours: ALL_DAY, why: null });
  });
  it('gusts and rain are both named where both keep it down', () => {
    const storm = weather((hour) => ({ rainMmph: hour < 6 ? 3 : 0, gustMps: hour > 20 ? 30 : 2 }));
    const { hours, why } = weatherHours(demo, workOf('shot-map'), storm);
    expect(hours).toEqual([{ fromMin: 360, toMin: 1260 }]);
    expect(why).toMatch(/^gusts above .* m\/s \(Drone, small, by its thrust and speed\) and rain$/);
  });
  it('a drone’s limit is where its own facts say that it cannot hold itself, or comes back slowly', () => {
    const limit = gustLimit(demo, workOf('shot-map'));
    expect(limit?.mps).toBeGreaterThan(3);
    expect(limit?.mps).toBeLessThan(20);
    expect(gustLimit(demo, workOf('shot-rows'))).toBeNull();
    expect(gustLimit(demo, workOf('shot-sorting'))?.mps).toBe(10);
  });
});

describe('what the weather asks for', () => {
  const at = (id: string, rows: WeatherHour[], fromMin = 600, toMin = 610) =>
    weatherNotes(workOf(id), rows, sun, fromMin, toMin);

  it('rain asks for a cover, in the hours that are touched only', () => {
    const wet = weather((hour) => ({ rainMmph: hour === 10 ? 1 : 0 }));
    expect(at('shot-rows', wet)[0]).toContain('a cover on the camera');
    expect(at('shot-rows', wet, 590, 600)).toEqual([]);
    expect(at('shot-rows', wet, 590, 601)).toHaveLength(1);
    expect(at('shot-rows', wet, 660, 700)).toEqual([]);
  });
  it('past midnight it goes by the same hour of the next day', () => {
    const wet = weather((hour) => ({ rainMmph: hour === 1 ? 1 : 0 }));
    expect(at('shot-rows', wet, 1430, 1450)).toEqual([]);
    expect(at('shot-rows', wet, 1490, 1510)).toHaveLength(1);
  });
  it('a long lens in gusts asks for a shield, a short one does not', () => {
    const blows = weather(() => ({ gustMps: 14 }));
    expect(at('shot-rack', blows).join(' ')).toMatch(/Gusts of .* shake 85 mm/);
    expect(at('shot-quiet', blows)).toEqual([]);
  });
  it('a closed sky is said where sun is wanted, with the stops it takes', () => {
    const closed = weather(() => ({ cloudShare: 1 }));
    expect(at('shot-face', closed, 1030, 1035)[0]).toMatch(/no hard light to count on, and about [\d.]+ stops less/);
    expect(at('shot-sorting', closed)).toEqual([]);
  });
});

it('the weather of a day is what was typed, or the forecast, or none without a date', () => {
  expect(weatherOfDay(demo)).toBe(demo.day.weather);
  expect(weatherOfDay(changeDay(demo, { weather: null }))).toHaveLength(24);
  expect(weatherOfDay(changeDay(demo, { weather: null, date: null }))).toBeNull();
});
