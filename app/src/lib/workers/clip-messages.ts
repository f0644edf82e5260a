import * as z from 'zod';
import { type Clip, ClipSchema } from '@gentle-arc/core/model';
import type { ClipSummary } from '@gentle-arc/core/take';
import type { KeepsShoot } from './kept-shoot';

/** A clip to be measured: nothing of it leaves the device. */
export const ClipQuestionSchema = z.object({
  file: z.instanceof(Blob),
  name: z.string(),
  /**
   * What is made worse before it is measured, to try the measuring: noise of 0 to 1; a rolling shutter that takes so long
   * from the upper to the lower edge, of pictures that move so fast, frame widths a second each.
   */
  spoilt: z
    .object({
      noise: z.number().min(0).max(0.3),
      rollingS: z.number().min(0).max(0.05),
      rightwards: z.array(z.number()),
    })
    .nullable(),
});
export type ClipQuestion = z.infer<typeof ClipQuestionSchema>;

export interface MeasuredClip {
  clip: Clip;
  summary: ClipSummary;
  /** It took so long, s. */
  tookS: number;
}

/** A clip against its plan as the page shows it: both at the plan’s time. */
export interface ShownClip {
  said: string;
  differences: { id: string; sentence: string; mend: string }[];
  rateHz: number;
  foretoldSpeed: Float64Array;
  seenSpeed: Float64Array;
  /** Of several clips of the shot: the best, by the id of its take, and why. */
  best: { id: string; why: string } | null;
  /**
   * How many times what was foretold was seen, of a film of our own that began with the plan, at its pace: of the whole
   * picture and of near and far layers; null where they rest.
   */
  timesAsFilmed: { whole: number | null; near: number | null; far: number | null };
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
}
