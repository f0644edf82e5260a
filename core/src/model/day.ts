import * as z from 'zod';
import { choice, number, whole, yesNo } from './facts';
import { idText, nameText } from './text';

/** One day of shooting: hours, people, batteries, weather, what each shot wants of it, and the order it is shot in. */

/** A time by the clock of the place, minutes after midnight; past 1440 it is the next day's. */
const clock = (label: string) => z.number().int().min(0).max(2160).meta({ label, unit: 'clock', step: 5 });

export const HoursSchema = z
  .strictObject({ fromMin: clock('From'), toMin: clock('Until') })
  .refine(({ fromMin, toMin }) => toMin > fromMin, {
    path: ['toMin'],
    error: 'must come after where it begins; end it later or begin it earlier',
  });

export const BreakSchema = z.strictObject({
  id: idText,
  name: nameText(60),
  fromMin: clock('Break from'),
  forMin: whole('Break for, minutes', 5, 240, 5),
});

/** What hands are asked for. */
export const SKILLS = ['operates', 'flies', 'pulls', 'drives', 'helps'] as const;

/** Somebody who is there: in front of the camera (then they are a piece of the site) or behind it. */
export const PersonSchema = z.strictObject({
  id: idText,
  name: nameText(60),
  pieceId: z.string().min(1).nullable(),
  hours: HoursSchema,
  skills: z.array(z.enum(SKILLS)).max(SKILLS.length),
});

/** Batteries of one camera or rig. */
export const BatterySchema = z.strictObject({
  id: idText,
  /** The camera or rig that they are for. */
  forId: z.string().min(1),
  count: whole('Batteries', 0, 60),
  lastsMin: number('One lasts, minutes', 'plain', 1, 1000, 5),
  chargeMin: number('One is full after, minutes', 'plain', 1, 1000, 5),
});

export const WeatherHourSchema = z.strictObject({
  hour: z.number().int().min(0).max(23),
  windMps: number('Wind', 'mps', 0, 60, 0.5),
  gustMps: number('Gusts', 'mps', 0, 80, 0.5),
  rainMmph: number('Rain, mm an hour', 'plain', 0, 200, 0.5),
  cloudShare: number('Sky covered', 'share', 0, 1, 0.05),
});

/** What a shot wants of the day. A shot that is not named wants nothing in particular. */
export const WishSchema = z.strictObject({
  shotId: z.string().min(1),
  planned: yesNo('In this day', 'shot on this day', 'left for another day'),
  light: choice('Light', {
    any: 'any daylight',
    always: 'none of the sun: by day or by night',
    planned: 'as at the time its plan says',
    morning: 'low sun, in the morning',
    evening: 'low sun, in the evening',
    soft: 'no high sun',
    sun: 'sun on the subject',
    side: 'sun from one side',
    twilight: 'twilight',
    dark: 'the dark',
    same: 'as another shot has it',
  }),
  side: choice('Lit', {
    front: 'from the front',
    'three-quarter': 'three-quarter',
    side: 'from the side',
    rim: 'as a rim',
    behind: 'from behind',
  }),
  /** The shot whose light it shares. */
  sameAsId: z.string().min(1).nullable(),
  /** Takes are made between these, whatever the light. */
  between: HoursSchema.nullable(),
  pin: choice('Place in the day', {
    none: 'wherever it fits',
    first: 'first',
    last: 'last',
    beforeBreak: 'before the break',
    afterBreak: 'after the break',
    rightAfter: 'right after',
  }),
  afterId: z.string().min(1).nullable(),
  /** Own figures; null: what is usual. */
  tries: whole('Tries', 1, 200).nullable(),
  setUpMin: number('Setting up, minutes', 'plain', 0, 480, 1).nullable(),
  risk: choice('It is', { usual: 'as its move says', plain: 'easy', hard: 'hard', risky: 'risky' }),
  alone: yesNo('At the camera', 'nobody at the camera', 'somebody at the camera'),
  state: choice('It is', { open: 'still to be shot', done: 'done', dropped: 'dropped' }),
  /** When it was done, by the clock. */
  doneMin: clock('Done at').nullable(),
});

/** What a person has logged or knows of a rig; it stands for what is usual. */
export const RigTimesSchema = z.strictObject({
  rigId: z.string().min(1),
  setUpMin: number('Setting up, minutes', 'plain', 0, 480, 1),
});

export const DAY_AIMS = choice('Looks for', {
  minutes: 'the least minutes',
  lenses: 'the fewest changes of lens',
  light: 'the best light',
  carrying: 'the least carrying',
  clouds: 'safe if clouds come',
});

export const DaySchema = z
  .strictObject({
    /** Null: nobody has said; then there is no sun to go by. */
    date: z.iso.date().nullable(),
    callMin: clock('Everybody there at'),
    wrapMin: clock('Everybody gone by'),
    breaks: z.array(BreakSchema).max(8),
    people: z.array(PersonSchema).max(40),
    batteries: z.array(BatterySchema).max(60),
    chargers: whole('Chargers at a time', 0, 40),
    cards: z.strictObject({ count: whole('Cards', 0, 100), gigabytes: number('GB a card', 'plain', 1, 20_000, 64) }),
    walkMps: number('Walking with the kit', 'mps', 0.2, 3, 0.1),
    reviewS: number('Looking at a try', 's', 0, 600, 5),
    /** A typed forecast, an hour a row; null: that of the service. */
    weather: z.array(WeatherHourSchema).length(24).nullable(),
    rigTimes: z.array(RigTimesSchema).max(300),
    wishes: z.array(WishSchema).max(500),
    aim: DAY_AIMS,
    /** Shots in the order they are shot in; what is not named is shot where the search puts it. */
    order: z.array(z.string().min(1)).max(500),
    /** What of the pack list is packed. */
    packed: z.array(z.string().min(1).max(120)).max(600),
  })
  .refine(({ callMin, wrapMin }) => wrapMin > callMin, {
    path: ['wrapMin'],
    error: 'must come after everybody is there; end later or begin earlier',
  });

export type Hours = z.infer<typeof HoursSchema>;
export type Break = z.infer<typeof BreakSchema>;
export type Skill = (typeof SKILLS)[number];
export type Person = z.infer<typeof PersonSchema>;
export type Battery = z.infer<typeof BatterySchema>;
export type WeatherHour = z.infer<typeof WeatherHourSchema>;
export type Wish = z.infer<typeof WishSchema>;
export type DayAim = z.infer<typeof DAY_AIMS>;
export type Day = z.infer<typeof DaySchema>;

/** A day that nobody has planned: from eight to six with an hour at noon; common practice, no published source. */
export const USUAL_DAY: Day = {
  date: null,
  callMin: 480,
  wrapMin: 1080,
  breaks: [{ id: 'noon', name: 'Lunch', fromMin: 720, forMin: 45 }],
  people: [],
  batteries: [],
  chargers: 1,
  cards: { count: 2, gigabytes: 128 },
  walkMps: 1,
  reviewS: 20,
  weather: null,
  rigTimes: [],
  wishes: [],
  aim: 'minutes',
  order: [],
  packed: [],
};

/** What a shot wants that nobody has asked for anything. */
export const usualWish = (shotId: string): Wish => ({
  shotId,
  planned: true,
  light: 'any',
  side: 'side',
  sameAsId: null,
  between: null,
  pin: 'none',
  afterId: null,
  tries: null,
  setUpMin: null,
  risk: 'usual',
  alone: false,
  state: 'open',
  doneMin: null,
});

export const wishOf = (day: Day, shotId: string): Wish =>
  day.wishes.find((wish) => wish.shotId === shotId) ?? usualWish(shotId);

/** Minutes of a day as a clock says them: 7:05, or 1:30 +1 for the next day's. */
export function sayClock(minutes: number): string {
  const whole = Math.round(minutes);
  const [days, rest] = [Math.floor(whole / 1440), ((whole % 1440) + 1440) % 1440];
  const said = `${Math.floor(rest / 60)}:${String(rest % 60).padStart(2, '0')}`;
  return days === 0 ? said : `${said} ${days > 0 ? '+' : '−'}${Math.abs(days)}`;
}

/** Seconds as people say them: 45 s, 12 min, 2 h 05 min. */
export function sayMinutes(seconds: number): string {
  if (Math.abs(seconds) < 59.5) return `${Math.round(seconds)} s`;
  const minutes = Math.round(seconds / 60);
  if (minutes < 60) return `${minutes} min`;
  return minutes % 60 === 0
    ? `${minutes / 60} h`
    : `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')} min`;
}
