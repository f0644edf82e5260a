import type { Move } from '../../model/move';
import type { Units } from '../../model/units';
import type { Point3, Track } from '../track';

/** A number of a move that a person reads and types. */
export interface Parameter<M> {
  key: keyof M & string;
  label: string;
  unit: 'm' | 'deg';
  min: number;
  max: number;
  step: number;
}

/** A point of a move that can be taken hold of on the plan. */
export interface Handle {
  id: string;
  label: string;
  xM: number;
  yM: number;
}

/** Where the camera stands now, seen from the pivot: what carries over when another move is chosen. */
export interface Stand {
  distanceM: number;
  bearingDeg: number;
  heightM: number;
}

/** What a move asks of the zoom: nothing, or to hold the subject's height in the frame. */
export type ZoomRule = 'fixed' | 'holdSubjectHeight';

/** A move of the vocabulary: how its few human parameters become a track, and how dragging changes them. */
export interface Recipe<M extends Move = Move> {
  kind: M['kind'];
  title: string;
  /** When to use it. */
  purpose: string;
  zoom: ZoomRule;
  parameters: readonly Parameter<M>[];
  /** The same move from where another one stood. */
  startingFrom(stand: Stand, pivot: Pick<M, 'pivotEastM' | 'pivotNorthM'>): M;
  /** The stand this move would hand to another. */
  stand(move: M): Stand;
  track(move: M, pivot: Point3): Track;
  handles(move: M, pivot: Point3): Handle[];
  /** The same move going `share` times as far, rounded to what a person would set. */
  scaleTravel(move: M, share: number): M;
  /** The same move seen from `share` times the distance. */
  scaleDistance(move: M, share: number): M;
  /** How far it goes, as an instruction: `travel 1.2 m`. */
  travelWords(move: M, units: Units): string;
  /** From how far, as an instruction: `stand 3 m away`. */
  distanceWords(move: M, units: Units): string;
  /** The move after a handle was dragged to a site point; unknown handles change nothing. */
  drag(move: M, handleId: string, xM: number, yM: number, pivot: Point3): M;
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
