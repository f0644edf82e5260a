import * as z from 'zod';
import type { LitMinutes, Scouted } from '@gentle-arc/core/reading';
import type { NearOffer } from '@gentle-arc/core/search';
import { SitePlaceSchema } from '@gentle-arc/core/model';
import type { KeepsShoot } from './kept-shoot';
import { ShotQuestionSchema } from './messages';

/** What the page asks of a place, seen through the camera of a shot. */
export const LookQuestionSchema = ShotQuestionSchema.extend({ row: z.number().int().min(0) });
export type LookQuestion = z.infer<typeof LookQuestionSchema>;
export const NearQuestionSchema = ShotQuestionSchema.extend({ id: z.string() });
export const LitQuestionSchema = z.object({
  shotId: z.string(),
  place: SitePlaceSchema,
  day: z.string(),
  wish: z.object({
    side: z.enum(['any', 'front', 'three-quarter', 'side', 'rim', 'behind']),
    from: z.enum(['any', 'left', 'right']),
    atMostDeg: z.number(),
  }),
});
export type LitQuestion = z.infer<typeof LitQuestionSchema>;

export interface ScoutWorker extends KeepsShoot {
  look(question: LookQuestion): Promise<Scouted[]>;
  near(question: z.infer<typeof NearQuestionSchema>): Promise<NearOffer[]>;
  litWhen(question: LitQuestion): Promise<LitMinutes[]>;
}
