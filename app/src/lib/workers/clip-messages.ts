import * as z from 'zod';
import { type Clip, ClipSchema } from '@gentle-arc/core/model';
import type { ClipAgainstPlan, ClipCourse, ClipSummary, TimesAsFilmed } from '@gentle-arc/core/take';
import type { KeepsShoot } from './kept-shoot';

/** A clip to be measured: nothing of it leaves the device. */
export const ClipQuestionSchema = z.object({
  file: z.instanceof(Blob),
  name: z.string(),
  /** The shot it is a clip of. */
  shotId: z.string(),
  /** A film of our own of that shot, frame for frame. */
  own: z.boolean(),
});
export type ClipQuestion = z.infer<typeof ClipQuestionSchema>;

export interface MeasuredClip {
  clip: Clip;
  summary: ClipSummary;
  /** It took so long, s. */
  tookS: number;
  /** Of a film of our own; null of others. */
  asFilmed: TimesAsFilmed | null;
}

/** A clip against its plan as the page shows it: both at the plan’s time, from `fromS` on. */
export interface ShownClip {
  said: string;
  differences: { id: string; sentence: string; mend: string }[];
  rateHz: number;
  fromS: number;
  courses: ClipAgainstPlan['courses'];
  /** Of several clips of the shot: the best, by the id of its take, and why. */
  best: { id: string; why: string } | null;
}

/** What a clip of a shot would show, by its plan alone. */
export interface ShownForetold {
  rateHz: number;
  fromS: number;
  courses: Record<ClipCourse, Float64Array>;
}

/** A clip of a shot, and all clips of the same shot by the ids of their takes. */
export const AgainstQuestionSchema = z.object({
  shotId: z.string(),
  clip: ClipSchema,
  clips: z.array(z.object({ id: z.string(), clip: ClipSchema })),
});
export type AgainstQuestion = z.infer<typeof AgainstQuestionSchema>;

export interface ClipWorker extends KeepsShoot {
  /** Measures a clip; a sentence where it cannot. `onStep`: share done. */
  measure(question: ClipQuestion, onStep: (share: number) => void): Promise<MeasuredClip | string>;
  against(question: AgainstQuestion): Promise<ShownClip>;
  foretold(shotId: string): Promise<ShownForetold>;
}
