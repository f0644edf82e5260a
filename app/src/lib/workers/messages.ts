import * as z from 'zod';
import type { AimMode } from '@gentle-arc/core/model';
import type { About, Approach, Caution, Finding, Pass, Sweep } from '@gentle-arc/core/findings';
import type { Figures } from '@gentle-arc/core/reading';
import type { KeepsShoot } from './kept-shoot';
import type { SearchStep } from '@gentle-arc/core/search';

/** What the page asks about a shot of the shoot that a worker keeps. */
export const ShotQuestionSchema = z.object({ shotId: z.string(), units: z.enum(['metric', 'imperial']) });
export type ShotQuestion = z.infer<typeof ShotQuestionSchema>;

export type Drifts = Record<AimMode, number>;

/** A finding with where it points in the picture. */
export type ShownFinding = Finding & { about: About };

/** A reading as the page shows it: columns for the strip, sentences for the list. */
export interface ShownReading {
  frameRateHz: number;
  columns: {
    nearSpeed: Float64Array;
    subjectSpeed: Float64Array;
    farSpeed: Float64Array;
    subjectHeight: Float64Array;
    visible: Float64Array;
    cameraSpeedMps: Float64Array;
    cameraHeightM: Float64Array;
    focusDistanceM: Float64Array;
    focalLengthMm: Float64Array;
  };
  /** The shot racks its focus. */
  racks: boolean;
  findings: ShownFinding[];
  figures: Figures;
  approaches: Approach[];
  passes: Pass[];
  sweeps: Sweep[];
  cautions: Caution[];
  /** How long the worker took, ms. */
  tookMs: number;
}

export interface ReadingWorker extends KeepsShoot {
  read(question: ShotQuestion): Promise<ShownReading>;
  /** How far the subject leaves its place under each way of turning the camera; null where the moves say where to look. */
  drifts(question: ShotQuestion): Promise<Drifts | null>;
  /**
   * Looks for changes that help, telling of every step it takes; resolves to false when it was called off. A new search
   * calls off the one before.
   */
  search(question: ShotQuestion, onStep: (step: SearchStep) => void): Promise<boolean>;
  callOff(): Promise<void>;
}
