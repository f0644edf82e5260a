import type { GreyFrame } from './grey';

/** Pixels from the top left: x and y. */
export type Place = readonly [number, number];

/** A place of one picture found again in another. */
export interface Went {
  from: Place;
  to: Place;
}

/** What was followed into a picture. */
export interface FollowedInto {
  /** From the picture before it. */
  fromLast: readonly Went[];
  /** From the last but one, over two pictures: what goes slowly. */
  fromLastButOne: readonly Went[];
}

/** What finds places of one picture in the next, picture after picture. */
export interface Tracker {
  follow(before: GreyFrame, after: GreyFrame): FollowedInto;
  /** Frees what it holds. */
  close(): void;
}
