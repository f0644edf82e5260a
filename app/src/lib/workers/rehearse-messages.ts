import * as z from 'zod';
import { EXERCISES, FlownSchema, HELD_RIGS, type Shot } from '@gentle-arc/core/model';
import type { Score } from '@gentle-arc/core/rehearse';
import type { KeepsShoot } from './kept-shoot';

/** A try of a shot, or of an exercise of the course, to be held against its plan. */
export const TryQuestionSchema = z.object({
  shotId: z.string().nullable(),
  exercise: z.enum(EXERCISES).nullable(),
  held: z.enum(HELD_RIGS),
  pace: z.number().min(0.1).max(2),
  units: z.enum(['metric', 'imperial']),
  flown: FlownSchema,
});
export type TryQuestion = z.infer<typeof TryQuestionSchema>;

/** What came of a try: its score, and what the audience would have seen, worst first. */
export interface JudgedTry {
  score: Score;
  reading: { id: string; grade: string; sentence: string }[];
}

export interface EasierWay {
  said: string;
  costs: string;
  grade: string;
  shot: Shot;
}

export interface RehearseWorker extends KeepsShoot {
  judge(question: TryQuestion): Promise<JudgedTry>;
  /** Gentler ways to make a shot that one pair of hands does, tried and read. */
  easier(question: { shotId: string; units: 'metric' | 'imperial' }): Promise<EasierWay[]>;
}
