import * as z from 'zod';
import { choice, number, whole, yesNo } from './facts';
import { BenchSchema } from './bench';
import { CutSchema, JoinSchema, PurposeField } from './story';
import { MoveSchema } from './move';
import { FigureSchema, PoseField } from './piece';
import { idText, nameText } from './text';

/** A subject is here at this time. Times run from the start of the shot and may begin before it or end after it. */
export const WalkPointSchema = z.strictObject({
  tS: number('Time of the point', 's', -36000, 36000, 0.5),
  xM: z.number().min(-50000).max(50000),
  yM: z.number().min(-50000).max(50000),
  zM: z.number().min(-5000).max(9000),
});

export const MOST_WALK_POINTS = 20_000;

/** A jump: it leaves the ground at a moment and rises so high; how long it is in the air follows from that. */
export const JumpSchema = z.strictObject({
  atS: number('Jump at', 's', -36000, 36000, 0.1),
  heightM: number('Jump height', 'm', 0.01, 20, 0.1),
});

/**
 * Where a piece goes during a shot. `footing`: its heights are those of its points, or those of the ground under it,
 * steps and slopes included.
 */
export const WalkSchema = z
  .strictObject({
    pieceId: z.string().min(1),
    points: z.array(WalkPointSchema).min(1).max(MOST_WALK_POINTS),
    footing: choice('Heights', { drawn: 'as drawn', ground: 'over the ground' }),
    jumps: z.array(JumpSchema).max(40),
  })
  .superRefine((walk, context) => {
    const later = (key: 'points' | 'jumps', field: 'tS' | 'atS', times: number[]) =>
      times.forEach((tS, i) => {
        if (i > 0 && tS <= times[i - 1])
          context.addIssue({
            code: 'custom',
            path: [key, i, field],
            message: `must come after the one before it (${times[i - 1]} s); put them in order of time`,
          });
      });
    later(
      'points',
      'tS',
      walk.points.map(({ tS }) => tS),
    );
    later(
      'jumps',
      'atS',
      walk.jumps.map(({ atS }) => atS),
    );
  });

/**
 * What of a piece differs in this shot; null: as it is on the site. Pieces are shared by all shots, this is not.
 */
export const StagedSchema = z.strictObject({
  pieceId: z.string().min(1),
  there: yesNo('There', 'in this shot', 'not in this shot'),
  place: FigureSchema.pick({ xM: true, yM: true, zM: true }).nullable(),
  headingDeg: FigureSchema.shape.headingDeg.nullable(),
  pose: PoseField.nullable(),
  /** It stands or rides on nothing in this shot, whatever it is on on the site. */
  alone: yesNo('Alone', 'by itself', 'on what it is on'),
});

/** Hold, feather in, cruise, feather out, hold: the holds and feathers lie inside the duration. */
export const TimingSchema = z
  .strictObject({
    durationS: number('Duration', 's', 0.2, 86_400, 0.5),
    holdStartS: number('Hold at the start', 's', 0, 43_200, 0.1),
    featherInS: number('Feather in', 's', 0, 43_200, 0.1),
    featherOutS: number('Feather out', 's', 0, 43_200, 0.1),
    holdEndS: number('Hold at the end', 's', 0, 43_200, 0.1),
    featherShape: choice('Feather shape', {
      minimumJerk: 'softest',
      cosine: 'cosine',
      constantAcceleration: 'a steady push',
    }),
  })
  .refine((t) => t.holdStartS + t.featherInS + t.featherOutS + t.holdEndS <= t.durationS + 1e-9, {
    path: ['durationS'],
    error: 'must be at least the holds and feathers together; lengthen it or shorten them',
  });

/** Where the subject's middle sits: u to the right in frame widths, v up in frame heights, both from the centre. */
export const PlaceSchema = z.strictObject({
  u: number('Subject across the frame, % right of the middle', 'share', -0.5, 0.5, 0.01),
  v: number('Subject up the frame, % above the middle', 'share', -0.5, 0.5, 0.01),
});

/**
 * Who turns the camera. `subject`: a sensor or an operator keeps the subject at its place. `locked`: one bearing and
 * tilt, with the subject at its place halfway. The three follow modes turn as the hand turns towards the subject: pan
 * only; pan and tilt; all axes, so that the hand's lean reaches the horizon. The camera runs behind its hand by the
 * smoothing time, does not stir within the dead band, and turns no faster than the limit.
 */
export const AimSchema = z.strictObject({
  mode: choice('Aim', {
    subject: 'tracks the subject',
    locked: 'is locked on one bearing',
    panFollow: 'follows the hand in pan',
    panTiltFollow: 'follows in pan and tilt',
    allFollow: 'follows on all axes, horizon free',
  }),
  place: PlaceSchema,
  smoothingS: number('Smoothing time', 's', 0, 5, 0.05),
  deadBandDeg: number('Dead band', 'tenth', 0, 45, 0.5),
  rateMaxDegps: number('Turning limit', 'degps', 1, 1000, 10),
});

/**
 * How the camera looks over one move. `mode`: who turns it, null as the shot says. `toPlace`: the place in the frame
 * that the subject has come to when the move ends, null where it was. The roll comes on top of what the move itself
 * does. All of it goes with the feathers of the move.
 */
export const LookOverSchema = z.strictObject({
  mode: AimSchema.shape.mode.nullable(),
  toPlace: PlaceSchema.nullable(),
  fromRollDeg: number('Roll from', 'deg', -360, 360, 5, { mirror: 'side' }),
  toRollDeg: number('Roll to', 'deg', -360, 360, 5, { mirror: 'side' }),
});

/** Whether a move that is laid out about the subject goes with it while it walks. */
export const GoesField = choice('Goes', {
  goes: 'goes with it',
  turns: 'goes with it and turns as it turns',
  stays: 'stays where it started',
});

/**
 * One move of a shot with its timing. `overlapS` is how long before the end of the leg before it starts; `backwards`
 * runs it from its end.
 */
export const LegSchema = z.strictObject({
  move: MoveSchema,
  timing: TimingSchema,
  backwards: z.boolean(),
  goes: GoesField,
  look: LookOverSchema,
  overlapS: number('Overlap with the move before', 's', 0, 60, 0.1),
});

/** A part of a thing by its name. */
const partText = z.string().min(1).max(60);
export const WHOLE = 'whole';

const focusDistanceM = number('Focus distance', 'm', 0.05, 10000, 0.1);

/** What the focus rests on: the subject or a piece wherever it is, or a distance. */
export const FocusTargetSchema = z.discriminatedUnion('on', [
  z.strictObject({ on: z.literal('subject') }),
  z.strictObject({ on: z.literal('piece'), pieceId: z.string().min(1), part: partText }),
  z.strictObject({ on: z.literal('distance'), distanceM: focusDistanceM }),
]);

/** The focus leaves what it rests on at a moment of action and has come to the next thing so long after. */
export const RackSchema = z.strictObject({
  atS: number('Rack starts at', 's', 0, 86_400, 0.1),
  overS: number('Rack takes', 's', 0, 300, 0.1),
  to: FocusTargetSchema,
});

/**
 * Where the lens is focused: on the subject wherever it is, at one distance, or on one thing after another. A move that
 * racks says itself where its focus goes.
 */
export const FocusSchema = z.discriminatedUnion('mode', [
  z.strictObject({ mode: z.literal('follow') }),
  z.strictObject({ mode: z.literal('fixed'), distanceM: focusDistanceM }),
  z
    .strictObject({ mode: z.literal('racks'), from: FocusTargetSchema, racks: z.array(RackSchema).min(1).max(12) })
    .superRefine(({ racks }, context) => {
      racks.forEach((rack, i) => {
        if (i > 0 && rack.atS < racks[i - 1].atS + racks[i - 1].overS - 1e-9)
          context.addIssue({
            code: 'custom',
            path: ['racks', i, 'atS'],
            message: 'must not be before the rack before it has ended; start it later or shorten that one',
          });
      });
    }),
]);

/**
 * From a moment of action on it plays at this share of life: 1 as it was, 0.25 four times slower, 2 twice as fast.
 * Between two moments the speed changes evenly.
 */
export const RampPointSchema = z.strictObject({
  atS: number('Speed at', 's', 0, 86_400, 0.1),
  speed: number('Speed', 'share', 0.01, 100, 0.05),
});

/** How what was filmed is played. Without a ramp one recorded frame is shown after the other. */
export const PlaybackSchema = z
  .strictObject({ reversed: z.boolean(), ramp: z.array(RampPointSchema).max(12) })
  .superRefine(({ ramp }, context) => {
    ramp.forEach((point, i) => {
      if (i > 0 && point.atS <= ramp[i - 1].atS)
        context.addIssue({
          code: 'custom',
          path: ['ramp', i, 'atS'],
          message: `must come after the moment before it (${ramp[i - 1].atS} s); put them in order of time`,
        });
    });
  });

/** Brightness of the scene as exposure value at ISO 100, and what the camera is set to. */
export const LightSchema = z.strictObject({
  ev100: number('Scene brightness, EV at ISO 100', 'plain', -10, 24, 0.5),
  iso: number('ISO', 'plain', 6, 1_000_000, 100),
  /** The moment it is filmed at, UTC; null: nobody has said. */
  at: z.iso.datetime().nullable(),
});

/** What is done to the picture after filming: a share kept back for stabilising, black bars at top and bottom each. */
export const AfterSchema = z.strictObject({
  stabilisingPercent: number('Kept back for stabilising', 'percent', 0, 40, 1),
  barsPercent: number('Black bars', 'percent', 0, 40, 1),
});

/** What is set in the camera's menus before a shot: noted, and checked against what the shot does. */
export const SetUpSchema = z.strictObject({
  profile: choice('Picture profile', { standard: 'as seen on the screen', flat: 'flat, to be graded' }),
  sharpness: choice('Sharpness and contrast', { usual: 'as usual', low: 'turned low' }),
  exposure: choice('Exposure', { locked: 'locked', auto: 'left to the camera' }),
  whiteBalance: choice('White balance', { locked: 'locked', auto: 'left to the camera' }),
  stabiliser: choice('Stabilisers of camera and lens', { on: 'on', off: 'off' }),
});

/** Most frames that a shot may come to: ten minutes at a thousand a second. */
export const MOST_FRAMES = 600_000;

/** How a shot is made: everything about it but its name. */
const plan = {
  subjectId: z.string().min(1).nullable(),
  /** The part of the subject that the shot is after: by its name, or `whole`. */
  subjectPart: partText,
  staging: z.array(StagedSchema).max(200),
  walks: z.array(WalkSchema),
  cameraId: z.string().min(1),
  lensId: z.string().min(1),
  rigId: z.string().min(1),
  gaitId: z.string().min(1),
  /** Which of many equal bodies carries the camera: the same seed shakes the same way. */
  bodySeed: whole('Body number', 0, 999_999),
  stick: choice('Stick speed', { slow: 'slow', normal: 'normal', fast: 'fast' }),
  focalLengthMm: number('Focal length', 'mm', 1, 3000, 1),
  /**
   * Frames the camera records a second, and frames the audience sees a second: more recorded than shown is slow motion.
   */
  captureRateHz: number('Capture rate', 'hz', 0.001, 2000, 1),
  frameRateHz: number('Frame rate', 'hz', 1, 1000, 1),
  shutterDeg: number('Shutter', 'shutter', 0.1, 360, 5),
  move: MoveSchema,
  timing: TimingSchema,
  backwards: z.boolean(),
  goes: GoesField,
  look: LookOverSchema,
  /** Moves that follow in the same shot, each from where the one before it ended. */
  then: z.array(LegSchema).max(12),
  aim: AimSchema,
  fNumber: number('Stop', 'plain', 0.5, 64, 0.1),
  focus: FocusSchema,
  /** Who or what turns the focus. */
  puller: choice('Who pulls', { hand: 'a hand', motor: 'a motor', autofocus: 'autofocus' }),
  light: LightSchema,
  /** What is before the lens. */
  filterIds: z.array(z.string().min(1)).max(6),
  playback: PlaybackSchema,
  after: AfterSchema,
  setUp: SetUpSchema,
};

export const WaySchema = z.strictObject(plan);

/**
 * A shot is made one way; another way can be kept beside it. `variant` says which of the two the shot's own fields are.
 */
export const ShotSchema = z.strictObject({
  id: idText,
  name: nameText(120),
  note: z.string().max(2000),
  /** The scene of the story that it belongs to; shots of one name that follow each other are one scene. */
  sceneName: z.string().max(60),
  purpose: PurposeField,
  /** What of it is in the cut; null: all of it. */
  cut: CutSchema.nullable(),
  /** How it meets the shot after it. */
  join: JoinSchema,
  ...plan,
  bench: BenchSchema,
  variant: z.enum(['A', 'B']),
  other: WaySchema.nullable(),
});

export type WalkPoint = z.infer<typeof WalkPointSchema>;
export type SetUp = z.infer<typeof SetUpSchema>;
export type Walk = z.infer<typeof WalkSchema>;
export type Jump = z.infer<typeof JumpSchema>;
export type Staged = z.infer<typeof StagedSchema>;
export type Place = z.infer<typeof PlaceSchema>;
export type LookOver = z.infer<typeof LookOverSchema>;
export type Goes = z.infer<typeof GoesField>;
export type Timing = z.infer<typeof TimingSchema>;
export type FeatherShape = Timing['featherShape'];
export const FEATHER_SHAPES = TimingSchema.shape.featherShape.options;
export type Aim = z.infer<typeof AimSchema>;
export type AimMode = Aim['mode'];
export const AIM_MODES = AimSchema.shape.mode.options;
export type Leg = z.infer<typeof LegSchema>;
export type StickSpeed = Shot['stick'];
export const STICK_SPEEDS = WaySchema.shape.stick.options;
export type Focus = Shot['focus'];
export type FocusTarget = z.infer<typeof FocusTargetSchema>;
export type Rack = z.infer<typeof RackSchema>;
export type Puller = Shot['puller'];
export const PULLERS = WaySchema.shape.puller.options;
export type RampPoint = z.infer<typeof RampPointSchema>;
export type Playback = z.infer<typeof PlaybackSchema>;
export type Way = z.infer<typeof WaySchema>;
export type Shot = z.infer<typeof ShotSchema>;

/** A walk through points with their heights and nothing else. */
export const drawnWalk = (pieceId: string, points: WalkPoint[]): Walk => ({
  pieceId,
  points,
  footing: 'drawn',
  jumps: [],
});

/** How most cameras come: what moves by itself is locked. */
export const USUAL_SET_UP: SetUp = {
  profile: 'standard',
  sharpness: 'usual',
  exposure: 'locked',
  whiteBalance: 'locked',
  stabiliser: 'on',
};

/** A look that changes nothing. */
export const PLAIN_LOOK: LookOver = { mode: null, toPlace: null, fromRollDeg: 0, toRollDeg: 0 };
