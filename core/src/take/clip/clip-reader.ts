import { type FollowedPlaces, FollowedPlacesCounter } from './followed-places';
import { differenceOf, type GreyFrame, lookOf } from './grey';
import { LayerSteps } from './layers';
import type { Tracked, Tracker } from './tracker';
import { cellFlows, type Flow, wholeMotion } from './whole-motion';

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

/**
 * Measures a clip picture by picture: only the last one is kept, so that memory hardly grows with the clip. Rates stand at
 * the picture they belong to: the mean of the way into it and the way out of it.
 */
export class ClipReader {
  private before: { frame: GreyFrame; tS: number } | null = null;
  private readonly steps: (Step | null)[] = [];
  private followed: FollowedPlacesCounter | null = null;
  private readonly layers = new LayerSteps((i, layers) => {
    const step = this.steps[i];
    if (step && layers) this.steps[i] = { ...step, near: layers.near / step.stepS, far: layers.far / step.stepS };
  });
  private readonly rows: { tS: number; brightness: number; detail: number; difference: number }[] = [];

  /** `onFollowed`: told which places were followed from a picture, counted from 0, to the next. */
  constructor(
    private readonly tracker: Tracker,
    private readonly onFollowed?: (picture: number, flows: readonly Flow[]) => void,
  ) {}

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
    this.followed ??= new FollowedPlacesCounter(frame.widthPx / frame.heightPx);
    const difference = before ? differenceOf(before.frame, frame) : 1;
    if (before && difference === 0) {
      this.steps.push({ ...STILL, stepS: tS - before.tS });
      this.layers.add(null);
      this.followed.addEverywhere();
    } else if (before) {
      const flows = flowsOf(this.tracker.follow(before.frame, frame), frame);
      this.onFollowed?.(this.rows.length - 1, flows);
      this.step(flows, frame, tS - before.tS);
    }
    this.rows.push({ tS, ...lookOf(frame), difference });
    this.before = { frame, tS };
  }

  get count(): number {
    return this.rows.length;
  }

  /** Everything that was measured. Throws a RangeError with fewer than two pictures. */
  frames(): ClipFrame[] {
    const { rows, steps } = this;
    if (rows.length < 2) throw new RangeError('A clip needs at least two pictures.');
    this.layers.end();
    return rows.map(({ tS, brightness, detail, difference }, i) => {
      const [into, out] = [i > 0 ? steps[i - 1] : null, i < steps.length ? steps[i] : null];
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

  /** In which places something could be followed, over the clip. */
  followedPlaces(): FollowedPlaces {
    return this.followed?.moments() ?? [];
  }

  private step(flows: readonly Flow[], frame: GreyFrame, stepS: number): void {
    const cells = cellFlows(flows, frame.widthPx / frame.heightPx);
    const whole = wholeMotion([...cells.values()]);
    this.followed?.add(flows);
    this.layers.add({ cells, whole });
    this.steps.push(
      whole && {
        stepS,
        right: whole.right / stepS,
        up: whole.up / stepS,
        turnDeg: whole.turnDeg / stepS,
        growth: whole.growth / stepS,
        near: NaN,
        far: NaN,
        followed: whole.cells / Math.max(1, cells.size),
      },
    );
  }
}

/** Whether pictures just before and just after one go on: where all rest, none is the one before again. */
function goesAbout(rows: readonly { difference: number }[], i: number): boolean {
  const goes = (from: number, to: number) => {
    const about = rows.slice(Math.max(1, from), Math.max(1, to));
    return about.length === 0 || about.some((row) => row.difference > OTHERWISE * SAME);
  };
  return goes(i - 2, i) && goes(i + 1, i + 3);
}

interface Step {
  stepS: number;
  right: number;
  up: number;
  turnDeg: number;
  growth: number;
  near: number;
  far: number;
  followed: number;
}

const STILL = { right: 0, up: 0, turnDeg: 0, growth: 0, near: NaN, far: NaN, followed: 1 };

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
