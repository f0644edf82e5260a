import * as z from 'zod';
import type { DayChange, DayEntry, DayPlan, PackGroup, PowerOf, ShotWork, WayToFit } from '@gentle-arc/core/day';
import { WeatherForecastSchema } from '@gentle-arc/core/light';
import { type DayAim, DAY_AIMS, type WeatherHour } from '@gentle-arc/core/model';
import type { KeepsShoot } from './kept-shoot';

/** A day as the page is told of it. */
export type ShownEntry = Omit<DayEntry, 'work'> & { work: Omit<ShotWork, 'shot'> };
export type ShownPlan = Omit<DayPlan, 'entries'> & { entries: ShownEntry[] };

export interface ShownDay {
  plan: ShownPlan;
  /** What it saves against the order of the story. */
  saved: string;
  notes: string[];
  sunSaid: string | null;
  /** Height of the sun by the quarter of an hour, degrees; empty where nobody has said where and when. */
  sun: { atMin: number; altitudeDeg: number }[];
  riseMin: number | null;
  setMin: number | null;
  weather: WeatherHour[] | null;
  power: PowerOf[];
  cards: { short: boolean; said: string };
  pack: PackGroup[];
  /** Strongest gusts that each shot's rig is used in, by the shot, m/s. */
  gustMaxMps: Record<string, number>;
  /** What each shot would take if nobody had said otherwise, by its id. */
  usual: Record<string, { tries: number; triesWhy: string[]; setUpS: number }>;
  /** When the day, or the rest of it, goes on; minutes. */
  fromMin: number;
}

/** What a day comes to when something else is looked for. */
export interface Alternative {
  aim: DayAim;
  order: string[];
  cannot: number[];
  endS: number;
  totalS: number;
  lensChanges: number;
  rigChanges: number;
  carriedKgM: number;
  /** How much is shot under a high sun, s. */
  harshS: number;
}

export const DayQuestionSchema = z.object({
  forecast: WeatherForecastSchema.nullable(),
  units: z.enum(['metric', 'imperial']),
  /** The rest goes on so many minutes later than it was to. */
  lateMin: z.number().min(0).max(1440),
});
export const OrderQuestionSchema = DayQuestionSchema.extend({
  aim: DAY_AIMS,
  /** In a moment, from the order that is kept. */
  quick: z.boolean(),
});
export type DayQuestion = z.infer<typeof DayQuestionSchema>;
export type OrderQuestion = z.infer<typeof OrderQuestionSchema>;
export type { DayChange, WayToFit };

type Step = (done: number, of: number) => void;

export interface DayWorker extends KeepsShoot {
  /** The day in the order that the shoot keeps. */
  day(question: DayQuestion): Promise<ShownDay>;
  /** The best order that is found, as ids; null when it was called off before there was any. */
  order(question: OrderQuestion, onStep: Step): Promise<{ ids: string[]; changes: string[] }>;
  alternatives(question: DayQuestion, onStep: Step): Promise<Alternative[]>;
  ways(question: DayQuestion, onStep: Step): Promise<WayToFit[]>;
  /** The day as a file. */
  file(question: DayQuestion, format: 'ics' | 'csv'): Promise<string>;
  /** Ends a search with the best so far. */
  callOff(): Promise<void>;
}
