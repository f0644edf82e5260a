import type { Film } from '../../motion';
import { contentOf } from './content-motion';
import { cellFlows, type Flow, layersOf, wholeMotion } from './whole-motion';

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

const RASTER_CELLS = 36;
/** At most so many rows are looked at; those between are bridged. */
const MOST_ROWS = 600;

/** Motion of the whole picture and of its layers as the plan foretells it, by the same arithmetic as a clip’s. */
export function foretold(film: Film): Foretold {
  const { samples } = film;
  const { count, frameWidthMm, frameHeightMm, screenS } = samples;
  const contentAt = contentOf(film, RASTER_CELLS);
  const aspect = frameWidthMm / frameHeightMm;
  const column = () => new Float64Array(count);
  const rows: Foretold = {
    rateHz: samples.frameRateHz,
    tS: Float64Array.from(screenS),
    rightwards: column(),
    upwards: column(),
    turnDegps: column(),
    growthPerS: column(),
    near: column().fill(NaN),
    far: column().fill(NaN),
  };
  const every = Math.max(1, Math.ceil(count / MOST_ROWS));
  let last = 0;
  for (let row = 0; row < count; row += every) {
    const [a, b] = [Math.max(0, row - 1), Math.min(count - 1, row + 1)];
    const stepS = screenS[b] - screenS[a];
    if (!(stepS > 0)) continue;
    const content = contentAt(row, a, b);
    const { widthCells, heightCells } = content;
    const flows: Flow[] = [];
    for (let y = 0; y < heightCells; y += 1)
      for (let x = 0; x < widthCells; x += 1) {
        const flow = content.flow(x, y, (x + 0.5) / widthCells - 0.5, (0.5 - (y + 0.5) / heightCells) / aspect);
        if (flow) flows.push(flow);
      }
    const cells = cellFlows(flows, aspect, 1);
    const whole = wholeMotion(cells);
    if (!whole) continue;
    const layers = layersOf(cells, whole);
    rows.rightwards[row] = whole.right / stepS;
    rows.upwards[row] = whole.up / stepS;
    rows.turnDegps[row] = whole.turnDeg / stepS;
    rows.growthPerS[row] = whole.growth / stepS;
    if (layers) [rows.near[row], rows.far[row]] = [layers.near / stepS, layers.far / stepS];
    for (let i = last + 1; i < row; i += 1)
      for (const key of ['rightwards', 'upwards', 'turnDegps', 'growthPerS', 'near', 'far'] as const)
        rows[key][i] = rows[key][last] + ((rows[key][row] - rows[key][last]) * (i - last)) / (row - last);
    last = row;
  }
  return rows;
}
