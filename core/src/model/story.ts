import * as z from 'zod';
import { choice, number } from './facts';

/** What a shot is to the story: where it stands, what of it the audience sees, and how it meets the shot after it. */

/** What a shot is for. */
export const PurposeField = choice('What it is for', {
  none: 'not said',
  establishes: 'establishes the place',
  meets: 'meets somebody',
  follows: 'follows them',
  shows: 'shows how it is done',
  details: 'a detail',
  turns: 'a turn',
  passes: 'time passes',
  ends: 'ends',
});

/** The stretch of a shot that is in the cut, s on screen from its first frame. */
export const CutSchema = z
  .strictObject({
    inS: number('Cut in at', 's', 0, 86_400, 0.1),
    outS: number('Cut out at', 's', 0, 86_400, 0.1),
  })
  .refine(({ inS, outS }) => outS > inS, {
    path: ['outS'],
    error: 'must come after where it is cut in; cut out later or in earlier',
  });

/** How a shot meets the one after it. */
export const JoinSchema = z.strictObject({
  kind: choice('Meets the next', {
    cut: 'plain cut',
    whip: 'whip into whip',
    dark: 'dark frame to dark frame',
    ground: 'ground or sky to the same',
    spin: 'spin into spin',
    action: 'on a matched action',
    place: 'on a matched place in the frame',
    black: 'over black',
  }),
  /** What lies between two shots that meet over black. */
  blackS: number('Black for', 's', 0.1, 30, 0.1),
});

/** Moves that a pattern can lay out about a subject. */
export const PATTERN_MOVES = [
  'still',
  'slide',
  'push',
  'pull',
  'arc',
  'orbit',
  'jib',
  'whipPan',
  'overheadSlide',
] as const;

/** One shot of an own pattern: how large who is seen, from which side, by which move, and what it is for. */
export const PatternShotSchema = z.strictObject({
  name: z.string().trim().min(1).max(80),
  purpose: PurposeField,
  move: z.enum(PATTERN_MOVES),
  size: z.enum(['wide', 'full', 'waist', 'face', 'detail']),
  /** Where the camera begins, degrees clockwise from before the subject. */
  fromDeg: z.number().min(-360).max(360),
  durationS: z.number().min(0.5).max(120),
  join: JoinSchema.shape.kind,
});
export const PatternSchema = z.strictObject({
  id: z.string().min(1).max(60),
  name: z.string().trim().min(1).max(80),
  shots: z.array(PatternShotSchema).min(1).max(24),
});

export const StorySchema = z.strictObject({
  /** What is filmed before and after what is in the cut, s. */
  handlesS: number('Handles before and after', 's', 0, 30, 0.5),
  /** Squares of the table of sides and sizes that are ticked off by hand. */
  ticked: z.array(z.string().min(1).max(40)).max(100),
  /** Own patterns of shots. */
  patterns: z.array(PatternSchema).max(20),
});

export type Purpose = z.infer<typeof PurposeField>;
export type Cut = z.infer<typeof CutSchema>;
export type Join = z.infer<typeof JoinSchema>;
export type JoinKind = Join['kind'];
export const JOIN_KINDS = JoinSchema.shape.kind.options;
export type PatternShot = z.infer<typeof PatternShotSchema>;
export type Pattern = z.infer<typeof PatternSchema>;
export type Story = z.infer<typeof StorySchema>;

export const PLAIN_JOIN: Join = { kind: 'cut', blackS: 0.5 };
/** Handles of a second: common practice, no published source. */
export const NO_STORY: Story = { handlesS: 1, ticked: [], patterns: [] };
/** A shot that nobody has said anything of. */
export const UNTOLD = { sceneName: '', purpose: 'none', cut: null, join: PLAIN_JOIN } as const;
