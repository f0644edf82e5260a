import { BODIES, legsOf, type Move, type Shoot, type Shot, WHOLE, withLeg } from '../model';
import { aimAt, clamp, motionOf, recipeOf } from '../motion';
import { CAMERA_SIZE, frameSizeMm, type InPicture, project, writeCamera } from '../optics';
import { sceneOf, type Scene } from '../scene';
import { standingSize } from '../site';

/** "Frame her: chest and up, on the left third": what gives that framing at one end of a shot, or at both. */

/**
 * The named sizes: what the lower edge of the frame cuts, as a share of stature above the sole (below it: air under the
 * feet), and how much of the frame is left above the head. Common practice, no published source.
 */
export const FRAMINGS = {
  wide: { label: 'wide, in the place', bottom: -0.72, room: 0.4 },
  full: { label: 'head to feet', bottom: -0.05, room: 0.06 },
  knees: { label: 'from the knees up', bottom: 0.27, room: 0.08 },
  waist: { label: 'from the waist up', bottom: 0.57, room: 0.1 },
  chest: { label: 'from the chest up', bottom: 0.72, room: 0.1 },
  face: { label: 'face alone', bottom: 0.8, room: 0.05 },
  detail: { label: 'a detail', bottom: 0.9, room: -0.12 },
} as const;
export type Framing = keyof typeof FRAMINGS;

export const SIDES = {
  left: { label: 'on the left third', u: -1 / 6 },
  middle: { label: 'in the middle', u: 0 },
  right: { label: 'on the right third', u: 1 / 6 },
} as const;
export type Side = keyof typeof SIDES;

export interface FramingWish {
  end: 'start' | 'end';
  size: Framing;
  side: Side;
  /** What gives way: how far off the camera is, or the focal length. */
  by: 'distance' | 'lens';
}

/** The numbers that say how far off a move begins and ends, most telling first. */
const DISTANCES = {
  start: ['fromDistanceM', 'radiusM', 'distanceM'],
  end: ['toDistanceM', 'toRadiusM', 'radiusM', 'distanceM'],
} as const;

const ROUNDS = 14;
const CLOSE_ENOUGH = 2e-4;

/**
 * The shot framed as wished at its start or its end: distance or focal length, and the place in the frame. What cannot
 * be reached comes back as a sentence, with the nearest that can.
 */
export function frameSubject(shoot: Shoot, given: Shot, wish: FramingWish): { shot: Shot; trouble: string | null } {
  const { subject } = sceneOf(shoot, given);
  if (!subject) return { shot: given, trouble: 'There is nobody to frame yet: make a piece the subject first.' };
  const figure = subject.kind === 'figure';
  let shot: Shot = figure && given.subjectPart === WHOLE ? { ...given, subjectPart: 'face' } : given;
  const legs = legsOf(shot);
  const index = wish.end === 'start' ? 0 : legs.length - 1;
  const { move, backwards } = legs[index];
  if (backwards)
    return { shot: given, trouble: `${recipeOf(move).title} runs backwards: run it forwards again, then frame it.` };
  const key = wish.by === 'distance' ? DISTANCES[wish.end].find((name) => name in move) : null;
  if (key === undefined)
    return {
      shot: given,
      trouble: `${recipeOf(move).title} has no one distance at its ${wish.end}: frame it by the lens.`,
    };
  for (let round = 0; round < ROUNDS; round += 1) {
    const seen = endOf(sceneOf(shoot, shot), wish);
    if (!seen)
      return { shot: given, trouble: `${subject.name} is behind the camera there: turn the move round first.` };
    const place = { u: SIDES[wish.side].u, v: clamp(seen.place.v + seen.raise, -0.5, 0.5) };
    shot = atPlace(shot, wish.end, place);
    if (Math.abs(seen.ratio - 1) < CLOSE_ENOUGH && Math.abs(seen.raise) < CLOSE_ENOUGH) break;
    if (key === null) {
      const { lens } = sceneOf(shoot, shot);
      const focalLengthMm = clamp(shot.focalLengthMm * seen.ratio, lens.focalLengthMinMm, lens.focalLengthMaxMm);
      shot = { ...shot, focalLengthMm };
    } else {
      const now = (legsOf(shot)[index].move as unknown as Record<string, number>)[key];
      const next = clamp(now / seen.ratio, RANGE.leastM, RANGE.mostM);
      shot = withLeg(shot, index, (leg) => ({ ...leg, move: { ...leg.move, [key]: next } as Move }));
    }
  }
  return settled(shoot, given, shot, wish, key, index);
}

const RANGE = { leastM: 0.1, mostM: 2000 };

/** Rounded to what a person sets, and what is missing then said. */
function settled(
  shoot: Shoot,
  before: Shot,
  shot: Shot,
  wish: FramingWish,
  key: string | null,
  index: number,
): { shot: Shot; trouble: string | null } {
  const mm = (value: number) => Math.round(value * 1000) / 1000;
  let rounded = key === null ? { ...shot, focalLengthMm: Math.round(shot.focalLengthMm * 10) / 10 } : shot;
  if (key !== null)
    rounded = withLeg(rounded, index, (leg) => {
      const value = (leg.move as unknown as Record<string, number>)[key];
      return { ...leg, move: { ...leg.move, [key]: mm(value) } as Move };
    });
  const last = legsOf(rounded).at(-1);
  const at = (wish.end === 'end' ? last?.look.toPlace : null) ?? rounded.aim.place;
  rounded = atPlace(rounded, wish.end, { u: mm(at.u), v: mm(at.v) });
  const scene = sceneOf(shoot, rounded);
  const seen = endOf(scene, wish);
  const off = seen ? seen.ratio : NaN;
  const { label } = FRAMINGS[wish.size];
  if (!(Math.abs(off - 1) > 0.03)) return { shot: rounded, trouble: null };
  const ends =
    key === null
      ? `${scene.lens.name} goes from ${scene.lens.focalLengthMinMm} to ${scene.lens.focalLengthMaxMm} mm`
      : `the camera comes no nearer than ${RANGE.leastM} m to the middle`;
  const name = scene.subject?.name;
  return key === null
    ? { shot: rounded, trouble: `${name} ${label} is not reached: ${ends}. It is as near to that as it goes.` }
    : { shot: before, trouble: `${name} ${label} is not reached: ${ends}. ${NEARER}` };
}

const NEARER = 'Bring the camera to the height of what is framed, or frame it by the lens.';

/** Where the subject belongs at one end of the shot; a shot whose place does not change keeps one place. */
function atPlace(shot: Shot, end: FramingWish['end'], place: { u: number; v: number }): Shot {
  const legs = legsOf(shot);
  if (end === 'start') {
    // Where the frame ends stays where it was.
    const ending = legs.findLast(({ look }) => look.toPlace !== null);
    const kept = ending ? shot : withLeg(shot, legs.length - 1, (leg) => keepingEnd(leg, shot.aim.place));
    return { ...kept, aim: { ...kept.aim, place } };
  }
  return withLeg(shot, legs.length - 1, (leg) => ({ ...leg, look: { ...leg.look, toPlace: place } }));
}

const keepingEnd = <L extends { look: Shot['look'] }>(leg: L, place: { u: number; v: number }): L => ({
  ...leg,
  look: { ...leg.look, toPlace: place },
});

/** How the subject stands in the frame at one end: how many times too small it is, and how much too low its head. */
function endOf(scene: Scene, { end, size, side }: FramingWish) {
  const { subject, part, shot, subjectAt } = scene;
  if (!subject || !part || !subjectAt) return null;
  const motion = motionOf(scene);
  const tS = end === 'start' ? 0 : motion.durationS;
  const frame = frameSizeMm(scene.camera, scene.delivery);
  const aspect = frame.heightMm / frame.widthMm;
  const eye = new Float64Array(3);
  const foot = new Float64Array(3);
  const base = new Float64Array(3);
  motion.placeAt(tS, eye);
  scene.partAt?.(tS, foot);
  subjectAt(tS, base);
  const place = { u: 0, v: 0 };
  motion.intent.placeAt(tS, place);
  const tan = (share: number, sizeMm: number) => (share * sizeMm) / shot.focalLengthMm;
  const look = { panDeg: 0, tiltDeg: 0 };
  const middle = foot[2] + part.heightM / 2;
  aimAt(
    foot[0] - eye[0],
    foot[1] - eye[1],
    middle - eye[2],
    tan(SIDES[side].u, frame.widthMm),
    tan(place.v, frame.heightMm),
    look,
  );
  const camera = new Float64Array(CAMERA_SIZE);
  writeCamera(camera, 0, eye[0], eye[1], eye[2], look.panDeg, look.tiltDeg, 0, shot.focalLengthMm, frame.widthMm);
  const at: InPicture = { u: 0, w: 0, depthM: 0 };
  const heightOf = (zM: number) => {
    project(camera, 0, foot[0], foot[1], zM, at);
    return at.depthM > 0 ? at.w / aspect : NaN;
  };
  const bars = shot.after.barsPercent / 100;
  const whole = subject.kind === 'figure' ? null : boxOf(scene, size, base, foot);
  let [topV, bottomV, reach] = [-Infinity, Infinity, 0];
  if (whole) {
    // What is long is seen larger at its near end: every corner counts.
    for (const [x, y, z] of whole.corners) {
      project(camera, 0, x, y, z, at);
      if (!(at.depthM > 0)) return null;
      topV = Math.max(topV, at.w / aspect);
      bottomV = Math.min(bottomV, at.w / aspect);
      reach = Math.max(reach, Math.abs(at.u - SIDES[side].u));
    }
  } else {
    const { top, bottom } = bodyEdges(scene, size, base[2]);
    [topV, bottomV] = [heightOf(top), heightOf(bottom)];
  }
  const room = whole ? whole.room : FRAMINGS[size].room;
  // Black bars leave so much less of the height.
  const shown = 1 - 2 * bars;
  const tall = (topV - bottomV) / ((whole ? 1 - 2 * room : 1 - room) * shown);
  if (!(tall > 0)) return null;
  const wide = reach / (MOST_REACH - Math.abs(SIDES[side].u));
  const ratio = 1 / Math.max(tall, wide);
  // A thing stands with as much air above as below it; a head has its own room.
  const raise = whole ? -(topV + bottomV) / 2 : 0.5 - bars - room * shown - topV;
  return { ratio, raise, place };
}

/** How far from the middle what is framed whole may reach, frame widths. Common practice, no published source. */
const MOST_REACH = 0.46;

/** What the upper edge leaves room above and the lower edge cuts of a figure, metres on the site. */
function bodyEdges({ subject }: Scene, size: Framing, baseM: number): { top: number; bottom: number } {
  if (subject?.kind !== 'figure') return { top: NaN, bottom: NaN };
  const { bottom } = FRAMINGS[size];
  const tall = standingSize(subject).heightM;
  const crown = baseM + subject.heightM;
  // Whoever sits is cut as far below the crown as somebody who stands; children have larger heads.
  const child = subject.body === 'child' ? (1 - BODIES.child.chin) / (1 - BODIES.adult.chin) : 1;
  const below = size === 'face' || size === 'detail' ? (1 - bottom) * child : 1 - bottom;
  const whole = size === 'full' || size === 'wide' ? subject.heightM - bottom * tall : below * tall;
  return { top: crown, bottom: crown - whole };
}

/** The corners of what is framed of a thing, all of it or the part that the shot is after, and the air about it. */
function boxOf({ subject, part, headingAt }: Scene, size: Framing, base: Float64Array, foot: Float64Array) {
  if (!subject || !part) return null;
  const near = size === 'face' || size === 'detail' || size === 'chest';
  const turn = (headingAt(0) * Math.PI) / 180;
  const [across, along] = near ? [part.halfM, part.halfM] : [subject.depthM / 2, subject.lengthM / 2];
  const [at, tall] = near ? [foot, part.heightM] : [base, subject.heightM];
  const corners = [-across, across].flatMap((a) =>
    [-along, along].flatMap((b) =>
      [0, tall].map((up): [number, number, number] => [
        at[0] + a * Math.cos(turn) + b * Math.sin(turn),
        at[1] + b * Math.cos(turn) - a * Math.sin(turn),
        at[2] + up,
      ]),
    ),
  );
  return { corners, room: size === 'wide' ? 0.33 : 0.08 };
}
