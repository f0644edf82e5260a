import { getPosition } from 'suncalc';
import type { SitePlace } from '../model';

type Where = Pick<SitePlace, 'latitudeDeg' | 'longitudeDeg'>;

/** Where the sun stands: height above the horizon as it is seen (refraction included), and clockwise from north, degrees. */
export interface Sun {
  altitudeDeg: number;
  azimuthDeg: number;
}

const RAD = Math.PI / 180;

/** The sun over a place at a moment (by the suncalc package). */
export function sunAt({ latitudeDeg, longitudeDeg }: Where, at: Date): Sun {
  const { altitude, azimuth } = getPosition(at, latitudeDeg, longitudeDeg);
  return { altitudeDeg: altitude, azimuthDeg: (azimuth + 360) % 360 };
}

/** The way to the sun as a unit vector: east, north, up. */
export function towardsSun({ altitudeDeg, azimuthDeg }: Sun): [number, number, number] {
  const flat = Math.cos(altitudeDeg * RAD);
  return [flat * Math.sin(azimuthDeg * RAD), flat * Math.cos(azimuthDeg * RAD), Math.sin(altitudeDeg * RAD)];
}

/**
 * Its upper edge on the horizon. Apparent heights have the refraction in them, so that only the sun's own half is left
 * (16′).
 */
export const SUNRISE_DEG = -0.27;

/**
 * What the light of a day is called by the height of the sun, from the lowest: civil, nautical and astronomical
 * twilight end at 6°, 12° and 18° below (US Naval Observatory, from memory); low sun up to 6° and noon light from 50°
 * on are common practice, no published source.
 */
const LIGHTS = [
  [-18, 'night'],
  [-12, 'astronomical twilight'],
  [-6, 'nautical twilight'],
  [SUNRISE_DEG, 'civil twilight'],
  [6, 'low sun'],
  [50, 'day'],
  [90.1, 'high sun'],
] as const;
export type DayLight = (typeof LIGHTS)[number][1];

/** What the light is called when the sun is so high. */
export const lightAt = (altitudeDeg: number): DayLight =>
  (LIGHTS.find(([below]) => altitudeDeg < below) ?? LIGHTS[LIGHTS.length - 1])[1];

/** A stretch of a day with one kind of light. */
export interface LightWindow {
  name: DayLight;
  start: Date;
  end: Date;
}

const MINUTE_MS = 60_000;
const DAY_MINUTES = 1440;

/**
 * The kinds of light of a day from its first to its last minute, on the clock of the place. `day`: as year-month-day.
 * Where the sun does not rise or set the day has fewer of them.
 */
export function windowsOf(place: SitePlace, day: string): { windows: LightWindow[]; noon: Date } {
  const startMs = Date.parse(`${day}T00:00:00Z`) - place.utcOffsetH * 60 * MINUTE_MS;
  const altitude = (minute: number) => sunAt(place, new Date(startMs + minute * MINUTE_MS)).altitudeDeg;
  const windows: LightWindow[] = [];
  const STEP = 5;
  let [from, name] = [0, lightAt(altitude(0))];
  let [highest, noon] = [-Infinity, 0];
  const close = (to: number, next: DayLight) => {
    windows.push({ name, start: new Date(startMs + from * MINUTE_MS), end: new Date(startMs + to * MINUTE_MS) });
    [from, name] = [to, next];
  };
  for (let minute = STEP; minute <= DAY_MINUTES; minute += STEP) {
    // Within five minutes the light changes once at most, but for the poles, where it hardly does.
    const next = lightAt(altitude(minute));
    if (next !== name) {
      let [low, high] = [minute - STEP, minute];
      while (high - low > 1 / 60) {
        const middle = (low + high) / 2;
        if (lightAt(altitude(middle)) === name) low = middle;
        else high = middle;
      }
      close(high, next);
    }
    if (altitude(minute) > highest) [highest, noon] = [altitude(minute), minute];
  }
  close(DAY_MINUTES, name);
  let [low, high] = [noon - STEP, noon + STEP];
  while (high - low > 1 / 60) {
    const [a, b] = [low + (high - low) / 3, high - (high - low) / 3];
    if (altitude(a) < altitude(b)) low = a;
    else high = b;
  }
  return { windows, noon: new Date(startMs + ((low + high) / 2) * MINUTE_MS) };
}

/** The day and the time that the clock of a place shows at a moment: year-month-day and hours:minutes. */
export function clockAt({ utcOffsetH }: Pick<SitePlace, 'utcOffsetH'>, at: Date): { day: string; time: string } {
  const [day, time] = new Date(at.getTime() + utcOffsetH * 60 * MINUTE_MS).toISOString().split('T');
  return { day, time: time.slice(0, 5) };
}

/** The moment at which the clock of a place shows a day and a time. */
export const momentOf = ({ utcOffsetH }: Pick<SitePlace, 'utcOffsetH'>, day: string, time: string): Date =>
  new Date(Date.parse(`${day}T${time}:00Z`) - utcOffsetH * 60 * MINUTE_MS);
