import { type Piece, type Setup, setupOf, type Shoot, type Shot } from '../model';
import { groundPieces } from '../site';
import { timelineOf, type PacedLeg } from './timeline';
import { headingOf, walkAt, type HeadingAt, type WalkAt } from './walk';

/** A piece of the site and where it is. */
export interface Thing {
  piece: Piece;
  /** Writes where its base is at a moment of action, metres. */
  at: WalkAt;
  /** It goes somewhere during the shot. */
  walks: boolean;
}

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
  /** Which way the subject walks, or faces while it stands, degrees clockwise from north. */
  headingAt: HeadingAt;
  /** What can be stood on. */
  ground: readonly Piece[];
  timeline: readonly PacedLeg[];
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
  const things = pieces.map((piece): Thing => {
    const points = shot.walks.find(({ pieceId }) => pieceId === piece.id)?.points;
    return {
      piece,
      at: walkAt(points ?? [{ tS: 0, xM: piece.xM, yM: piece.yM, zM: piece.zM }]),
      walks: points !== undefined,
    };
  });
  const timeline = timelineOf(shot);
  return {
    ...setup,
    things,
    subjectAt: things.find(({ piece }) => piece.id === subject?.id)?.at ?? null,
    headingAt: headingOf(
      shot.walks.find(({ pieceId }) => pieceId === subject?.id)?.points ?? [],
      subject?.headingDeg ?? 0,
    ),
    ground: groundPieces(pieces),
    timeline,
    durationS: timeline.reduce((latest, { toS }) => Math.max(latest, toS), 0),
  };
}
