import * as z from 'zod';
import type { KeepsShoot } from '$lib/workers/kept-shoot';

/** What is asked of the worker that draws frames of many shots. */

export const FramesQuestionSchema = z.object({
  shotId: z.string(),
  rows: z.array(z.number().int().min(0)).min(1).max(64),
  widthPx: z.number().int().min(16).max(4096),
  dim: z.boolean(),
});
export type FramesQuestion = z.infer<typeof FramesQuestionSchema>;

/** One frame of the film to be written: of a shot, or black. */
export const FilmFrameSchema = z.object({ shotId: z.string().nullable(), row: z.number().int().min(0) });
export const VideoQuestionSchema = z.object({
  format: z.enum(['webm', 'mp4']),
  widthPx: z.number().int().min(64).max(3840),
  rateHz: z.number().positive(),
  frames: z
    .array(FilmFrameSchema.extend({ words: z.string() }))
    .min(1)
    .max(200_000),
  /** The thirds, and the words of each frame, in the picture. */
  guides: z.boolean(),
  words: z.boolean(),
  /**
   * A film of this shot alone, made worse before it is compressed: noise of 0 to 1, and a shutter that takes so long from
   * the upper to the lower edge, s.
   */
  spoilt: z
    .object({ shotId: z.string(), noise: z.number().min(0).max(0.3), rollingS: z.number().min(0).max(0.05) })
    .nullable(),
});
export type VideoQuestion = z.infer<typeof VideoQuestionSchema>;

export const StillsQuestionSchema = z.object({
  widthPx: z.number().int().min(64).max(3840),
  stills: z
    .array(FilmFrameSchema.extend({ name: z.string() }))
    .min(1)
    .max(2000),
});
export type StillsQuestion = z.infer<typeof StillsQuestionSchema>;

export interface FramesWorker extends KeepsShoot {
  /** Whether this worker can draw at all. */
  start(): Promise<boolean>;
  /** Frames of one shot beside each other, as an uncompressed picture. */
  frames(question: FramesQuestion): Promise<Blob>;
  /** The film as a video file; a sentence where this browser cannot write it. Null when it was called off. */
  video(question: VideoQuestion, onStep: (done: number, of: number) => void): Promise<Blob | string | null>;
  /** Frames as PNG files in one zip; null when it was called off. */
  stills(question: StillsQuestion, onStep: (done: number, of: number) => void): Promise<Blob | null>;
  callOff(): Promise<void>;
}
