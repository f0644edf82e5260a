import {
  DEFAULT_AIM,
  drawnWalk,
  type Exercise,
  type HeldRig,
  type Move,
  type MoveKind,
  newPiece,
  newShoot,
  type Shoot,
  type Shot,
} from '../model';
import { asKind } from '../motion';

/** One exercise that is flown, pushed or pulled: its shot on a ground of its own, and what it teaches. */
export interface CourseStep {
  id: Exercise;
  title: string;
  held: HeldRig;
  /** What is new in it, in a sentence. */
  teaches: string;
  /** Passed from this score on, at full speed. */
  pass: number;
}

/** From one motion to three and a wheel; what is passed at is common practice, no published source. */
export const COURSE: readonly CourseStep[] = [
  {
    id: 'oneMotion',
    title: 'One motion',
    held: 'drone',
    pass: 70,
    teaches: 'Forward only: set off softly, keep one pace, come to rest on the mark.',
  },
  {
    id: 'featherToMark',
    title: 'Feather to rest on a mark',
    held: 'carriage',
    pass: 75,
    teaches: 'A slider pushed by hand: the last third of the way is for slowing down.',
  },
  {
    id: 'twoMotions',
    title: 'Two motions',
    held: 'drone',
    pass: 65,
    teaches: 'Sideways and a turn: one thumb each, and she stays in the middle.',
  },
  {
    id: 'dropCentred',
    title: 'A drop that keeps her in the middle',
    held: 'drone',
    pass: 65,
    teaches: 'Down on one stick, the wheel up: as fast as she would leave the frame.',
  },
  {
    id: 'pullMoving',
    title: 'Pull on a moving subject',
    held: 'ring',
    pass: 65,
    teaches: 'She comes closer, the ring turns faster and faster: be there before she is.',
  },
  {
    id: 'whipMeetsWhip',
    title: 'A whip that meets a whip',
    held: 'head',
    pass: 60,
    teaches: 'Same way, same speed, stopped dead on her: the next shot begins in the blur.',
  },
  {
    id: 'threeMotions',
    title: 'Three motions',
    held: 'drone',
    pass: 60,
    teaches: 'Rise, advance and turn at once: begin them together, end them together.',
  },
  {
    id: 'threeAndWheel',
    title: 'Three motions and the wheel',
    held: 'drone',
    pass: 55,
    teaches: 'Round her, up and in, the wheel down with it: what takes practice on every set.',
  },
];

export const courseStep = (id: Exercise): CourseStep | null => COURSE.find((step) => step.id === id) ?? null;

const FROM: Move = {
  kind: 'slide',
  pivotEastM: 0,
  pivotNorthM: 0,
  heightM: 1.4,
  distanceM: 5,
  bearingDeg: 180,
  travelM: 2,
  skewDeg: 0,
};
const as = <K extends MoveKind>(kind: K, more: object): Move => ({ ...asKind(FROM, kind), ...more }) as Move;

const TIMING = {
  durationS: 10,
  holdStartS: 1,
  featherInS: 2,
  featherOutS: 2.5,
  holdEndS: 1,
  featherShape: 'minimumJerk',
} as const;

/** How each exercise differs from a plain shot. */
const SHOTS: Partial<Record<Exercise, Partial<Shot>>> = {
  oneMotion: { move: as('push', { fromDistanceM: 14, toDistanceM: 7, heightM: 2 }) },
  featherToMark: {
    move: as('slide', { distanceM: 3, travelM: 1.1, heightM: 1.2 }),
    rigId: 'rig-slider-120',
    aim: { ...DEFAULT_AIM, mode: 'locked' },
    timing: { ...TIMING, durationS: 8, featherOutS: 2.5 },
  },
  twoMotions: { move: as('arc', { radiusM: 7, startBearingDeg: 220, sweepDeg: -80, heightM: 2 }) },
  dropCentred: { move: as('dropTiltUp', { distanceM: 6, heightM: 6, toHeightM: 1.6 }) },
  pullMoving: {
    move: as('still', { distanceM: 11, heightM: 1.5 }),
    rigId: 'rig-tripod',
    focalLengthMm: 70,
    lensId: 'lens-fern-2470',
    fNumber: 2.8,
    puller: 'hand',
    walks: [
      drawnWalk('her', [
        { tS: 0, xM: 0.6, yM: 9, zM: 0 },
        { tS: 2, xM: 0.6, yM: 9, zM: 0 },
        { tS: 9, xM: 0, yM: 1.2, zM: 0 },
      ]),
    ],
  },
  whipMeetsWhip: {
    move: as('whipPan', { distanceM: 5, fromDeg: -90, toDeg: 0 }),
    rigId: 'rig-gimbal',
    timing: { ...TIMING, durationS: 4, holdStartS: 1.2, featherInS: 0.2, featherOutS: 0.5, holdEndS: 1.2 },
  },
  threeMotions: {
    move: as('helix', { radiusM: 10, toRadiusM: 6, startBearingDeg: 210, sweepDeg: -70, heightM: 2, toHeightM: 5 }),
    aim: { ...DEFAULT_AIM, mode: 'panFollow' },
  },
  threeAndWheel: {
    move: as('helix', { radiusM: 9, toRadiusM: 5, startBearingDeg: 200, sweepDeg: 100, heightM: 1.8, toHeightM: 7 }),
    timing: { ...TIMING, durationS: 13 },
  },
};

/** Where posts stand, east and north of her, m: nothing flies through them. */
const POSTS = [
  [-2, -4.2],
  [2, -4.2],
  [-3, 2.5],
  [3, 2.5],
  [-11, 6],
  [11, 6],
] as const;

/** The shot of an exercise on its own ground: her, posts that tell speed, a wall behind. */
export function exerciseShot(id: Exercise): { shoot: Shoot; shot: Shot } {
  const shoot = newShoot('practice-ground', 'Practice ground', 'exercise');
  const posts = POSTS.map(([east, north], k) => newPiece('post', `post-${k}`, `Post ${k + 1}`, east, north, 0));
  const pieces = [
    { ...newPiece('figure', 'her', 'Ansa', 0, 0, 0), headingDeg: 180 },
    ...posts,
    { ...newPiece('box', 'wall', 'Wall', 0, 14, 0), lengthM: 26, heightM: 3, headingDeg: 90 },
  ];
  const shot: Shot = {
    ...shoot.shots[0],
    id: 'exercise',
    name: courseStep(id)?.title ?? id,
    subjectId: 'her',
    rigId: 'rig-drone',
    gaitId: 'gait-stand',
    stick: 'normal',
    focalLengthMm: 28,
    lensId: 'lens-fern-2470',
    timing: TIMING,
    ...SHOTS[id],
  };
  const made = { ...shoot, site: { pieces, place: null, underlays: [] }, shots: [shot] };
  return { shoot: made, shot };
}
