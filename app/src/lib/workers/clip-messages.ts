import * as z from 'zod';
import type { Clip } from '@gentle-arc/core/model';
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
  delayS: number;
  stretch: number;
  /** How many times what was foretold was seen: of the whole picture and of near and far layers; null where they rest. */
  times: { whole: number | null; near: number | null; far: number | null };
  /** The same of a film of our own: it began with the plan, at its pace. */
  timesAsFilmed: { whole: number | null; near: number | null; far: number | null };
}

export interface ClipWorker extends KeepsShoot {
  /** Measures a clip; a sentence where it cannot. `onStep`: share done. */
  measure(question: ClipQuestion, onStep: (share: number) => void): Promise<MeasuredClip | string>;
  against(question: { shotId: string; clip: Clip }): Promise<ShownClip>;
}
