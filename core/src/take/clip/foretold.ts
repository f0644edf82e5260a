import type { Film } from '../../motion';
import { type Content, contentOf, nearWins } from './content-motion';
import { type FollowedPlaces, momentShare, wasFollowed } from './followed-places';
import { followedWidthPx, WINDOW_PX } from './grey';
import { LayerSteps } from './layers';
import { cellFlows, type Flow, wholeMotion } from './whole-motion';

/** What a clip of the plan would measure, one row a frame shown: rates a second of the picture’s content. */
export interface Foretold {
  rateHz: number;
  tS: Float64Array;
  rightwards: Float64Array;
  upwards: Float64Array;
  turnDegps: Float64Array;
  growthPerS: Float64Array;
  near: Float64Array;
  far: Float64Array;
}

/** A step of the plan that is looked at, from the picture of a row to the next, and which places of it count. */
interface CountedStep {
  row: number;
  counts: (u: number, w: number) => boolean;
}

/** A cell of the plan’s raster is so wide in the clip’s picture as it is followed, px. */
const CELL_PX = 4;
/** At most so many rows are looked at; those between are bridged. */
const MOST_ROWS = 150;
/**
 * What is near is followed so far beyond its edge: two thirds of what of the window lies beyond its middle. Chosen by our
 * own films of the demo, no published source.
 */
const NEAR_REACHES_PX = WINDOW_PX / 3;

/**
 * Foretells the motion of a plan’s picture as a clip so wide is followed: of a window that holds an edge goes what is
 * near, so that near things are as much larger.
 */
export class PlanPicture {
  private readonly contentAt: (row: number, from: number, to: number) => Content;
  private readonly aspect: number;
  private ofAll: Foretold | null = null;

  constructor(
    private readonly film: Film,
    clipWidthPx: number,
  ) {
    const { samples } = film;
    this.contentAt = contentOf(film, Math.max(16, Math.round(followedWidthPx(clipWidthPx) / CELL_PX)));
    this.aspect = samples.frameWidthMm / samples.frameHeightMm;
  }

  /** What is foretold of all of the picture. */
  all(): Foretold {
    if (this.ofAll) return this.ofAll;
    const { count } = this.film.samples;
    const every = Math.max(1, Math.ceil(count / MOST_ROWS));
    const steps = Array.from({ length: Math.ceil(count / every) }, (_, k) => ({ row: k * every, counts: () => true }));
    return (this.ofAll = this.of(steps));
  }

  /**
   * What is foretold of those places in which something could be followed in a clip. `onScreenS`: when the plan is at a
   * share of the clip, 0 to 1.
   */
  ofFollowed(moments: FollowedPlaces, onScreenS: (share: number) => number): Foretold {
    if (moments.length === 0) return this.all();
    const { screenS, count } = this.film.samples;
    const steps = new Map<number, CountedStep>();
    moments.forEach((moment, k) => {
      const row = rowAt(screenS, count, onScreenS(momentShare(k, moments.length)));
      steps.set(row, { row, counts: wasFollowed(moment, this.aspect) });
    });
    return this.of([...steps.values()].sort((a, b) => a.row - b.row));
  }

  /** By the same arithmetic as a clip’s; what stands between the steps that are looked at is bridged. */
  private of(looked: readonly CountedStep[]): Foretold {
    const { screenS, count, frameRateHz } = this.film.samples;
    const steps = looked.flatMap((step) => this.stepAt(step) ?? []);
    const rates = steps.map(() => ({ ...NOTHING_GOES }));
    const layers = new LayerSteps((i, told) => {
      if (!told) return;
      rates[i].near = told.near / steps[i].stepS;
      rates[i].far = told.far / steps[i].stepS;
    });
    steps.forEach(({ stepS, flows }, i) => {
      const cells = cellFlows(flows, this.aspect);
      const whole = wholeMotion([...cells.values()]);
      layers.add({ cells, whole });
      if (!whole) return;
      rates[i].rightwards = whole.right / stepS;
      rates[i].upwards = whole.up / stepS;
      rates[i].turnDegps = whole.turnDeg / stepS;
      rates[i].growthPerS = whole.growth / stepS;
    });
    layers.end();
    const rows = steps.map(({ row }) => row);
    const column = (key: keyof typeof NOTHING_GOES) =>
      bridged(
        count,
        rows,
        rates.map((rate) => rate[key]),
      );
    return {
      rateHz: frameRateHz,
      tS: Float64Array.from(screenS),
      rightwards: column('rightwards'),
      upwards: column('upwards'),
      turnDegps: column('turnDegps'),
      growthPerS: column('growthPerS'),
      near: column('near'),
      far: column('far'),
    };
  }

  /** How the places that count go from one picture to the next. */
  private stepAt({ row, counts }: CountedStep): { row: number; stepS: number; flows: Flow[] } | null {
    const { count, screenS } = this.film.samples;
    if (row + 1 >= count) return null;
    const stepS = screenS[row + 1] - screenS[row];
    if (!(stepS > 0)) return null;
    const content = this.contentAt(row, row, row + 1);
    return { row, stepS, flows: nearWins(content, this.aspect, NEAR_REACHES_PX / CELL_PX, counts) };
  }
}

const NOTHING_GOES = { rightwards: 0, upwards: 0, turnDegps: 0, growthPerS: 0, near: NaN, far: NaN };

/** The row that is on screen at a moment. */
function rowAt(screenS: Float64Array, count: number, s: number): number {
  let [low, high] = [0, count - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (screenS[middle] <= s) low = middle;
    else high = middle;
  }
  return low;
}

/**
 * A row for each picture from the rates of steps, each of which stands halfway between the picture of its row and the
 * next; what is not known of one is taken of its neighbour, as in a clip.
 */
function bridged(count: number, rows: readonly number[], rates: readonly number[]): Float64Array {
  const column = new Float64Array(count);
  let after = 0;
  for (let i = 0; i < count && rows.length > 0; i += 1) {
    while (after < rows.length && rows[after] + 0.5 < i) after += 1;
    const [a, b] = [Math.max(0, after - 1), Math.min(rows.length - 1, after)];
    const share = a === b ? 0 : (i - rows[a] - 0.5) / (rows[b] - rows[a]);
    const [from, to] = [rates[a], rates[b]];
    column[i] = Number.isNaN(from) ? to : Number.isNaN(to) ? from : from + (to - from) * share;
  }
  return column;
}
