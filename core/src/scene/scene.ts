import { type Piece, type Setup, setupOf, type Shoot, type Shot } from '../model';
import { type Sun, sunAt } from '../light';
import { groundPieces, partOf, type ThingPart } from '../site';
import { partFootOf } from './part-foot';
import { riding, standing, walking, type Stance, type StanceAt, type Thing } from './thing';
import { timelineOf, type PacedLeg } from './timeline';
import type { HeadingAt, WalkAt } from './walk';

/**
 * One compiled shot: everything it names looked up, who and what is where at every moment, and when its moves are made.
 * It is built once and handed to whoever samples, measures or judges.
 *
 * @example
 * const scene = sceneOf(shoot, shoot.shots[0]);
 * const base = new Float64Array(3);
 * scene.subjectAt?.(2.5, base); // the subject's feet two and a half seconds in
 */
export interface Scene extends Setup {
  /** Every piece of the site, in its order. */
  things: readonly Thing[];
  /** Where the subject's base is; null without a subject. */
  subjectAt: WalkAt | null;
  /** Where it goes without its jumps and its bob; null without a subject. */
  wayAt: WalkAt | null;
  /** How it stands: turned, leaning, climbing. */
  stanceAt: StanceAt;
  /** The part of the subject that the shot is after; null without a subject. */
  part: ThingPart | null;
  /** Where the middle of the foot of that part is: as far under its middle as half its height. */
  partAt: WalkAt | null;
  /** Which way the subject walks, or faces while it stands, degrees clockwise from north. */
  headingAt: HeadingAt;
  /** The subject carries the camera in one of its moves. */
  carries: boolean;
  /** What can be stood on. */
  ground: readonly Piece[];
  timeline: readonly PacedLeg[];
  /** Where the sun stands at a moment of action; null where nobody has said when and where it is filmed. */
  sunAt: ((tS: number) => Sun) | null;
  /** How long the action lasts, s. */
  durationS: number;
}

/** Compiles a shot of a valid shoot; throws a RangeError when it names what is not there. */
export function sceneOf(shoot: Shoot, shot: Shot): Scene {
  return sceneFrom(setupOf(shoot, shot));
}

/** Compiles what a shot names; the same setup with another shot gives another scene. */
export function sceneFrom(setup: Setup): Scene {
  const { shot, pieces, subject } = setup;
  const ground = groundPieces(pieces);
  const things = thingsOf(pieces, shot, ground);
  const who = things.find(({ piece }) => piece.id === subject?.id) ?? null;
  const part = who && partOf(who.piece, shot.subjectPart);
  const facing: Stance = { headingDeg: 0, leanDeg: 0, pitchDeg: 0 };
  const timeline = timelineOf(shot);
  return {
    ...setup,
    things,
    subjectAt: who?.at ?? null,
    wayAt: who?.wayAt ?? null,
    stanceAt: who?.stanceAt ?? ((_tS, out) => Object.assign(out, { headingDeg: 0, leanDeg: 0, pitchDeg: 0 })),
    part,
    partAt: who && part && partFootOf(who, part),
    headingAt: (tS) => {
      if (!who) return 0;
      who.stanceAt(tS, facing);
      return facing.headingDeg;
    },
    carries: timeline.some(({ leg }) => leg.move.kind === 'carried'),
    ground,
    timeline,
    sunAt: sunOver(setup),
    durationS: timeline.reduce((latest, { toS }) => Math.max(latest, toS), 0),
  };
}

/** The sun of a shot: where it is and when it is filmed are said, or there is none. */
function sunOver({ place, shot }: Setup): Scene['sunAt'] {
  const { at } = shot.light;
  if (!place || at === null) return null;
  const fromMs = Date.parse(at);
  let [lastMs, last] = [NaN, sunAt(place, new Date(fromMs))];
  return (tS) => {
    // Within a second it does not stir.
    const ms = fromMs + Math.round(tS) * 1000;
    if (ms !== lastMs) [lastMs, last] = [ms, sunAt(place, new Date(ms))];
    return last;
  };
}

/** Every piece as it stands, walks or rides; what carries comes before what it carries. */
function thingsOf(pieces: readonly Piece[], shot: Setup['shot'], ground: readonly Piece[]): Thing[] {
  const made = new Map<string, Thing>();
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const make = (piece: Piece): Thing => {
    const known = made.get(piece.id);
    if (known) return known;
    const walk = shot.walks.find(({ pieceId }) => pieceId === piece.id);
    const carrier = piece.on === null ? undefined : byId.get(piece.on);
    const under = walk ? ground.filter(({ id }) => id !== piece.id) : ground;
    const thing = walk ? walking(piece, walk, under) : carrier ? riding(piece, make(carrier)) : standing(piece);
    made.set(piece.id, thing);
    return thing;
  };
  return pieces.map(make);
}
