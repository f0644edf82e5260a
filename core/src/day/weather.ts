import { evOfDaylight, simulatedForecast, type WeatherForecast } from '../light';
import { type Drone, type Hours, saySpeed, type Shoot, trim, type Units, type WeatherHour } from '../model';
import { droneFlight, windAtHeightMps } from '../supports';
import { both, joined } from './hours';
import { altitudeAt, type SunOfDay } from './light-hours';
import type { ShotWork } from './shot-work';
import { LONG_LENS, OVERCAST, RAIN_MMPH, USUAL_RIGS } from './usual';

/** The weather that a day reckons with: what was typed, or else the forecast that ships with the app. */
export function weatherOfDay(shoot: Shoot, forecast: WeatherForecast | null = null): WeatherHour[] | null {
  const { weather, date } = shoot.day;
  if (weather) return weather;
  if (forecast) return forecast.hours;
  return date === null ? null : simulatedForecast(shoot.name, date).hours;
}

/** Stretches of hours that pass a test, minutes; the night after the day is taken like its last hour. */
function hoursThat(weather: readonly WeatherHour[], passes: (row: WeatherHour) => boolean): Hours[] {
  return joined(
    weather.flatMap((row) =>
      passes(row) ? [{ fromMin: row.hour * 60, toMin: row.hour === 23 ? 2160 : (row.hour + 1) * 60 }] : [],
    ),
  );
}

/** The strongest gust at the camera that a shot's rig is used in, m/s; null: no limit. And where that is from. */
export function gustLimit(shoot: Shoot, work: ShotWork): { mps: number; why: string } | null {
  const drone = droneOf(shoot, work);
  if (drone) {
    // What its own thrust and speed allow, found in halves of a metre a second.
    let mps = 0;
    while (mps < 30) {
      const found = droneFlight({ ...drone, windMps: mps + 0.5 }, 0);
      if (!found.flies || found.windMps > drone.speedMaxMps * 0.6) break;
      mps += 0.5;
    }
    return { mps, why: `${work.rigName}, by its thrust and speed` };
  }
  const usual = USUAL_RIGS[work.rigKind].gustMaxMps;
  return usual === null ? null : { mps: usual, why: `${work.rigName}: common practice` };
}

const droneOf = (shoot: Shoot, work: ShotWork): Drone | null => {
  if (work.rigKind !== 'drone') return null;
  const build = shoot.kit.builds.find(({ rigId, support }) => rigId === work.rigId && support.kind === 'drone');
  return build?.support.kind === 'drone' ? build.support : null;
};

/** When the weather lets a shot's rig be used, and why not the rest of the day. */
export function weatherHours(
  shoot: Shoot,
  work: ShotWork,
  weather: readonly WeatherHour[] | null,
  units: Units = 'metric',
): { hours: Hours[]; why: string | null } {
  if (!weather) return { hours: [{ fromMin: 0, toMin: 2160 }], why: null };
  const limit = gustLimit(shoot, work);
  const gustsAt = (row: WeatherHour) =>
    droneOf(shoot, work) ? row.gustMps : windAtHeightMps(row.gustMps, work.lensHeightM);
  const calm = hoursThat(weather, (row) => limit === null || gustsAt(row) <= limit.mps);
  const dry = hoursThat(weather, ({ rainMmph }) => work.rigKind !== 'drone' || rainMmph < RAIN_MMPH);
  const why = [
    ...(limit && !isAllDay(calm) ? [`gusts above ${saySpeed(limit.mps, units)} (${limit.why})`] : []),
    ...(isAllDay(dry) ? [] : ['rain']),
  ];
  return { hours: both(calm, dry), why: why.length === 0 ? null : why.join(' and ') };
}

const isAllDay = (hours: readonly Hours[]): boolean =>
  hours.length === 1 && hours[0].fromMin === 0 && hours[0].toMin === 2160;

/** What the weather of the hours in which a shot is made asks for: notes, never a verdict. */
export function weatherNotes(
  work: ShotWork,
  weather: readonly WeatherHour[] | null,
  sun: SunOfDay | null,
  fromMin: number,
  toMin: number,
  units: Units = 'metric',
): string[] {
  const notes: string[] = [];
  if (!weather) return notes;
  const rows = weather.filter(
    ({ hour }) => touches(hour * 60, fromMin, toMin) || touches((hour + 24) * 60, fromMin, toMin),
  );
  const gust = Math.max(0, ...rows.map((row) => windAtHeightMps(row.gustMps, work.lensHeightM)));
  const said = saySpeed(Math.round(gust * 10) / 10, units);
  if (rows.some(({ rainMmph }) => rainMmph >= RAIN_MMPH))
    notes.push('Rain: a cover on the camera and a cloth for the lens, tied so that nothing flaps into the sound.');
  if (gust >= LONG_LENS.gustMps && work.focalLengthMm >= LONG_LENS.fromMm)
    notes.push(
      `Gusts of ${said} shake ${Math.round(work.focalLengthMm)} mm: a shield from the wind, low on its stand.`,
    );
  const cloudy = rows.length > 0 && rows.every(({ cloudShare }) => cloudShare >= OVERCAST);
  if (cloudy && work.wantsSun)
    notes.push(`The sky is forecast closed then: no hard light to count on${lessLight(sun, fromMin)}.`);
  return notes;
}

/** What a closed sky takes from a clear one at a moment, in words. */
function lessLight(sun: SunOfDay | null, atMin: number): string {
  const altitudeDeg = sun ? altitudeAt(sun, atMin) : 0;
  if (altitudeDeg <= 0) return '';
  const stops = evOfDaylight(altitudeDeg, 'clear') - evOfDaylight(altitudeDeg, 'cloudy');
  return stops < 0.25 ? '' : `, and about ${trim(stops, 1)} stops less on open ground`;
}

/** Whether an hour of the day, from a minute on, has something of a stretch. */
const touches = (hourMin: number, fromMin: number, toMin: number): boolean =>
  hourMin < Math.max(toMin, fromMin + 1) && hourMin + 60 > fromMin;
