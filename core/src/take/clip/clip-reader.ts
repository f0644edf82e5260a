import type { FollowedPlaces } from './followed-places';
import { differenceOf, type GreyFrame, lookOf } from './grey';
import { PictureRates } from './picture-rates';
import { type StepInto, stepInto, throughPicture } from './through-picture';
import type { Tracker } from './tracker';

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

/** What was followed is kept of so many steps, 40 MB at most: a longer clip stays as it was measured. */
const MOST_KEPT_STEPS = 6000;

/**
 * Measures a clip picture by picture: only the last ones are kept, and what was followed for so long, so that memory is
 * bounded. Rates stand at the picture they belong to.
 */
export class ClipReader {
  private before: { frame: GreyFrame; tS: number } | null = null;
  private into: StepInto | null = null;
  private rates: PictureRates | null = null;
  private readonly kept: StepInto[] = [];
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
    const difference = before ? differenceOf(before.frame, frame) : 1;
    if (before) {
      const step = stepInto(this.tracker.follow(before.frame, frame), frame, tS - before.tS, difference === 0);
      const { flows, stepS } = throughPicture(this.into, step);
      this.rates ??= new PictureRates(frame.widthPx / frame.heightPx);
      this.rates.add(flows, stepS);
      if (this.kept.length < MOST_KEPT_STEPS) this.kept.push(step);
      this.into = step;
    }
    this.rows.push({ tS, ...lookOf(frame), difference });
    this.before = { frame, tS };
  }

  get count(): number {
    return this.rows.length;
  }

  /** Everything that was measured. Throws a RangeError with fewer than two pictures. */
  frames(): ClipFrame[] {
    return this.framesOf(this.rates);
  }

  /** In which places something could be followed, over the clip. */
  followedPlaces(): FollowedPlaces {
    return this.rates?.followedPlaces() ?? [];
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
    const rates = new PictureRates(before.frame.widthPx / before.frame.heightPx);
    kept.forEach((step, i) => {
      const { flows, stepS } = throughPicture(i > 0 ? kept[i - 1] : null, step);
      const isAway = flows && awayAt(rows[i].tS);
      rates.add(isAway ? flows.filter(({ u, w }) => isAway(u, w)) : flows, stepS);
    });
    return { frames: this.framesOf(rates), followed: rates.followedPlaces() };
  }

  private framesOf(rates: PictureRates | null): ClipFrame[] {
    const { rows } = this;
    if (rows.length < 2 || !rates) throw new RangeError('A clip needs at least two pictures.');
    const found = rates.rows();
    return rows.map(({ tS, brightness, detail, difference }, i) => {
      // Nothing goes on from the last picture: it goes as the one before.
      const of = found[Math.min(i, found.length - 1)];
      return {
        tS,
        rightwards: of?.right ?? 0,
        upwards: of?.up ?? 0,
        turnDegps: of?.turnDeg ?? 0,
        growthPerS: of?.growth ?? 0,
        near: of?.near ?? NaN,
        far: of?.far ?? NaN,
        brightness,
        detail,
        followed: of?.followed ?? 0,
        repeated: i > 0 && difference < SAME && goesAbout(rows, i),
      };
    });
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
