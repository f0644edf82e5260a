import * as z from 'zod';
import { idText } from './text';

/** The logbook of a shoot: what was tried on the day, how it came out, and what was recorded of it. */

/** How a try came out. `tried`: it was counted, and nobody has said more. */
export const TAKE_VERDICTS = ['tried', 'good', 'usable', 'no'] as const;

/** What spoils a take, in the words of the trade. */
export const TAKE_REASONS = {
  tooFast: 'too fast',
  tooSlow: 'too slow',
  start: 'start',
  stop: 'bump at the stop',
  level: 'level',
  focusStart: 'focus at the start',
  focusWay: 'focus on the way',
  focusEnd: 'focus at the end',
  frameLost: 'frame lost',
  bob: 'bob',
  late: 'somebody late',
  wind: 'wind',
  battery: 'battery',
} as const;

/** Where a recording of the camera’s motion comes from. */
export const RECORDED_BY = {
  phone: 'this phone',
  recorder: 'the simulated recorder',
  gimbal: 'the simulated gimbal',
  drone: 'the simulated drone',
  slider: 'the simulated motor slider',
  focusMotor: 'the simulated focus motor',
  file: 'a file',
} as const;

export const MOST_TAKES = 3000;
export const MOST_RECORDED_ROWS = 2400;
/** Letters of a picture of the screen that is attached: 150 kB of it. */
export const MOST_PHOTO_LETTERS = 200_000;

const column = (least: number, most: number) => z.array(z.number().min(least).max(most)).min(2).max(MOST_RECORDED_ROWS);

/**
 * What was recorded of the camera’s motion, one row each `1 / rateHz` seconds; a column that was not recorded is null.
 * Positions in site metres; bearings from true north, or from wherever the recorder began; `bobM` and `swayM`: what it
 * went up, and to the camera’s right, about its way.
 */
export const RecordedSchema = z
  .strictObject({
    by: z.enum(Object.keys(RECORDED_BY) as (keyof typeof RECORDED_BY)[]),
    name: z.string().max(120),
    rateHz: z.number().min(0.2).max(240),
    /** What a bearing counts from: of a phone without a compass nobody knows. */
    northKnown: z.boolean(),
    xM: column(-60_000, 60_000).nullable(),
    yM: column(-60_000, 60_000).nullable(),
    zM: column(-6_000, 10_000).nullable(),
    panDeg: column(-100_000, 100_000).nullable(),
    tiltDeg: column(-360, 360).nullable(),
    rollDeg: column(-100_000, 100_000).nullable(),
    bobM: column(-50, 50).nullable(),
    swayM: column(-50, 50).nullable(),
    focalLengthMm: column(0.5, 6000).nullable(),
    focusM: column(0.005, 100_000).nullable(),
    /** Trembling of the hands in the full recording, degrees (root mean square) and its commonest beat. */
    tremor: z.strictObject({ deg: z.number().min(0).max(360), hz: z.number().min(0).max(120) }).nullable(),
  })
  .refine(
    (rows) => new Set(Object.values(rows).flatMap((list) => (Array.isArray(list) ? list.length : []))).size === 1,
    {
      path: ['rateHz'],
      error: 'must have columns of one length, and at least one; leave the recording out of this take',
    },
  );

/** How a clip moves, as it was measured: frame widths a second, degrees a second, share a second; rows at `rateHz`. */
export const ClipSchema = z.strictObject({
  name: z.string().max(200),
  frameRateHz: z.number().min(1).max(1000),
  durationS: z.number().min(0).max(100_000),
  widthPx: z.number().int().min(1).max(20_000),
  heightPx: z.number().int().min(1).max(20_000),
  rateHz: z.number().min(0.05).max(240),
  rightwards: column(-100, 100),
  upwards: column(-100, 100),
  turnDegps: column(-10_000, 10_000),
  growthPerS: column(-100, 100),
  /** Layers along the whole’s motion. */
  near: column(-100, 100),
  far: column(-100, 100),
  /**
   * In which of 48 × 32 places of the picture something could be followed, at moments that are equally far apart, the
   * first and the last half as far from the clip’s ends: a bit a place from the upper left, row after row. Empty: in all.
   */
  followed: z.array(z.string().regex(/^[A-Za-z0-9+/]{256}$/, 'must be 192 bytes in base64')).max(400),
});

export const TakeSchema = z.strictObject({
  id: idText,
  at: z.iso.datetime(),
  shotId: z.string().min(1),
  /** As they were called then: a take outlives its shot and its rig. */
  shotName: z.string().max(120),
  rigId: z.string().min(1),
  rigName: z.string().max(120),
  move: z.string().max(60),
  /** Who had the rig; empty: nobody has said. */
  who: z.string().max(60),
  verdict: z.enum(TAKE_VERDICTS),
  reasons: z.array(z.enum(Object.keys(TAKE_REASONS) as (keyof typeof TAKE_REASONS)[])).max(13),
  word: z.string().max(300),
  /** Circled: the one to use. */
  best: z.boolean(),
  photo: z
    .string()
    .max(MOST_PHOTO_LETTERS)
    .regex(/^data:image\/(jpeg|png|webp);base64,[A-Za-z0-9+/]+=*$/, 'is no JPEG, PNG or WebP')
    .nullable(),
  recorded: RecordedSchema.nullable(),
  clip: ClipSchema.nullable(),
});

/** A stretch of getting ready for a shot: setting up its rig, or changing from the shot before. */
export const ReadySchema = z.strictObject({
  id: idText,
  what: z.enum(['setUp', 'change']),
  shotId: z.string().min(1),
  shotName: z.string().max(120),
  rigId: z.string().min(1),
  rigName: z.string().max(120),
  who: z.string().max(60),
  fromAt: z.iso.datetime(),
  /** Null: it is still going on. */
  toAt: z.iso.datetime().nullable(),
});

export const LogSchema = z.strictObject({
  /** Who has the rig now. */
  who: z.string().max(60),
  takes: z.array(TakeSchema).max(MOST_TAKES),
  readies: z.array(ReadySchema).max(MOST_TAKES),
});

export type TakeVerdict = (typeof TAKE_VERDICTS)[number];
export type TakeReason = keyof typeof TAKE_REASONS;
export type RecordedBy = keyof typeof RECORDED_BY;
export type Recorded = z.infer<typeof RecordedSchema>;
export type Clip = z.infer<typeof ClipSchema>;
export type Take = z.infer<typeof TakeSchema>;
export type Ready = z.infer<typeof ReadySchema>;
export type Log = z.infer<typeof LogSchema>;

export const NO_LOG: Log = { who: '', takes: [], readies: [] };
