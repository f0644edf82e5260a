import * as z from 'zod';
import type { LensColumn } from '@gentle-arc/core/reading';
import type { KeepsShoot } from './kept-shoot';
import { ShotQuestionSchema } from './messages';

/** What the Lens screen asks its worker: the shot through these focal lengths. */
export const LensQuestionSchema = ShotQuestionSchema.extend({
  focalLengthsMm: z.array(z.number().min(1).max(3000)).max(40),
  by: z.enum(['spot', 'framing']),
});
export type LensQuestion = z.infer<typeof LensQuestionSchema>;

export interface LensWorker extends KeepsShoot {
  compare(question: LensQuestion): Promise<LensColumn[]>;
}
