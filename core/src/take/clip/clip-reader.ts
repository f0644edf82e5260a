import { ClipSteps, type Step } from './clip-steps';
import type { FollowedPlaces } from './followed-places';
import { differenceOf, type GreyFrame, lookOf } from './grey';
import type { Tracked, Tracker } from './tracker';
import type { Flow } from './whole-motion';

/** One picture of a clip, measured: rates a second, of the content. */
export interface ClipFrame {
  tS: number;
  /** Frame widths a second, to the right and up. */
  rightwards: number;
  upwards: number;
  /** Degrees a second, clockwise. */
  turnDegps: number;
  /** Share a second that it gets larger. */
  growthPerS: number;
  /** Along the whole’s motion, frame widths a second; NaN where nothing moves. */
  near: number;
  far: number;
  /** 0 to 1. */
  brightness: number;
  detail: number;
  /** Share of the cells that moved as one; 0: nothing could be followed. */
  followed: number;
  repeated: boolean;
}

/** A picture that differs from the one before by less is the same one again. */
const SAME = 0.0012;
/** … where those about it differ by so many times that. */
const OTHERWISE = 4;

/** What was followed from one picture to the next: u, w, du, dw of each place; null where the pictures are the same. */
type KeptStep = Float32Array | null;
/** What was followed is kept of so many steps, 40 MB at most: a longer clip stays as it was measured. */
const MOST_KEPT_STEPS = 6000;

/**
 * Measures a clip picture by picture: only the last one is kept, and what was followed for so long, so that memory is bounded. Rates stand at
 * the picture they belong to: the mean of the way into it and the way out of it.
 */
export class ClipReader {
  private before: { frame: GreyFrame; tS: number } | null = null;
  private steps: ClipSteps | null = null;
  private readonly kept: KeptStep[] = [];
  private readonly rows: { tS: number; brightness: number; detail: number; difference: number }[] = [];

  constructor(private readonly tracker: Tracker) {}

  /** The next picture. Throws a RangeError where it is of another size, or does not come after the one before. */
  add(frame: GreyFrame, tS: number): void {
    const { before } = this;
    if (before && (frame.widthPx !== before.frame.widthPx || frame.heightPx !== before.frame.heightPx))
      throw new RangeError(
        `Picture ${this.rows.length + 1} is ${frame.widthPx} × ${frame.heightPx}, those before ` +
          `${before.frame.widthPx} × ${before.frame.heightPx}.`,
      );
    if (before && tS <= before.tS)
      throw new RangeError(`Picture ${this.rows.length + 1} does not come after the one before.`);
    this.steps ??= new ClipSteps(frame.widthPx / frame.heightPx);
    const difference = before ? differenceOf(before.frame, frame) : 1;
    if (before) {
      const flows = difference === 0 ? null : flowsOf(this.tracker.follow(before.frame, frame), frame);
      this.steps.add(flows, tS - before.tS);
      if (this.kept.length < MOST_KEPT_STEPS)
        this.kept.push(flows && Float32Array.from(flows.flatMap(({ u, w, du, dw }) => [u, w, du, dw])));
    }
    this.rows.push({ tS, ...lookOf(frame), difference });
    this.before = { frame, tS };
  }

  get count(): number {
    return this.rows.length;
  }

  /** Everything that was measured. Throws a RangeError with fewer than two pictures. */
  frames(): ClipFrame[] {
    return this.framesOf(this.steps);
  }

  /** In which places something could be followed, over the clip. */
  followedPlaces(): FollowedPlaces {
    return this.steps?.followedPlaces() ?? [];
  }

  /**
   * The same once more, of those places only that lie away from the edges of things. `awayAt`: which places do at a
   * moment of the clip, s; null where that is not known: then all count. Null for a clip so long that what was followed
   * was not kept.
   */
  awayFromEdges(
    awayAt: (tS: number) => ((u: number, w: number) => boolean) | null,
  ): { frames: ClipFrame[]; followed: FollowedPlaces } | null {
    const { rows, kept, before } = this;
    if (!before || kept.length < rows.length - 1) return null;
    const steps = new ClipSteps(before.frame.widthPx / before.frame.heightPx);
    kept.forEach((step, i) => {
      const [fromS, toS] = [rows[i].tS, rows[i + 1].tS];
      const flows = step && flowsKept(step);
      const isAway = flows && awayAt((fromS + toS) / 2);
      steps.add(isAway ? flows.filter(({ u, w }) => isAway(u, w)) : flows, toS - fromS);
    });
    return { frames: this.framesOf(steps), followed: steps.followedPlaces() };
  }

  private framesOf(steps: ClipSteps | null): ClipFrame[] {
    const { rows } = this;
    if (rows.length < 2 || !steps) throw new RangeError('A clip needs at least two pictures.');
    const found = steps.rows();
    return rows.map(({ tS, brightness, detail, difference }, i) => {
      const [into, out] = [i > 0 ? found[i - 1] : null, i < found.length ? found[i] : null];
      const of = (key: Exclude<keyof Step, 'followed' | 'stepS'>) => mean([into?.[key], out?.[key]]);
      return {
        tS,
        rightwards: of('right') || 0,
        upwards: of('up') || 0,
        turnDegps: of('turnDeg') || 0,
        growthPerS: of('growth') || 0,
        near: of('near'),
        far: of('far'),
        brightness,
        detail,
        followed: Math.max(into?.followed ?? 0, out?.followed ?? 0),
        repeated: i > 0 && difference < SAME && goesAbout(rows, i),
      };
    });
  }
}

const flowsKept = (step: Float32Array): Flow[] =>
  Array.from({ length: step.length / 4 }, (_, i) => {
    const [u, w, du, dw] = step.subarray(4 * i, 4 * i + 4);
    return { u, w, du, dw };
  });

/** Whether pictures just before and just after one go on: where all rest, none is the one before again. */
function goesAbout(rows: readonly { difference: number }[], i: number): boolean {
  const goes = (from: number, to: number) => {
    const about = rows.slice(Math.max(1, from), Math.max(1, to));
    return about.length === 0 || about.some((row) => row.difference > OTHERWISE * SAME);
  };
  return goes(i - 2, i) && goes(i + 1, i + 3);
}

/** Mean of what there is; NaN where there is nothing. */
function mean(values: readonly (number | undefined)[]): number {
  const there = values.flatMap((value) => (value === undefined || Number.isNaN(value) ? [] : [value]));
  return there.length === 0 ? NaN : there.reduce((sum, value) => sum + value, 0) / there.length;
}

/** Places that were followed as flows in frame widths. */
export function flowsOf({ before, after, count }: Tracked, { widthPx, heightPx }: GreyFrame): Flow[] {
  return Array.from({ length: count }, (_, i) => {
    const [x, y] = [before[2 * i] + 0.5, before[2 * i + 1] + 0.5];
    return {
      u: (x - widthPx / 2) / widthPx,
      w: (heightPx / 2 - y) / widthPx,
      du: (after[2 * i] - before[2 * i]) / widthPx,
      dw: (before[2 * i + 1] - after[2 * i + 1]) / widthPx,
    };
  });
}
