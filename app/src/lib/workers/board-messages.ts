import * as z from 'zod';
import type { PictureGrade } from '@gentle-arc/core/findings';
import type {
  BestCut,
  BoardShot,
  Coverage,
  FilmFinding,
  FilmStretch,
  JoinCure,
  JoinReading,
} from '@gentle-arc/core/sequence';
import type { KeepsShoot } from './kept-shoot';

/** A join as the board shows it. */
export type ShownJoin = Pick<JoinReading, 'fromId' | 'toId' | 'kind' | 'grade' | 'findings'> & {
  /** Frames of the two shots that meet. */
  fromRow: number;
  toRow: number;
};

/** As much of the film as is known yet. */
export interface Story {
  board: BoardShot[];
  joins: ShownJoin[];
  film: FilmStretch[];
  findings: FilmFinding[];
  coverage: Coverage | null;
  /** All shots have been looked at. */
  whole: boolean;
}

export const JoinQuestionSchema = z.object({ index: z.number().int().min(0) });
export const StoryQuestionSchema = z.object({ coverOf: z.string().nullable() });

export interface BoardWorker extends KeepsShoot {
  /** The whole film; `onStep` is told how far it is. */
  story(question: z.infer<typeof StoryQuestionSchema>, onStep: (story: Story) => void): Promise<Story>;
  /** The worst of every shot's own reading, one after the other. */
  grades(onGrade: (shotId: string, grade: PictureGrade) => void): Promise<void>;
  cures(question: z.infer<typeof JoinQuestionSchema>): Promise<JoinCure[]>;
  best(question: z.infer<typeof JoinQuestionSchema>): Promise<BestCut>;
}
