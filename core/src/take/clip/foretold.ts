import { depthRasterOf, NOTHING } from '../../image';
import type { Film } from '../../motion';
import { CAMERA_SIZE, project } from '../../optics';
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
/** Nothing there, and above the horizon: so far away, m. */
const SKY_M = 5000;
/** At most so many rows are looked at; those between are bridged. */
const MOST_ROWS = 600;

/** Motion of the whole picture and of its layers as the plan foretells it, by the same arithmetic as a clip’s. */
export function foretold(film: Film): Foretold {
  const { samples, scene } = film;
  const { count, cameras, frameWidthMm, frameHeightMm, screenS } = samples;
  const rasterAt = depthRasterOf(scene, samples, RASTER_CELLS);
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
  const seen = { u: 0, w: 0, depthM: 0 };
  const every = Math.max(1, Math.ceil(count / MOST_ROWS));
  let last = 0;
  for (let row = 0; row < count; row += every) {
    const [a, b] = [Math.max(0, row - 1), Math.min(count - 1, row + 1)];
    const stepS = screenS[b] - screenS[a];
    if (!(stepS > 0)) continue;
    const { widthCells, heightCells, nearness, pieceAt } = rasterAt(row);
    const flows: Flow[] = [];
    const camera = cameras.subarray(row * CAMERA_SIZE, row * CAMERA_SIZE + CAMERA_SIZE);
    for (let y = 0; y < heightCells; y += 1)
      for (let x = 0; x < widthCells; x += 1) {
        const cell = y * widthCells + x;
        const [u, w] = [(x + 0.5) / widthCells - 0.5, (0.5 - (y + 0.5) / heightCells) / aspect];
        const thing = pieceAt[cell] === NOTHING ? null : scene.things[pieceAt[cell]];
        // Somebody who walks moves by himself: the whole picture is what stands.
        if (thing?.walks) continue;
        const depthM = thing ? 1 / nearness[cell] : groundM(camera, samples.focalLengthMm[row] / frameWidthMm, u, w);
        const place = placeAt(camera, samples.focalLengthMm[row] / frameWidthMm, u, w, depthM);
        project(cameras, a * CAMERA_SIZE, place[0], place[1], place[2], seen);
        if (seen.depthM <= 0) continue;
        const [u0, w0] = [seen.u, seen.w];
        project(cameras, b * CAMERA_SIZE, place[0], place[1], place[2], seen);
        if (seen.depthM > 0) flows.push({ u, w, du: seen.u - u0, dw: seen.w - w0 });
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

/** The site’s place that is seen at u and w of a camera, so deep along its axis. */
function placeAt(camera: Float64Array, scale: number, u: number, w: number, depthM: number): [number, number, number] {
  // A place p falls at u = (r·p + r₄)/depth and w = (t·p + t₄)/depth; the rows are at right angles.
  const wanted = [u * depthM, w * depthM, depthM];
  const shares = [0, 1, 2].map((k) => (wanted[k] - camera[4 * k + 3]) / (k < 2 ? scale ** 2 : 1));
  const of = (axis: number) => shares.reduce((sum, share, k) => sum + share * camera[4 * k + axis], 0);
  return [of(0), of(1), of(2)];
}

/** How deep level ground lies there; the sky where none does. */
function groundM(camera: Float64Array, scale: number, u: number, w: number): number {
  const [near, far] = [placeAt(camera, scale, u, w, 1), placeAt(camera, scale, u, w, 2)];
  const fall = near[2] - far[2];
  const depth = 1 + near[2] / fall;
  return fall > 1e-9 && depth > 0 && depth < SKY_M ? depth : SKY_M;
}
