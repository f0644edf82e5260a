import { clockAt, momentOf, SUNRISE_DEG, sunAt, windowsOf } from '../light';
import { type Hours, sayClock, type SitePlace, type Wish } from '../model';
import { ALL_DAY, joined } from './hours';
import type { ShotFacts } from './shot-facts';
import { HARSH_DEG, LOW_SUN_MIN, PLANNED_SLACK_MIN } from './usual';

/** The sun over a day, by the clock of the place. */
export interface SunOfDay {
  place: SitePlace;
  date: string;
  /** Stretches with the sun above the horizon, minutes. */
  up: Hours[];
  windows: { name: string; fromMin: number; toMin: number }[];
}

const MINUTE_MS = 60_000;

/** The moment of so many minutes after midnight. */
export const momentAt = ({ place, date }: Pick<SunOfDay, 'place' | 'date'>, minute: number): Date =>
  new Date(momentOf(place, date, '00:00').getTime() + minute * MINUTE_MS);

/** Null where nobody has said the place or the day. */
export function sunOfDay(place: SitePlace | null, date: string | null): SunOfDay | null {
  if (place === null || date === null) return null;
  const startMs = momentOf(place, date, '00:00').getTime();
  const windows = windowsOf(place, date).windows.map(({ name, start, end }) => ({
    name,
    fromMin: (start.getTime() - startMs) / MINUTE_MS,
    toMin: (end.getTime() - startMs) / MINUTE_MS,
  }));
  const up = joined(windows.filter(({ name }) => ['low sun', 'day', 'high sun'].includes(name)));
  return { place, date, up, windows };
}

/** When the sun first rises and last sets on a day, minutes; null where it does not. */
export function sunTimes({ up }: SunOfDay): { riseMin: number | null; setMin: number | null } {
  const [first, last] = [up[0], up.at(-1)];
  return {
    riseMin: first && first.fromMin > 0 ? first.fromMin : null,
    setMin: last && last.toMin < 1440 ? last.toMin : null,
  };
}

export const altitudeAt = (sun: SunOfDay, minute: number): number =>
  sunAt(sun.place, momentAt(sun, minute)).altitudeDeg;

/** What a shot's wish of light leaves of the day. */
export interface LightHours {
  hours: Hours[];
  /** What is waited for, in the middle of a sentence. */
  what: string;
  /** Why there is none, or that the sun was not counted; null when there is nothing to say. */
  note: string | null;
}

const NOT_COUNTED = 'Nobody has said where and on which day: the sun is not counted.';

/** Stretches of the day, minutes, in which a shot has the light that it wants. */
export function lightHours(wish: Wish, sun: SunOfDay | null, facts: ShotFacts): LightHours {
  if (wish.light === 'always') return { hours: [...ALL_DAY], what: 'no light in particular', note: null };
  if (sun === null) return { hours: [...ALL_DAY], what: 'daylight', note: wish.light === 'any' ? null : NOT_COUNTED };
  const named = (...names: string[]) => sun.windows.filter(({ name }) => names.includes(name)).map(plain);
  const noSun = sun.up.length === 0;
  const said = (hours: Hours[], what: string, none: string): LightHours => ({
    hours: hours.filter(({ fromMin, toMin }) => toMin > fromMin),
    what,
    note: hours.length > 0 ? null : noSun ? `The sun does not rise there on ${sun.date}.` : none,
  });
  const { riseMin, setMin } = sunTimes(sun);
  switch (wish.light) {
    case 'any':
    case 'same':
      return said(sun.up, 'daylight', '');
    case 'soft':
      return said(named('low sun', 'day'), `the sun below ${HARSH_DEG}°`, 'The sun is high all day.');
    case 'morning':
      return said(
        riseMin === null ? [] : [{ fromMin: riseMin, toMin: Math.min(riseMin + LOW_SUN_MIN, sun.up[0].toMin) }],
        'low sun in the morning',
        'The sun does not come up on that day: it is up all night.',
      );
    case 'evening':
      return said(
        setMin === null
          ? []
          : [{ fromMin: Math.max(setMin - LOW_SUN_MIN, sun.up[sun.up.length - 1].fromMin), toMin: setMin }],
        'low sun in the evening',
        'The sun does not set on that day.',
      );
    case 'twilight':
      return said(twilight(sun), 'twilight', 'There is no twilight there on that day.');
    case 'dark':
      return said(dark(sun), 'the dark', 'It does not get dark there on that day.');
    case 'planned': {
      const { at } = facts.shot.light;
      if (at === null)
        return { ...said(sun.up, 'daylight', ''), note: 'Its plan says no time: any daylight is taken.' };
      const [hour, minute] = clockAt(sun.place, new Date(at)).time.split(':').map(Number);
      const middle = hour * 60 + minute;
      return said(
        [{ fromMin: Math.max(0, middle - PLANNED_SLACK_MIN), toMin: middle + PLANNED_SLACK_MIN }],
        `the light of ${sayClock(middle)}`,
        '',
      );
    }
    case 'sun':
    case 'side': {
      const side = wish.light === 'side' ? wish.side : 'any';
      const lit = facts.litOn(sun.place, sun.date, side);
      return said(
        lit.map(({ from, to }) => ({ fromMin: minutesOf(from), toMin: minutesOf(to) })),
        wish.light === 'side' ? SIDE_SAID[wish.side] : 'the sun on the subject',
        facts.shot.subjectId !== null
          ? 'The subject is never lit like that on that day, where it stands and from where the camera looks.'
          : 'There is no subject that could be lit: choose one, or ask for other light.',
      );
    }
  }
}

const SIDE_SAID: Record<Wish['side'], string> = {
  front: 'the sun from the front',
  'three-quarter': 'the sun three-quarter from the front',
  side: 'the sun from the side',
  rim: 'the sun as a rim',
  behind: 'the sun from behind',
};
const plain = ({ fromMin, toMin }: Hours): Hours => ({ fromMin, toMin });
const minutesOf = (time: string): number => {
  const [hour, minute] = time.split(':').map(Number);
  return hour * 60 + minute;
};
const twilight = (sun: SunOfDay) => joined(sun.windows.filter(({ name }) => name === 'civil twilight').map(plain));
/** The night of the day itself, and that after it: the day after is nearly as long. */
function dark(sun: SunOfDay): Hours[] {
  const names = ['night', 'astronomical twilight', 'nautical twilight'];
  const rows = sun.windows.filter(({ name }) => names.includes(name)).map(plain);
  return joined([...rows, ...rows.map(({ fromMin, toMin }) => ({ fromMin: fromMin + 1440, toMin: toMin + 1440 }))])
    .map(({ fromMin, toMin }) => ({ fromMin, toMin: Math.min(2160, toMin) }))
    .filter(({ fromMin }) => fromMin < 2160);
}

/** How far the sun goes, as an angle between where it stands at two minutes, degrees. */
export function sunGoesDeg(sun: SunOfDay, fromMin: number, toMin: number): number {
  const [a, b] = [fromMin, toMin].map((minute) => sunAt(sun.place, momentAt(sun, minute)));
  const RAD = Math.PI / 180;
  const cos =
    Math.sin(a.altitudeDeg * RAD) * Math.sin(b.altitudeDeg * RAD) +
    Math.cos(a.altitudeDeg * RAD) * Math.cos(b.altitudeDeg * RAD) * Math.cos((a.azimuthDeg - b.azimuthDeg) * RAD);
  return Math.acos(Math.min(1, Math.max(-1, cos))) / RAD;
}

/** Whether the sun is up at a minute. */
export const isUp = (sun: SunOfDay, minute: number): boolean => altitudeAt(sun, minute) > SUNRISE_DEG;
