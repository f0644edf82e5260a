import { depthRasterOf, NOTHING } from '../../image';
import type { Film } from '../../motion';
import { CAMERA_SIZE, project } from '../../optics';
import { type Thing, turnedBy } from '../../scene';
import { PLACES } from './followed-places';
import type { Flow } from './whole-motion';

/** The picture of one row of a plan in cells, and where what stands in them goes between two rows. */
export interface Content {
  widthCells: number;
  heightCells: number;
  /** How deep that lies along the optical axis, m. */
  depthM(x: number, y: number): number;
  /** Where the place u, w of a cell comes from and goes to; null where it is behind the camera. */
  flow(x: number, y: number, u: number, w: number): Flow | null;
}

/** Nothing there, and above the horizon: so far away, m. */
const SKY_M = 5000;

/** The content of a plan’s picture at a row, as it moves between the rows `from` and `to`. */
export function contentOf(film: Film, cellsAcross: number): (row: number, from: number, to: number) => Content {
  const { samples, scene } = film;
  const { cameras, frameWidthMm } = samples;
  const rasterAt = depthRasterOf(scene, samples, cellsAcross);
  const aspect = frameWidthMm / samples.frameHeightMm;
  const seen = { u: 0, w: 0, depthM: 0 };
  const [place, before, after] = [new Float64Array(3), new Float64Array(3), new Float64Array(3)];
  return (row, from, to) => {
    const moments = [row, from, to].map((at) => samples.tS[at]);
    const known = new Map<number, Going | null>();
    /** Where a piece stands, of those that go about; null for those that stay and for the ground. */
    const goingOf = (piece: number): Going | null => {
      if (piece === NOTHING) return null;
      let goes = known.get(piece);
      if (goes === undefined) {
        const thing = scene.things[piece];
        goes = thing.walks ? moments.map((tS) => standsAt(thing, tS)) : null;
        known.set(piece, goes);
      }
      return goes;
    };
    const { widthCells, heightCells, nearness, pieceAt } = rasterAt(row);
    const camera = cameras.subarray(row * CAMERA_SIZE, row * CAMERA_SIZE + CAMERA_SIZE);
    const scale = samples.focalLengthMm[row] / frameWidthMm;
    const deep = (cell: number, u: number, w: number): number =>
      pieceAt[cell] === NOTHING ? groundM(camera, scale, u, w, place) : 1 / nearness[cell];
    return {
      widthCells,
      heightCells,
      depthM: (x, y) =>
        deep(y * widthCells + x, (x + 0.5) / widthCells - 0.5, (0.5 - (y + 0.5) / heightCells) / aspect),
      flow(x, y, u, w) {
        const cell = y * widthCells + x;
        placeAt(camera, scale, u, w, deep(cell, u, w), place);
        const goes = goingOf(pieceAt[cell]);
        if (goes) {
          wentTo(goes[0], goes[1], place, before);
          wentTo(goes[0], goes[2], place, after);
        }
        const [was, will] = goes ? [before, after] : [place, place];
        project(cameras, from * CAMERA_SIZE, was[0], was[1], was[2], seen);
        if (seen.depthM <= 0) return null;
        const { u: u0, w: w0 } = seen;
        project(cameras, to * CAMERA_SIZE, will[0], will[1], will[2], seen);
        return seen.depthM > 0 ? { u, w, du: seen.u - u0, dw: seen.w - w0 } : null;
      },
    };
  };
}

/** Beside something so many times nearer or farther a place lies at an edge. */
const EDGE = 1.15;

/**
 * Which cells lie within `reachCells` of an edge of something: 1 there, 0 elsewhere, row after row from the upper left. A
 * window about such a place holds two things that may go two ways, and goes now with the one, now with the other.
 */
export function edgesOf({ widthCells, heightCells, depthM }: Content, reachCells: number): Uint8Array {
  const depths = new Float64Array(widthCells * heightCells);
  for (let y = 0; y < heightCells; y += 1)
    for (let x = 0; x < widthCells; x += 1) depths[y * widthCells + x] = depthM(x, y);
  const reach = Math.floor(reachCells);
  const side = Array.from({ length: 2 * reach + 1 }, (_, k) => k - reach);
  /** How far a window reaches to both sides of its middle in the row so far below it. */
  const halfWidths = side.map((dy) => Math.floor(Math.sqrt(reachCells ** 2 - dy ** 2)));
  const edges = new Uint8Array(widthCells * heightCells);
  for (let y = 0; y < heightCells; y += 1)
    for (let x = 0; x < widthCells; x += 1) {
      const here = depths[y * widthCells + x];
      let [nearest, farthest] = [here, here];
      for (let k = 0; k < side.length; k += 1) {
        const v = y + side[k];
        if (v < 0 || v >= heightCells) continue;
        const last = v * widthCells + Math.min(widthCells - 1, x + halfWidths[k]);
        for (let cell = v * widthCells + Math.max(0, x - halfWidths[k]); cell <= last; cell += 1) {
          if (depths[cell] < nearest) nearest = depths[cell];
          else if (depths[cell] > farthest) farthest = depths[cell];
        }
      }
      if (farthest > here * EDGE || nearest * EDGE < here) edges[y * widthCells + x] = 1;
    }
  return edges;
}

/** Each place is looked at so finely: no less than the cells are fine. */
const LOOKS = { across: 4, down: 3 } as const;

/** Where it goes in those places that count, by their numbers, away from what is 1 in `edges`. */
export function flowsOfPlaces(
  { widthCells, heightCells, flow }: Content,
  aspect: number,
  edges: Uint8Array,
  counts: (place: number) => boolean,
): Flow[] {
  const found: Flow[] = [];
  const [across, down] = [PLACES.across * LOOKS.across, PLACES.down * LOOKS.down];
  for (let row = 0; row < down; row += 1)
    for (let column = 0; column < across; column += 1) {
      if (!counts(Math.floor(row / LOOKS.down) * PLACES.across + Math.floor(column / LOOKS.across))) continue;
      const [right, below] = [(column + 0.5) / across, (row + 0.5) / down];
      const [x, y] = [Math.floor(right * widthCells), Math.floor(below * heightCells)];
      const goes = edges[y * widthCells + x] ? null : flow(x, y, right - 0.5, (0.5 - below) / aspect);
      if (goes) found.push(goes);
    }
  return found;
}

/** Where a thing stands at a moment, and its own axes as columns: right, ahead, up. */
interface Stands {
  base: Float64Array;
  axes: Float64Array;
}
/** Where it stands at the row, and at the rows before and after. */
type Going = readonly Stands[];

function standsAt({ at, stanceAt }: Thing, tS: number): Stands {
  const [base, axes] = [new Float64Array(3), new Float64Array(9)];
  const stance = { headingDeg: 0, leanDeg: 0, pitchDeg: 0 };
  at(tS, base);
  stanceAt(tS, stance);
  turnedBy(stance, axes);
  return { base, axes };
}

/** Writes where a place of a thing that goes about is when it stands elsewhere; arms and legs go along with the rest. */
function wentTo(from: Stands, to: Stands, place: Float64Array, out: Float64Array): void {
  const [x, y, z] = [place[0] - from.base[0], place[1] - from.base[1], place[2] - from.base[2]];
  const right = from.axes[0] * x + from.axes[1] * y + from.axes[2] * z;
  const ahead = from.axes[3] * x + from.axes[4] * y + from.axes[5] * z;
  const up = from.axes[6] * x + from.axes[7] * y + from.axes[8] * z;
  for (let i = 0; i < 3; i += 1)
    out[i] = to.base[i] + right * to.axes[i] + ahead * to.axes[3 + i] + up * to.axes[6 + i];
}

/** Writes the site’s place that is seen at u and w of a camera, so deep along its axis. */
function placeAt(camera: Float64Array, scale: number, u: number, w: number, depthM: number, out: Float64Array): void {
  // A place p falls at u = (r·p + r₄)/depth and w = (t·p + t₄)/depth; the rows are at right angles.
  const across = (u * depthM - camera[3]) / scale ** 2;
  const up = (w * depthM - camera[7]) / scale ** 2;
  const ahead = depthM - camera[11];
  for (let axis = 0; axis < 3; axis += 1)
    out[axis] = across * camera[axis] + up * camera[4 + axis] + ahead * camera[8 + axis];
}

/** How deep level ground lies there; the sky where none does. */
function groundM(camera: Float64Array, scale: number, u: number, w: number, at: Float64Array): number {
  placeAt(camera, scale, u, w, 1, at);
  const nearUpM = at[2];
  placeAt(camera, scale, u, w, 2, at);
  const fall = nearUpM - at[2];
  const depth = 1 + nearUpM / fall;
  return fall > 1e-9 && depth > 0 && depth < SKY_M ? depth : SKY_M;
}
