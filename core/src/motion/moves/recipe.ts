import type { Move, Timing, Units } from '../../model';
import type { MoveFrame } from '../move-frame';
import type { Track } from '../track';
import type { Point3 } from '../../site';

/** A point of a move that can be taken hold of on the plan. */
export interface Grip {
  id: string;
  label: string;
  xM: number;
  yM: number;
}

/** Where the camera stands, seen from the pivot: what carries over when another move is chosen. */
export interface Stand {
  distanceM: number;
  bearingDeg: number;
  heightM: number;
}

/** When a move begins and ends, s from the start of the shot. */
export interface Moments {
  startS: number;
  endS: number;
}

/** Where the camera looks: pan clockwise from north, tilt up, roll clockwise seen from behind; degrees. */
export interface Look {
  panDeg: number;
  tiltDeg: number;
  rollDeg: number;
}

/**
 * What the look of a move starts from, before its own turning. `asked`: whatever the shot's aim says. `locked`: the
 * direction in which the subject is at its place at share `at` of the move. `down`: straight down, the bearing's side
 * at the bottom of the frame. `pivot`: a fixed point, so high above the pivot. `carried`: as the subject is turned and
 * leans, so far right of ahead and up.
 */
export type AimRule =
  | { base: 'asked' }
  | { base: 'locked'; at: number }
  | { base: 'down'; bottomDeg: number }
  | { base: 'pivot'; heightM: number }
  | { base: 'carried'; panDeg: number; tiltDeg: number };

/** What a move asks of the zoom. */
export type ZoomRule =
  { rule: 'fixed' } | { rule: 'holdHeight'; by: 'lens' | 'crop' | 'both' } | { rule: 'to'; focalLengthMm: number };

/** Focus goes from one piece to another (null: the subject). Without a rule it follows the subject. */
export interface FocusRule {
  fromPieceId: string | null;
  toPieceId: string | null;
}

/**
 * When the subject ought to be in the frame; `passes`: it comes in and goes out again, which is meant; `unasked`: it may be out of it, because it carries the camera.
 */
export type SubjectIn = 'always' | 'start' | 'end' | 'sometime' | 'passes' | 'unasked';

/** What a person wants to see happen: how moves are looked for. */
export const EFFECTS = {
  past: { label: 'Slip past', says: 'near things cross the frame, far ones hardly move' },
  closer: { label: 'Come closer', says: 'or draw back' },
  round: { label: 'Go round', says: 'the subject turns, the world sweeps past' },
  lift: { label: 'Rise or sink', says: 'another height, another view' },
  show: { label: 'Hide and show', says: 'something is in the way, then it is not' },
  along: { label: 'Go along', says: 'with somebody who walks' },
  down: { label: 'Look down', says: 'from straight above' },
  turn: { label: 'Turn the world', says: 'the camera turns or rolls on the spot' },
  bend: { label: 'Bend depth', says: 'zoom and focus change, the subject does not' },
  rest: { label: 'Stay', says: 'let the picture work' },
  own: { label: 'Draw it', says: 'a path of your own' },
} as const;
export type Effect = keyof typeof EFFECTS;

/**
 * The geometry of a move: how its human parameters become a track, and how dragging changes them. Several moves share
 * one.
 */
export interface MoveShape<M> {
  /** Which ends can be dragged: both, or the one place it has. */
  ends: 'both' | 'start';
  /** Handles of its own, in place of the ends. */
  grips?(move: M, moveFrame: MoveFrame): Grip[];
  stand(move: M): Stand;
  /** Where the arm that carries the camera turns, for moves that are made on one. */
  armStand?(move: M, moveFrame: MoveFrame): Point3;
  track(move: M, moveFrame: MoveFrame): Track;
  /** The move after a handle was dragged to a site point; unknown handles change nothing. */
  drag(move: M, handleId: string, xM: number, yM: number, moveFrame: MoveFrame, moments: Moments): M;
  /** The same move begun from a place: what was reached before. */
  continueFrom(move: M, from: Point3, moveFrame: MoveFrame): M;
  /** The same move going `share` times as far, rounded to what a person would set. */
  scaleTravel(move: M, share: number): M;
  /** The same move seen from `share` times the distance. */
  scaleDistance(move: M, share: number): M;
  /** How far it goes, as an instruction: `travel 1.2 m`. */
  travelWords(move: M, units: Units): string;
  /** From how far, as an instruction: `stand 3 m away`. */
  distanceWords(move: M, units: Units): string;
}

/** A move of the vocabulary. */
export interface Recipe<M extends Move = Move> extends MoveShape<M> {
  kind: M['kind'];
  title: string;
  /** When to use it, one sentence. */
  purpose: string;
  effect: Effect;
  /** A word between the title and the subject: `Slide past Ansa`. */
  joins: string;
  subjectIn(move: M): SubjectIn;
  aim(move: M): AimRule;
  /** Turns the look at share s of the move. */
  turn?(move: M, s: number, look: Look): void;
  zoom(move: M): ZoomRule;
  focus?(move: M): FocusRule;
  /** Blur is the point of it: its speed is not a fault. */
  meantToBlur: boolean;
  /** Something hides the subject first, and then does not. */
  reveals: boolean;
  /** Something covers the lens at one end: it need not be sharp there. */
  goesDark: boolean;
  /** It is nothing without travel. */
  travels: boolean;
  /**
   * Whether it goes with a subject that walks: `itself` by what it is, `usually` when it is chosen, `ifAsked` when a
   * person says so.
   */
  goes: 'itself' | 'usually' | 'ifAsked';
  /** The same move from where another one stood. */
  startingFrom(stand: Stand, pivot: { pivotEastM: number; pivotNorthM: number }): M;
  /** Timing it usually has, when it is chosen. */
  usualTiming?(timing: Timing): Timing;
}

/** Nearest the camera may be put to the pivot, metres: what the schema allows. */
export const LEAST_DISTANCE_M = 0.1;

/** A length as a person would set it, metres: to the decimetre, or to the centimetre below a metre. */
export function settable(lengthM: number): number {
  const perM = Math.abs(lengthM) < 1 ? 100 : 10;
  return Math.round(lengthM * perM) / perM;
}

/** A distance as a person would set it. */
export function settableDistance(distanceM: number): number {
  return Math.min(2000, Math.max(LEAST_DISTANCE_M, settable(distanceM)));
}

export const clamp = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value));

/** How far a place is from the pivot on the ground, and its bearing near a known one. */
export function polar(
  pivot: Point3,
  xM: number,
  yM: number,
  nearDeg: number,
): { distanceM: number; bearingDeg: number } {
  const distanceM = Math.hypot(xM - pivot.xM, yM - pivot.yM);
  const deg = distanceM < 1e-9 ? nearDeg : (Math.atan2(xM - pivot.xM, yM - pivot.yM) * 180) / Math.PI;
  return {
    distanceM: clamp(distanceM, LEAST_DISTANCE_M, 2000),
    bearingDeg: clamp(deg - 360 * Math.round((deg - nearDeg) / 360), -720, 720),
  };
}

/** What most moves are like; a recipe says what differs. */
export const PLAIN = {
  joins: 'with',
  subjectIn: (): SubjectIn => 'always',
  aim: (): AimRule => ({ base: 'asked' }),
  zoom: (): ZoomRule => ({ rule: 'fixed' }),
  meantToBlur: false,
  reveals: false,
  goesDark: false,
  travels: true,
  goes: 'ifAsked' as const,
};
