import type { Film } from '../../motion';
import { type Content, contentOf, edgesOf, flowsOfPlaces } from './content-motion';
import { type FollowedPlaces, momentShare, wasFollowed } from './followed-places';
import { followedWidthPx, WINDOW_PX } from './grey';
import { LayerSteps } from './layers';
import { cellFlows, type Flow, wholeOfCells } from './whole-motion';

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

/** A row of the plan that is looked at, and which places of its picture count. */
interface CountedRow {
  row: number;
  counts: (place: number) => boolean;
}

/** A cell of the plan’s raster is so wide in the clip’s picture as it is followed, px. */
const CELL_PX = 3;
/** At most so many rows are looked at; those between are bridged. */
const MOST_ROWS = 150;
/** A window so far from an edge, or less, holds it. */
const EDGE_REACHES_PX = WINDOW_PX / 2;

/**
 * Foretells the motion of a plan’s picture as a clip so wide is followed. Places at the edges of things are left out, of
 * the plan and, where it is known, of the clip: a window that holds an edge follows now the one, now the other.
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

  /** When its first picture is on screen. */
  get fromS(): number {
    return this.film.samples.screenS[0];
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
    const steps = new Map<number, CountedRow>();
    moments.forEach((moment, k) => {
      const row = rowAt(screenS, count, onScreenS(momentShare(k, moments.length)));
      steps.set(row, { row, counts: wasFollowed(moment) });
    });
    return this.of([...steps.values()].sort((a, b) => a.row - b.row));
  }

  /**
   * Which places of the picture that comes on screen nearest to a moment lie away from the edges of things; null before
   * and after all of them.
   */
  awayAt(onScreenS: number): ((u: number, w: number) => boolean) | null {
    const { screenS, count } = this.film.samples;
    const lastStepS = count < 2 ? 0 : screenS[count - 1] - screenS[count - 2];
    if (onScreenS < screenS[0] - lastStepS || onScreenS > screenS[count - 1] + lastStepS) return null;
    const row = rowAt(screenS, count, onScreenS + lastStepS / 2);
    const content = this.contentAt(row, row, row);
    const edges = edgesOf(content, EDGE_REACHES_PX / CELL_PX);
    return (u, w) => {
      const x = Math.floor((u + 0.5) * content.widthCells);
      const y = Math.floor((0.5 - w * this.aspect) * content.heightCells);
      return edges[y * content.widthCells + x] === 0;
    };
  }

  /** By the same arithmetic as a clip’s; what stands between the steps that are looked at is bridged. */
  private of(looked: readonly CountedRow[]): Foretold {
    const { screenS, count, frameRateHz } = this.film.samples;
    const steps = looked.flatMap((step) => this.stepAt(step) ?? []);
    const rates = steps.map(() => ({ ...NOTHING_KNOWN }));
    const layers = new LayerSteps((i, told) => {
      if (!told) return;
      rates[i].near = told.near / steps[i].stepS;
      rates[i].far = told.far / steps[i].stepS;
    });
    steps.forEach(({ stepS, flows }, i) => {
      const cells = cellFlows(flows, this.aspect);
      const whole = wholeOfCells(cells);
      layers.add({ cells, whole });
      if (!whole) return;
      rates[i].rightwards = whole.right / stepS;
      rates[i].upwards = whole.up / stepS;
      rates[i].turnDegps = whole.turnDeg / stepS;
      rates[i].growthPerS = whole.growth / stepS;
    });
    layers.end();
    const rows = steps.map(({ row }) => row);
    const column = (key: keyof typeof NOTHING_KNOWN) =>
      bridged(
        count,
        rows,
        rates.map((rate) => rate[key]),
      );
    return {
      rateHz: frameRateHz,
      tS: Float64Array.from(screenS),
      rightwards: atRest(column('rightwards')),
      upwards: atRest(column('upwards')),
      turnDegps: atRest(column('turnDegps')),
      growthPerS: atRest(column('growthPerS')),
      near: column('near'),
      far: column('far'),
    };
  }

  /** How the places that count go through a picture, from the one before to the one after, in the time of one step. */
  private stepAt({ row, counts }: CountedRow): { row: number; stepS: number; flows: Flow[] } | null {
    const { count, screenS } = this.film.samples;
    const [from, to] = [Math.max(0, row - 1), Math.min(count - 1, row + 1)];
    const stepS = (screenS[to] - screenS[from]) / (to - from);
    if (!(stepS > 0)) return null;
    const content = this.contentAt(row, from, to);
    const edges = edgesOf(content, EDGE_REACHES_PX / CELL_PX);
    const flows = flowsOfPlaces(content, this.aspect, edges, counts);
    for (const flow of flows) {
      flow.du /= to - from;
      flow.dw /= to - from;
    }
    return { row, stepS, flows };
  }
}

const NOTHING_KNOWN = { rightwards: NaN, upwards: NaN, turnDegps: NaN, growthPerS: NaN, near: NaN, far: NaN };

/** What nothing is known of rests, as in a clip in which nothing could be followed. */
const atRest = (column: Float64Array) => column.map((v) => (Number.isNaN(v) ? 0 : v));

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

/** A row for each picture from the rates of some; what is not known of one is taken of its neighbour. */
function bridged(count: number, rows: readonly number[], rates: readonly number[]): Float64Array {
  const column = new Float64Array(count);
  let after = 0;
  for (let i = 0; i < count && rows.length > 0; i += 1) {
    while (after < rows.length && rows[after] < i) after += 1;
    const [a, b] = [Math.max(0, after - 1), Math.min(rows.length - 1, after)];
    const share = a === b ? 0 : (i - rows[a]) / (rows[b] - rows[a]);
    const [from, to] = [rates[a], rates[b]];
    if (share === 0 || share === 1) column[i] = share === 0 ? from : to;
    else column[i] = Number.isNaN(from) ? to : Number.isNaN(to) ? from : from + (to - from) * share;
  }
  return column;
}
