import type { GreyFrame } from './grey';

/** Points of one picture found again in the next: pixels from the top left. */
export interface Tracked {
  count: number;
  /** x and y in turn, before and after. */
  before: Float32Array;
  after: Float32Array;
}

/** What finds points of one picture in the next. */
export interface Tracker {
  follow(before: GreyFrame, after: GreyFrame): Tracked;
  /** Frees what it holds. */
  close(): void;
}
