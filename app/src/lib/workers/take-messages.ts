import * as z from 'zod';
import { type Flown, RECORDED_BY, type Recorded, RecordedSchema } from '@gentle-arc/core/model';
import type { Difference, HandFigures } from '@gentle-arc/core/take';
import type { KeepsShoot } from './kept-shoot';

/** Recordings of takes: read, laid on their plan and compared, off the page. */

const column = z.instanceof(Float64Array);
const three = z.tuple([column, column, column]);

/** A record as a device or a phone wrote it; see `MotionRecord`. */
export const RecordQuestionSchema = z.object({
  shotId: z.string(),
  units: z.enum(['metric', 'imperial']),
  record: z.object({
    by: z.enum(Object.keys(RECORDED_BY) as (keyof typeof RECORDED_BY)[]),
    name: z.string(),
    tS: column,
    gyroRadps: three.nullable(),
    accelMps2: three.nullable(),
    anglesDeg: three.nullable(),
    northKnown: z.boolean(),
    placeM: three.nullable(),
    alongM: column.nullable(),
    focalLengthMm: column.nullable(),
    focusM: column.nullable(),
  }),
});
export type RecordQuestion = z.infer<typeof RecordQuestionSchema>;

/** A file of a recording, and what a person says of it that its head does not. */
export const MotionFileSchema = z.object({
  shotId: z.string(),
  units: z.enum(['metric', 'imperial']),
  name: z.string(),
  text: z.string(),
  columns: z.record(z.string(), z.string()),
  inUnits: z.record(z.string(), z.string()),
  mount: z.enum(['upright', 'sideways', 'flat', 'asCamera']),
});
export type MotionFile = z.infer<typeof MotionFileSchema>;

export const CompareQuestionSchema = z.object({
  shotId: z.string(),
  units: z.enum(['metric', 'imperial']),
  recorded: RecordedSchema,
});
export type CompareQuestion = z.infer<typeof CompareQuestionSchema>;

/** One course of plan and take, for a strip. */
export interface Course {
  name: string;
  unit: string;
  plan: Float64Array;
  take: Float64Array;
}

/** A recording held against its plan, as the page shows it. */
export interface ShownTake {
  said: string;
  differences: Difference[];
  untold: string[];
  smoothnessOf: string | null;
  smoothness: Record<'plan' | 'take', { spectralArcLength: number | null; logDimensionlessJerk: number | null }>;
  delayS: number;
  stretch: number;
  tremor: { deg: number; hz: number } | null;
  rateHz: number;
  /** The plan’s own time of the first row, s. */
  fromS: number;
  courses: Course[];
  /** The way that was taken, to be drawn through the lens. */
  flown: Flown;
  reading: { id: string; grade: string; sentence: string }[];
}

/** A recording taken in: what is kept of it, and what it cannot be trusted in. Or why it was not. */
export type TakenIn = { recorded: Recorded; notes: string[]; shown: ShownTake } | { refused: string; names: string[] };

export interface TakeWorker extends KeepsShoot {
  compare(question: CompareQuestion): Promise<ShownTake>;
  takeIn(question: RecordQuestion): Promise<TakenIn>;
  takeInFile(question: MotionFile): Promise<TakenIn>;
  /** Figures of each recording of the shoot, by the id of its take. */
  hands(): Promise<{ id: string; figures: HandFigures }[]>;
}
