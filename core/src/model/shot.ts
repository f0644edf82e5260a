import * as z from 'zod';
import { MoveSchema } from './move';

/** A subject is here at this time. Times run from the start of the shot and may begin before it or end after it. */
export const WalkPointSchema = z.strictObject({
  tS: z.number().min(-36000).max(36000),
  xM: z.number().min(-50000).max(50000),
  yM: z.number().min(-50000).max(50000),
  zM: z.number().min(-5000).max(9000),
});

export const WalkSchema = z.strictObject({ pieceId: z.string().min(1), points: z.array(WalkPointSchema).min(1).max(20000) }).superRefine((walk, context) => {
  walk.points.forEach((point, i) => {
    if (i > 0 && point.tS <= walk.points[i - 1].tS)
      context.addIssue({
        code: 'custom',
        path: ['points', i, 'tS'],
        message: `must come after the point before it (${walk.points[i - 1].tS} s); put the points in order of time`,
      });
  });
});

export const FEATHER_SHAPES = ['minimumJerk', 'cosine', 'constantAcceleration'] as const;

/** Hold, feather in, cruise, feather out, hold: the holds and feathers lie inside the duration. */
export const TimingSchema = z
  .strictObject({
    durationS: z.number().min(0.2).max(600),
    holdStartS: z.number().min(0).max(300),
    featherInS: z.number().min(0).max(300),
    featherOutS: z.number().min(0).max(300),
    holdEndS: z.number().min(0).max(300),
    featherShape: z.enum(FEATHER_SHAPES),
  })
  .refine((t) => t.holdStartS + t.featherInS + t.featherOutS + t.holdEndS <= t.durationS + 1e-9, {
    path: ['durationS'],
    error: 'must be at least the holds and feathers together; lengthen it or shorten them',
  });

/** Where the subject's middle sits: u to the right in frame widths, v up in frame heights, both from the centre. */
export const PlaceSchema = z.strictObject({ u: z.number().min(-0.5).max(0.5), v: z.number().min(-0.5).max(0.5) });

/** `subject`: the camera keeps turning so that the subject stays at its place. `locked`: it never turns, and the subject is at its place halfway. */
export const AimSchema = z.strictObject({ mode: z.enum(['subject', 'locked']), place: PlaceSchema });

export const ShotSchema = z.strictObject({
  id: z.string().min(1),
  name: z.string().min(1).max(120),
  note: z.string().max(2000),
  subjectId: z.string().min(1).nullable(),
  walks: z.array(WalkSchema),
  cameraId: z.string().min(1),
  lensId: z.string().min(1),
  rigId: z.string().min(1),
  focalLengthMm: z.number().min(1).max(3000),
  frameRateHz: z.number().min(1).max(1000),
  shutterDeg: z.number().min(1).max(360),
  move: MoveSchema,
  timing: TimingSchema,
  aim: AimSchema,
});

export type WalkPoint = z.infer<typeof WalkPointSchema>;
export type Walk = z.infer<typeof WalkSchema>;
export type Timing = z.infer<typeof TimingSchema>;
export type FeatherShape = Timing['featherShape'];
export type Place = z.infer<typeof PlaceSchema>;
export type Aim = z.infer<typeof AimSchema>;
export type Shot = z.infer<typeof ShotSchema>;
