import type { Film } from '../../motion';
import { contentOf, nearWins } from './content-motion';
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

/** How the cells of a plan’s picture move, at some of its rows. */
export interface PlanCells {
  rateHz: number;
  tS: Float64Array;
  rows: { row: number; stepS: number; cells: ReadonlyMap<number, Flow> }[];
}

/** A cell of the plan’s raster is so wide in the clip’s picture as it is followed, px. */
const CELL_PX = 4;
/** At most so many rows are looked at; those between are bridged. */
const MOST_ROWS = 150;
/**
 * What is near is followed so far beyond its edge: half of what of the window lies beyond its middle. Chosen by our own
 * films (shots 2, 3 and 14 of the demo), no published source.
 */
const NEAR_REACHES_PX = 0.25 * WINDOW_PX;

/**
 * The motion of a plan’s cells as a clip so wide is followed: of a window that holds an edge goes what is near, so that near
 * things are as much larger.
 */
export function planCells(film: Film, clipWidthPx: number): PlanCells {
  const { samples } = film;
  const { count, screenS } = samples;
  const contentAt = contentOf(film, Math.max(16, Math.round(followedWidthPx(clipWidthPx) / CELL_PX)));
  const aspect = samples.frameWidthMm / samples.frameHeightMm;
  const every = Math.max(1, Math.ceil(count / MOST_ROWS));
  const rows: PlanCells['rows'] = [];
  for (let row = 0; row < count; row += every) {
    const [from, to] = [Math.max(0, row - 1), Math.min(count - 1, row + 1)];
    // From picture to picture, as in a clip: what following can tell is a matter of so much a step.
    const steps = Math.max(1, to - from);
    const stepS = (screenS[to] - screenS[from]) / steps;
    if (!(stepS > 0)) continue;
    const places = nearWins(contentAt(row, from, to), aspect, NEAR_REACHES_PX / CELL_PX);
    for (const place of places) [place.du, place.dw] = [place.du / steps, place.dw / steps];
    rows.push({ row, stepS, cells: cellFlows(places, aspect) });
  }
  return { rateHz: samples.frameRateHz, tS: Float64Array.from(screenS), rows };
}

const KEYS = ['rightwards', 'upwards', 'turnDegps', 'growthPerS', 'near', 'far'] as const;

/**
 * Motion of the whole picture and of its layers as the plan foretells it, by the same arithmetic as a clip’s.
 * `followedAt`: in which cells something could be followed when the plan is at a moment on screen; the others do not count.
 */
export function foretold(
  { rateHz, tS, rows }: PlanCells,
  followedAt?: (s: number) => (cell: number) => boolean,
): Foretold {
  const column = (value: number) => new Float64Array(tS.length).fill(value);
  const [rightwards, upwards, turnDegps, growthPerS] = [column(0), column(0), column(0), column(0)];
  const found: Foretold = {
    rateHz,
    tS,
    rightwards,
    upwards,
    turnDegps,
    growthPerS,
    near: column(NaN),
    far: column(NaN),
  };
  const layers = new LayerSteps((i, told) => {
    if (!told) return;
    found.near[rows[i].row] = told.near / rows[i].stepS;
    found.far[rows[i].row] = told.far / rows[i].stepS;
  });
  for (const { row, stepS, cells } of rows) {
    const followed = followedAt?.(tS[row]);
    const counted = followed ? new Map([...cells].filter(([cell]) => followed(cell))) : cells;
    const whole = wholeMotion([...counted.values()]);
    layers.add({ cells: counted, whole });
    if (!whole) continue;
    found.rightwards[row] = whole.right / stepS;
    found.upwards[row] = whole.up / stepS;
    found.turnDegps[row] = whole.turnDeg / stepS;
    found.growthPerS[row] = whole.growth / stepS;
  }
  layers.end();
  rows.forEach(({ row: to }, k) => {
    const from = k === 0 ? to : rows[k - 1].row;
    for (let i = from + 1; i < to; i += 1)
      for (const key of KEYS)
        found[key][i] = found[key][from] + ((found[key][to] - found[key][from]) * (i - from)) / (to - from);
  });
  return found;
}
