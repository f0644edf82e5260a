import * as z from 'zod';
import type { LensColumn } from '@gentle-arc/core/reading/compare-lenses';
import { ReadingRequestSchema } from './messages';

/** What the Lens screen asks its worker: the shot through these focal lengths. */
export const LensRequestSchema = ReadingRequestSchema.extend({
  focalLengthsMm: z.array(z.number().min(1).max(3000)).max(40),
  by: z.enum(['spot', 'framing']),
});
export type LensRequest = z.infer<typeof LensRequestSchema>;

export interface LensWorker {
  compare(request: LensRequest): Promise<LensColumn[]>;
}
