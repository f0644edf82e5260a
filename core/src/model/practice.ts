import * as z from 'zod';
import { choice, number, whole } from './facts';
import { idText } from './text';

/** What is kept of rehearsing: how hands are set up, how it is counted, and the tries that were made in practice. */

/** What a try is scored by. */
export const TRY_PARTS = ['path', 'timing', 'place', 'ends', 'evenness', 'level', 'sharp'] as const;

/** What is practised apart from any shot, in the order of the course. */
export const EXERCISES = [
  'oneMotion',
  'featherToMark',
  'twoMotions',
  'dropCentred',
  'pullMoving',
  'whipMeetsWhip',
  'threeMotions',
  'threeAndWheel',
  'sledDrill',
  'gimbalDrill',
] as const;

/** What hands have hold of in the simulator. */
export const HELD_RIGS = ['drone', 'head', 'carriage', 'jib', 'ring'] as const;

export const MOST_TRIES_KEPT = 400;
const MOST_FLOWN_ROWS = 1200;
const column = (least: number, most: number) => z.array(z.number().min(least).max(most)).min(2).max(MOST_FLOWN_ROWS);

/** The camera's way in a try: site metres, degrees and millimetres, one row each `1 / rateHz` seconds of action. */
export const FlownSchema = z
  .strictObject({
    rateHz: z.number().min(0.5).max(120),
    xM: column(-60_000, 60_000),
    yM: column(-60_000, 60_000),
    zM: column(-6_000, 10_000),
    panDeg: column(-100_000, 100_000),
    tiltDeg: column(-100_000, 100_000),
    rollDeg: column(-100_000, 100_000),
    focalLengthMm: column(0.5, 6000),
    focusM: column(0.01, 100_000),
  })
  .refine(
    (flown) => new Set(Object.values(flown).flatMap((rows) => (Array.isArray(rows) ? rows.length : []))).size === 1,
    {
      path: ['xM'],
      error: 'must have as many rows as every other column; leave the way out of this try',
    },
  );

export const TrySchema = z.strictObject({
  id: idText,
  at: z.iso.datetime(),
  /** The shot that was practised; null: an exercise of the course. */
  shotId: z.string().min(1).nullable(),
  exercise: z.enum(EXERCISES).nullable(),
  held: z.enum(HELD_RIGS),
  /** As a share of the planned speed. */
  pace: z.number().min(0.1).max(2),
  /** Of the greatest wind that the rig stands. */
  windShare: z.number().min(0).max(1),
  score: z.number().min(0).max(100),
  parts: z.array(z.strictObject({ part: z.enum(TRY_PARTS), score: z.number().min(0).max(100) })).max(TRY_PARTS.length),
  /** What to do differently next time. */
  said: z.string().max(400),
  flown: FlownSchema.nullable(),
});

export const PracticeSchema = z.strictObject({
  /** How the sticks of a drone are laid out, as its makers number them. */
  layout: choice('Sticks', {
    '1': 'way 1: left forward and turn, right up and sideways',
    '2': 'way 2: left up and turn, right forward and sideways',
    '3': 'way 3: left forward and sideways, right up and turn',
    '4': 'way 4: left up and sideways, right forward and turn',
  }),
  beatsPerMin: whole('Beats a minute (0: as the shot steps)', 0, 240, 5),
  countIn: whole('Beats counted in', 0, 12),
  backToOneS: number('Back to one takes', 's', 0, 600, 5),
  slowFirst: choice('First', { none: 'at speed at once', half: 'at half speed', threeQuarters: 'at three quarters' }),
  /** The pointer before its scale and the eye that reads it. */
  pointerOffMm: number('Pointer stands off its scale', 'size', 0, 500, 1),
  eyeAlongM: number('Eye along the rail from its start', 'm', -50, 50, 0.1),
  eyeOffM: number('Eye away from the scale', 'm', 0.2, 50, 0.1),
  /** A joystick as it was calibrated once: what a full turn takes at a setting, and how long it runs on at one. */
  speedSetting: number('Speed set to', 'plain', 1, 100, 1),
  fullTurnS: number('A full turn then takes', 's', 0.5, 600, 0.5),
  smoothSetting: number('Smoothing set to', 'plain', 1, 100, 1),
  runsOnS: number('Let go, it runs on for', 's', 0.05, 10, 0.05),
  deadBandShare: number('Stick that does nothing', 'share', 0, 0.5, 0.01),
  /** Friction that is set on a slider's carriage, as a share of the weight on it. */
  dragShare: number('Drag on the carriage', 'share', 0, 1, 0.01),
  tries: z.array(TrySchema).max(MOST_TRIES_KEPT),
});

export type TryPart = (typeof TRY_PARTS)[number];
export type Exercise = (typeof EXERCISES)[number];
export type HeldRig = (typeof HELD_RIGS)[number];
export type Flown = z.infer<typeof FlownSchema>;
export type Try = z.infer<typeof TrySchema>;
export type Practice = z.infer<typeof PracticeSchema>;
export type StickLayout = Practice['layout'];

/** Before anybody says otherwise: common practice, no published source. */
export const USUAL_PRACTICE: Practice = {
  layout: '2',
  beatsPerMin: 0,
  countIn: 3,
  backToOneS: 15,
  slowFirst: 'half',
  pointerOffMm: 20,
  eyeAlongM: 0,
  eyeOffM: 1.5,
  speedSetting: 50,
  fullTurnS: 8,
  smoothSetting: 50,
  runsOnS: 0.4,
  deadBandShare: 0.05,
  dragShare: 0.05,
  tries: [],
};
